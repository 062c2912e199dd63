import loadSolver from 'highs';
import { describe, expect, it } from 'vitest';
import { sampleOf } from '../../testing/sampleSize.ts';
import { generatedYards } from '../../testing/generatedYards.ts';
import { fiveFrames, nucs, problemOf, requestFor, twoAndTwo } from '../../testing/yardRequests.ts';
import { solveModel } from '../model/linearModel.ts';
import { mostByCounting } from './mostByCounting.ts';
import { mostNucs } from './mostNucs.ts';
import { pooledModel } from '../model/pooledModel.ts';
import { nucsWanted, type YardProblem } from '../problem/problem.ts';

const problem = (colonies: number, seed: number, goals = [nucs(null)], yards = 1) => {
  const apiary = generatedYards({ colonies, yards, seed });
  return problemOf(apiary, requestFor(apiary, goals));
};

/** What can be made exactly, by a model of every nuc and frame. */
async function mostExactly(asked: YardProblem): Promise<{ made: number; isOptimal: boolean }> {
  const { model, pools } = pooledModel(asked, { nucsApart: true });
  model.forgetCosts();
  for (const { made } of pools) model.setCost(made, -1);
  const solver = await loadSolver();
  const { cost, isOptimal } = solveModel(solver, model, { nodes: 20_000, seconds: 60 });
  return { made: Math.round(-(cost ?? 0)), isOptimal };
}

describe('nucs counted by what the hives can give', () => {
  it('are never fewer than can be made, and seldom more', async () => {
    const solver = await loadSolver();
    let more = 0;
    for (const seed of sampleOf(2, [1, 2, 3, 4, 5])) {
      const asked = problem(2 + (seed % 2), seed);
      const { made, isOptimal } = await mostExactly(asked);
      const counted = mostByCounting(asked, solver) ?? 0;
      expect(isOptimal).toBe(true);
      expect(counted).toBeGreaterThanOrEqual(made);
      more += counted - made;
    }
    expect(more).toBeLessThanOrEqual(2);
  });

  it('are fewer than where combs and shakes are divided', async () => {
    const solver = await loadSolver();
    for (const recipe of [fiveFrames(), twoAndTwo()]) {
      const asked = problem(12, 1, [nucs(null, recipe)]);
      const { bound } = solveModel(solver, pooledModel(asked).model, 'relaxed');
      const divided = mostNucs(asked, bound as number) as number;
      expect(mostByCounting(asked, solver)).toBeLessThan(divided);
    }
  });

  it('are no more than are asked for', async () => {
    expect(mostByCounting(problem(6, 1, [nucs(2)]), await loadSolver())).toBe(2);
  });

  it('are those of each yard together', async () => {
    const solver = await loadSolver();
    const apiary = generatedYards({ colonies: 9, yards: 3, seed: 4 });
    const request = requestFor(apiary, [nucs(null)]);
    const each = Object.keys(apiary.yard).map((id) =>
      mostByCounting(problemOf(apiary, { ...request, yardIds: [id] }), solver),
    );
    const sum = each.reduce<number>((n, most) => n + (most ?? 0), 0);
    expect(mostByCounting(problemOf(apiary, request), solver)).toBe(sum);
  });

  it('are not told where combs go elsewhere too, or to several goals', async () => {
    const solver = await loadSolver();
    const two = [nucs(null), { ...nucs(1, twoAndTwo()), id: 'others' }];
    expect(mostByCounting(problem(5, 2, two), solver)).toBeNull();
    const level = { id: 'level', kind: 'level', by: 'brood', importance: 2 } as const;
    expect(mostByCounting(problem(5, 2, [nucs(null), level]), solver)).toBeNull();
  });

  it('are not told once a nuc has been begun', async () => {
    const asked = problem(5, 2);
    const nuc = asked.units.find((u) => u.kind === 'nuc');
    const first = asked.frames.findIndex((f) => f.mayGoTo.includes(nuc?.index ?? -1));
    const begun = {
      ...asked,
      frames: asked.frames.map((f, i) => (i === first ? { ...f, pinnedTo: nuc?.index ?? null } : f)),
    };
    expect(nucsWanted(begun)).toBeGreaterThan(1);
    expect(mostByCounting(begun, await loadSolver())).toBeNull();
  });
});
