import loadSolver from 'highs';
import { assert, describe, expect, it } from 'vitest';
import { sampleOf } from '../../testing/sampleSize.ts';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { evaluate } from '../search/evaluate.ts';
import { HiveTree } from './hiveTree.ts';
import { solveModel } from '../model/linearModel.ts';
import { NucColumns } from '../columns/nucColumns.ts';
import { pooledModel } from '../model/pooledModel.ts';
import { PRICES } from '../problem/prices.ts';

/** A tree for a generated yard, and what the solver says of the same yard taken as it is. */
async function treeFor(colonies: number, count: number, seed: number, nucMissing: number) {
  const solver = await loadSolver();
  const apiary = generatedYards({ colonies, seed });
  const problem = problemOf(apiary, requestFor(apiary, [nucs(count)]));
  const columns = NucColumns.of(problem, solver, null, nucMissing);
  assert(columns);
  const exact = () =>
    solveModel(solver, pooledModel(problem, { nucsApart: true }).model, { nodes: 20_000, seconds: 60 });
  return { problem, columns, exact, tree: new HiveTree(problem, solver, columns, nucMissing, null) };
}

describe('the tree of hives', () => {
  it('meets the optimum that the solver finds with everything whole', async () => {
    for (const seed of sampleOf(1, [1, 2])) {
      const { tree, columns, exact } = await treeFor(3, 1, seed, PRICES.nucMissing);
      expect(tree.work(600)).toBe(false);
      const { cost, isOptimal } = exact();
      assert(isOptimal && cost !== null);
      const best = Math.min(...[...tree.plans.values()].map((p) => p.price));
      expect(best).toBeGreaterThanOrEqual(cost - 1e-4);
      expect(best).toBeLessThanOrEqual(cost * 1.01);
      expect(tree.bound).toBeLessThanOrEqual(cost + 1e-4);
      expect(tree.bound).toBeGreaterThan(cost * 0.995);
      columns.dispose();
    }
  });

  it('raises its bound step by step, and keeps plans that break no rule', async () => {
    const { tree, columns, problem } = await treeFor(10, 3, 4, 30);
    let { bound } = tree;
    for (let n = 0; n < 8; n++) {
      const isOpen = tree.work(10);
      expect(tree.bound).toBeGreaterThanOrEqual(bound - 1e-9);
      ({ bound } = tree);
      if (!isOpen) break;
    }
    expect(tree.plans.size).toBeGreaterThan(0);
    for (const [count, { plan, price }] of tree.plans) {
      const seen = evaluate(problem, plan);
      expect(seen.broken).toEqual([]);
      expect(seen.nucsMade).toBe(count);
      expect(seen.cost).toBeCloseTo(price, 9);
      // A nuc that is missing costs the tree no more than it was told.
      expect(bound).toBeLessThanOrEqual(price - (PRICES.nucMissing - 30) * (3 - count) + 1e-6);
    }
    columns.dispose();
  });

  it('puts plans together soon: after few rounds hardly one is dearer than after many', async () => {
    for (const [colonies, count, seed] of sampleOf(1, [
      [12, 3, 3],
      [30, 8, 3],
    ] as const)) {
      const { tree, columns } = await treeFor(colonies, count, seed, 16);
      tree.work(15);
      const soon = tree.cheapest;
      assert(soon);
      tree.work(60);
      expect(soon.price).toBeLessThanOrEqual(1.01 * (tree.cheapest?.price ?? 0));
      columns.dispose();
    }
  });
});
