import { describe, expect, it } from 'vitest';
import { calibration } from '../testing/simulatedQueens.ts';

describe('chances of queen states', () => {
  it('come true about as often as they say, in a world that is not the engine’s own', () => {
    const { brier, brierOfShares, right, bins } = calibration(1000);
    expect(brier).toBeLessThan(brierOfShares / 3);
    expect(right).toBeGreaterThan(0.85);
    for (const b of bins.filter((x) => x.count >= 100)) expect(Math.abs(b.said - b.came)).toBeLessThan(0.12);
  });
});
