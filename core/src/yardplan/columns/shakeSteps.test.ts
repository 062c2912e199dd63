import { seededRandom } from '../../basics/index.ts';
import { describe, expect, it } from 'vitest';
import { ShakeSteps } from './shakeSteps.ts';

/** The cheapest choice by trying every one. */
function byTrying(shakes: readonly (readonly [number, number])[], bees: number): number {
  let best = Infinity;
  for (let mask = 0; mask < 1 << shakes.length; mask++) {
    let has = 0;
    let price = 0;
    shakes.forEach(([b, p], i) => {
      if ((mask & (1 << i)) === 0) return;
      has += b;
      price += p;
    });
    if (has >= bees - 1e-9) best = Math.min(best, price);
  }
  return best;
}

describe('what shaken bees cost', () => {
  it('is what the cheapest choice of whole frames costs', () => {
    const random = seededRandom(3);
    for (let n = 0; n < 30; n++) {
      const shakes = Array.from({ length: 7 }, () => [0.2 + random(), 1 + random()] as const);
      const steps = new ShakeSteps(shakes, 20);
      for (const bees of [0.1, 0.9, 1.7, 3]) {
        expect(steps.priceOf(bees)).toBeCloseTo(byTrying(shakes, bees), 9);
      }
    }
  });

  it('is what the frames that it names cost, and they give enough', () => {
    const random = seededRandom(12);
    const shakes = Array.from({ length: 40 }, () => [0.2 + random(), 1.5 + random()] as const);
    const steps = new ShakeSteps(shakes, 4);
    for (const bees of [0.1, 0.9, 1.7, 3]) {
      const frames = steps.framesFor(bees);
      expect(new Set(frames).size).toBe(frames.length);
      const sum = (k: 0 | 1) => frames.reduce((n, f) => n + (shakes[f]?.[k] ?? NaN), 0);
      expect(sum(0)).toBeGreaterThanOrEqual(bees - 1e-6);
      expect(sum(1)).toBeCloseTo(steps.priceOf(bees), 9);
    }
    expect(steps.framesFor(0)).toEqual([]);
  });

  it('is nothing for no bees, and endless for more than there are', () => {
    const steps = new ShakeSteps([[0.5, 2]], 5);
    expect(steps.priceOf(0)).toBe(0);
    expect(steps.priceOf(0.5)).toBe(2);
    expect(steps.priceOf(0.6)).toBe(Infinity);
  });

  it('stays a bound with so many choices that they are rounded', () => {
    const random = seededRandom(8);
    const shakes = Array.from({ length: 16 }, () => [0.2 + random(), 1 + random()] as const);
    const steps = new ShakeSteps(shakes, 4);
    for (const bees of [0.5, 1.3, 2.2, 3.1]) {
      const least = byTrying(shakes, bees);
      expect(steps.priceOf(bees)).toBeLessThanOrEqual(least + 1e-9);
      expect(steps.priceOf(bees)).toBeGreaterThan(least - 0.5);
    }
  });
});
