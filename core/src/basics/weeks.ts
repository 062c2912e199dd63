import { addDays, daysBetween, type Day } from './day.ts';

/** The day on which a week begins. */
export const WEEK_STARTS = ['monday', 'sunday'] as const;
export type WeekStart = (typeof WEEK_STARTS)[number];

/** A Sunday and a Monday from which weeks are counted. */
const FIRST: Readonly<Record<WeekStart, Day>> = { sunday: '1970-01-04', monday: '1970-01-05' };

/**
 * The first day of the week that a day is in.
 *
 * @example weekOf('2026-05-15', 'monday') // => '2026-05-11'
 */
export const weekOf = (day: Day, start: WeekStart): Day =>
  addDays(day, -(((daysBetween(FIRST[start], day) % 7) + 7) % 7));
