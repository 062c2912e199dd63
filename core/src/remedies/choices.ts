import { SETTLED_DAYS } from './promised.ts';
import { addDays, type Day } from '../basics/index.ts';
import { queenCalendar } from '../brood/index.ts';
import { inReferenceFrames } from '../comb/index.ts';
import { courseOf, seasonOfColony, type CourseDay, type Happening } from '../forecast/index.ts';
import {
  framesOfColony,
  operationOf,
  type ActionId,
  type Apiary,
  type Colony,
  type MethodId,
  type Work,
} from '../records/index.ts';
import { houseRules, type HouseRules } from '../rules/index.ts';
import { makePlan } from '../split/index.ts';
import { planAction } from './actions/actions.ts';
import { workOfAction } from './actions/actionPlan.ts';
import { apiaryAfter } from './actions/apiaryAfter.ts';
import { allFacts } from './remedies.ts';
import type { Outside, UnitFacts } from './unit/unitFacts.ts';

/** What can be compared for a colony. */
const CHOICE_IDS = [
  'leave',
  'feed',
  'boost-brood',
  'boost-nurses',
  'combine',
  'give-queen',
  'split-now',
  'split-later',
] as const;
export type ChoiceId = (typeof CHOICE_IDS)[number];

export const CHOICE_NAMES: Readonly<Record<ChoiceId, string>> = {
  leave: 'Leave it alone',
  feed: 'Feed 5 kg (11 lb) of stores',
  'boost-brood': 'Give it capped brood',
  'boost-nurses': 'Give it nurse bees',
  combine: 'Unite it',
  'give-queen': 'Give it a mated queen',
  'split-now': 'Split it now',
  'split-later': 'Split it in two weeks',
};

/** Days on which something can be done or has to be reached; null where that does not come in sight. */
export interface Milestones {
  /** Bees cover nearly all its combs. */
  readonly full: Day | null;
  /** It can take a super: bees on most of its brood combs. */
  readonly super: Day | null;
  /** It can be split (again). */
  readonly split: Day | null;
  /** Its food ends, if nothing comes in beyond what it eats in a flow. */
  readonly foodEnds: Day | null;
  /** Frames of bees when the main flow begins; null when that is past, or too far ahead. */
  readonly atFlow: number | null;
  /** Frames of bees at the first hard frost, and whether they are enough. */
  readonly atFrost: { readonly bees: number; readonly enough: boolean } | null;
}

/** One colony that comes of a choice. */
export interface ChoicePart {
  readonly colonyId: string;
  readonly name: string;
  readonly days: readonly CourseDay[];
  readonly milestones: Milestones;
  /** It raises its queen: the course takes it that she lays on the likely day, which not every one does. */
  readonly raises: boolean;
}

/** A choice with all that comes of it. */
export interface ChoiceCourse {
  readonly id: ChoiceId;
  readonly name: string;
  readonly parts: readonly ChoicePart[];
}

/** A split in two weeks is worked out for this day. */
const LATER_DAYS = 14;
/** What is fed, as stores. */
const FED_KG = 5;
/** Bees on so much of its combs: it can take a super (common practice, no source). */
const SUPER_SHARE = 0.8;
const FULL_SHARE = 0.95;

/** Ways to split that are tried, the surest first: the queen is known to be in one part. */
const SPLITS: readonly MethodId[] = ['queen-to-nuc', 'walk-away-halves'];

/**
 * What becomes of a colony by each choice that can be made for it, day by day, by the one clock.
 *
 * @param days - how far ahead
 * @param newId - identifiers for what exists in the comparison only
 */
export function compareChoices(
  apiary: Apiary,
  colony: Colony,
  today: Day,
  outside: Outside,
  days: number,
  newId: () => string,
): ChoiceCourse[] {
  const all = allFacts(apiary, today, outside);
  const facts = all.find((f) => f.colony.id === colony.id);
  const alone = partOf(apiary, colony, today, days, []);
  if (!facts || alone.days.length === 0) return [];
  const made = CHOICE_IDS.map((id): ChoiceCourse | null => {
    const parts = partsBy(id, { apiary, facts, all, today, days, newId, alone });
    return parts && { id, name: CHOICE_NAMES[id], parts };
  });
  return made.filter((c) => c !== null);
}

interface Asked {
  readonly apiary: Apiary;
  readonly facts: UnitFacts;
  readonly all: readonly UnitFacts[];
  readonly today: Day;
  readonly days: number;
  readonly newId: () => string;
  readonly alone: ChoicePart;
}

function partsBy(id: ChoiceId, asked: Asked): readonly ChoicePart[] | null {
  const { apiary, facts, today, days, alone } = asked;
  switch (id) {
    case 'leave':
      return [alone];
    case 'feed':
      return [partOf(apiary, facts.colony, today, days, [{ day: today, what: 'fed', kg: FED_KG }])];
    case 'split-now':
      return bySplit(asked, today);
    case 'split-later':
      return days > LATER_DAYS ? bySplit(asked, addDays(today, LATER_DAYS)) : null;
    case 'boost-brood':
    case 'boost-nurses':
    case 'combine':
    case 'give-queen':
      return byAction(asked, id);
  }
}

function byAction(asked: Asked, id: ActionId): ChoicePart[] | null {
  const { apiary, facts, all, today, days, newId } = asked;
  const plan = planAction(id, facts, all, {}, newId);
  if (!plan) return null;
  const { work } = workOfAction(apiary, plan, today, newId);
  const after = apiaryAfter(apiary, work);
  const touched = [...new Set(work.body.units.map((u) => u.colonyId))];
  // Who gives is shown too: it pays for it.
  return touched.flatMap((colonyId) => {
    const colony = after.colony[colonyId];
    return colony && colony.endedOn === null ? [partOf(after, colony, today, days, [])] : [];
  });
}

function bySplit({ apiary, facts, days, newId, alone }: Asked, day: Day): ChoicePart[] | null {
  const work = splitOn(apiary, facts.colony, day, newId);
  if (!work) return null;
  const after = apiaryAfter(apiary, work);
  const until = alone.days.filter((d) => d.day < day);
  return work.body.units.flatMap((unit): ChoicePart[] => {
    const colony = after.colony[unit.colonyId];
    if (!colony) return [];
    const queen = raisedQueen(colony, day);
    const part = partOf(after, colony, day, days - until.length, queen, {
      // What shows before the field bees are home shows nothing; who raises a queen is divided when she lays.
      settled: addDays(day, SETTLED_DAYS),
      mayPart: queen[0]?.day ?? day,
    });
    // Until the day of the split there is one colony, and its course is that of the part that stays.
    const before = unit.state === 'stays' ? until : [];
    return [{ ...part, days: [...before, ...part.days] }];
  });
}

function splitOn(apiary: Apiary, colony: Colony, day: Day, newId: () => string): Work | null {
  for (const methodId of SPLITS) {
    const plan = makePlan(
      apiary,
      { colonyId: colony.id, methodId, day, newName: `${colony.name} II`, options: {} },
      newId,
    );
    if (plan.ok) return plan.value.command.work;
  }
  return null;
}

/** The queen that a part raises lays from the likely day on. */
function raisedQueen(colony: Colony, day: Day): Happening[] {
  const { separation } = colony;
  if (!separation || separation.queen === 'here') return [];
  const { firstEggs } = queenCalendar(day, separation.emergence ?? undefined);
  return [{ day: firstEggs.likely, what: 'lays', lays: true }];
}

function partOf(
  apiary: Apiary,
  colony: Colony,
  from: Day,
  days: number,
  change: readonly Happening[],
  since: { readonly settled: Day; readonly mayPart: Day } = { settled: from, mayPart: from },
): ChoicePart {
  const course = courseOf(apiary, colony, from, days, change);
  const { referenceSize, houseRules: changed } = operationOf(apiary);
  const combs = framesOfColony(apiary, colony).reduce(
    (n, f) => n + (f.box.role === 'brood' ? inReferenceFrames(f.frame.sizeId, referenceSize) : 0),
    0,
  );
  return {
    colonyId: colony.id,
    name: colony.name,
    days: course,
    milestones: milestonesOf(
      course.filter((d) => d.day >= since.settled),
      combs,
      houseRules(changed.changes),
      seasonOfColony(apiary, colony, from).days,
      since.mayPart,
    ),
    raises: change.some((h) => h.what === 'lays'),
  };
}

function milestonesOf(
  course: readonly CourseDay[],
  combs: number,
  rules: HouseRules,
  season: Readonly<Record<'main-flow' | 'first-frost', Day>>,
  mayPart: Day,
): Milestones {
  const first = (is: (d: CourseDay) => boolean) => course.find(is)?.day ?? null;
  const on = (day: Day) => course.find((d) => d.day === day);
  const frost = on(season['first-frost']);
  return {
    full: combs > 0 ? first((d) => d.bees >= FULL_SHARE * combs) : null,
    super: combs > 0 ? first((d) => d.bees >= SUPER_SHARE * combs && d.bees >= rules.strongForNuc) : null,
    split: first(
      (d) => d.day >= mayPart && d.bees >= rules.strongForNuc && d.brood >= rules.donorFloorBrood * 2,
    ),
    foodEnds: first((d) => d.foodKg < 0.5),
    atFlow: on(season['main-flow'])?.bees ?? null,
    atFrost: frost ? { bees: frost.bees, enough: frost.bees >= rules.winterBees } : null,
  };
}
