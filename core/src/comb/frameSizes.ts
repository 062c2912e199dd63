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

type ShippedSizeId = (typeof FRAME_SIZE_IDS)[number];

/** Comb width and depth of a size of one's own, in mm; beyond these it is no comb that bees keep brood on. */
export const OWN_SIZE_MM = { min: 80, max: 999 } as const;

/**
 * A frame size of the user's own: the identifier carries the comb's width and depth in mm, so that it
 * means the same in every record, file and device. Its name is kept with the operation.
 */
export type OwnSizeId = `own:${number}x${number}`;

/** A shipped frame size or one of the user's own. */
export type FrameSizeId = ShippedSizeId | OwnSizeId;
export const frameSizeId = z.union([
  z.enum(FRAME_SIZE_IDS),
  z
    .string()
    .regex(/^own:[1-9]\d{1,2}x[1-9]\d{1,2}$/)
    .refine((id) => dimensionsOf(id).every((mm) => mm >= OWN_SIZE_MM.min && mm <= OWN_SIZE_MM.max), {
      error: `Width and depth of a comb are between ${OWN_SIZE_MM.min} and ${OWN_SIZE_MM.max} mm.`,
    }),
]) as unknown as z.ZodType<FrameSizeId, FrameSizeId>;

function dimensionsOf(id: string): [widthMm: number, depthMm: number] {
  const [width = 0, depth = 0] = id.slice('own:'.length).split('x').map(Number);
  return [width, depth];
}

/** The identifier of a size of one's own, by the comb's width and depth in mm. */
export function ownSizeId(widthMm: number, depthMm: number): OwnSizeId {
  return `own:${Math.round(widthMm)}x${Math.round(depthMm)}`;
}

/** A frame size: how much comb one side carries. */
export interface FrameSize {
  readonly id: FrameSizeId;
  readonly name: string;
  /** Comb area of one side, in cm². */
  readonly areaCm2PerSide: number;
  /** Where the area comes from. */
  readonly source: string;
  /** It stands in a publication; else it follows from the dimensions of the comb. */
  readonly isPublished: boolean;
  /** How deep the comb hangs, in mm, where that is known; for drawing. */
  readonly depthMm?: number;
}

const STANDARD_METHODS =
  'Delaplane, van der Steen & Guzman-Novoa 2013, Standard methods for estimating strength parameters of Apis mellifera colonies, J. Apic. Res. 52(1)';
const FROM_DIMENSIONS = 'by arithmetic from the dimensions of the comb';

const size = (id: ShippedSizeId, name: string, areaCm2PerSide: number, source: string): FrameSize => ({
  id,
  name,
  areaCm2PerSide,
  source,
  isPublished: source === STANDARD_METHODS,
});

const SIZES: Readonly<Record<ShippedSizeId, FrameSize>> = {
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
  if (!isOwnSize(id)) return SIZES[id];
  let own = ownSizes.get(id);
  if (!own) {
    const [widthMm, depthMm] = dimensionsOf(id);
    own = {
      id,
      name: `own, ${widthMm} × ${depthMm} mm`,
      areaCm2PerSide: (widthMm * depthMm) / 100,
      source: FROM_DIMENSIONS,
      isPublished: false,
      depthMm,
    };
    ownSizes.set(id, own);
  }
  return own;
}

const ownSizes = new Map<OwnSizeId, FrameSize>();

/** True for a size of the user's own. */
export function isOwnSize(id: FrameSizeId): id is OwnSizeId {
  return id.startsWith('own:');
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
  return frameSize(from).areaCm2PerSide / frameSize(to).areaCm2PerSide;
}
