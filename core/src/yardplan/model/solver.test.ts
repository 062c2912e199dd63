import loadSolver from 'highs';
import { describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { gapOf } from '../bound/bestProof.ts';
import { proveYard } from '../bound/proveYard.ts';
import { INFINITE, LinearModel, solveModel } from './linearModel.ts';
import { pooledModel } from './pooledModel.ts';

/** At least three of two things that come in wholes of one, at 2 and 3 apiece. */
function small(atLeast: number): LinearModel {
  const model = new LinearModel();
  const a = model.column(2, 0, 2, true);
  const b = model.column(3, 0, 2, true);
  const row = model.row(atLeast, INFINITE);
  model.add(row, a, 1);
  model.add(row, b, 1);
  return model;
}

describe('the solver', () => {
  it('finds the best of a small model, and says so', async () => {
    const solver = await loadSolver();
    const solved = solveModel(solver, small(3), { nodes: 100, seconds: 5 });
    expect(solved.isOptimal).toBe(true);
    expect(solved.cost).toBeCloseTo(7, 6);
    expect(solved.bound).toBeCloseTo(7, 3);
  });

  it('says nothing of a model without a solution, rather than zeros', async () => {
    const solver = await loadSolver();
    const solved = solveModel(solver, small(5), { nodes: 100, seconds: 5 });
    expect(solved.values).toBeNull();
    expect(solved.cost).toBeNull();
    expect(solveModel(solver, small(5), 'relaxed').bound).toBeNull();
  });

  it('survives 500 models in a row: solved, without a solution, and cut off', async () => {
    const solver = await loadSolver();
    const apiary = generatedYards({ colonies: 3, seed: 2 });
    const problem = problemOf(apiary, requestFor(apiary, [nucs(2)]));
    const first = proveYard(problem, solver, 'quick').bound;
    let solved = 0;
    let without = 0;
    let cutOff = 0;
    for (let i = 0; i < 500; i++) {
      if (i % 3 === 0 && solveModel(solver, small(2), 'relaxed').isOptimal) solved++;
      if (i % 3 === 1 && solveModel(solver, small(9), { nodes: 5, seconds: 1 }).values === null) without++;
      if (i % 3 === 2) {
        const { bound } = solveModel(solver, pooledModel(problem).model, { nodes: 1, seconds: 0.02 });
        if (bound === null || bound <= (first ?? 0) + 1e3) cutOff++;
      }
    }
    expect([solved, without, cutOff]).toEqual([167, 167, 166]);
    // And is still what it was.
    expect(proveYard(problem, solver, 'quick').bound).toBe(first);
  });

  it('tells how far a price is from the bound', () => {
    expect(gapOf(100, 98)).toBeCloseTo(0.02, 9);
    expect(gapOf(50, 50)).toBe(0);
    // Of a plan that costs nothing every difference would be endless.
    expect(gapOf(0, -1e-5)).toBe(0);
  });
});
