import { describe, expect, it } from 'vitest';
import { bothSides, shareOf, type Contents } from '../comb/contents.ts';
import { framesOfBeesFromCapped } from '../comb/densities.ts';
import { projectNest, type NestFrame } from '../brood/projectNest.ts';
import { daysUntilFull, hatchesWithin } from './hatchForecast.ts';

const deep = (contents: Contents, bees = 8): NestFrame => ({
  id: JSON.stringify(contents),
  size: 'langstroth-deep',
  reading: bothSides(contents, bees),
});

describe('what will hatch', () => {
  it('a full frame of capped brood is out in 12 days, half of it in 6 (even ages, by hand)', () => {
    const all = framesOfBeesFromCapped('langstroth-deep').likely;
    const nest = [deep({ capped: 10 })];
    expect(hatchesWithin(nest, 12, 'langstroth-deep')).toBeCloseTo(all, 9);
    expect(hatchesWithin(nest, 6, 'langstroth-deep')).toBeCloseTo(all / 2, 9);
    expect(hatchesWithin(nest, 21, 'langstroth-deep')).toBeCloseTo(all, 9);
  });

  it('open brood is out between days 12 and 18, eggs between 18 and 21, emerging in two days', () => {
    const share = (contents: Contents, days: number) =>
      hatchesWithin([deep(contents)], days, 'langstroth-deep') /
      framesOfBeesFromCapped('langstroth-deep').likely;
    expect([12, 15, 18].map((d) => share({ open: 10 }, d))).toEqual([
      0,
      expect.closeTo(0.5, 9),
      expect.closeTo(1, 9),
    ]);
    expect([18, 21].map((d) => share({ eggs: 10 }, d))).toEqual([0, expect.closeTo(1, 9)]);
    expect([1, 2].map((d) => share({ emerging: 10 }, d))).toEqual([
      expect.closeTo(0.5, 9),
      expect.closeTo(1, 9),
    ]);
  });

  it('agrees with the projection: what hatched is what brood has left the comb', () => {
    const nest = [deep({ eggs: 1, open: 2, capped: 5, emerging: 1, drawn: 1 }, 0)];
    for (const days of [7, 14, 21]) {
      const [then] = projectNest(nest, days, { queen: 'none' });
      const left = shareOf(then!.reading, 'eggs', 'open', 'capped', 'emerging');
      const gone =
        hatchesWithin(nest, days, 'langstroth-deep') / framesOfBeesFromCapped('langstroth-deep').likely;
      expect(gone).toBeCloseTo(0.9 - left, 9);
    }
  });

  it('says when the box is full, at once when it is, never when nothing hatches', () => {
    const box = (contents: Contents, bees: number) =>
      Array.from({ length: 5 }, (_, i) => ({ ...deep(contents, bees), id: String(i) }));
    expect(daysUntilFull(box({ drawn: 10 }, 10), { queen: 'none' })).toBe(0);
    expect(daysUntilFull(box({ drawn: 10 }, 5), { queen: 'none' })).toBeNull();
    const days = daysUntilFull(box({ capped: 6, drawn: 4 }, 4), { queen: 'none' });
    expect(days).toBeGreaterThan(2);
    expect(days).toBeLessThan(12);
    expect(daysUntilFull([], { queen: 'none' })).toBeNull();
  });
});
