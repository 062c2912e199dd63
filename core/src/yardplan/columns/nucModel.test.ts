import loadSolver from 'highs';
import { assert, describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { ANY_HIVES } from './hiveChoice.ts';
import { addCommonRows } from './hiveRows.ts';
import { solveModel } from '../model/linearModel.ts';
import { NucModel } from './nucModel.ts';
import { pooledModel } from '../model/pooledModel.ts';
import { PRICES } from '../problem/prices.ts';

function problemFor(colonies: number, seed: number) {
  const apiary = generatedYards({ colonies, seed });
  return problemOf(apiary, requestFor(apiary, [nucs(2)]));
}

describe('rows of all hives together', () => {
  it('follow from those of the hives: they take no solution away', async () => {
    const solver = await loadSolver();
    for (const seed of [1, 2]) {
      const { model, ruleRows, opened } = pooledModel(problemFor(8, seed));
      const before = solveModel(solver, model, 'relaxed').cost;
      const rows = addCommonRows(model, ruleRows, opened);
      expect(rows.length).toBeGreaterThan(3);
      const after = solveModel(solver, model, 'relaxed').cost;
      assert(before !== null && after !== null);
      expect(after).toBeCloseTo(before, 5);
    }
  });
});

describe('the model of whole nucs', () => {
  it('opens and shuts hives as it is told, and leaves open what pins have opened', () => {
    const problem = problemFor(4, 3);
    const [first, second, third] = problem.units.filter((u) => u.kind === 'colony');
    assert(first && second && third);
    const frames = problem.frames.map((f) =>
      f.home === first.index && f.mayGoTo.length > 0 ? { ...f, pinnedTo: -1 } : f,
    );
    const whole = new NucModel({ ...problem, frames }, PRICES.nucMissing);
    const boundsOf = (unit: number) => whole.model.bounds(whole.opened[unit] as number);
    whole.restrict({ ...ANY_HIVES, opened: new Set([second.index]), closed: new Set([third.index]) });
    expect([first, second, third].map((u) => boundsOf(u.index))).toEqual([
      [1, 1],
      [1, 1],
      [0, 0],
    ]);
    whole.restrict(ANY_HIVES);
    expect([first, second, third].map((u) => boundsOf(u.index))).toEqual([
      [1, 1],
      [0, 1],
      [0, 1],
    ]);
  });

  it('has no price against the sense of a row', async () => {
    const whole = new NucModel(problemFor(4, 1), PRICES.nucMissing);
    const { worth } = whole.takeWhole(await loadSolver(), false);
    expect(worth.some((w) => w !== 0)).toBe(true);
    const flipped = whole.signed(worth.map((w) => -w));
    worth.forEach((w, r) => {
      const [lower, upper] = whole.model.rowBounds(r);
      if (Math.abs(lower) < 1e20 && Math.abs(upper) < 1e20) return;
      expect(flipped[r] === 0 || w === 0).toBe(true);
    });
  });
});
