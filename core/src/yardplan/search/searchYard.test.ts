import { describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { evaluate } from './evaluate.ts';
import { withWishes } from './searchYard.ts';

const apiary = generatedYards({ colonies: 8, seed: 4 });

describe('a plan of nucs with the wishes of colonies', () => {
  it('costs less, breaks no rule and makes no nuc fewer', () => {
    const bare = problemOf(apiary, requestFor(apiary, [nucs(1)]));
    const problem = problemOf(
      apiary,
      requestFor(apiary, [nucs(1), { id: 'l', kind: 'level', by: 'brood', importance: 3 }]),
    );
    expect(problem.frames.map((f) => f.id)).toEqual(bare.frames.map((f) => f.id));
    const { plan } = planned(bare, 1);
    const before = evaluate(problem, plan);
    const after = evaluate(problem, withWishes(problem, plan));
    expect(after.broken).toEqual([]);
    expect(after.nucsMade).toBe(before.nucsMade);
    expect(after.cost).toBeLessThan(before.cost);
  });

  it('is the same plan where nothing is wished of any colony', () => {
    const problem = problemOf(apiary, requestFor(apiary, [nucs(1)]));
    const { plan } = planned(problem, 1);
    expect(withWishes(problem, plan)).toBe(plan);
  });
});
