import {
  type Apiary,
  type Colony,
  queenOf,
  readingsOfVisit,
  visitsOf,
  type Evidence,
} from '../records/index.ts';
import type { Day } from '../basics/index.ts';
import { shareOf } from '../comb/index.ts';
import { atLeast, binomial } from '../odds/index.ts';
import { queenCalendar } from '../brood/index.ts';

/** Parts that raised a queen and parts that failed, as far as the records tell. */
export interface RaisingResults {
  readonly raised: number;
  readonly failed: number;
}

/** The chance that a part ends with a laying queen, and how sure that is. */
export interface RaisingOdds extends RaisingResults {
  readonly likely: number;
  /** Eight times in ten it lies between these. */
  readonly low: number;
  readonly high: number;
}

/**
 * What is taken for granted before one's own results count: four of five, worth as much as five parts of one's own.
 * Practice gives 0.7 to 0.9 with weather and birds (common practice, no source).
 */
const PRIOR = { raised: 4, failed: 1 } as const;

/** A single cell gives a queen so often; the rest is mating (judgement, no source). */
const CELL_SHARE = 0.92;

/** Share of ripe cells that die when they are cut out and pressed into another comb (judgement, no source). */
export const LOST_BY_CUTTING = 0.15;

/**
 * Whether a part that was to raise a queen has one: null before her first eggs are due, while nobody has looked since, and for
 * colonies that raise none.
 */
export function raisingOutcome(apiary: Apiary, colony: Colony, day: Day): keyof RaisingResults | null {
  const { separation } = colony;
  if (separation?.queen !== 'elsewhere') return null;
  const dates = queenCalendar(separation.day, separation.emergence ?? undefined);
  if (day < dates.firstEggs.earliest) return null;
  const queen = queenOf(apiary, colony.id);
  const eggsSince = visitsOf(apiary, colony.id).some(
    (v) =>
      v.day >= dates.firstEggs.earliest &&
      (eggsOfQueen(v.evidence) || readingsOfVisit(apiary, v.id).some((r) => shareOf(r.body, 'eggs') > 0)),
  );
  if (eggsSince || (queen && queen.mating === 'mated')) return 'raised';
  return colony.endedOn !== null || day > dates.decideBy ? 'failed' : null;
}

/** How one's own parts fared: those whose first eggs were due, and which were looked at since or have ended. */
export function raisingResults(apiary: Apiary, day: Day): RaisingResults {
  const results = { raised: 0, failed: 0 };
  for (const colony of Object.values(apiary.colony)) {
    const outcome = raisingOutcome(apiary, colony, day);
    if (outcome) results[outcome]++;
  }
  return results;
}

/** Eggs that speak for a mated queen: not several on the walls of a cell, and not under domed caps. */
function eggsOfQueen(seen: Evidence | null): boolean {
  if (seen?.eggs.look !== 'found') return false;
  const workers = seen.eggs.perCell === 'several' && seen.eggs.place === 'walls';
  const drones = seen.cappedBrood.look === 'found' && seen.cappedBrood.cappings === 'domed';
  return !workers && !drones;
}

/** Learned from one's own results: the mean of a beta distribution, and its middle eight tenths. */
export function raisingOdds({ raised, failed }: RaisingResults): RaisingOdds {
  const a = PRIOR.raised + raised;
  const b = PRIOR.failed + failed;
  const likely = a / (a + b);
  return { raised, failed, likely, low: betaQuantile(0.1, a, b), high: betaQuantile(0.9, a, b) };
}

/**
 * The value below which a share of a beta distribution lies, for whole parameters: then the share below x is the chance
 * of at least a successes in a + b − 1 tries (textbook identity of beta and binomial).
 */
function betaQuantile(share: number, a: number, b: number): number {
  const n = a + b - 1;
  const below = (x: number) => {
    let sum = 0;
    let term = (1 - x) ** n;
    for (let k = 0; k <= n; k++) {
      if (k >= a) sum += term;
      term *= ((n - k) / (k + 1)) * (x / (1 - x));
    }
    return sum;
  };
  let low = 0;
  let high = 1 - 1e-9;
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (below(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * The chance that a part with so many cells ends with a laying queen. More cells insure against a dead cell, not against
 * a lost mating flight: one virgin is left in the end.
 *
 * @param perPart - chance of a part with one cell
 * @param lost - share of cells that die of handling
 */
export function oddsOfPart(cells: number, perPart: number, lost = 0): number {
  if (cells <= 0) return 0;
  const mating = Math.min(1, perPart / CELL_SHARE);
  return mating * (1 - (1 - CELL_SHARE * (1 - lost)) ** cells);
}

/** The chance that at least one of several parts, each by itself, ends with a laying queen. */
export function oddsOfAny(parts: number, perPart: number): number {
  return 1 - (1 - perPart) ** Math.max(0, parts);
}

/** More parts than this are nobody's plan. */
const MOST_PARTS = 200;

/** Parts to make so that at least so many succeed in a share of cases: the average is reached in about half of them. */
export function partsForSure(wanted: number, perPart: number, share: number): number | null {
  for (let parts = wanted; parts <= MOST_PARTS; parts++)
    if (atLeast(binomial(parts, perPart), wanted) >= share) return parts;
  return null;
}

/** Parts to make so that so many succeed on average. */
export function partsFor(wanted: number, perPart: number): number {
  return Math.ceil(wanted / perPart - 1e-9);
}
