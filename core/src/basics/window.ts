import { z } from 'zod';
import { addDays, daySchema, type Day } from './day.ts';

/** When something is to be expected: never a bare date. */
export const windowSchema = z.strictObject({ earliest: daySchema, likely: daySchema, latest: daySchema });
export interface Window {
  readonly earliest: Day;
  readonly likely: Day;
  readonly latest: Day;
}

/** A window at so many days after an anchor. */
export function windowAfter(anchor: Day, earliest: number, likely: number, latest: number): Window {
  return {
    earliest: addDays(anchor, earliest),
    likely: addDays(anchor, likely),
    latest: addDays(anchor, latest),
  };
}

/** A window so many days later, or earlier. */
export const shiftWindow = ({ earliest, likely, latest }: Window, days: number): Window => ({
  earliest: addDays(earliest, days),
  likely: addDays(likely, days),
  latest: addDays(latest, days),
});

/** One day as a window. */
export const onDay = (day: Day): Window => ({ earliest: day, likely: day, latest: day });
