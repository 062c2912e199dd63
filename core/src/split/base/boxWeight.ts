import { honeyKgPerFrame } from '../../comb/index.ts';
import type { PlanFrame } from './measure.ts';

/** Wood, wax, pollen and brood of a frame and its share of the box, in kg (common practice, no source). */
const KG_PER_FRAME_WITHOUT_HONEY = 1.2;

/** The weight of a box with these frames, in kg, to within a fifth. */
export function boxWeightKg(frames: readonly Pick<PlanFrame, 'size' | 'stores' | 'reading'>[]): number {
  return frames.reduce(
    (kg, f) =>
      kg +
      KG_PER_FRAME_WITHOUT_HONEY +
      ((f.reading.sides[0].contents.honey ?? 0) + (f.reading.sides[1].contents.honey ?? 0)) *
        0.05 *
        honeyKgPerFrame(f.size).likely,
    0,
  );
}

/** A weight as it is said: `about 24 kg (53 lb)`. */
export const weightInWords = (kg: number): string =>
  `about ${Math.round(kg)} kg (${Math.round(kg / 0.45359237)} lb)`;
