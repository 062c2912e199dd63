/** The methods that make one new part of one colony, or move brood within it. */
export const METHOD_IDS = [
  'walk-away-halves',
  'queen-to-nuc',
  'side-by-side',
  'open-brood-goes',
  'shake-down',
  'caged-queen',
  'spare-cells',
  'brood-above',
] as const;
export type MethodId = (typeof METHOD_IDS)[number];
