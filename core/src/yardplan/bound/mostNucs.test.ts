import loadSolver from 'highs';
import { assert, describe, expect, it } from 'vitest';
import { sampleOf } from '../../testing/sampleSize.ts';
import { generatedYards } from '../../testing/generatedYards.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { gapOfPlan, type Proof } from './bestProof.ts';
import { evaluate } from '../search/evaluate.ts';
import { solveModel, type Solver } from '../model/linearModel.ts';
import { mostNucs, withFewerNucs } from './mostNucs.ts';
import { pooledModel } from '../model/pooledModel.ts';
import { PRICES } from '../problem/prices.ts';
import { nothingMoved, nucsWanted, type YardProblem } from '../problem/problem.ts';
import { proofsOf } from './proveYard.ts';
import type { YardGoal } from '../../records/bodies/request.ts';

const level: YardGoal = { id: 'level', kind: 'level', by: 'brood', importance: 2 };

/** The last proof, and how many nucs its plan makes. */
async function proven(problem: YardProblem): Promise<{ proof: Proof; made: number }> {
  const proof = [...proofsOf(problem, await loadSolver())].at(-1);
  assert(proof?.better);
  const seen = evaluate(problem, proof.better.plan);
  expect(seen.broken).toEqual([]);
  return { proof, made: seen.nucsMade };
}

describe('the most nucs that can be made', () => {
  const apiary = generatedYards({ colonies: 6, seed: 3 });
  const problem = problemOf(apiary, requestFor(apiary, [nucs(null)]));
  const wanted = nucsWanted(problem);

  it('are fewer by one for every whole nuc that the bound is above all work that there could be', () => {
    const most = (bound: number) => mostNucs(problem, bound);
    expect(most(0)).toBe(wanted);
    // Six hives to open and some seventy combs to carry come to less than half a nuc that is missing.
    expect(most(PRICES.nucMissing * 2.5)).toBe(wanted - 3);
    expect(most(PRICES.nucMissing * 2)).toBe(wanted - 2);
  });

  it('are not told where wishes cost as well', () => {
    const withWish = problemOf(apiary, requestFor(apiary, [nucs(null), level]));
    expect(mostNucs(withWish, 5000)).toBeNull();
  });

  it('cost as much less, when fewer are asked for', () => {
    const plan = nothingMoved(problem);
    const less = evaluate(problem, plan).cost - evaluate(withFewerNucs(problem, 2), plan).cost;
    expect(less).toBeCloseTo(PRICES.nucMissing * (wanted - 2), 6);
  });

  it('are made and proven, and so is the work for them', async () => {
    const { proof, made } = await proven(problem);
    expect(made).toBe(proof.mostNucs);
    expect(made).toBeLessThan(wanted);
    expect(proof.bound).toBeGreaterThan(PRICES.nucMissing * (wanted - made));
    const cost = proof.better?.price ?? 0;
    expect(gapOfPlan(problem, { cost, nucsMade: made }, proof)).toBeLessThan(0.1);
    // Were the nucs that cannot be made counted, any plan would look good.
    expect(gapOfPlan(problem, { cost, nucsMade: made }, { ...proof, mostNucs: null })).toBeLessThan(0.003);
  });

  it('are made in a yard of twelve, where a search by single frames makes fewer', async () => {
    const solver = await loadSolver();
    // In the second yard the bound leaves one nuc open that no plan was found for, since boxes to be lifted are priced.
    const leftOpen: Readonly<Record<number, number>> = { 1: 0, 3: 1 };
    for (const seed of sampleOf(1, [1, 3])) {
      const yard = generatedYards({ colonies: 12, seed });
      const asked = problemOf(yard, requestFor(yard, [nucs(null)]));
      let made = 0;
      let most: number | null = null;
      for (const { better, mostNucs: atMost } of proofsOf(asked, solver)) {
        made = better ? evaluate(asked, better.plan).nucsMade : 0;
        most = atMost;
        if (made === most) break;
      }
      expect((most ?? 0) - made).toBeLessThanOrEqual(leftOpen[seed] ?? 0);
      expect(evaluate(asked, planned(asked, 1).plan).nucsMade).toBeLessThan(made);
    }
  });

  it('are none where no colony can give, and that is proven too', async () => {
    const weak = generatedYards({ colonies: 2, seed: 29 });
    const asked = requestFor(weak, [nucs(null, fiveFrames({ queen: 'mated' }))], {
      season: 'dearth',
      nights: 'cold',
    });
    const none = problemOf(weak, asked);
    // By rough sums one might be in reach.
    expect(none.units.filter((u) => u.kind === 'nuc')).toHaveLength(1);
    const { proof, made } = await proven(none);
    expect([made, proof.mostNucs]).toEqual([0, 0]);
    expect(Number.isFinite(proof.bound)).toBe(true);
  });

  it('are as many as the solver finds with every nuc for itself', async () => {
    const solver = await loadSolver();
    for (const seed of sampleOf(1, [1, 2])) {
      const small = generatedYards({ colonies: 2, seed });
      const exact = problemOf(small, requestFor(small, [nucs(null)]));
      const { model, pools } = pooledModel(exact, { nucsApart: true });
      model.forgetCosts();
      for (const pool of pools) model.setCost(pool.made, -1);
      const { cost, isOptimal } = solveModel(solver, model, { nodes: 20_000, seconds: 60 });
      assert(isOptimal && cost !== null);
      const { proof, made } = await proven(exact);
      expect([made, proof.mostNucs]).toEqual([-cost, -cost].map(Math.round));
    }
  });

  it('are let go of when the proof is broken off', async () => {
    const solver = await loadSolver();
    const held = new Set<unknown>();
    const watched = new Proxy(solver, {
      get(target, key) {
        if (key !== 'createModel') return Reflect.get(target, key, target) as unknown;
        return (...given: Parameters<Solver['createModel']>) => {
          const model = target.createModel(...given);
          held.add(model);
          const dispose = model.dispose.bind(model);
          model.dispose = () => {
            held.delete(model);
            dispose();
          };
          return model;
        };
      },
    });
    const two = generatedYards({ colonies: 6, yards: 2, seed: 3 });
    let most = 0;
    for (const { mostNucs: atMost } of proofsOf(problemOf(two, requestFor(two, [nucs(null)])), watched)) {
      most = Math.max(most, held.size);
      if (most > 0 && atMost !== null) break;
    }
    expect(most).toBeGreaterThan(0);
    expect(held.size).toBe(0);
  });

  it('are the sum of what each yard can make', async () => {
    const two = generatedYards({ colonies: 4, yards: 2, seed: 3 });
    const whole = await proven(problemOf(two, requestFor(two, [nucs(null)])));
    const yards: Awaited<ReturnType<typeof proven>>[] = [];
    for (const yardId of Object.keys(two.yard)) {
      yards.push(await proven(problemOf(two, requestFor(two, [nucs(null)], { yardIds: [yardId] }))));
    }
    const sum = (of: (y: Awaited<ReturnType<typeof proven>>) => number) =>
      yards.reduce((n, y) => n + of(y), 0);
    expect(whole.made).toBe(sum((y) => y.made));
    expect(whole.proof.mostNucs).toBe(sum((y) => y.proof.mostNucs ?? NaN));
  });
});
