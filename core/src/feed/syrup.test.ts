import { describe, expect, it } from 'vitest';
import { MEASURES, WATER_KG_PER_LITRE } from './measures.ts';
import { densityOf, syrupOf, syrupOfLitres, syrupOfSugar } from './syrup.ts';

const value = <T>(r: { ok: true; value: T } | { ok: false }): T => {
  if (!r.ok) throw new Error('it can be made');
  return r.value;
};

describe('syrup', () => {
  it('has the density of the published tables (ICUMSA, US National Bureau of Standards, 20 °C)', () => {
    expect(densityOf(40)).toBeCloseTo(1.176, 3);
    expect(densityOf(50)).toBeCloseTo(1.23, 3);
    expect(densityOf(60)).toBeCloseTo(1.287, 2);
    expect(densityOf(200 / 3)).toBeCloseTo(1.33, 2);
    // 65 % is 1.3163 in the same tables (from memory); the line between two entries is off by little.
    expect(densityOf(65)).toBeCloseTo(1.3163, 2);
  });

  it('makes two US gallons of ten pounds in five quarts, as beekeepers say (common practice; 7.6 L by the table)', () => {
    const { kgPerMass, litresPerVolume } = MEASURES.us;
    const syrup = value(syrupOf(10 * kgPerMass, 5 * litresPerVolume * WATER_KG_PER_LITRE));
    expect(syrup.litres).toBeCloseTo(7.6, 1);
    expect(syrup.litres / (4 * litresPerVolume)).toBeCloseTo(2, 1);
  });

  it('of a kilogram of sugar and one of water is 1.63 L, and of two and one 2.26 L', () => {
    // By hand: 2 / 1.2296 and 3 / 1.326.
    expect(value(syrupOf(1, 1)).litres).toBeCloseTo(1.627, 2);
    expect(value(syrupOfSugar(2, 2)).litres).toBeCloseTo(2.262, 2);
  });

  it('comes to the volume that is wanted', () => {
    for (const ratio of [1, 1.5, 2]) {
      const syrup = value(syrupOfLitres(5, ratio));
      expect(syrup.litres).toBeCloseTo(5, 9);
      expect(syrup.sugarKg / syrup.waterKg).toBeCloseTo(ratio, 9);
    }
  });

  it('says what cannot be', () => {
    expect(syrupOf(3, 1)).toMatchObject({ ok: false, problems: [{ path: ['ratio'] }] });
    expect(syrupOf(0, 1).ok).toBe(false);
    expect(syrupOfLitres(-1, 1).ok).toBe(false);
    expect(syrupOfLitres(Number.NaN, 1).ok).toBe(false);
    expect(() => densityOf(90)).toThrow(RangeError);
  });
});
