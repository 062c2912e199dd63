import type { YardProblem } from './problem.ts';
import { pooledModel } from './pooledModel.ts';
import { solveModel, type Solver } from './linearModel.ts';

/** How hard to look for a bound. */
export type BoundEffort = 'quick' | 'thorough';

/**
 * A price below which no plan of the problem can be, proven by a linear model that every plan fits into.
 *
 * @param effort - `quick` lets frames be divided; `thorough` searches a tree of whole numbers as well
 * @returns null when the solver has shown nothing
 */
export function boundOf(problem: YardProblem, solver: Solver, effort: BoundEffort): number | null {
  const { model } = pooledModel(problem);
  const solved = solveModel(
    solver,
    model,
    effort === 'quick' ? 'relaxed' : { nodes: nodesFor(model.columns), seconds: 20 },
  );
  // Solvers work to a tolerance: the last digits prove nothing.
  return solved.bound === null ? null : solved.bound - 1e-5 * Math.max(1, Math.abs(solved.bound));
}

/** A larger model gets fewer nodes, for each takes longer. */
const nodesFor = (columns: number) => Math.max(20, Math.min(4000, Math.round(1_500_000 / columns)));

/** How far a price may be from the best, as a share of it. */
export function gapOf(price: number, bound: number): number {
  if (price - bound <= 1e-6) return 0;
  return (price - bound) / Math.max(Math.abs(price), 1e-6);
}
