import loadSolver from 'highs';
import { describe, expect, it } from 'vitest';
import { INFINITE, LinearModel, type Solver } from '../model/linearModel.ts';
import { roundedNucs } from './roundNucs.ts';

/** Two nucs are wanted of three, of which any two share a comb; a fourth is dearer and shares none. */
function packing(solver: Solver) {
  const model = new LinearModel();
  const wanted = model.row(2, 2);
  const combs = [0, 1, 2].map(() => model.row(-INFINITE, 1));
  const nucs = [
    { cost: 1, of: [0, 1] },
    { cost: 1, of: [1, 2] },
    { cost: 1, of: [0, 2] },
    { cost: 4, of: [] },
  ];
  for (const { cost, of } of nucs) {
    const column = model.column(cost, 0, INFINITE, false);
    model.add(wanted, column, 1);
    for (const c of of) model.add(combs[c] as number, column, 1);
  }
  const master = solver.createModel(model.data(true));
  master.options.set({ output_flag: false, solver: 'simplex', presolve: 'off' });
  const fitting = (fixed: readonly number[]) => (n: number) =>
    !fixed.some((f) => nucs[f]?.of.some((c) => nucs[n]?.of.includes(c)));
  return { master, rounding: { refill: () => false, fitting } };
}

const costOf = (values: Float64Array | null) =>
  values && [1, 1, 1, 4].reduce((sum, cost, n) => sum + cost * (values[n] as number), 0);

describe('whole nucs out of parts', () => {
  it('are such as fit beside each other', async () => {
    const { master, rounding } = packing(await loadSolver());
    const values = roundedNucs(master, 0, 100, rounding);
    expect(costOf(values)).toBeCloseTo(5, 9);
    for (const x of values ?? []) expect(x).toBeCloseTo(Math.round(x), 9);
    // What was fixed on the way is free again.
    expect(costOf(roundedNucs(master, 0, 100, rounding))).toBeCloseTo(5, 9);
    master.dispose();
  });

  it('are none when every choice is dearer than asked for', async () => {
    const { master, rounding } = packing(await loadSolver());
    expect(roundedNucs(master, 0, 4.5, rounding)).toBeNull();
    master.dispose();
  });
});
