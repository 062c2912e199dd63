import { frameSize, type FrameSizeId } from './frameSizes.ts';

/** A value with the range that sources or repeated readings give it; all three in the same unit. */
export interface Range {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** Worker cells per cm² of one side (2013 standard methods, see frameSizes). */
export const WORKER_CELLS_PER_CM2 = 4;

/** Drone cells per cm² of one side (common practice, no source). */
export const DRONE_CELLS_PER_CM2 = 2.6;

/**
 * Adult bees per cm² of one well covered side.
 *
 * Low: 1.25, Imdorf et al. 1987, as used in the 2013 standard methods. High: 1.38, from the 2,430 bees
 * that Burgett & Burikam 1985 counted on both sides of a well covered deep comb.
 */
export const BEES_PER_CM2: Range = { low: 1.25, likely: 1.3, high: 1.38 };

/**
 * Share of worker brood that lives to emerge: a brood area yields 0.85 to 0.95 of its cells in bees
 * (range in common use, no source).
 */
export const EMERGENCE_SHARE: Range = { low: 0.85, likely: 0.9, high: 0.95 };

/** Net honey in kg per cm² of comb, both sides counted: 2.7–3.2 kg on a full deep (common practice). */
export const HONEY_KG_PER_CM2: Range = { low: 2.7 / 1760, likely: 2.95 / 1760, high: 3.2 / 1760 };

const scale = (range: Range, by: number): Range => ({
  low: range.low * by,
  likely: range.likely * by,
  high: range.high * by,
});

/** Worker cells on both sides of a full frame. */
export function workerCellsPerFrame(size: FrameSizeId): number {
  return 2 * frameSize(size).areaCm2PerSide * WORKER_CELLS_PER_CM2;
}

/** Adult bees on a frame covered on both sides. */
export function beesPerFrame(size: FrameSizeId): Range {
  return scale(BEES_PER_CM2, 2 * frameSize(size).areaCm2PerSide);
}

/** Net honey, in kg, on a frame full of it on both sides. */
export function honeyKgPerFrame(size: FrameSizeId): Range {
  return scale(HONEY_KG_PER_CM2, 2 * frameSize(size).areaCm2PerSide);
}

/**
 * Frames of bees that hatch from one full frame of capped brood.
 *
 * @example framesOfBeesFromCapped('langstroth-deep').likely // => about 2.8
 */
export function framesOfBeesFromCapped(size: FrameSizeId): Range {
  const cells = workerCellsPerFrame(size);
  const bees = beesPerFrame(size);
  return {
    low: (cells * EMERGENCE_SHARE.low) / bees.high,
    likely: (cells * EMERGENCE_SHARE.likely) / bees.likely,
    high: (cells * EMERGENCE_SHARE.high) / bees.low,
  };
}
