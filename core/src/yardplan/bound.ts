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
  const pooled = pooledModel(problem).model;
  const bounds: (number | null)[] = [];
  if (effort === 'quick') bounds.push(solveModel(solver, pooled, 'relaxed').bound);
  else {
    bounds.push(solveModel(solver, pooled, { nodes: nodesFor(pooled.columns), seconds: 8 }).bound);
    const exact = pooledModel(problem, true).model;
    // Small enough to be solved as it is; the pool alone would leave a gap.
    if (exact.columns <= EXACT_COLUMNS) {
      bounds.push(solveModel(solver, exact, { nodes: nodesFor(exact.columns), seconds: 10 }).bound);
    }
  }
  const shown = bounds.filter((b) => b !== null);
  if (shown.length === 0) return null;
  const best = Math.max(...shown);
  // Solvers work to a tolerance: the last digits prove nothing.
  return best - 1e-5 * Math.max(1, Math.abs(best));
}

/** Models of so many columns are still solved nuc by nuc. */
const EXACT_COLUMNS = 450;

/** A larger model gets fewer nodes, for each takes longer. */
const nodesFor = (columns: number) => Math.max(20, Math.min(20_000, Math.round(4_000_000 / columns)));

/** How far a price may be from the best, as a share of it. */
export function gapOf(price: number, bound: number): number {
  if (price - bound <= 1e-6) return 0;
  return (price - bound) / Math.max(Math.abs(price), 1e-6);
}
