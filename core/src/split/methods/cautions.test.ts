import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { honeyKgPerFrame } from '../../comb/densities.ts';
import { COMMON_CAUTIONS, droneCautions } from './cautions.ts';
import { liftsInWords } from '../base/liftWords.ts';
import { boxWeightKg, weightInWords } from '../base/boxWeight.ts';

const comb = (honey: number) => ({
  size: 'langstroth-deep' as const,
  stores: honey / 10,
  reading: bothSides({ honey, drawn: 10 - honey }, 5),
});
const tenOf = (honey: number) => Array.from({ length: 10 }, () => comb(honey));

describe('cautions', () => {
  it('of all work name stings, fire and disease, and defer to the inspector', () => {
    for (const word of ['Stings', 'Fire', 'inspector', 'Local rules']) {
      expect(COMMON_CAUTIONS.join(' ')).toContain(word);
    }
  });

  it('warn of missing drones only where none were counted', () => {
    expect(droneCautions([{ reading: bothSides({ capped: 5, drawn: 5 }, 5) }])).toHaveLength(1);
    expect(droneCautions([{ reading: bothSides({ drone: 1, drawn: 9 }, 5) }])).toEqual([]);
    expect(droneCautions([])).toHaveLength(1);
  });
});

describe('the weight of a box', () => {
  // By hand: 1.2 kg a frame with its share of the box, and of a comb full of honey all that such a comb holds.
  it('is wood, wax and honey', () => {
    expect(boxWeightKg(tenOf(0))).toBeCloseTo(12, 9);
    expect(boxWeightKg(tenOf(10))).toBeCloseTo(12 + 10 * honeyKgPerFrame('langstroth-deep').likely, 9);
    expect(boxWeightKg([])).toBe(0);
  });

  // Common practice, no source: a full deep box may exceed 35 kg.
  it('of a full deep box is about what people say', () => {
    expect(boxWeightKg(tenOf(10))).toBeGreaterThan(30);
    expect(boxWeightKg(tenOf(10))).toBeLessThan(45);
  });

  it('is said in kilograms and pounds, once for all that is lifted', () => {
    // 12 kg are 26.5 lb.
    expect(weightInWords(boxWeightKg(tenOf(0)))).toBe('about 12 kg (26 lb)');
    expect(liftsInWords([{ kg: 20 }, {}, { kg: 12 }])).toMatch(
      /^Lifting: 2 times, about 32 kg \(71 lb\) in all; the heaviest about 20 kg/,
    );
    expect(liftsInWords([{ kg: 20 }])).toMatch(/^Lifting: one box, about 20 kg/);
    expect(liftsInWords([{}])).toBeNull();
  });
});
