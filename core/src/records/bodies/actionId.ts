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
] as const;
export type ActionId = (typeof ACTION_IDS)[number];
