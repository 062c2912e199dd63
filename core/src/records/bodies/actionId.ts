/** Everything that can be done about one unit and has a plan of its own. */
export const ACTION_IDS = [
  'boost-brood',
  'boost-nurses',
  'swap-stands',
  'shrink',
  'free-queen',
  'test-frame',
  'give-cell',
  'give-queen',
  'cut-early-cells',
  'cut-cells',
  'shake-out',
  'shake-out-part',
  'combine',
  'let-go',
  'add-box',
  'drone-comb',
  'clean-boxes',
  'box-to-super',
] as const;
export type ActionId = (typeof ACTION_IDS)[number];

/** Those that are work with boxes and combs, and no remedy for a weak unit. */
export const BOX_ACTIONS = [
  'add-box',
  'drone-comb',
  'clean-boxes',
  'box-to-super',
] as const satisfies readonly ActionId[];
export type BoxAction = (typeof BOX_ACTIONS)[number];
