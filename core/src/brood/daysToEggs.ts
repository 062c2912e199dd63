/**
 * Days from help to eggs of a new queen: raised from a comb of eggs, from a ripe cell, and of a mated queen in a cage
 * (from the development clock, with some days to be taken in; judgement).
 */
export const DAYS_TO_EGGS = { 'test-frame': 26, 'give-cell': 16, 'give-queen': 7 } as const;
