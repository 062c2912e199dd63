import type { FrameSizeId } from '../../comb/index.ts';
import { isDroneComb, hasNurses } from '../../brood/index.ts';
import { fitsInto, type PlanFrame } from '../base/measure.ts';
import type { Donor } from '../base/method.ts';

/** The frames of a colony, sorted by what a method may do with them. */
export interface DonorFrames {
  readonly sizeId: FrameSizeId;
  /** Slots of one of its brood boxes. */
  readonly slots: number;
  readonly all: readonly number[];
  /** Whether a frame can go into the new box. */
  readonly fits: (index: number) => boolean;
  /** Where the queen was seen; -1 when she was not. */
  readonly queenAt: number;
  readonly hasCells: boolean;
  /** Of the size of the new box, without live cells and without the queen; drone combs stay with the strong. */
  readonly free: readonly number[];
  /** The same with drone combs, for brood that stays in its own colony. */
  readonly freeWithDrones: readonly number[];
  /** Open brood without queen or cell: nurses can be shaken off it. */
  readonly shakable: readonly number[];
}

/** Sorts the frames of a colony for a new box of its own brood size. */
export function donorFrames(donor: Donor): DonorFrames {
  const broodBox = donor.boxes.find((b) => b.role === 'brood') ?? donor.boxes[0];
  const sizeId = broodBox?.sizeId ?? 'langstroth-deep';
  const all = donor.frames.map((_, i) => i);
  const queenAt = donor.frames.findIndex((f) => f.hasQueen);
  const frame = (i: number) => donor.frames[i] as PlanFrame;
  const fits = (i: number) => fitsInto(frame(i), sizeId);
  const freeWithDrones = all.filter((i) => frame(i).liveCells === 0 && fits(i) && i !== queenAt);
  const free = freeWithDrones.filter((i) => !isDroneComb(frame(i).reading));
  return {
    sizeId,
    slots: broodBox?.slots ?? 10,
    all,
    fits,
    queenAt,
    hasCells: donor.cells.length > 0,
    free,
    freeWithDrones,
    shakable: free.filter((i) => hasNurses(frame(i).reading)),
  };
}

/** The queen's frame can go with her: it has no cell on it and fits the new box. */
export function queenFrameCanGo(donor: Donor, frames: DonorFrames): boolean {
  const frame = donor.frames[frames.queenAt];
  return frame !== undefined && frame.liveCells === 0 && fitsInto(frame, frames.sizeId);
}
