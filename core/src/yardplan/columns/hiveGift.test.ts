import { seededRandom } from '../../basics/index.ts';
import loadSolver from 'highs';
import { describe, expect, it } from 'vitest';
import { sampleOf } from '../../testing/sampleSize.ts';
import { mostWorth, type Gift, type GiftRow } from './hiveGift.ts';
import { INFINITE, LinearModel, solveModel } from '../model/linearModel.ts';

/** The same question as a model for the solver. */
function asModel(gifts: readonly Gift[], rows: readonly GiftRow[]): LinearModel {
  const model = new LinearModel();
  for (const gift of gifts) model.column(-gift.worth, 0, 1, true);
  for (const { row, start, least, most } of rows) {
    const limit = model.row(
      least > -INFINITE ? least - start : -INFINITE,
      most < INFINITE ? most - start : INFINITE,
    );
    gifts.forEach(({ entries }, i) => {
      for (const [r, value] of entries) if (r === row) model.add(limit, i, value);
    });
  }
  for (const frame of new Set(gifts.map((gift) => gift.frame))) {
    const one = model.row(-INFINITE, 1);
    gifts.forEach((gift, i) => (gift.frame === frame ? model.add(one, i, 1) : undefined));
  }
  return model;
}

/** A hive of so many frames, each of which may be moved or shaken, with rules at random. */
function hive(frames: number, random: () => number): { gifts: Gift[]; rows: GiftRow[] } {
  const gifts = Array.from({ length: frames }, (_, frame) => {
    const bees = 0.3 + random();
    const brood = random();
    const worth = () => (random() < 0.3 ? 0 : random());
    return [
      { frame, worth: worth(), entries: [[0, -bees] as const, [1, brood - bees] as const, [2, 0] as const] },
      { frame, worth: worth(), entries: [[0, -bees] as const, [1, -bees] as const, [2, 1] as const] },
    ];
  }).flat();
  const rows: GiftRow[] = [
    // Bees that have to stay; bees for each frame of brood, in which a brood comb that goes makes room; frames shaken.
    { row: 0, start: frames * 0.8, least: frames * 0.4, most: INFINITE },
    { row: 1, start: 1, least: 0, most: INFINITE },
    { row: 2, start: 0, least: -INFINITE, most: 3 },
  ];
  return { gifts, rows };
}

describe('what a hive can give', () => {
  it('is worth what the solver says', async () => {
    const solver = await loadSolver();
    const random = seededRandom(3);
    for (let n = 0; n < 25; n++) {
      const { gifts, rows } = hive(3 + (n % 6), random);
      const { cost } = solveModel(solver, asModel(gifts, rows), { nodes: 5000, seconds: 20 });
      expect(mostWorth(gifts, rows)).toBeCloseTo(-(cost as number), 5);
    }
  });

  it('is never said to be worth less, however many ways there are', async () => {
    const solver = await loadSolver();
    for (const seed of sampleOf(1, [1, 2])) {
      const { gifts, rows } = hive(24, seededRandom(seed));
      const { cost } = solveModel(solver, asModel(gifts, rows), { nodes: 5000, seconds: 20 });
      expect(mostWorth(gifts, rows)).toBeGreaterThanOrEqual(-(cost as number) - 1e-6);
    }
  });

  it('takes along what is worth nothing but makes room', () => {
    const shake: Gift = { frame: 1, worth: 1, entries: [[0, -1]] };
    const brood: Gift = { frame: 2, worth: 0, entries: [[0, 1]] };
    const rows: GiftRow[] = [{ row: 0, start: 0.5, least: 0, most: INFINITE }];
    expect(mostWorth([shake], rows)).toBe(0);
    expect(mostWorth([shake, brood], rows)).toBe(1);
    // One frame does not give both.
    expect(mostWorth([shake, { ...brood, frame: 1 }], rows)).toBe(0);
  });
});
