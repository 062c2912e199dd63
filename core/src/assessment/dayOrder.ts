import type { Day } from '../basics/index.ts';
import type { HiveToday } from './hivesToday.ts';

/** The hives of a day put into the hours that there are. */
export interface DayOrder {
  /** Those that are opened while it lasts, in their order. */
  readonly now: readonly HiveToday[];
  /** Those for which no time is left, and until when each can wait. */
  readonly later: readonly HiveToday[];
  /** Of the later ones those that must not wait for the next day on which hives can be opened. */
  readonly tooLate: readonly HiveToday[];
  readonly minutes: number;
}

/**
 * Puts the hives that must be opened into the dry hours of a day: the most advanced cells first, then as many of the
 * others as fit.
 *
 * @param minutes - in which hives can be opened today
 * @param next - the next day on which they can; null when none is in sight
 */
export function orderOfDay(must: readonly HiveToday[], minutes: number, next: Day | null): DayOrder {
  const now: HiveToday[] = [];
  const later: HiveToday[] = [];
  let left = minutes;
  for (const hive of must) {
    if (hive.minutes <= left) {
      now.push(hive);
      left -= hive.minutes;
    } else later.push(hive);
  }
  const tooLate = later.filter((h) => h.by !== null && (next === null || h.by < next));
  return { now, later, tooLate, minutes };
}
