import type { Day } from '../basics/index.ts';
import { dayOfHour, hourOfDay, type Hour, type ScaleHour, type WeatherHour } from './weatherHour.ts';

/** Limits of weather for bees and beekeepers (common practice, no source, unless a house rule says otherwise). */
export interface WeatherLimits {
  /** A brood nest is opened from this temperature on. */
  readonly openFromC: number;
  /** Queens fly to mate from this temperature on. */
  readonly matingFromC: number;
  /** Below this at night bees draw together and bare the outer brood. */
  readonly coldNightC: number;
}

export const WEATHER_LIMITS: WeatherLimits = { openFromC: 14, matingFromC: 19, coldNightC: 10 };

/** Wind in which frames are no longer lifted, and in which queens do not fly, in m/s (common practice, no source). */
const WORK_WIND_MS = 8;
const MATING_WIND_MS = 6;
/** Rain that counts, in mm an hour. */
const RAIN_MM = 0.1;

/** A span of hours, the last one included: 11 to 16 is from 11:00 to 17:00. */
export interface WorkingWindow {
  readonly day: Day;
  readonly fromHour: number;
  readonly toHour: number;
}

/** Spans in which hives can be opened: warm enough, dry, not too much wind, and light. */
export function workingWindows(hours: readonly WeatherHour[], limits = WEATHER_LIMITS): WorkingWindow[] {
  const windows: { day: Day; fromHour: number; toHour: number }[] = [];
  for (const h of byTime(hours)) {
    const hour = hourOfDay(h.time);
    const good =
      h.temperatureC >= limits.openFromC &&
      h.rainMm < RAIN_MM &&
      h.windMs < WORK_WIND_MS &&
      hour >= FIRST_HOUR &&
      hour <= LAST_HOUR;
    if (!good) continue;
    const last = windows.at(-1);
    if (last?.day === dayOfHour(h.time) && last.toHour === hour - 1) last.toHour = hour;
    else windows.push({ day: dayOfHour(h.time), fromHour: hour, toHour: hour });
  }
  return windows;
}

const FIRST_HOUR = 8;
const LAST_HOUR = 19;

/** A night, named by the day on which it begins, with its lowest temperature. */
export interface Night {
  readonly day: Day;
  readonly minC: number;
}

/** The lowest temperature of each night: from 18:00 to 9:00. Nights of which less than half is known are left out. */
export function nights(hours: readonly WeatherHour[], previousDay: (day: Day) => Day): Night[] {
  const byNight = new Map<Day, number[]>();
  for (const h of hours) {
    const hour = hourOfDay(h.time);
    const night =
      hour >= EVENING ? dayOfHour(h.time) : hour < MORNING ? previousDay(dayOfHour(h.time)) : null;
    if (night !== null) byNight.set(night, [...(byNight.get(night) ?? []), h.temperatureC]);
  }
  return [...byNight]
    .filter(([, t]) => t.length * 2 >= 24 - EVENING + MORNING)
    .map(([day, t]) => ({ day, minC: Math.min(...t) }))
    .toSorted((a, b) => a.day.localeCompare(b.day));
}

const EVENING = 18;
const MORNING = 9;

/** So many hours of an afternoon must be known before it can be said that no queen flew in it. */
const AFTERNOON_KNOWN_H = 4;

/**
 * Whether a queen can fly to mate, by day: an afternoon hour or two, warm, dry and calm. Warm is 18 to 20 °C and more
 * (Winston 1987, The Biology of the Honey Bee).
 *
 * @returns only days whose afternoon is known
 */
export function flyingWeather(
  hours: readonly WeatherHour[],
  limits = WEATHER_LIMITS,
): ReadonlyMap<Day, boolean> {
  const good = new Map<Day, number>();
  const known = new Map<Day, number>();
  const more = (counts: Map<Day, number>, day: Day) => counts.set(day, (counts.get(day) ?? 0) + 1);
  for (const h of hours) {
    const hour = hourOfDay(h.time);
    if (hour < 12 || hour > 17) continue;
    more(known, dayOfHour(h.time));
    if (h.temperatureC < limits.matingFromC || h.rainMm >= RAIN_MM || h.windMs >= MATING_WIND_MS) continue;
    more(good, dayOfHour(h.time));
  }
  const flies = (day: Day) => (good.get(day) ?? 0) >= 2;
  return new Map(
    [...known].filter(([day, n]) => flies(day) || n >= AFTERNOON_KNOWN_H).map(([day]) => [day, flies(day)]),
  );
}

/** Days on which a queen can fly to mate, see {@link flyingWeather}. */
export function matingDays(hours: readonly WeatherHour[], limits = WEATHER_LIMITS): Day[] {
  return [...flyingWeather(hours, limits)]
    .filter(([, flies]) => flies)
    .map(([day]) => day)
    .toSorted();
}

/** When it next rains, from an hour on; null when no rain is foretold. */
export function nextRain(hours: readonly WeatherHour[], from: Hour): Hour | null {
  return byTime(hours).find((h) => h.time >= from && h.rainMm >= RAIN_MM)?.time ?? null;
}

/** What a hive gained or lost on a day, in kg, from midnight to midnight. */
export interface ScaleDay {
  readonly day: Day;
  readonly gainKg: number;
}

/**
 * Gains by day. Somebody who lifts the lid or adds a box is not a flow: a step of more than two kilograms in an hour is
 * left out.
 */
export function scaleDays(hours: readonly ScaleHour[]): ScaleDay[] {
  const ordered = hours.toSorted((a, b) => a.time.localeCompare(b.time));
  const byDay = new Map<Day, number>();
  ordered.forEach((h, i) => {
    const before = ordered[i - 1];
    if (!before) return;
    const change = h.weightKg - before.weightKg;
    const day = dayOfHour(before.time);
    byDay.set(day, (byDay.get(day) ?? 0) + (Math.abs(change) > HANDLED_KG ? 0 : change));
  });
  return [...byDay].map(([day, gainKg]) => ({ day, gainKg }));
}

const HANDLED_KG = 2;

/** What the scale says of the last week. */
export interface ScaleVerdict {
  readonly weekKg: number;
  readonly says: 'flow' | 'holds' | 'loses' | 'too-little-known';
  readonly words: string;
}

/** Flow or loss: more than about 1 kg lost in a week of spring calls for a food check (common practice, no source). */
export function scaleVerdict(days: readonly ScaleDay[]): ScaleVerdict {
  const week = days.slice(-7);
  const weekKg = week.reduce((s, d) => s + d.gainKg, 0);
  if (week.length < 3) return { weekKg, says: 'too-little-known', words: 'Too few days are known.' };
  if (weekKg <= -1) {
    return { weekKg, says: 'loses', words: 'It loses more than a kilogram a week: check its food.' };
  }
  const lately = week.slice(-3).reduce((s, d) => s + d.gainKg, 0) / 3;
  if (lately >= 0.3) return { weekKg, says: 'flow', words: 'Nectar comes in.' };
  return { weekKg, says: 'holds', words: 'It holds its weight: no flow to speak of.' };
}

const byTime = <T extends { readonly time: Hour }>(hours: readonly T[]) =>
  hours.toSorted((a, b) => a.time.localeCompare(b.time));
