import {
  frameSize,
  shareOf,
  WORKER_CELLS_PER_CM2,
  type FrameReading,
  type FrameSizeId,
} from '../comb/index.ts';
import { WORKER_STAGE_DAYS } from './developmentClock.ts';

/** A frame as it was counted: its size and what was read. */
export interface NestFrame {
  readonly id: string;
  readonly size: FrameSizeId;
  readonly reading: FrameReading;
}

/** Cells of worker brood in one stage over a nest. */
function cellsIn(frames: readonly NestFrame[], ...classes: Parameters<typeof shareOf>[1][]): number {
  return frames.reduce(
    (sum, f) =>
      sum + shareOf(f.reading, ...classes) * 2 * frameSize(f.size).areaCm2PerSide * WORKER_CELLS_PER_CM2,
    0,
  );
}

/** Laying rates, in eggs a day, that each stage of the nest speaks for. */
export interface LayingRates {
  /** Over the last 3 days, from eggs. */
  readonly fromEggs: number;
  /** 3 to 9 days ago, from open brood. */
  readonly fromOpen: number;
  /** 9 to 21 days ago, from capped brood. */
  readonly fromCapped: number;
}

/** Reads the laying rate off each stage of a counted nest: cells divided by days in the stage. */
export function layingRates(frames: readonly NestFrame[]): LayingRates {
  return {
    fromEggs: cellsIn(frames, 'eggs') / WORKER_STAGE_DAYS.eggs,
    fromOpen: cellsIn(frames, 'open') / WORKER_STAGE_DAYS.open,
    fromCapped: cellsIn(frames, 'capped', 'emerging') / WORKER_STAGE_DAYS.capped,
  };
}

/**
 * The rate at which she is taken to go on laying: what eggs and open brood say together. Eggs alone are
 * easily missed, so open brood weighs in with the length of its stage.
 */
export function presentLayingRate(frames: readonly NestFrame[]): number {
  const { eggs, open } = WORKER_STAGE_DAYS;
  return (cellsIn(frames, 'eggs') + cellsIn(frames, 'open')) / (eggs + open);
}
