import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bothSides, shareOf, shareOfBees, sumOfTenths, type Contents } from '../comb/contents.ts';
import { framesOfBeesFromCapped } from '../comb/densities.ts';
import { ageAtLossOfCellCappedOn, datesOfChargedCell, DEVELOPMENT } from './developmentClock.ts';
import { layingRates, presentLayingRate, projectNest, type NestFrame } from './projectNest.ts';

const deep = (id: string, contents: Contents, bees = 5): NestFrame => ({
  id,
  size: 'langstroth-deep',
  reading: bothSides(contents, bees),
});

describe('the development clock', () => {
  it('is that of Winston 1987, The Biology of the Honey Bee (values as remembered)', () => {
    expect(DEVELOPMENT.worker.emerges.likely).toBe(21);
    expect(DEVELOPMENT.worker.cellCapped.likely).toBe(9);
    expect(DEVELOPMENT.queen.emerges.likely).toBe(16);
    expect(DEVELOPMENT.queen.cellCapped.likely).toBe(8);
    expect(DEVELOPMENT.drone.emerges.likely).toBe(24);
    for (const caste of ['worker', 'queen', 'drone'] as const) {
      expect(DEVELOPMENT[caste].eggHatches.likely).toBe(3);
    }
  });

  it('dates a cell by its larva: hatched two days ago, capped in 3, out in 11', () => {
    expect(datesOfChargedCell(2)).toEqual({ toCapping: 3, toEmergence: 11 });
  });

  it('tells a cell capped on day 3 (old larva) from one capped on day 5 (new-hatched)', () => {
    expect(ageAtLossOfCellCappedOn(3)).toBe(5);
    expect(ageAtLossOfCellCappedOn(5)).toBe(3);
  });
});

describe('projecting a counted nest', () => {
  const brood = [deep('a', { eggs: 1, open: 2, capped: 4, honey: 3 })];

  it('without a queen: no eggs after 3 days, no open brood after 9, nothing capped after 21', () => {
    const at = (days: number) => projectNest(brood, days, { queen: 'none' })[0]?.reading ?? bothSides({}, 0);
    expect(shareOf(at(2), 'eggs')).toBeGreaterThan(0);
    expect(shareOf(at(3), 'eggs')).toBeCloseTo(0, 9);
    expect(shareOf(at(8), 'open')).toBeGreaterThan(0);
    expect(shareOf(at(9), 'open')).toBeCloseTo(0, 9);
    expect(shareOf(at(20), 'capped')).toBeGreaterThan(0);
    expect(shareOf(at(21), 'capped')).toBeCloseTo(0, 9);
    expect(shareOf(at(21), 'drawn')).toBeCloseTo(0.7, 9);
  });

  it('hatches capped brood evenly over 12 days', () => {
    const capped = [deep('a', { capped: 6, drawn: 4 })];
    for (const days of [3, 6, 9]) {
      const left = shareOf(projectNest(capped, days, { queen: 'none' })[0]!.reading, 'capped');
      expect(left).toBeCloseTo(0.6 * (1 - days / 12), 9);
    }
  });

  it('a full frame of capped brood becomes the frames of bees that the arithmetic gives, less deaths', () => {
    const nest = [
      deep('b', { capped: 10 }, 0),
      ...['x', 'y', 'z', 'u'].map((id) => deep(id, { drawn: 10 }, 0)),
    ];
    const bees = projectNest(nest, 12, { queen: 'none' }).reduce((s, f) => s + shareOfBees(f.reading), 0);
    const all = framesOfBeesFromCapped('langstroth-deep').likely;
    expect(bees).toBeLessThan(all);
    expect(bees).toBeGreaterThan(all * 0.8);
  });

  it('holds 3 : 6 : 12 under a queen that lays at a steady rate', () => {
    const nest = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i', 'j'].map((id) => deep(id, { drawn: 10 }));
    const later = projectNest(nest, 42, { queen: 'laying', eggsPerDay: 1200 });
    const rates = layingRates(later);
    expect(rates.fromEggs).toBeCloseTo(1200, 3);
    expect(rates.fromOpen).toBeCloseTo(1200, 3);
    expect(rates.fromCapped).toBeCloseTo(1200, 3);
    expect(presentLayingRate(later)).toBeCloseTo(1200, 3);
  });

  const anyContents = fc
    .array(fc.integer({ min: 0, max: 4 }), { minLength: 8, maxLength: 8 })
    .map(([honey, beeBread, eggs, open, capped, emerging, drone, nectar]) => {
      const named: Contents = { honey, beeBread, eggs, open, capped, emerging, drone, nectar };
      const sum = sumOfTenths(named);
      const scaled = Object.fromEntries(
        Object.entries(named).map(([k, v]) => [k, sum > 10 ? ((v ?? 0) * 10) / sum : v]),
      ) as Contents;
      return { ...scaled, drawn: Math.max(0, 10 - sum) } satisfies Contents;
    });

  it('never makes or loses comb, and never puts more bees on a side than it carries', () => {
    fc.assert(
      fc.property(
        fc.array(anyContents, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 0, max: 2500 }),
        (nest, days, eggsPerDay) => {
          const frames = nest.map((c, i) => deep(String(i), c, 8));
          for (const f of projectNest(frames, days, { queen: 'laying', eggsPerDay })) {
            for (const s of f.reading.sides) {
              expect(sumOfTenths(s.contents)).toBeCloseTo(10, 6);
              expect(s.bees).toBeLessThanOrEqual(10);
            }
          }
        },
      ),
    );
  });

  it('refuses to go back in time', () => {
    expect(() => projectNest(brood, -1, { queen: 'none' })).toThrow(RangeError);
  });
});
