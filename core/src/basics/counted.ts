/**
 * “1 comb”, “1.4 frames”: a number that is written out already, with its thing.
 *
 * @param n - how many, written out
 */
export const counted = (n: string, thing: string): string => `${n} ${thing}${n === '1' ? '' : 's'}`;
