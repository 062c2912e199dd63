import { readingOf, type PlacedFrame } from '../../records/index.ts';
import { shareOf, WORKER_BROOD } from '../../comb/index.ts';

/** Less worker brood than this, as a share of a comb, is a few cells and decides nothing. Judgement, no source. */
const SOME = 0.05;
/** As far as in another box. */
const FAR = 30;

/** Whether a comb has worker brood that counts. */
export const hasBrood = (f: PlacedFrame): boolean => shareOf(readingOf(f), ...WORKER_BROOD) > SOME;

/** Slots between a place and the nearest brood of its box. */
export function farFromBrood(frames: readonly PlacedFrame[], boxId: string, slot: number): number {
  const brood = frames.filter((f) => f.box.id === boxId && hasBrood(f));
  return Math.min(FAR, ...brood.map((f) => Math.abs(f.slot - slot)));
}
