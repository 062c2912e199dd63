import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { eggs, NO, queen } from '../testing/queenLooks.ts';
import { NEST, QUEENLESS, Scene } from '../testing/scene.ts';
import { allFacts } from './remedies.ts';
import { chanceOfAtLeast, nucReserve, nucsToMake } from './spares.ts';

describe('nucs to make', () => {
  // Worked by hand with the binomial distribution: four wanted, two in three succeed.
  it.each([
    [6, 0.68],
    [7, 0.83],
    [8, 0.91],
  ])('of %i, two in three of which succeed, four do with a chance of %f', (made, chance) => {
    expect(chanceOfAtLeast(4, made, 2 / 3)).toBeCloseTo(chance, 2);
  });

  it('are as many as are enough in nine cases of ten', () => {
    expect(nucsToMake(4, 2 / 3)).toBe(8);
    expect(nucsToMake(0)).toBe(0);
    expect(nucsToMake(3, 1)).toBe(3);
  });
});

const NOTHING = { eggs: NO, cells: NO, youngLarvae: NO, olderLarvae: NO, cappedBrood: NO, queen: NO };

describe('the reserve', () => {
  const nest = bothSides({ eggs: 1, open: 2, capped: 3, honey: 2, drawn: 2 }, 9);
  /** A nuc in a five-slot box beside healthy colonies, and some that have no queen and no way to one. */
  function yard(lost: number, nucs: number) {
    const s = new Scene(NEST);
    s.see('2026-05-10', { eggs: eggs(), queen: queen('long'), cells: NO });
    for (let i = 0; i < nucs; i++) s.hive(`Nuc ${i}`, [[nest, nest, nest]], '2026-05-09', 5);
    for (let i = 0; i < lost; i++) {
      const name = `Lost ${i}`;
      s.hive(name, [QUEENLESS], '2026-05-09');
      s.see('2026-05-10', { ...NOTHING, mood: 'roaring', pollen: NO }, name);
    }
    return nucReserve(allFacts(s.apiary, '2026-05-10', { coldNights: false }), '2026-06-21');
  }

  it('is short by as many as are likely to be lost and not stood by for, and says how many to make', () => {
    const short = yard(4, 3);
    expect(short.has).toBe(3);
    expect(short.losses).toBeGreaterThan(2.5);
    expect(yard(4, 0).words).toMatch(/Short by \d: make \d+ to have \d in nine cases of ten/);
  });

  it('of healthy colonies wants no more than the house rule', () => {
    expect(yard(0, 1).words).toMatch(/none of them in danger/);
    expect(yard(0, 1).words).not.toMatch(/Short/);
  });
});
