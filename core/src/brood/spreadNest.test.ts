import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { problemsOfReading, shareOf, shareOfBees, sumOfTenths } from '../comb/contents.ts';
import { spreadNest } from './spreadNest.ts';

describe('spreading totals over a nest', () => {
  const nest = spreadNest(10, { bees: 8, eggs: 0.7, open: 1.4, capped: 2.9, beeBread: 0.8, honey: 2.5 });
  const total = (pick: (r: (typeof nest)[number]) => number) => nest.reduce((n, r) => n + pick(r), 0);

  it('gives the totals back to within a third of a frame', () => {
    expect(total((r) => shareOf(r, 'capped'))).toBeCloseTo(2.9, 0);
    expect(Math.abs(total((r) => shareOf(r, 'honey')) - 2.5)).toBeLessThan(0.34);
    expect(Math.abs(total(shareOfBees) - 8)).toBeLessThan(0.34);
  });

  it('puts brood in the middle and stores outside', () => {
    const brood = nest.map((r) => shareOf(r, 'eggs', 'open', 'capped'));
    const honey = nest.map((r) => shareOf(r, 'honey'));
    expect(brood[4]).toBeGreaterThan(brood[1] ?? 1);
    expect(honey[0]).toBeGreaterThan(honey[4] ?? 1);
  });

  it('never makes an impossible frame, whatever is said', () => {
    const amount = fc.double({ min: 0, max: 12, noNaN: true });
    fc.assert(
      fc.property(
        fc.record({
          bees: amount,
          eggs: amount,
          open: amount,
          capped: amount,
          beeBread: amount,
          honey: amount,
        }),
        fc.integer({ min: 2, max: 12 }),
        (totals, slots) => {
          const readings = spreadNest(slots, totals);
          expect(readings).toHaveLength(slots);
          for (const r of readings) {
            expect(problemsOfReading(r, [])).toEqual([]);
            expect(sumOfTenths(r.sides[0].contents)).toBeCloseTo(10, 9);
          }
        },
      ),
    );
  });
});
