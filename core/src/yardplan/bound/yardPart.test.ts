import { assert, describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { evaluate } from '../search/evaluate.ts';
import { nothingMoved, STORE, type YardProblem } from '../problem/problem.ts';
import { planOfPart, planOfParts, yardParts } from './yardPart.ts';

const apiary = generatedYards({ colonies: 9, yards: 3, seed: 2, drawn: 4 });
const problem = problemOf(apiary, requestFor(apiary, [nucs(3)]));
const parts = yardParts(problem) ?? [];

describe('yards one by one', () => {
  it('have all units between them, and the store each', () => {
    expect(parts).toHaveLength(3);
    expect(parts.flatMap((p) => p.units).toSorted((a, b) => a - b)).toEqual(
      problem.units.map((u) => u.index),
    );
    const blanks = problem.frames.filter((f) => f.home === STORE).length;
    for (const { problem: part } of parts) {
      expect(part.frames.filter((f) => f.home === STORE)).toHaveLength(blanks);
      part.units.forEach((u, i) => expect(u.index).toBe(i));
      part.frames.forEach((f, i) => {
        expect(f.index).toBe(i);
        for (const u of [...f.mayGoTo, ...f.mayShakeFor]) expect(u).toBeLessThan(part.units.length);
      });
    }
  });

  it('cost together what the whole costs, and make the same plan again', () => {
    const { plan } = planned(problem, 2);
    const plans = parts.map((part) => ({ part, plan: planOfPart(part, plan) }));
    const seen = evaluate(problem, plan);
    const each = plans.map((p) => evaluate(p.part.problem, p.plan));
    const work = (e: (typeof each)[number], of: YardProblem) =>
      e.cost - 1000 * (of.nucGoals.reduce((n, g) => n + g.wanted, 0) - e.nucsMade);
    expect(each.reduce((n, e) => n + e.nucsMade, 0)).toBe(seen.nucsMade);
    expect(each.reduce((sum, e, i) => sum + work(e, plans[i]?.part.problem as YardProblem), 0)).toBeCloseTo(
      work(seen, problem),
      6,
    );
    const again = planOfParts(problem, plans);
    assert(again);
    expect(evaluate(problem, again)).toMatchObject({ nucsMade: seen.nucsMade, broken: [] });
    expect(evaluate(problem, again).cost).toBeCloseTo(seen.cost, 9);
  });

  it('share the store: a comb that is taken gives way to one like it, and none is given twice', () => {
    const takes = (count: number) =>
      parts.map((part) => {
        const { to, shakenFor } = nothingMoved(part.problem);
        const nuc = part.problem.units.find((u) => u.kind === 'nuc')?.index ?? -1;
        const drawn = part.problem.frames.filter((f) => f.home === STORE && f.mayGoTo.includes(nuc));
        const taken = new Set(drawn.slice(0, count).map((f) => f.index));
        return { part, plan: { to: to.map((u, f) => (taken.has(f) ? nuc : u)), shakenFor } };
      });
    const one = planOfParts(problem, takes(1));
    assert(one);
    const given = one.to.flatMap((u, f) => (problem.frames[f]?.home === STORE && u !== STORE ? [u] : []));
    expect(new Set(given).size).toBe(3);
    expect(given).toHaveLength(3);
    expect(planOfParts(problem, takes(9))).toBeNull();
  });

  it('are not told apart where there is one, or where a pin goes across', () => {
    const single = generatedYards({ colonies: 3, seed: 1 });
    expect(yardParts(problemOf(single, requestFor(single, [nucs(1)])))).toBeNull();
    const [first, second] = parts;
    const frames = problem.frames.map((f) =>
      f.home === first?.units[0] ? { ...f, pinnedTo: second?.units[0] ?? null } : f,
    );
    expect(yardParts({ ...problem, frames })).toBeNull();
  });
});
