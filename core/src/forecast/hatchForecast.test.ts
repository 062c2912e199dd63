import { describe, expect, it } from 'vitest';
import { bothSides, type Contents } from '../comb/contents.ts';
import { framesOfBeesFromCapped, workerCellsPerFrame } from '../comb/densities.ts';
import type { NestFrame } from '../brood/layingRates.ts';
import { after, FLOW, modelOf } from '../testing/modelOf.ts';
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

  it('agrees with the model: what emerged is what brood has left the comb', () => {
    const reading = bothSides({ eggs: 1, open: 2, capped: 5, emerging: 1, drawn: 1 }, 10);
    for (const days of [7, 14, 21]) {
      const model = after(modelOf([reading, bothSides({ drawn: 10 }, 10)], null), days, FLOW);
      const left = model.broodCells / workerCellsPerFrame('langstroth-deep');
      const gone =
        hatchesWithin([{ id: 'a', size: 'langstroth-deep', reading }], days, 'langstroth-deep') /
        framesOfBeesFromCapped('langstroth-deep').likely;
      expect(gone).toBeCloseTo(0.9 - left, 6);
    }
  });

  it('says when the box is full, at once when it is, never when it never is', () => {
    const course = (...bees: number[]) => bees.map((b) => ({ bees: b }));
    expect(daysUntilFull(course(5), 5)).toBe(0);
    expect(daysUntilFull(course(3, 4, 4.8, 5), 5)).toBe(2);
    expect(daysUntilFull(course(3, 4), 5)).toBeNull();
    expect(daysUntilFull([], 0)).toBeNull();
  });
});
