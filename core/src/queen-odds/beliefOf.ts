import {
  cagedAtHome,
  framesOfColony,
  operationOf,
  queenCame,
  queenOf,
  sourcesOf,
  type Apiary,
  type Colony,
} from '../records/index.ts';
import { seasonOfColony } from '../forecast/index.ts';
import { addDays, type Day } from '../basics/index.ts';
import type { PartBefore } from './course.ts';
import { keeperLikelihoods, type KeeperLikelihoods } from './keeperLikelihoods.ts';
import { looksOf } from './looksOf.ts';
import { queenBelief, type DatedLook, type QueenBelief } from './queenOdds.ts';

/**
 * What is to be believed of a colony's queen on a day, from all looks and counts since it was parted.
 *
 * @param now - a look that is not on record yet
 */
export function queenBeliefOf(
  apiary: Apiary,
  colony: Colony,
  day: Day,
  now: DatedLook | null = null,
): {
  readonly before: PartBefore;
  readonly looks: readonly DatedLook[];
  readonly belief: QueenBelief;
  /** The house rules that it rests on. */
  readonly keeper: KeeperLikelihoods;
} {
  const keeper = keeperLikelihoods(operationOf(apiary));
  const { separation } = colony;
  const looks = [...looksOf(apiary, colony, day), ...(now ? [now] : [])];
  const { days } = seasonOfColony(apiary, colony, day);
  const before: PartBefore = {
    matingFrom: days['first-drones'],
    matingUntil: days['last-mating'],
    separatedOn: separation?.day ?? null,
    emergence: separation?.emergence ?? null,
    queenHere: chanceOfOldQueen(apiary, colony),
    gifts: colony.broodGiven,
    came: queenCame(apiary, colony, day),
    theirBoxes: theirBoxes(apiary, colony, looks, day),
    cagedSince: cagedAtHome(apiary, colony, day)?.since ?? null,
  };
  return { before, looks, belief: queenBelief(before, looks, day, keeper), keeper };
}

/** What was seen box by box holds for so many days (judgement). */
const BY_BOX_DAYS = 10;

function theirBoxes(
  apiary: Apiary,
  colony: Colony,
  looks: readonly DatedLook[],
  day: Day,
): readonly string[] {
  const told = looks.findLast(({ seen }) => seen.byBox.some((b) => b.caps !== null));
  if (!told || told.day < addDays(day, -BY_BOX_DAYS)) return [];
  const there = new Set(framesOfColony(apiary, colony).map((f) => f.box.id));
  const sources = sourcesOf(told.seen);
  return sources?.hers.some((id) => there.has(id)) ? sources.theirs.filter((id) => there.has(id)) : [];
}

function chanceOfOldQueen(apiary: Apiary, colony: Colony): number {
  const { separation } = colony;
  if (!separation) return 1;
  if (separation.queen === 'unknown') return 1 / separation.partIds.length;
  if (separation.queen === 'here') return KNOWN;
  // A queen that is on record here by now is a new one: then eggs speak for themselves.
  return queenOf(apiary, colony.id) ? 0 : 1 - KNOWN;
}

/** Who says that she saw the old queen go in is nearly always right. */
const KNOWN = 0.98;
