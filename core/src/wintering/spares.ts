import { atLeast, betaBinomial, sumOf, type Distribution, type Known } from '../odds/index.ts';

/** What a keeper winters, and how each kind comes through. */
export interface Wintering {
  /** Full colonies that are to be there in spring, dead ones replaced. */
  readonly colonies: number;
  /** Nucs beside them, as spares. */
  readonly nucs: number;
  readonly ofColonies: Known;
  readonly ofNucs: Known;
}

/** What spring may bring. */
export interface SpringOdds {
  /** So many full colonies dead. */
  readonly dead: Distribution;
  /** So many nucs alive. */
  readonly spares: Distribution;
  /** So many of either alive. */
  readonly alive: Distribution;
  /** Every dead colony has a living nuc to take its place. */
  readonly replaced: number;
}

/**
 * The odds of spring. Full colonies share a winter, and so do the nucs; each kind has its own luck. A nuc that fails itself is no
 * spare.
 */
export function springOdds({ colonies, nucs, ofColonies, ofNucs }: Wintering): SpringOdds {
  const lived = betaBinomial(colonies, ofColonies);
  const dead = lived.toReversed();
  const spares = betaBinomial(nucs, ofNucs);
  return {
    dead,
    spares,
    alive: sumOf(lived, spares),
    replaced: dead.reduce((sum, p, d) => sum + p * atLeast(spares, d), 0),
  };
}

/** More nucs than this nobody winters as spares. */
const MOST = 60;

/** The fewest nucs with which every dead colony is replaced in a share of winters; null where no number does. */
export function nucsFor(share: number, wintering: Omit<Wintering, 'nucs'>): number | null {
  for (let nucs = 0; nucs <= MOST; nucs++)
    if (springOdds({ ...wintering, nucs }).replaced >= share) return nucs;
  return null;
}
