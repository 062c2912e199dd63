import { describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { evaluate } from '../search/evaluate.ts';
import { pooledModel, type NucPool } from '../model/pooledModel.ts';
import { huntOf, nucsOfPlan, planOfNucs } from './wholeNuc.ts';

const apiary = generatedYards({ colonies: 6, seed: 2 });
const problem = problemOf(apiary, requestFor(apiary, [nucs(2)]));
const { pools, ways } = pooledModel(problem);
const hunt = huntOf(pools[0] as NucPool, ways, 0);
const { plan } = planned(problem, 1);

describe('nucs taken whole', () => {
  it('are read from a plan and put together again at the same price', () => {
    const items = nucsOfPlan(problem, hunt, plan);
    expect(items).toHaveLength(2);
    const again = planOfNucs(
      problem,
      [],
      items.map((i) => ({ nuc: { hunt, items: i }, times: 1 })),
    );
    const [before, after] = [evaluate(problem, plan), evaluate(problem, again)];
    expect(after.broken).toEqual([]);
    expect(after.nucsMade).toBe(2);
    expect(after.cost).toBeCloseTo(before.cost, 9);
  });

  it('take different combs of the store, though these are alike', () => {
    const fromStore = hunt.ways.findIndex((w) => w.frame.home < 0);
    const made = planOfNucs(problem, [], [{ nuc: { hunt, items: [fromStore, fromStore] }, times: 1 }]);
    const nuc = hunt.pool.nucs[0]?.index;
    expect(made.to.filter((t) => t === nuc)).toHaveLength(2);
  });

  it('are no more than there are places for', () => {
    const [items] = nucsOfPlan(problem, hunt, plan);
    const made = planOfNucs(problem, [], [{ nuc: { hunt, items: items ?? [] }, times: 99 }]);
    const used = new Set(made.to.filter((t) => problem.units[t]?.kind === 'nuc'));
    expect(used.size).toBeLessThanOrEqual(hunt.pool.nucs.length);
  });

  it('come from the hives of their pool', () => {
    for (const h of hunt.hives) expect(problem.units[h]?.kind).toBe('colony');
    expect(hunt.ways.every((w) => w.pool === hunt.pool)).toBe(true);
  });
});
