import {
  shareOf,
  type FrameReading,
  beesPerFrame,
  EMERGENCE_SHARE,
  workerCellsPerFrame,
  type FrameSizeId,
} from '../comb/index.ts';
import { DEVELOPMENT, WORKER_STAGE_DAYS, type NestFrame } from '../brood/index.ts';
import type { CourseDay } from './colonyOn.ts';

const WORKER_DAYS = DEVELOPMENT.worker.emerges.likely;
const { eggs: EGG_DAYS, open: OPEN_DAYS, capped: CAPPED_DAYS } = WORKER_STAGE_DAYS;
/** Emerging brood has at most this many days to go. */
const EMERGING_DAYS = 2;

/**
 * How many frames of bees hatch from the worker brood that is there now, within so many days.
 *
 * Brood of unknown age is spread evenly over its stage. What is laid from now on hatches after day 21.
 *
 * @param days - 0 to 21, whole
 * @returns frames of bees of the reference size
 */
export function hatchesWithin(nest: readonly NestFrame[], days: number, reference: FrameSizeId): number {
  const bees = nest.reduce(
    (sum, f) => sum + shareOut(f.reading, days) * workerCellsPerFrame(f.size) * EMERGENCE_SHARE.likely,
    0,
  );
  return bees / beesPerFrame(reference).likely;
}

/** Share of a frame's comb whose brood is out within so many days. */
function shareOut(reading: FrameReading, days: number): number {
  const part = (toGoMost: number, length: number) =>
    Math.max(0, Math.min(1, (days - (toGoMost - length)) / length));
  return (
    shareOf(reading, 'emerging') * part(EMERGING_DAYS, EMERGING_DAYS) +
    shareOf(reading, 'capped') * part(CAPPED_DAYS, CAPPED_DAYS) +
    shareOf(reading, 'open') * part(CAPPED_DAYS + OPEN_DAYS, OPEN_DAYS) +
    shareOf(reading, 'eggs') * part(WORKER_DAYS, EGG_DAYS)
  );
}

/** A box is called full when this share of its comb is covered (common practice, no source). */
const FULL_SHARE = 0.95;

/**
 * Days until bees cover nearly all comb that a colony has, as its course goes; null when that does not come.
 *
 * @param combs - the comb that it has, in frames of the reference size
 */
export function daysUntilFull(course: readonly Pick<CourseDay, 'bees'>[], combs: number): number | null {
  const at = course.findIndex(({ bees }) => combs > 0 && bees >= FULL_SHARE * combs);
  return at < 0 ? null : at;
}
