import { addDays, dayInWords, type Day } from '../basics/index.ts';
import {
  operationOf,
  type Apiary,
  type Colony,
  type Queen,
  ageOfCount,
  boxesOfColony,
  framesOfColony,
  nestOf,
  openFollowUps,
  queenOf,
  queenPerhapsIn,
  type PlacedFrame,
} from '../records/index.ts';
import { DEVELOPMENT } from '../brood/index.ts';
import type { CellFinding } from '../comb/index.ts';
import { houseRules, type HouseRules } from '../rules/index.ts';
import { doubtOf } from './doubts.ts';
import { isOutgrown, NUC_SLOTS } from './nuc.ts';
import { strengthOf, type Strength } from './strength.ts';

/** Where a colony stands in the yard's order of things. */
export type Lane = 'giver' | 'even' | 'weak' | 'watch' | 'raising' | 'unfit' | 'uncounted';

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
  /** Why it is in that lane, or what is to be done, in one line. */
  readonly reason: string;
  /** True when the reason cannot wait. */
  readonly urgent: boolean;
  readonly queen: QueenState;
  readonly strength: Strength;
  /** Days since the count; null when it was never counted. */
  readonly countAgeDays: number | null;
  /** True when the count is from before the colony was last split. */
  readonly countedBeforeSplit: boolean;
  readonly frames: readonly PlacedFrame[];
}

/** Combs that hold more stores than this share, with hardly an empty cell, bind the nest in honey. */
const HONEY_BOUND = { storesShare: 0.45, emptyFrames: 0.7 };

/**
 * Sums a colony up.
 *
 * @param frames - its frames as of its last count, or brought to another day (see colonyOn)
 */
export function colonyState(
  apiary: Apiary,
  colony: Colony,
  today: Day,
  frames: readonly PlacedFrame[] = framesOfColony(apiary, colony),
): ColonyState {
  const operation = operationOf(apiary);
  const rules = houseRules(operation.houseRules.changes);
  const strength = strengthOf(nestOf(frames), operation.referenceSize);
  const countAgeDays = ageOfCount(frames, today);
  const queen = queenState(apiary, colony);
  const countedBeforeSplit =
    colony.separation !== null &&
    frames.some((f) => f.reading !== null && f.reading.day <= (colony.separation?.day ?? ''));
  const slots = boxesOfColony(apiary, colony).reduce((n, b) => n + (b.role === 'brood' ? b.slots : 0), 0);
  const base = { colony, queen, strength, countAgeDays, countedBeforeSplit, frames };
  if (queen.state === 'raising' || queen.state === 'unknown-part') {
    return { ...base, lane: 'raising', ...nextOf(apiary, colony, today) };
  }
  if (countAgeDays === null) {
    return { ...base, lane: 'uncounted', reason: 'Not counted yet', urgent: false };
  }
  const doubt = doubtOf(apiary, colony, frames, strength, today);
  if (doubt?.lane === 'unfit') return { ...base, ...doubt };
  const swarm = swarmCells(frames, today);
  const lane = laneOf(strength, slots, rules);
  if (swarm) return { ...base, lane, reason: swarm, urgent: true };
  if (doubt) return { ...base, ...doubt };
  return { ...base, lane, ...reasonOf(lane, strength, slots, rules, countAgeDays) };
}

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

function laneOf(strength: Strength, slots: number, rules: HouseRules): Lane {
  const bees = strength.framesOfBees.likely;
  const brood = strength.broodFrames.likely;
  if (bees >= rules.giverBees && brood >= rules.giverBrood) return 'giver';
  const weakUnder = slots <= NUC_SLOTS ? slots * 0.5 : rules.weakBees;
  return bees < weakUnder ? 'weak' : 'even';
}

function reasonOf(
  lane: Lane,
  strength: Strength,
  slots: number,
  rules: HouseRules,
  ageDays: number,
): { reason: string; urgent: boolean } {
  const bees = strength.framesOfBees.likely;
  const brood = strength.broodFrames.likely;
  const calm = (reason: string) => ({ reason, urgent: false });
  if (ageDays > rules.countAgesDays) return calm(`Count is ${ageDays} days old: count again`);
  if (isOutgrown(bees, brood, slots)) {
    return { reason: 'Nuc is full: hive it up', urgent: true };
  }
  if (
    strength.storesFrames > HONEY_BOUND.storesShare * slots &&
    strength.frames.drawn < HONEY_BOUND.emptyFrames
  ) {
    return { reason: 'Honey-bound: give her empty comb', urgent: true };
  }
  if (lane === 'giver') {
    const spare = Math.floor(brood - rules.giverBrood + 1);
    return calm(spare >= 4 ? 'Strong enough to split' : `Can give ${spare} brood`);
  }
  if (lane === 'weak') {
    const room = bees * rules.coverWarm - brood;
    return calm(room >= 1 ? `Covers ${Math.floor(room)} more brood` : 'Needs bees before brood');
  }
  return calm('Steady');
}

/** A prime swarm goes about when the first cells are sealed: the day by which to act, in words. */
function swarmCells(frames: readonly PlacedFrame[], today: Day): string | undefined {
  let due: Day | undefined;
  for (const { reading } of frames) {
    for (const cell of reading?.body.cells ?? []) {
      const days = daysToCapping(cell);
      if (days === undefined || !reading) continue;
      const day = addDays(reading.day, days);
      if (!due || day < due) due = day;
    }
  }
  if (!due) return undefined;
  return due <= today ? 'Swarm cells: act today' : `Swarm cells: act by ${dayInWords(due)}`;
}

function daysToCapping(cell: CellFinding): number | undefined {
  const { cellCapped, eggHatches } = DEVELOPMENT.queen;
  if (cell.kind === 'capped') return 0;
  if (cell.kind !== 'charged' && cell.kind !== 'open') return undefined;
  const age = eggHatches.likely + (cell.larvaAgeDays ?? (cell.kind === 'open' ? 4 : 2));
  return Math.max(0, Math.floor(cellCapped.likely - age));
}

function nextOf(apiary: Apiary, colony: Colony, today: Day): { reason: string; urgent: boolean } {
  const own = openFollowUps(apiary).filter((f) => f.colonyIds.includes(colony.id));
  const rest = own.find(
    (f) => f.kind === 'hands-off' && f.window.earliest <= today && today <= f.window.latest,
  );
  if (rest) return { reason: `Hands off until ${dayInWords(rest.window.latest)}`, urgent: false };
  const look =
    own.find((f) => f.kind === 'look' && f.window.latest >= today) ?? own.find((f) => f.kind === 'look');
  if (!look) return { reason: 'Raising a queen', urgent: false };
  if (look.window.latest < today)
    return { reason: `Look is overdue since ${dayInWords(look.window.latest)}`, urgent: true };
  if (look.window.likely <= today) return { reason: 'Look today', urgent: true };
  return { reason: `Look on ${dayInWords(look.window.likely)}`, urgent: false };
}
