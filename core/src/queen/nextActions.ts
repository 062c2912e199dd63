import { addDays, type Day } from '../calendar/day.ts';
import type { QueenCalendar, Window } from '../followup/windows.ts';
import type { NextAction } from './verdict.ts';

/** One day as a window. */
export const on = (day: Day): Window => ({ earliest: day, likely: day, latest: day });

/** Something to do. */
export const act = (what: string, why: string, window: Window | null = null): NextAction => ({
  kind: 'act',
  topic: 'act',
  what,
  why,
  window,
});

/** A look to come. */
export const look = (topic: NextAction['topic'], what: string, why: string, window: Window): NextAction => ({
  kind: 'look',
  topic,
  what,
  why,
  window,
});

/** Something to leave alone. */
export const leave = (what: string, why: string, window: Window | null): NextAction => ({
  kind: 'leave',
  topic: 'rest',
  what,
  why,
  window,
});

/** The usual rhythm of a laying colony. */
export const weekly = (day: Day): NextAction =>
  look('rhythm', 'Look in a week', 'The usual rhythm of a laying colony.', on(addDays(day, 7)));

/** From one day to another; never ends before it begins. */
export const span = (from: Day, to: Day): Window => ({
  earliest: from,
  likely: from,
  latest: to < from ? from : to,
});

/** The look for the first eggs of a new queen. */
export const eggsLook = (dates: QueenCalendar): NextAction =>
  look(
    'eggs-due',
    'Look for eggs',
    'By then a mated queen lays, and opening no longer endangers her.',
    dates.eggsLook,
  );
