import { describe, expect, it } from 'vitest';
import { seasonCalibration } from '../testing/seasonWorld/calibrated.ts';

/**
 * Held against a world with other equations (see testing/seasonWorld). The bench runs 500 cases of 400 seasons; here so many that a
 * plan that promises too much is found.
 */
describe('what a season plan says', () => {
  it('comes true about as often as it says', () => {
    const { colonies, honey, frames } = seasonCalibration(90, 80, 7);
    expect(colonies.cases).toBeGreaterThan(60);
    // 75 cases at 0.8 have a spread of 0.046.
    expect(Math.abs(colonies.came - colonies.said)).toBeLessThan(0.14);
    expect(honey.came).toBeGreaterThan(0.6);
    expect(frames.came).toBeGreaterThan(0.55);
  });
});
