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

/** What each method is called. */
export const METHOD_NAMES: Readonly<Record<MethodId, string>> = {
  'walk-away-halves': 'Even walk-away halves',
  'queen-to-nuc': 'Queen moved out to a nuc',
  'side-by-side': 'Side-by-side artificial swarm',
  'open-brood-goes': 'Move the queen with the open brood',
  'shake-down': 'Brood over an excluder',
  'caged-queen': 'Split with a caged mated queen',
  'spare-cells': 'Second split on spare cells',
  'brood-above': 'Brood moved above',
};
