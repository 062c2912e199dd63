import type { WeatherReport } from '@incremen/contract';
import { addDays, dayInWords, type Day } from '@incremen/core/basics';
import {
  flyingWeather,
  matingDays,
  nextRain,
  nights,
  workingWindows,
  type Night,
  type WorkingWindow,
} from '@incremen/core/weather';

/** What the weather means for work and bees, from now on. */
export interface WeatherSense {
  readonly windows: readonly WorkingWindow[];
  /** The coldest of the next five nights; null when none is known. */
  readonly coldest: Night | null;
  readonly mating: readonly Day[];
  /** Whether a queen could or can fly, by day, past days among them. */
  readonly flying: ReadonlyMap<Day, boolean>;
  /** When it next rains, as an hour; null when no rain is foretold. */
  readonly rain: string | null;
}

const NIGHTS_AHEAD = 5;

/** Reads a report. @param now - hour up to which weather was observed */
export function senseOf(report: WeatherReport, now: string): WeatherSense {
  const ahead = report.forecast.filter((h) => h.time >= now);
  const coming = nights([...report.observed.slice(-24), ...ahead], (d) => addDays(d, -1))
    .filter((n) => n.day >= now.slice(0, 10))
    .slice(0, NIGHTS_AHEAD);
  return {
    windows: workingWindows(ahead),
    coldest: coming.toSorted((a, b) => a.minC - b.minC)[0] ?? null,
    mating: matingDays(ahead),
    flying: flyingWeather([...report.observed, ...report.forecast.filter((h) => h.time > now)]),
    rain: nextRain(ahead, now),
  };
}

const oClock = (hour: number) => `${String(hour).padStart(2, '0')}:00`;

/** "11:00 to 17:00". */
export const windowInWords = (w: WorkingWindow) => `${oClock(w.fromHour)} to ${oClock(w.toHour + 1)}`;

/** When hives can be opened, in one line: today, or the next day on which they can. */
export function workInWords({ windows }: WeatherSense, today: Day): string {
  const now = windows.filter((w) => w.day === today);
  if (now.length > 0) return `Hives can be opened today from ${now.map(windowInWords).join(' and ')}.`;
  const [next] = windows;
  return next
    ? `Not today: hives can be opened again on ${dayInWords(next.day)} from ${windowInWords(next)}.`
    : 'No weather to open hives is in sight.';
}
