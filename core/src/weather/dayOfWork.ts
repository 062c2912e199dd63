import type { Day } from '../basics/index.ts';
import { workingWindows, type WorkingWindow } from './beeWeather.ts';
import { dayOfHour, hourOfDay, type Hour, type WeatherHour } from './weatherHour.ts';

/** A day on which hives are to be opened, held against the forecast. */
export interface DayOfWork {
  /** Hours of that day in which hives can be opened. */
  readonly windows: readonly WorkingWindow[];
  /** The next day on which they can, where they cannot on that one; null when none is in sight. */
  readonly next: WorkingWindow | null;
}

/** So many hours of a working day must be foretold before anything is said of it. */
const KNOWN_H = 6;

/**
 * What the forecast says of a day of work.
 *
 * @param hours - what is foretold, from now on
 * @returns null where too little of that day is known
 */
export function dayOfWork(hours: readonly WeatherHour[], day: Day): DayOfWork | null {
  const own = hours.filter(
    (h) => dayOfHour(h.time) === day && hourOfDay(h.time) >= 8 && hourOfDay(h.time) <= 19,
  );
  const windows = workingWindows(hours);
  const ofDay = windows.filter((w) => w.day === day);
  if (ofDay.length === 0 && own.length < KNOWN_H) return null;
  return { windows: ofDay, next: ofDay.length > 0 ? null : (windows.find((w) => w.day > day) ?? null) };
}

/** Minutes of a day that are left in which hives can be opened. @param now - the hour from which on they count */
export function minutesLeft(windows: readonly WorkingWindow[], day: Day, now: Hour): number {
  return windows
    .filter((w) => w.day === day)
    .reduce((sum, w) => {
      const from = dayOfHour(now) === day ? Math.max(w.fromHour, hourOfDay(now)) : w.fromHour;
      return sum + Math.max(0, w.toHour + 1 - from) * 60;
    }, 0);
}
