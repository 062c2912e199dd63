import { shareOf, type FrameReading } from '../comb/index.ts';

/** Emerging brood needs about a third of the warmth of other brood: it is bees tomorrow (common practice, our estimate). */
export const EMERGING_WARMTH = 1 / 3;

/** From this share of drone brood a comb is a drone comb: it stays with a strong donor, or is cut (common practice, no source). */
const DRONE_COMB = 0.3;

/** Whether a comb is mostly for drones: no nuc gets it, and no queen has room in it. */
export const isDroneComb = (reading: FrameReading): boolean => shareOf(reading, 'drone') >= DRONE_COMB;

/** Brood that bees must keep warm, as a share of the comb: emerging brood counts a third. */
export const warmedShare = (reading: FrameReading): number =>
  shareOf(reading, 'eggs', 'open', 'capped', 'drone') + EMERGING_WARMTH * shareOf(reading, 'emerging');
