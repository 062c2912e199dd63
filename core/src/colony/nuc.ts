/** Boxes of so many combs or fewer are nucs: they are full before they are strong. */
export const NUC_SLOTS = 6;

/** Bees on most combs of a nuc and brood on about two thirds of them, in shares of its slots (common practice, no source). */
const OUTGROWN = { bees: 0.85, brood: 0.5 } as const;

/** Whether a nuc has outgrown its box. @param bees - frames of bees; `brood` in full frames */
export const isOutgrown = (bees: number, brood: number, slots: number): boolean =>
  slots > 0 && slots <= NUC_SLOTS && bees >= OUTGROWN.bees * slots && brood >= OUTGROWN.brood * slots;
