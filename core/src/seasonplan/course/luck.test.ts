import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { chanceDrawn, evenLuckOf, luckOf, normalOf } from './luck.ts';

describe('luck', () => {
  it('is the same for the same seed, season and purpose, and spread evenly', () => {
    expect(luckOf(3, 17, 5)).toBe(luckOf(3, 17, 5));
    const tenths = Array.from({ length: 10 }, () => 0);
    for (let s = 0; s < 4000; s++) for (let p = 0; p < 5; p++) tenths[Math.floor(10 * luckOf(1, s, p))]!++;
    // 2000 in each: five spreads of a binomial.
    for (const n of tenths) expect(Math.abs(n - 2000)).toBeLessThan(5 * Math.sqrt(1800));
  });

  it('has good and bad years among sixteen as among many', () => {
    for (const seed of [1, 2, 3])
      for (const purpose of [1, 2, 3, 4]) {
        const few = Array.from({ length: 16 }, (_, s) => evenLuckOf(seed, s, purpose));
        expect(few.filter((u) => u < 0.5).length).toBeGreaterThanOrEqual(5);
        expect(few.filter((u) => u < 0.5).length).toBeLessThanOrEqual(11);
      }
  });

  it('has normal deviates as a reference library gives them', () => {
    for (let p = 0.0005; p < 1; p += 0.0137) expect(normalOf(p)).toBeCloseTo(jstat.normal.inv(p, 0, 1), 7);
  });

  it('draws chances about the middle of what is known, wider where little is', () => {
    const spreadOf = (well: number, ill: number) =>
      chanceDrawn({ well, ill }, 1) - chanceDrawn({ well, ill }, -1);
    expect(chanceDrawn({ well: 16, ill: 4 }, 0)).toBeCloseTo(0.8, 6);
    expect(spreadOf(16, 4)).toBeLessThan(spreadOf(4, 1));
    // Of 20 known, eight tenths of the beta distribution lie between 0.68 and 0.90.
    const low = jstat.beta.inv(0.1, 16, 4);
    expect(chanceDrawn({ well: 16, ill: 4 }, normalOf(0.1))).toBeCloseTo(low, 1);
  });
});
