/** Combs are hung for so many beyond those that the bees cover, and no more. */
const BEYOND = 2;

/** Frames of bees that hatch from a frame of capped brood within twelve days, those lost meanwhile off (judgement). */
const HATCH = 2;

/**
 * Whether a comb of the store fills a free slot of a unit. Drawn comb does, save where it is cool and bees would not cover it;
 * foundation is drawn by bees that have nothing else to cover, and not where it is cool (common practice, no source).
 *
 * @param combs - that hang in it already
 * @param unit - frames of bees of the whole unit when its field bees are home, and of capped brood
 * @param cool - nights are cold
 */
export function fillsUp(
  blank: 'drawn' | 'foundation',
  combs: number,
  unit: { readonly bees: number; readonly capped: number },
  cool: boolean,
): boolean {
  const covered = combs < unit.bees + HATCH * unit.capped + BEYOND;
  return blank === 'drawn' ? !cool || covered : !cool && covered;
}
