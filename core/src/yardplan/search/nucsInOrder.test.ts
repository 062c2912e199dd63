import { describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { evaluate } from './evaluate.ts';
import { nucsInOrder } from './nucsInOrder.ts';
import type { Assignment, YardProblem } from '../problem/problem.ts';

const apiary = generatedYards({ colonies: 6, seed: 1 });
const problem = problemOf(apiary, requestFor(apiary, [nucs(null)]));
const all = problem.units.filter((u) => u.kind === 'nuc').map((u) => u.index);

/** The plan with its nucs made as the last ones, one in every two. */
function withGaps({ to, shakenFor }: Assignment): Assignment {
  const made = all.filter((u) => to.includes(u));
  const later = (unit: number) => {
    const n = made.indexOf(unit);
    return n < 0 ? unit : (all.at(-1 - 2 * n) as number);
  };
  return { to: to.map(later), shakenFor: shakenFor.map((u) => (u === null ? null : later(u))) };
}

const madeIn = (p: YardProblem, plan: Assignment) =>
  p.units.filter((u) => u.kind === 'nuc' && plan.to.includes(u.index)).map((u) => u.index);

describe('nucs in order', () => {
  const two = problemOf(apiary, requestFor(apiary, [nucs(2)]));
  const { plan } = planned({ ...problem, nucGoals: two.nucGoals }, 2);
  const gaps = withGaps(plan);

  it('are numbered without gaps, and the plan is as good as before', () => {
    expect(madeIn(problem, gaps)).not.toEqual(all.slice(0, 2));
    const ordered = nucsInOrder(problem, gaps);
    expect(madeIn(problem, ordered)).toEqual(all.slice(0, 2));
    const [before, after] = [evaluate(problem, gaps), evaluate(problem, ordered)];
    expect(after.broken).toEqual([]);
    expect(after.cost).toBeCloseTo(before.cost, 9);
  });

  it('keep their numbers where a frame is held in one', () => {
    const held = gaps.to.findIndex((u) => all.includes(u));
    const frames = problem.frames.map((f, i) => (i === held ? { ...f, pinnedTo: gaps.to[i] as number } : f));
    expect(nucsInOrder({ ...problem, frames }, gaps)).toEqual(gaps);
  });
});
