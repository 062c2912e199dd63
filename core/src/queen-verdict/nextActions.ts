import { addDays, dayInWords, type Day, onDay, type Window } from '../basics/index.ts';
import type { QueenCalendar } from '../brood/index.ts';
import type { NextAction } from './verdict.ts';

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
  look('rhythm', 'Look in a week', 'The usual rhythm of a laying colony.', onDay(addDays(day, 7)));

/** From one day to another; never ends before it begins. */
export const span = (from: Day, to: Day): Window => ({
  earliest: from,
  likely: from,
  latest: to < from ? from : to,
});

/** Days until one looks for eggs again. Judgement, no source: a few more eggs are there, and no mating day is spoilt. */
const LOOK_AGAIN_AFTER = 4;

/** When eggs are looked for; after a look in vain the next day for it, up to the last usual one. */
function eggsWindow({ eggsLook: usual }: QueenCalendar, day: Day): Window {
  if (day < usual.earliest) return usual;
  const later = addDays(day, LOOK_AGAIN_AFTER);
  // A day after a look nothing new is to be seen.
  const again = later <= usual.latest || usual.latest <= addDays(day, 1) ? later : usual.latest;
  return span(again, usual.latest);
}

/** The look for the first eggs of a new queen. */
export const eggsLook = (dates: QueenCalendar, day: Day): NextAction =>
  look(
    'eggs-due',
    day < dates.eggsLook.earliest ? 'Look for eggs' : 'Look for eggs again',
    day < dates.eggsLook.earliest
      ? 'By then a mated queen lays, and opening no longer endangers her.'
      : `The usual last day for them is ${dayInWords(dates.eggsLook.latest)}.`,
    eggsWindow(dates, day),
  );

/** Until when a hive stays shut so that its young queen mates and begins to lay. */
export const shutUntil = (dates: QueenCalendar, day: Day): Day =>
  day < dates.eggsLook.earliest ? dates.handsOff.to : addDays(eggsWindow(dates, day).earliest, -1);
