import { isInspection, pressingLook } from '../followup/index.ts';
import { dayInWords, daysBetween, type Day } from '../basics/index.ts';
import {
  operationOf,
  type Apiary,
  type Colony,
  type Queen,
  ageOfCount,
  framesOfColony,
  nestOf,
  boxesOfColony,
  openFollowUps,
  placeOf,
  queenOf,
  queenPerhapsIn,
  readingOf,
  type PlacedFrame,
} from '../records/index.ts';
import {
  coversMore,
  houseRules,
  isHoneyBound,
  isOutgrown,
  isStrongEnoughToGive,
  isNuc,
  type BroodRoom,
  isStrongEnoughToPart,
  givesCombs,
  type HouseRules,
} from '../rules/index.ts';
import { shareOf, WORKER_BROOD } from '../comb/index.ts';
import { doubtOf } from './doubts.ts';
import { calmly, urgently, type Notice } from './notice.ts';
import { broodSlots, swarmCells } from './swarmCells.ts';
import { colonyOn, commonCombs, foodOn, increaseGate, strengthOf, type Strength } from '../forecast/index.ts';

/** Where a colony stands in the yard's order of things. */
export type Lane = 'strong' | 'even' | 'weak' | 'watch' | 'raising' | 'unfit' | 'uncounted';

/** What is known of a colony's queen. */
type QueenState =
  | { readonly state: 'here'; readonly queen: Queen }
  | { readonly state: 'unknown-part'; readonly since: Day }
  /** Known to be in one of several colonies; the first look that finds her settles it. */
  | { readonly state: 'perhaps-here'; readonly queen: Queen; readonly colonyIds: readonly string[] }
  | { readonly state: 'raising'; readonly since: Day }
  | { readonly state: 'not-recorded' };

/** A colony summed up for the board. */
export interface ColonyState {
  readonly colony: Colony;
  readonly lane: Lane;
  /** Why it is in that lane, or what is to be done. */
  readonly notice: Notice;
  readonly queen: QueenState;
  readonly strength: Strength;
  /** Days since the count; null when it was never counted. */
  readonly countAgeDays: number | null;
  /** True when the count is from before the colony was last split. */
  readonly countedBeforeSplit: boolean;
  readonly frames: readonly PlacedFrame[];
}

/**
 * Sums a colony up as it is on a day.
 *
 * @param other - other frames than those that the one clock gives for that day: as counted, or of a past day
 */
export function colonyState(
  apiary: Apiary,
  colony: Colony,
  today: Day,
  other?: readonly PlacedFrame[],
): ColonyState {
  const on = other ? null : colonyOn(apiary, colony, today);
  const frames = other ?? on?.frames ?? [];
  const operation = operationOf(apiary);
  const rules = houseRules(operation.houseRules.changes);
  const strength = strengthOf(
    nestOf(frames),
    operation.referenceSize,
    commonCombs(apiary, colony),
    on?.doubt,
  );
  const countAgeDays = ageOfCount(frames, today);
  const queen = queenState(apiary, colony);
  const countedBeforeSplit =
    colony.separation !== null &&
    frames.some((f) => f.reading !== null && f.reading.day <= (colony.separation?.day ?? ''));
  const slots = broodSlots(apiary, colony);
  const storeys = boxesOfColony(apiary, colony).filter((b) => b.role === 'brood').length;
  const base = { colony, queen, strength, countAgeDays, countedBeforeSplit, frames };
  const hungry = other ? null : hunger(apiary, colony, today);
  if (hungry && countAgeDays !== null && (queen.state === 'raising' || queen.state === 'unknown-part'))
    return { ...base, lane: 'raising', notice: hungry };
  if (queen.state === 'raising' || queen.state === 'unknown-part') {
    return { ...base, lane: 'raising', notice: nextOf(apiary, colony, today) };
  }
  if (countAgeDays === null) {
    return { ...base, lane: 'uncounted', notice: calmly('not-counted', 'Not counted yet') };
  }
  // Doubts are about what was seen, not about what became of it since.
  const doubt = doubtOf(apiary, colony, other ?? framesOfColony(apiary, colony), strength, today);
  if (doubt?.lane === 'unfit') return { ...base, ...doubt };
  const swarm = swarmCells(apiary, colony, frames, today);
  const lane = laneOf(strength, { slots, storeys }, rules);
  if (swarm) return { ...base, lane, notice: swarm };
  if (hungry) return { ...base, lane: doubt?.lane ?? lane, notice: hungry };
  if (doubt) return { ...base, ...doubt };
  const { yard } = placeOf(apiary, colony);
  const mayPart = () =>
    (['raises', 'mated'] as const).some((q) => increaseGate(apiary, yard, today, q) === null);
  return {
    ...base,
    lane,
    notice: noticeOf(
      { lane, strength, slots, storeys, broodCombs: broodCombsIn(frames), ageDays: countAgeDays },
      rules,
      mayPart,
    ),
  };
}

/** Without an appointment one looks again within so many days. */
const LOOKS_AGAIN_DAYS = 7;

/** Food that ends before anybody means to look again, whatever the count said; null when it lasts or nectar comes in. */
function hunger(apiary: Apiary, colony: Colony, today: Day): Notice | null {
  const food = foodOn(apiary, colony, today);
  if (food.kg === null || food.flow) return null;
  const next = openFollowUps(apiary).find(
    (f) => isInspection(f) && f.colonyIds.includes(colony.id) && f.window.likely >= today,
  );
  const until = Math.min(MOST_DAYS_AHEAD, next ? daysBetween(today, next.window.likely) : LOOKS_AGAIN_DAYS);
  const days = Math.floor(food.days.likely);
  if (days >= Math.max(until, LEAST_DAYS_AHEAD)) return null;
  return urgently(
    'hungry',
    days < 1
      ? 'Feed today: its food is used up'
      : `Feed it: food for about ${days} ${days === 1 ? 'day' : 'days'}`,
  );
}

/** Whatever is in the calendar, food for so few days is an alarm, and for so many it is none. */
const LEAST_DAYS_AHEAD = 3;
const MOST_DAYS_AHEAD = 14;

/** What the records say of a colony's queen. */
function queenState(apiary: Apiary, colony: Colony): QueenState {
  const queen = queenOf(apiary, colony.id);
  const { separation } = colony;
  if (queen) return { state: 'here', queen };
  if (separation?.queen === 'unknown') return { state: 'unknown-part', since: separation.day };
  if (separation?.queen === 'elsewhere') return { state: 'raising', since: separation.day };
  const perhaps = queenPerhapsIn(apiary, colony.id);
  if (perhaps?.whereabouts.known === 'oneOf') {
    return { state: 'perhaps-here', queen: perhaps, colonyIds: perhaps.whereabouts.colonyIds };
  }
  return { state: 'not-recorded' };
}

function laneOf(strength: Strength, room: BroodRoom, rules: HouseRules): Lane {
  const bees = strength.framesOfBees.likely;
  const brood = strength.broodFrames.likely;
  if (isStrongEnoughToGive({ bees, brood }, rules)) return 'strong';
  // Two storeys of a nuc are a colony: its slots alone would ask more of it than of a full hive.
  const weakUnder = isNuc(room) ? Math.min(room.slots * 0.5, rules.weakBees) : rules.weakBees;
  return bees < weakUnder ? 'weak' : 'even';
}

/** Combs that are brood combs, for drift and for what may be given. */
const BROOD_COMB = 0.25;

const broodCombsIn = (frames: readonly PlacedFrame[]): number =>
  frames.filter((f) => f.reading !== null && shareOf(readingOf(f), ...WORKER_BROOD) >= BROOD_COMB).length;

function noticeOf(
  {
    lane,
    strength,
    slots,
    storeys,
    broodCombs,
    ageDays,
  }: {
    readonly lane: Lane;
    readonly strength: Strength;
    readonly slots: number;
    readonly storeys: number;
    readonly broodCombs: number;
    readonly ageDays: number;
  },
  rules: HouseRules,
  mayPart: () => boolean,
): Notice {
  const bees = strength.framesOfBees.likely;
  const brood = strength.broodFrames.likely;
  if (ageDays > rules.countAgesDays) {
    return calmly('count-old', `Count is ${ageDays} days old: count again`);
  }
  if (isOutgrown({ bees, brood, slots, storeys }, rules)) {
    return urgently('nuc-full', 'Nuc is full: move it into a full-size hive');
  }
  if (isHoneyBound({ stores: strength.storesFrames, room: strength.frames.drawn, slots }, rules)) {
    return urgently('honey-bound', 'Honey-bound: give her empty comb');
  }
  if (lane === 'strong') {
    if (isStrongEnoughToPart(brood, rules) && mayPart()) return calmly('can-split', 'Strong enough to split');
    const spare = givesCombs(broodCombs, rules);
    return spare > 0
      ? calmly('can-spare-brood', `Can spare ${spare} ${spare === 1 ? 'frame' : 'frames'} of brood`)
      : calmly('steady', 'Strong: keep its brood together');
  }
  if (lane === 'weak') {
    const more = Math.floor(coversMore({ bees, brood }, rules, 'mild'));
    return more >= 1
      ? calmly('covers-more-brood', `Has bees for ${more} more ${more === 1 ? 'frame' : 'frames'} of brood`)
      : calmly('needs-bees', 'Needs bees before brood');
  }
  return calmly('steady', 'Steady');
}

function nextOf(apiary: Apiary, colony: Colony, today: Day): Notice {
  const own = openFollowUps(apiary).filter((f) => f.colonyIds.includes(colony.id));
  const rest = own.find(
    (f) => f.kind === 'hands-off' && f.window.earliest <= today && today <= f.window.latest,
  );
  if (rest) return calmly('hands-off', `Hands off until ${dayInWords(rest.window.latest)}`);
  const look = pressingLook(own, today);
  if (!look) return calmly('raising-queen', 'Raising a queen');
  if (look.window.latest < today)
    return urgently('inspection-overdue', `Inspection overdue since ${dayInWords(look.window.latest)}`);
  if (look.window.likely <= today) return urgently('inspection-due', 'Inspect today');
  if (look.window.earliest <= today)
    return urgently('inspection-due', `Inspect by ${dayInWords(look.window.latest)}`);
  return calmly('inspection-to-come', `Inspect on ${dayInWords(look.window.likely)}`);
}
