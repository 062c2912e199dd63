import { shareOf, type FrameReading } from '../comb/index.ts';

/**
 * Where a part goes: a new stand in the same yard, one beside the old with the entrances together, or a yard beyond
 * flying range. Or it stays in its hive, above the rest, and every bee finds its way.
 */
export const DISTANCES = ['same-yard', 'beside', 'away', 'above'] as const;
export type Distance = (typeof DISTANCES)[number];

/** What rules the bees on a frame: nurses over open brood, or older bees. */
export type FrameTemper = 'open-brood' | 'capped-brood' | 'stores';

/** Share of a frame's bees that stay where the frame is put (common practice, no source; house rules). */
export interface StayShares {
  readonly openBrood: number;
  readonly cappedBrood: number;
  readonly stores: number;
  readonly away: number;
}

/** A frame counts as brood once this share of its comb holds brood. */
const BROOD_FRAME_SHARE = 0.25;

/** Tells by its contents which bees a frame mostly carries. */
export function temperOf(reading: FrameReading): FrameTemper {
  const open = shareOf(reading, 'eggs', 'open');
  const capped = shareOf(reading, 'capped', 'emerging', 'drone');
  if (open + capped < BROOD_FRAME_SHARE) return 'stores';
  return open >= capped ? 'open-brood' : 'capped-brood';
}

/**
 * Whether nurse bees can be shaken off a comb: it is mostly open brood, or a quarter of it is eggs and larvae. In a steady nest that
 * is most combs of its middle, though each holds more capped brood than open (3 : 6 : 12, by the days in each stage).
 */
export const hasNurses = (reading: FrameReading): boolean =>
  temperOf(reading) === 'open-brood' || shareOf(reading, 'eggs', 'open') >= BROOD_FRAME_SHARE;

/** Of the bees that fly home to where two entrances stand together, half go into each (common practice, no source). */
const INTO_EACH = 0.5;

/** The share of a frame's bees, 0 to 1, that are still on it some days after it was moved. */
export function stayShare(reading: FrameReading, distance: Distance, shares: StayShares): number {
  if (distance === 'above') return 1;
  if (distance === 'away') return shares.away;
  const stays = shareInYard(temperOf(reading), shares);
  return distance === 'beside' ? stays + (1 - stays) * INTO_EACH : stays;
}

function shareInYard(temper: FrameTemper, shares: StayShares): number {
  switch (temper) {
    case 'open-brood':
      return shares.openBrood;
    case 'capped-brood':
      return shares.cappedBrood;
    case 'stores':
      return shares.stores;
  }
}
