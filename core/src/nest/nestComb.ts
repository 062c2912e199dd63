import { hasLiveCell, shareOf, type FrameReading } from '../comb/index.ts';

/**
 * What of a comb decides where it hangs, in combs (1 is a comb full of it on both sides). Amounts in reference frames
 * serve as well: only shares of one box are compared.
 */
export interface NestComb {
  readonly id: string;
  /** Eggs, larvae, capped, emerging and drone brood. */
  readonly brood: number;
  readonly beeBread: number;
  /** Honey and nectar. */
  readonly stores: number;
  readonly drawn: number;
  readonly foundation: number;
  /** Queen cells with life in them. */
  readonly liveCells: number;
}

/** What a comb is in the nest. */
export type CombRole = 'brood' | 'bread' | 'stores' | 'drawn' | 'foundation';

/** Brood on so much of a comb makes it part of the nest. */
const NEST = 0.1;
/** Bee bread on so much of a comb feeds the brood beside it. */
const BREAD = 0.25;
/** Food on so much of a comb is worth reaching. */
const FOOD = 0.2;

/** Below so many frames of bees food must touch the brood (common practice, no source). */
export const SMALL_UNIT = 4;

/** What a comb is in the nest: a comb with some brood is brood, whatever else is on it. */
export function roleOf(c: NestComb): CombRole {
  if (c.brood > NEST || c.liveCells > 0) return 'brood';
  if (c.beeBread >= BREAD) return 'bread';
  if (c.foundation >= 0.5) return 'foundation';
  return c.stores >= c.drawn && c.stores >= FOOD ? 'stores' : 'drawn';
}

/** Whether bees that sit on it have food at hand. */
export const hasFood = (c: NestComb): boolean => c.stores + c.beeBread >= FOOD;

/** A comb of the store, or one of which nothing is known. */
export const blankComb = (id: string, blank: 'drawn' | 'foundation' | null): NestComb => ({
  id,
  brood: 0,
  beeBread: 0,
  stores: 0,
  drawn: blank === 'foundation' ? 0 : 1,
  foundation: blank === 'foundation' ? 1 : 0,
  liveCells: 0,
});

/** A comb as it was read. */
export const combOf = (id: string, r: FrameReading): NestComb => ({
  id,
  brood: shareOf(r, 'eggs', 'open', 'capped', 'emerging', 'drone'),
  beeBread: shareOf(r, 'beeBread'),
  stores: shareOf(r, 'honey', 'nectar'),
  drawn: shareOf(r, 'drawn'),
  foundation: shareOf(r, 'foundation'),
  liveCells: hasLiveCell(r) ? 1 : 0,
});
