import { describe, expect, it } from 'vitest';
import { calibration, PARTS_WORLD } from '../testing/index.ts';

describe('chances of queen states', () => {
  it('come nearly as close to the truth as what can be known at all, and come true about as often as they say', () => {
    const c = calibration(PARTS_WORLD, { settings: 4, each: 300, lives: 1000 });
    expect(c.brier).toBeLessThan(1.15 * c.brierOfIdeal);
    expect(c.brier).toBeLessThan(c.brierOfShares / 3);
    expect(c.right).toBeGreaterThan(0.85);
    for (const b of c.bins.filter((x) => x.count >= 200)) expect(Math.abs(b.said - b.came)).toBeLessThan(0.1);
  });
});
