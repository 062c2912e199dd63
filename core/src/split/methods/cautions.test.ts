import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { honeyKgPerFrame } from '../../comb/densities.ts';
import { boxLiftCaution, COMMON_CAUTIONS, droneCautions, heaviestBoxCaution } from './cautions.ts';
import { boxWeightKg } from '../base/boxWeight.ts';

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

  it('is said in kilograms and pounds', () => {
    const words = boxLiftCaution('upper box', []);
    expect(words).toContain('the upper box weighs about 0 kg (0 lb)');
    // 12 kg are 26.5 lb.
    expect(boxLiftCaution('upper box', tenOf(0) as never)).toContain('about 12 kg (26 lb)');
  });

  it('that matters is that of the heaviest of a hive', () => {
    const frames = [
      ...tenOf(2).map((f) => ({ ...f, boxId: 'low' })),
      ...tenOf(9).map((f) => ({ ...f, boxId: 'high' })),
    ];
    const boxes = [
      { id: 'low', name: 'lower box' },
      { id: 'high', name: 'upper box' },
    ];
    expect(heaviestBoxCaution({ boxes, frames } as never)).toMatch(/^Lifting: the upper box weighs/);
    expect(heaviestBoxCaution({ boxes: [], frames: [] })).toMatch(/the fullest box/);
  });
});
