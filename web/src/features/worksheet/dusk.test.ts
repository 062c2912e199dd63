import { describe, expect, it } from 'vitest';
import { duskOn } from './dusk.ts';

const hour = (d: Date | null) => (d ? d.getHours() + d.getMinutes() / 60 : null);

describe('dusk', () => {
  it('is late in summer and early in winter, the other way round in the south', () => {
    const june = new Date(2026, 5, 21, 12);
    const december = new Date(2026, 11, 21, 12);
    expect(hour(duskOn(june, 45))).toBeGreaterThan(19);
    expect(hour(duskOn(december, 45))).toBeLessThan(18);
    expect(hour(duskOn(june, -45))).toBeLessThan(18);
  });

  // Civil twilight at an equinox ends some 27 to 31 minutes after six at 45° (by the library's own reckoning of the sun).
  it('comes about half past six by the sun at an equinox', () => {
    expect(hour(duskOn(new Date(2026, 2, 20, 12), 45))).toBeGreaterThan(18);
    expect(hour(duskOn(new Date(2026, 2, 20, 12), 45))).toBeLessThan(20);
  });

  it('does not come where the sun does not set', () => {
    expect(duskOn(new Date(2026, 5, 21, 12), 66)).toBeNull();
  });
});
