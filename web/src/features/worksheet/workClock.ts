import { z } from 'zod';

/** What this device knows of a piece of work beside its ticks. */
const clock = z.strictObject({
  /** When each hive was first seen standing open, by the step that opened it; milliseconds since 1970. */
  openedAt: z.record(z.string(), z.number()),
  pausedAt: z.number().nullable(),
  /** Steps that were closed for the time being when work was stopped. */
  closed: z.array(z.string()),
  /** When it must be done: rain, dark or the end of the day; milliseconds since 1970. */
  until: z.number().nullable().default(null),
});
export type WorkClock = z.infer<typeof clock>;

const EMPTY: WorkClock = { openedAt: {}, pausedAt: null, closed: [], until: null };
const keyOf = (workId: string) => `incremen.work.${workId}`;

/** Reads what was kept; nothing when it cannot be read. */
export function readClock(workId: string): WorkClock {
  try {
    const kept = localStorage.getItem(keyOf(workId));
    return kept === null ? EMPTY : clock.parse(JSON.parse(kept));
  } catch {
    return EMPTY;
  }
}

/** Keeps it, so that a page that is killed takes up where it was. Without storage it lasts as long as the page. */
export function keepClock(workId: string, now: WorkClock): void {
  try {
    localStorage.setItem(keyOf(workId), JSON.stringify(now));
  } catch {
    // A full or forbidden storage must not stop the work.
  }
}
