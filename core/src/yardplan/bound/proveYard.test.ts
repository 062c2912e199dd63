import loadSolver from 'highs';
import { assert, describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { evaluate } from '../search/evaluate.ts';
import { NucColumns } from '../columns/nucColumns.ts';
import { gapOf } from './bestProof.ts';
import { proveYard } from './proveYard.ts';

describe('a thorough proof', () => {
  it('finds a plan that keeps every rule, within one in a hundred of its bound, in a yard of twelve', async () => {
    const solver = await loadSolver();
    const apiary = generatedYards({ colonies: 12, seed: 1 });
    const problem = problemOf(apiary, requestFor(apiary, [nucs(3)]));
    const quick = proveYard(problem, solver, 'quick');
    const { bound, better } = proveYard(problem, solver, 'thorough');
    assert(better && bound !== null && quick.bound !== null);
    const seen = evaluate(problem, better.plan);
    expect(seen.broken).toEqual([]);
    expect(seen.cost).toBeCloseTo(better.price, 9);
    expect(bound).toBeGreaterThan(quick.bound);
    expect(bound).toBeLessThanOrEqual(better.price + 1e-6);
    expect(gapOf(better.price, bound)).toBeLessThan(0.01);
  });

  it('never shows more than what a plan costs, over two yards as well', async () => {
    const solver = await loadSolver();
    const apiary = generatedYards({ colonies: 6, yards: 2, seed: 5 });
    const problem = problemOf(apiary, requestFor(apiary, [nucs(2)]));
    const { bound, better } = proveYard(problem, solver, 'thorough');
    expect(better?.price).toBeGreaterThanOrEqual((bound ?? Infinity) - 1e-6);
  });
});

describe('whole nucs as columns', () => {
  it('are not used where pins have begun a nuc', async () => {
    const solver = await loadSolver();
    const apiary = generatedYards({ colonies: 4, seed: 2 });
    const problem = problemOf(apiary, requestFor(apiary, [nucs(1)]));
    const nuc = problem.units.find((u) => u.kind === 'nuc');
    const frame = problem.frames.find((f) => nuc !== undefined && f.mayGoTo.includes(nuc.index));
    const frames = problem.frames.map((f) => (f === frame ? { ...f, pinnedTo: nuc?.index ?? null } : f));
    expect(NucColumns.of({ ...problem, frames }, solver, null)).toBeNull();
  });

  it('raise the bound and lower the price from round to round, and never pass each other', async () => {
    const solver = await loadSolver();
    const apiary = generatedYards({ colonies: 6, seed: 4 });
    const problem = problemOf(apiary, requestFor(apiary, [nucs(2)]));
    const columns = NucColumns.of(problem, solver, null);
    assert(columns);
    let { bound, price } = columns;
    for (let r = 0; r < 20; r++) {
      const goesOn = columns.round();
      expect(columns.bound).toBeGreaterThanOrEqual(bound - 1e-9);
      expect(columns.price).toBeLessThanOrEqual(price + 1e-4);
      expect(columns.bound).toBeLessThanOrEqual(columns.price + 1e-3);
      ({ bound, price } = columns);
      if (!goesOn) break;
    }
    columns.dispose();
  });
});
