import { shareOf, shareOfBees, type FrameReading } from '../comb/index.ts';
import { isDroneComb, stayShare, type Distance, type StayShares } from '../brood/index.ts';

/** What counts of a frame when it is to be given a place, in frames. */
export interface CalledFrame {
  /** Worker brood of all stages. */
  readonly brood: number;
  /** Eggs and open brood: what a queen can be raised from, in part. */
  readonly young: number;
  /** Honey and nectar. */
  readonly stores: number;
  /** Empty drawn comb. */
  readonly empty: number;
  readonly bees: number;
  /** Share of its bees that stay with it in a new box in the same yard; see `drift`. */
  readonly stays: number;
  /** A drone comb: mouths in a nuc, and no room to lay. */
  readonly drones: boolean;
  /** Place of the giver from which it came: it can go back to no other. */
  readonly home: number;
}

/** A comb counts as a brood comb from this share of brood, as in the recipes. */
export const BROOD_COMB = 0.25;
/** A comb counts as a stores comb from this share of honey and nectar, and as empty from this share of drawn cells. */
export const STORES_COMB = 0.5;

/** What a reading comes to. @param home - place of its giver */
export function calledFrame(
  reading: FrameReading,
  shares: StayShares,
  distance: Distance,
  home: number,
): CalledFrame {
  const drones = isDroneComb(reading);
  return {
    drones,
    brood: shareOf(reading, 'eggs', 'open', 'capped', 'emerging'),
    young: shareOf(reading, 'eggs', 'open'),
    stores: shareOf(reading, 'honey', 'nectar'),
    empty: drones ? 0 : shareOf(reading, 'drawn'),
    bees: shareOfBees(reading),
    stays: stayShare(reading, distance, shares),
    home,
  };
}
