import { seededRandom } from '../../basics/index.ts';
import loadSolver from 'highs';
import { describe, expect, it } from 'vitest';
import { INFINITE, LinearModel, solveModel } from './linearModel.ts';

/** A covering model by chance: at least so much in every row, columns in wholes. */
function covering(seed: number, columns = 8, rows = 5): LinearModel {
  const random = seededRandom(seed);
  const model = new LinearModel();
  for (let c = 0; c < columns; c++) model.column(1 + random() * 4, 0, 2, true);
  for (let r = 0; r < rows; r++) {
    const row = model.row(1 + random(), INFINITE);
    for (let c = 0; c < columns; c++) if (random() < 0.6) model.add(row, c, 0.3 + random());
  }
  return model;
}

describe('what rows are worth', () => {
  it('bounds what every solution costs, whatever the worth', async () => {
    const solver = await loadSolver();
    for (let seed = 1; seed <= 10; seed++) {
      const model = covering(seed);
      const best = solveModel(solver, model, { nodes: 1000, seconds: 10 });
      if (best.cost === null) continue;
      const random = seededRandom(seed + 100);
      for (let n = 0; n < 5; n++) {
        const worth = Float64Array.from({ length: model.rows }, () => 3 * random());
        expect(model.boundAt(worth, new Set()).sum).toBeLessThanOrEqual(best.cost + 1e-6);
      }
    }
  });

  // Weak duality by hand: two columns at 2 and 3, one row of at least 3. At a worth of 2 the first column costs
  // nothing more and the second 1, so that the bound is 2 × 3 = 6; the best costs 2 × 2 + 3 × 1 = 7 with two of each.
  it('is reckoned as by hand', () => {
    const model = new LinearModel();
    const a = model.column(2, 0, 2, true);
    const b = model.column(3, 0, 2, true);
    const row = model.row(3, INFINITE);
    model.add(row, a, 1);
    model.add(row, b, 1);
    const { sum, reduced } = model.boundAt(Float64Array.of(2), new Set());
    expect(sum).toBeCloseTo(6, 12);
    expect([...reduced]).toEqual([0, 1]);
    // At 3 the first is taken as far as it goes: 9 − 2.
    expect(model.boundAt(Float64Array.of(3), new Set()).sum).toBeCloseTo(7, 12);
    // What is set apart is not summed.
    expect(model.boundAt(Float64Array.of(3), new Set([a])).sum).toBeCloseTo(9, 12);
  });

  it('says nothing when it leans on a bound that is not there', () => {
    const model = new LinearModel();
    const a = model.column(1, 0, INFINITE, false);
    const row = model.row(-INFINITE, 4);
    model.add(row, a, 1);
    expect(model.boundAt(Float64Array.of(1), new Set()).sum).toBe(-Infinity);
    expect(model.boundAt(Float64Array.of(0), new Set()).sum).toBe(0);
    model.setBounds(a, 0, INFINITE);
    expect(model.boundAt(Float64Array.of(-2), new Set()).sum).toBe(-8);
  });
});

describe('a model being written down', () => {
  it('adds up what is entered twice, and drops what cancels', () => {
    const model = new LinearModel();
    const a = model.column(1, 0, 1, true);
    const b = model.column(1, 0, 1, false);
    const row = model.row(0, 1);
    model.add(row, a, 2);
    model.add(row, a, 3);
    model.add(row, b, 1);
    model.add(row, b, -1);
    expect(model.entriesByColumn()).toEqual([[[row, 5]], []]);
    expect([model.isWhole(a), model.isWhole(b)]).toEqual([true, false]);
  });

  it('moves constants to the bounds of a row, and frees a row', () => {
    const model = new LinearModel();
    const row = model.row(2, 5);
    model.shiftRow(row, 3);
    expect(model.rowBounds(row)).toEqual([-1, 2]);
    model.freeRow(row);
    expect(model.rowBounds(row)).toEqual([-INFINITE, INFINITE]);
  });

  it('costs nothing any more when costs are forgotten', () => {
    const model = covering(3);
    model.offset = 7;
    model.forgetCosts();
    expect(model.offset).toBe(0);
    expect(model.costOf(0)).toBe(0);
  });
});
