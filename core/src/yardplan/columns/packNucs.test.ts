import { seededRandom } from '../../basics/index.ts';
import loadSolver from 'highs';
import { assert, describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { evaluate } from '../search/evaluate.ts';
import { hivesOpenedBy } from './hiveChoice.ts';
import { solveModel, type Solver } from '../model/linearModel.ts';
import { NucModel } from './nucModel.ts';
import { packNucs, wholeCounts, type Packed } from './packNucs.ts';
import { pooledModel } from '../model/pooledModel.ts';
import { PRICES } from '../problem/prices.ts';
import { nucsWanted, type YardProblem } from '../problem/problem.ts';
import type { YardPlanRequest } from '../../records/bodies/request.ts';
import { planOfNucs, type PoolHunt } from './wholeNuc.ts';
import { sampleOf } from '../../testing/sampleSize.ts';

/** A generated yard, and what packs so many nucs into some of its hives. */
function yard(
  solver: Solver,
  colonies: number,
  count: number | null,
  seed: number,
  change: Partial<YardPlanRequest> = {},
) {
  const apiary = generatedYards({ colonies, seed });
  const problem = problemOf(apiary, requestFor(apiary, [nucs(count)], change));
  const whole = new NucModel(problem, PRICES.nucMissing);
  const { worth } = whole.takeWhole(solver, count === null);
  const all = problem.units.filter((u) => u.kind === 'colony').map((u) => u.index);
  const counts = new Map(whole.hunts.map((hunt) => [hunt, nucsWanted(problem)]));
  const pack = (tries: number, hives: readonly number[] = all) =>
    packNucs({ whole, worth, hives: new Set(hives), counts, tries, random: seededRandom(5) });
  return { problem, pack, all };
}

const planOf = (problem: YardProblem, packed: Packed) =>
  planOfNucs(
    problem,
    [],
    packed.nucs.map((nuc) => ({ nuc, times: 1 })),
  );

describe('nucs packed into few hives', () => {
  it('break no rule beside each other, and cost what the plan costs', async () => {
    const solver = await loadSolver();
    for (const seed of [1, 2, 3]) {
      const { problem, pack } = yard(solver, 12, 4, seed);
      for (const tries of [0, 15]) {
        const packed = pack(tries);
        const seen = evaluate(problem, planOf(problem, packed));
        expect(seen.broken).toEqual([]);
        expect(seen.nucsMade).toBe(packed.nucs.length);
        expect(packed.cost).toBeCloseTo(seen.cost, 6);
      }
    }
  });

  it('break none where all that can be made are wanted, either', async () => {
    const solver = await loadSolver();
    for (const [colonies, seed] of sampleOf(2, [
      [6, 16],
      [6, 18],
      [12, 10],
    ] as const)) {
      // A brood comb that goes leaves bees to shake: were its nuc taken back alone, too few would stay.
      const { problem, pack } = yard(solver, colonies, null, seed, { nights: 'cold' });
      const packed = pack(40);
      const seen = evaluate(problem, planOf(problem, packed));
      expect(seen.broken).toEqual([]);
      expect(seen.nucsMade).toBe(packed.nucs.length);
    }
  });

  it('are no dearer after more tries, and the same each time', async () => {
    const solver = await loadSolver();
    const { pack } = yard(solver, 12, 5, 7);
    const costs = [0, 10, 40].map((tries) => pack(tries).cost);
    expect(costs).toEqual(costs.toSorted((a, b) => b - a));
    expect(pack(40)).toEqual(pack(40));
  });

  it('come from no other hives', async () => {
    const solver = await loadSolver();
    const { problem, pack, all } = yard(solver, 10, 3, 2);
    const some = all.slice(2, 6);
    const packed = pack(20, some);
    expect(packed.nucs.length).toBeGreaterThan(0);
    for (const hive of hivesOpenedBy(problem, planOf(problem, packed))) expect(some).toContain(hive);
  });

  it('come near to what the solver finds with everything whole, in the right hives', async () => {
    const solver = await loadSolver();
    for (const seed of [1, 2]) {
      const { problem, pack, all } = yard(solver, 4, 1, seed);
      const { cost, isOptimal } = solveModel(solver, pooledModel(problem, { nucsApart: true }).model, {
        nodes: 20_000,
        seconds: 60,
      });
      assert(isOptimal && cost !== null);
      const pairs = all.flatMap((a) => all.filter((b) => b >= a).map((b) => pack(20, [a, b]).cost));
      expect(Math.min(...pairs)).toBeGreaterThanOrEqual(cost - 1e-4);
      expect(Math.min(...pairs)).toBeLessThanOrEqual(cost * 1.02);
    }
  });
});

describe('how many whole nucs to make of what is made in parts', () => {
  const hunts = [5, 3].map(
    (most) => ({ pool: { nucs: Array.from({ length: most }) } }) as unknown as PoolHunt,
  );
  const [first, second] = hunts as [PoolHunt, PoolHunt];
  const counts = (a: number, b: number, more = 0) => [
    ...wholeCounts(
      new Map([
        [first, a],
        [second, b],
      ]),
      more,
    ).values(),
  ];

  it('is as many in all as the parts make, rounded up', () => {
    expect(counts(2.5, 1.5)).toEqual([3, 1]);
    expect(counts(2.4, 1.4)).toEqual([3, 1]);
    expect(counts(2.01, 0)).toEqual([2, 0]);
    expect(counts(0, 2.5)).toEqual([0, 3]);
  });

  it('is more or fewer where asked for, as far as there are any', () => {
    expect(counts(3, 2, 1)).toEqual([4, 2]);
    expect(counts(5, 2, 2)).toEqual([5, 3]);
    expect(counts(1, 2, -2)).toEqual([0, 1]);
    expect(counts(1, 1, -9)).toEqual([0, 0]);
  });
});
