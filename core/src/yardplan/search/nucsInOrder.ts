import { alikeNucs, type Assignment, type YardProblem, type YardUnit } from '../problem/problem.ts';

/**
 * The same plan with the first nucs of each goal and yard made, so that their numbers have no gaps. Where pins hold
 * on to one of them, each keeps its number.
 */
export function nucsInOrder(problem: YardProblem, plan: Assignment): Assignment {
  const held = new Set(problem.frames.flatMap((f) => [f.pinnedTo, f.shakenAlready]));
  const used = new Set([...plan.to, ...plan.shakenFor]);
  const number = new Map<number, number>();
  for (const nucs of alikeNucs(problem)) {
    if (nucs.some((u) => held.has(u.index))) continue;
    const made = nucs.filter((u) => used.has(u.index));
    made.forEach((u, n) => number.set(u.index, (nucs[n] as YardUnit).index));
  }
  const numbered = (unit: number) => number.get(unit) ?? unit;
  return {
    to: plan.to.map(numbered),
    shakenFor: plan.shakenFor.map((unit) => (unit === null ? null : numbered(unit))),
  };
}
