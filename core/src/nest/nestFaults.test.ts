import { describe, expect, it } from 'vitest';
import { hangNest, type OrderSchool } from './hangNest.ts';
import type { NestComb } from './nestComb.ts';
import { nestFaults } from './nestFaults.ts';

// How a nest hangs: common practice, no source. Boxes are written as words, from slot 1:
// B brood, C brood with a queen cell, P bee bread, H honey, d drawn comb, f foundation, . a free slot.

const NOTHING = { brood: 0, beeBread: 0, stores: 0, drawn: 0, foundation: 0, liveCells: 0 };
const KINDS: Readonly<Record<string, Omit<NestComb, 'id'>>> = {
  // Without a rim of food: what touches it is beside it.
  B: { ...NOTHING, brood: 0.9, drawn: 0.1 },
  C: { ...NOTHING, brood: 0.9, drawn: 0.1, liveCells: 2 },
  P: { ...NOTHING, beeBread: 0.5, drawn: 0.5 },
  H: { ...NOTHING, stores: 0.9, drawn: 0.1 },
  d: { ...NOTHING, drawn: 1 },
  f: { ...NOTHING, foundation: 1 },
};
const box = (word: string) =>
  word.split('').flatMap((kind, i) => {
    const comb = KINDS[kind];
    return comb ? [{ comb: { id: `${kind}${i + 1}`, ...comb }, slot: i + 1 }] : [];
  });
const slotsOf = (word: string) => word.split('').map((_, i) => i + 1);
const faults = (word: string, bees = 8) => nestFaults(box(word), slotsOf(word), bees);

/** The box in the order in which it is to hang; what comes is written behind a plus. */
function hung(word: string, school: OrderSchool = 'nest', bees = 8): string {
  const [there = '', coming = ''] = word.split('+');
  const combs = [
    ...box(there).map(({ comb, slot }) => ({ frame: comb, slot, fixed: comb.liveCells > 0 })),
    ...box(coming).map(({ comb }) => ({ frame: { ...comb, id: `+${comb.id}` }, slot: null })),
  ];
  const where = hangNest(combs, slotsOf(there), school, bees);
  const letters = slotsOf(there).map(() => '.');
  for (const { frame } of combs)
    letters[(where.get(frame.id) ?? 0) - 1] = frame.id.replace('+', '').charAt(0);
  return letters.join('');
}

describe('what is wrong with a nest', () => {
  it.each([
    ['HPBBBBdffH', []],
    ['HBBfBBH', ['foundation-in-brood']],
    ['HBBdBBH', ['drawn-in-brood']],
    ['HBHBBPd', ['stores-in-brood']],
    ['HBPBBd', ['bread-in-brood']],
    ['HBB.BBH', ['gap']],
    ['HBBBH.....', []],
    ['HfBBBfdH', ['foundation-at-brood']],
    ['BBBBHHd', ['brood-at-wall']],
    // With one comb outside there is a wall on the other side.
    ['BBBBH', []],
    ['BBBBB', []],
    ['HCBBBd', []],
    ['CBBBB', ['cell-outside']],
  ] as const)('%s: %j', (word, wrong) => {
    expect(faults(word)).toEqual(wrong);
  });

  it('the food of a small unit touches its brood', () => {
    expect(faults('dBBdH', 2)).toEqual(['food-apart']);
    expect(faults('dBBdH', 8)).toEqual([]);
    expect(faults('dBBHd', 2)).toEqual([]);
    // Nobody can hang what is not there.
    expect(faults('dBBdd', 2)).toEqual([]);
  });

  it('a box without brood is only to have no gap', () => {
    expect(faults('dHf')).toEqual([]);
    expect(faults('d.H')).toEqual(['gap']);
  });
});

describe('the nest that is hung', () => {
  it.each([
    // Three brood combs have left: the rest is pushed together, and no comb changes sides.
    ['HP.BB..BdH', 'HPBBBdH'],
    // What comes is hung beside its like.
    ['HBBH..+B', 'HBBBH'],
    // What fills up goes outside the brood: drawn comb to it, foundation further out.
    ['HPBB......+dff', 'HPBBdff'],
  ])('%s becomes %s', (word, order) => {
    expect(hung(word).replaceAll('.', '')).toBe(order);
    expect(faults(hung(word))).toEqual([]);
  });

  it('a comb with a queen cell stays where it hangs, and the others come to it', () => {
    expect(hung('HB..BCBdH.')).toMatch(/^.{5}C/);
    expect(faults(hung('HB..BCBdH.'))).toEqual([]);
  });

  it('in the cool the order is kept, and food still comes to the brood of a small unit', () => {
    expect(hung('dBdBB..H', 'keep').replaceAll('.', '')).toBe('dBdBBH');
    expect(hung('dBBd..H', 'keep', 2).replaceAll('.', '')).toMatch(/HB|BH/);
  });

  it('the school of the checkerboard sets one empty comb between two of brood, never two', () => {
    const board = hung('HBBBBBBH..+dd', 'checkerboard');
    expect(board.match(/BdB/g)?.length).toBeGreaterThan(0);
    expect(board).not.toMatch(/B[^B.]{2,}B/);
  });
});
