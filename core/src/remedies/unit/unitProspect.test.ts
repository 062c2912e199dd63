import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { broodOf, unitAfter } from './unitProspect.ts';

const BOUNDS = { cover: 0.8, layingMost: 0.21, slots: 10 };

describe('a unit brought forward', () => {
  it('loses about a fifth of its bees a week without brood (common practice, no source)', () => {
    const after = unitAfter({ bees: 5, eggs: 0, open: 0, capped: 0 }, null, 7, BOUNDS);
    expect(after.bees / 5).toBeGreaterThan(0.8);
    expect(after.bees / 5).toBeLessThan(0.86);
  });

  it('turns a full comb of capped brood into two to three frames of bees within twelve days', () => {
    const bees = (capped: number) => unitAfter({ bees: 5, eggs: 0, open: 0, capped }, null, 12, BOUNDS).bees;
    expect(bees(1) - bees(0)).toBeGreaterThan(2);
    // Young bees stay alive longer than old ones: a little more than emerges is gained.
    expect(bees(1) - bees(0)).toBeLessThan(3.1);
  });

  it('loses brood that bees do not cover', () => {
    const [bare, none] = [1.5, 6].map((bees) =>
      broodOf(unitAfter({ bees, eggs: 0.5, open: 1.5, capped: 2 }, null, 4, BOUNDS)),
    );
    expect(bare).toBeLessThan(0.8 * (none ?? 0));
  });

  it('grows under a laying queen and dwindles without one', () => {
    const start = { bees: 4, eggs: 0.3, open: 0.6, capped: 1.2 };
    const [laid, late, never] = [0, 21, null].map((from) => unitAfter(start, from, 50, BOUNDS));
    expect(laid?.bees).toBeGreaterThan(late?.bees ?? 0);
    expect(late?.bees).toBeGreaterThan(never?.bees ?? 0);
    expect(broodOf(never ?? start)).toBe(0);
  });

  it('never has more bees for fewer bees or less brood, whatever the days', () => {
    const amount = fc.double({ min: 0, max: 8, noNaN: true });
    fc.assert(
      fc.property(amount, amount, amount, fc.integer({ min: 0, max: 60 }), (bees, capped, less, days) => {
        const more = unitAfter({ bees: bees + less, eggs: 0, open: 0, capped }, 0, days, BOUNDS);
        const fewer = unitAfter({ bees, eggs: 0, open: 0, capped }, 0, days, BOUNDS);
        expect(more.bees).toBeGreaterThanOrEqual(fewer.bees - 1e-9);
      }),
      { numRuns: 200 },
    );
  });
});
