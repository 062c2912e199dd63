import { z } from 'zod';

/** Identifiers of the frame sizes that ship with Incremen. */
export const FRAME_SIZE_IDS = [
  'langstroth-deep',
  'langstroth-medium',
  'langstroth-shallow',
  'dadant-blatt',
  'zander',
  'german-normal',
  'national-deep',
  'national-shallow',
  'national-14x12',
  'commercial',
  'layens',
] as const;

/** One of the shipped frame sizes. */
export const frameSizeId = z.enum(FRAME_SIZE_IDS);
export type FrameSizeId = z.infer<typeof frameSizeId>;

/** A frame size: how much comb one side carries. */
export interface FrameSize {
  readonly id: FrameSizeId;
  readonly name: string;
  /** Comb area of one side, in cm². */
  readonly areaCm2PerSide: number;
  /** Where the area comes from. */
  readonly source: string;
}

const STANDARD_METHODS =
  'Delaplane, van der Steen & Guzman-Novoa 2013, Standard methods for estimating strength parameters of Apis mellifera colonies, J. Apic. Res. 52(1)';
const FROM_DIMENSIONS = 'by arithmetic from the dimensions of the comb';

const size = (id: FrameSizeId, name: string, areaCm2PerSide: number, source: string): FrameSize => ({
  id,
  name,
  areaCm2PerSide,
  source,
});

const SIZES: Readonly<Record<FrameSizeId, FrameSize>> = {
  'langstroth-deep': size('langstroth-deep', 'Langstroth deep', 880, STANDARD_METHODS),
  'langstroth-medium': size('langstroth-medium', 'Langstroth medium', 585, FROM_DIMENSIONS),
  'langstroth-shallow': size('langstroth-shallow', 'Langstroth shallow', 490, FROM_DIMENSIONS),
  'dadant-blatt': size('dadant-blatt', 'Dadant-Blatt brood', 1130, STANDARD_METHODS),
  zander: size('zander', 'Zander', 810, STANDARD_METHODS),
  'german-normal': size('german-normal', 'German normal', 720, STANDARD_METHODS),
  'national-deep': size('national-deep', 'British National deep', 690, FROM_DIMENSIONS),
  'national-shallow': size('national-shallow', 'British National shallow', 405, FROM_DIMENSIONS),
  'national-14x12': size('national-14x12', 'British National 14×12', 1010, FROM_DIMENSIONS),
  commercial: size('commercial', 'British Commercial', 960, FROM_DIMENSIONS),
  layens: size('layens', 'Layens', 1100, FROM_DIMENSIONS),
};

/** The frame size with this identifier. */
export function frameSize(id: FrameSizeId): FrameSize {
  return SIZES[id];
}

/** All shipped frame sizes, in the order in which they are offered. */
export function allFrameSizes(): readonly FrameSize[] {
  return FRAME_SIZE_IDS.map(frameSize);
}

/**
 * How many frames of size `to` one frame of size `from` is worth, by comb area.
 *
 * @example inReferenceFrames('langstroth-medium', 'langstroth-deep') // => 0.665
 */
export function inReferenceFrames(from: FrameSizeId, to: FrameSizeId): number {
  return SIZES[from].areaCm2PerSide / SIZES[to].areaCm2PerSide;
}
