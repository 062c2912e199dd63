import loadSolver from 'highs';
import { assert, describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { gapOf } from './bestProof.ts';
import { evaluate } from '../search/evaluate.ts';
import { solveModel } from '../model/linearModel.ts';
import { pooledModel } from '../model/pooledModel.ts';
import { proveByYards, type ProofByYards } from './proveByYards.ts';
import { proofsOf } from './proveYard.ts';
import { yardParts } from './yardPart.ts';

describe('a proof yard by yard', () => {
  it('bounds what the solver finds for all yards at once, and comes near to it', async () => {
    const solver = await loadSolver();
    const apiary = generatedYards({ colonies: 6, yards: 2, seed: 3 });
    const problem = problemOf(apiary, requestFor(apiary, [nucs(2)]));
    const start = planned(problem, 1);
    const parts = yardParts(problem);
    assert(parts);
    const shown: ProofByYards[] = [...proveByYards(problem, parts, solver, start, 0)];
    const { cost, isOptimal } = solveModel(solver, pooledModel(problem, { nucsApart: true }).model, {
      nodes: 20_000,
      seconds: 60,
    });
    assert(isOptimal && cost !== null);
    for (const { bound } of shown) expect(bound).toBeLessThanOrEqual(cost + 1e-4);
    shown
      .slice(1)
      .forEach(({ bound }, i) => expect(bound).toBeGreaterThanOrEqual(shown[i]?.bound ?? Infinity));
    const { bound, better } = shown.at(-1) as ProofByYards;
    assert(better);
    expect(evaluate(problem, better.plan)).toMatchObject({ broken: [], nucsMade: 2 });
    expect(better.price).toBeGreaterThanOrEqual(cost - 1e-4);
    expect(gapOf(better.price, bound)).toBeLessThan(0.1);
  });

  it('counts the wishes of a yard in which no nuc can be made', async () => {
    const solver = await loadSolver();
    const apiary = generatedYards({ colonies: 6, yards: 2, seed: 3 });
    const yardId = Object.keys(apiary.yard).toSorted()[1] as string;
    const whole = problemOf(
      apiary,
      requestFor(apiary, [nucs(1), { id: 'l', kind: 'level', by: 'brood', importance: 3 }]),
    );
    // Without candidates there, as for a recipe that none of its colonies can serve.
    const gone = new Set(
      whole.units.filter((u) => u.kind === 'nuc' && u.yardId === yardId).map((u) => u.index),
    );
    expect(gone.size).toBeGreaterThan(0);
    expect([...gone].every((u) => u >= whole.units.length - gone.size)).toBe(true);
    const problem = {
      ...whole,
      units: whole.units.filter((u) => !gone.has(u.index)),
      frames: whole.frames.map((f) => ({
        ...f,
        mayGoTo: f.mayGoTo.filter((u) => !gone.has(u)),
        mayShakeFor: f.mayShakeFor.filter((u) => !gone.has(u)),
      })),
    };
    const proofs = [...proofsOf(problem, solver)];
    const { bound, better } = proofs.at(-1) ?? { bound: null, better: null };
    assert(bound !== null && better);
    // Levelling costs in both yards: a bound that left one out would lie far below.
    expect(bound).toBeGreaterThanOrEqual((proofs[0]?.bound ?? Infinity) - 1e-6);
    expect(bound).toBeLessThanOrEqual(better.price + 1e-6);
    expect(gapOf(better.price, bound)).toBeLessThan(0.2);
  });
});
