import { addDays, type Day } from '../basics/index.ts';
import { STORES_PER_KG_SUGAR } from '../clock/index.ts';
import {
  eventsOf,
  givenTo,
  isChanged,
  queenOf,
  readingsOfVisit,
  stepsOfWork,
  visitsOf,
  worksAt,
  type Apiary,
  type Colony,
  type Given,
  type Work,
} from '../records/index.ts';
import type { FeedKind } from '../records/index.ts';

/** Something on a day that changes what a colony is afterwards. */
export type Happening = { readonly day: Day } & (
  | { readonly what: 'lays'; readonly lays: boolean }
  /** Work was done at it: so many frames of bees are there once the field bees have flown home. */
  | { readonly what: 'worked'; readonly framesOfBees: number; readonly nurses: boolean }
  | { readonly what: 'fed'; readonly kg: number }
  /** Honey was taken, in kg. */
  | { readonly what: 'harvested'; readonly kg: number }
  /** What an inspection says at a glance, in frames of the reference size. */
  | { readonly what: 'seen'; readonly bees: number | null; readonly stores: number | null }
  /** A share of its bees has left: field bees, or a swarm of all ages. */
  | { readonly what: 'left'; readonly share: number; readonly whom: 'field-first' | 'all' }
);

/** What a kilogram of each feed makes in stores, in kg. */
const FEED_WORTH: Readonly<Record<FeedKind, number>> = {
  'syrup-thin': 0.5 * STORES_PER_KG_SUGAR.likely,
  'syrup-thick': (2 / 3) * STORES_PER_KG_SUGAR.likely,
  // Some 88 % sugar (common practice, no source).
  fondant: 0.88 * STORES_PER_KG_SUGAR.likely,
  'dry-sugar': STORES_PER_KG_SUGAR.likely,
  honey: 1,
  // Mostly protein and sugar; little of it becomes stores.
  patty: 0.3,
};

/** A queen who was released, or put in without a cage, settles so many days before she lays (common practice: 3 to 5). */
const SETTLES_DAYS = 4;
/** A mated queen who was given in a cage lays after about a week (common practice: eggs by day 7 to 10). */
const ACCEPTED_DAYS = 8;
/** Of a prime swarm's colony so many bees go (common practice: half to two thirds). */
const SWARM_SHARE = 0.55;
/** Of the bees of a hive that is carried within flying range by day, so many are out and lost to it (common practice, about a third). */
const FIELD_BEES_OUT = 0.3;

/** What happened to a colony after a day up to another, in order. */
export function happeningsOf(apiary: Apiary, colony: Colony, after: Day, until: Day): Happening[] {
  const all = [
    ...queenDays(apiary, colony),
    ...worksAt(apiary, colony.id).flatMap((w) => workDone(apiary, colony, w)),
    ...givenTo(apiary, colony.id).flatMap(feedGiven),
    ...seenAtAGlance(apiary, colony),
    ...eventDays(apiary, colony),
  ];
  // What happened on the day of a count happened after it.
  return all.filter((h) => h.day >= after && h.day <= until).toSorted((a, b) => a.day.localeCompare(b.day));
}

/** Whether a queen lays, from the day on which that changes. */
function queenDays(apiary: Apiary, colony: Colony): Happening[] {
  const queen = queenOf(apiary, colony.id);
  const days: Happening[] = [];
  const lays = (day: Day, yes: boolean) => days.push({ day, what: 'lays', lays: yes });
  const { separation } = colony;
  if (!queen && separation && separation.queen !== 'here') lays(separation.day, false);
  for (const other of Object.values(apiary.queen)) {
    const gone = other.end && other.history.some((d) => d.colonyId === colony.id && d.did === other.end?.how);
    if (gone && other.end) lays(other.end.day, false);
  }
  if (!queen) return days;
  for (const { day, did, colonyId } of queen.history) {
    if (colonyId !== colony.id) continue;
    if (did === 'caged') lays(day, false);
    if (did === 'laying') lays(day, true);
    if (did === 'released' || (did === 'put-in' && queen.cagedSince === null))
      lays(addDays(day, SETTLES_DAYS), true);
  }
  if (queen.cagedSince !== null) lays(queen.cagedSince, false);
  if (queen.layingSince !== null) lays(queen.layingSince, true);
  return days;
}

/** The day on which work was done: that of its last step, or the one that it was planned for. */
export const doneOn = (apiary: Apiary, work: Work): Day =>
  stepsOfWork(apiary, work.id).reduce<Day>(
    (d, s) => (s.doneOn !== null && s.doneOn > d ? s.doneOn : d),
    work.day,
  );

function workDone(apiary: Apiary, colony: Colony, work: Work): Happening[] {
  if (work.status !== 'done') return [];
  const units = work.body.units.filter((u) => u.colonyId === colony.id);
  const framesOfBees = units.reduce((n, u) => n + u.after.bees, 0);
  const nurses = work.body.asked.source === 'action' || units.some((u) => u.state === 'new');
  const day = doneOn(apiary, work);
  const queens = work.body.effects.flatMap((e): Happening[] => {
    if (e.kind === 'queen-out' && e.colonyId === colony.id) return [{ day, what: 'lays', lays: false }];
    if (e.kind === 'queen-in' && e.colonyId === colony.id)
      return [{ day: addDays(day, ACCEPTED_DAYS), what: 'lays', lays: true }];
    if (e.kind === 'queen-over' && e.intoId === colony.id)
      return [{ day: addDays(day, 1), what: 'lays', lays: true }];
    return [];
  });
  // A colony of the same yard that was only listed is what its own counts say.
  const worked: Happening[] = units.some(isChanged) ? [{ day, what: 'worked', framesOfBees, nurses }] : [];
  return [...worked, ...queens];
}

function feedGiven({ day, body }: Given): Happening[] {
  if (body.kind !== 'feed') return [];
  return [{ day, what: 'fed', kg: Math.max(0, body.kg - (body.leftKg ?? 0)) * FEED_WORTH[body.what] }];
}

function seenAtAGlance(apiary: Apiary, colony: Colony): Happening[] {
  return visitsOf(apiary, colony.id).flatMap(({ id, day, evidence }): Happening[] => {
    if (!evidence || (evidence.strength === null && evidence.food === null)) return [];
    // Frames that were read say more than the glance at them.
    if (readingsOfVisit(apiary, id).length > 0) return [];
    return [{ day, what: 'seen', bees: evidence.strength, stores: evidence.food }];
  });
}

function eventDays(apiary: Apiary, colony: Colony): Happening[] {
  return eventsOf(apiary, colony.id).flatMap(({ day, body }): Happening[] => {
    if (body.what === 'harvested') return [{ day, what: 'harvested', kg: body.kg }];
    if (body.what === 'swarmed') return [{ day, what: 'left', share: SWARM_SHARE, whom: 'all' }];
    if (body.what !== 'moved' || body.hour === 'dusk' || body.fromStandId === null) return [];
    const from = apiary.stand[body.fromStandId]?.yardId;
    const to = apiary.stand[body.toStandId]?.yardId;
    return from === to ? [{ day, what: 'left', share: FIELD_BEES_OUT, whom: 'field-first' }] : [];
  });
}
