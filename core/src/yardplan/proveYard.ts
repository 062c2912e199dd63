import { evaluate } from './evaluate.ts';
import { solveModel, type Solver } from './linearModel.ts';
import { NucColumns } from './nucColumns.ts';
import { pooledModel } from './pooledModel.ts';
import type { Assignment, YardProblem } from './problem.ts';
import { YardSearch } from './searchYard.ts';

/** How hard to look for a bound. */
export type ProofEffort = 'quick' | 'thorough';

/** What was proven of a problem. */
export interface Proof {
  /** No plan costs less; null when nothing was shown. */
  readonly bound: number | null;
  /** A plan that was found on the way, which breaks no rule. */
  readonly better: { readonly plan: Assignment; readonly price: number } | null;
}

/** Whole nucs are looked for through fewer rounds where there are more hives, for each takes longer. */
const roundsFor = (hives: number) => Math.max(8, Math.min(100, Math.round(1200 / Math.max(1, hives))));
/** A brake on the search through a tree; its nodes are counted too. */
const SECONDS = 12;
/** Bound and price this near to each other are as good as one. */
const NEAR = 1e-3;
/** Rounds of search before nucs are priced, and after a plan is put together from them. */
const SEARCHED = 2;
/** Plans are looked for through a tree in yards of so many hives, for so long. */
const TREE_HIVES = 40;
const TREE_SECONDS = 4;
/** Models of so many columns are solved nuc by nuc. */
const EXACT_COLUMNS = 450;
/** Solvers work to a tolerance: the last digits prove nothing. */
const NOISE = 1e-5;

/**
 * Shows a price below which no plan of the problem can be, by linear models that every plan fits into.
 *
 * @param effort - `quick` lets nucs share their frames, and frames be divided; `thorough` takes nucs whole, and
 *   puts plans together from them
 */
export function proveYard(problem: YardProblem, solver: Solver, effort: ProofEffort): Proof {
  const pooled = pooledModel(problem).model;
  if (effort === 'quick')
    return { bound: below([solveModel(solver, pooled, 'relaxed').bound]), better: null };
  const search = new YardSearch(problem);
  search.first();
  for (let r = 0; r < SEARCHED; r++) search.round();
  const columns = NucColumns.of(problem, solver, search.best().plan);
  if (!columns) {
    const effortOf = { nodes: nodesFor(pooled.columns), seconds: SECONDS };
    return { bound: below([solveModel(solver, pooled, effortOf).bound]), better: bestOf(search) };
  }
  try {
    for (let r = roundsFor(hivesOf(problem)); r > 0; r--) {
      if (!columns.round() || columns.price - columns.bound < NEAR * columns.price) break;
    }
    const better = planFrom(columns, problem, search);
    const bounds: (number | null)[] = [columns.bound];
    const exact = pooledModel(problem, true).model;
    // What is left of the gap in a small yard is hives opened by half.
    if (exact.columns <= EXACT_COLUMNS) {
      bounds.push(solveModel(solver, exact, { nodes: nodesFor(exact.columns), seconds: SECONDS }).bound);
    }
    return { bound: below(bounds), better };
  } finally {
    columns.dispose();
  }
}

const hivesOf = (problem: YardProblem) => problem.units.filter((u) => u.kind === 'colony').length;

/** The best plan that whole nucs make, or the search's own. */
function planFrom(columns: NucColumns, problem: YardProblem, search: YardSearch): Proof['better'] {
  let best = bestOf(search);
  const take = (plan: Assignment | null) => {
    const found = plan && bestOf(new YardSearch(problem, plan));
    if (found && (!best || found.price < best.price)) best = found;
  };
  take(columns.plan(best?.price ?? Infinity));
  columns.widen();
  take(columns.plan(best?.price ?? Infinity));
  if (hivesOf(problem) <= TREE_HIVES) take(columns.bestPlan(TREE_SECONDS));
  return best && bestOf(polished(problem, best.plan));
}

function polished(problem: YardProblem, plan: Assignment): YardSearch {
  const search = new YardSearch(problem, plan);
  for (let r = 0; r < SEARCHED; r++) search.round();
  return search;
}

/** The plan of a search, weighed up by itself; null when it breaks a rule. */
function bestOf(search: YardSearch): Proof['better'] {
  const { plan, feasible } = search.best();
  const seen = evaluate(search.problem, plan);
  return feasible && seen.broken.length === 0 ? { plan, price: seen.cost } : null;
}

function below(bounds: readonly (number | null)[]): number | null {
  const shown = bounds.filter((b) => b !== null);
  if (shown.length === 0) return null;
  const best = Math.max(...shown);
  return best - NOISE * Math.max(1, Math.abs(best));
}

/** A larger model gets fewer nodes, for each takes longer. */
const nodesFor = (columns: number) => Math.max(20, Math.min(20_000, Math.round(4_000_000 / columns)));

/** How far a price may be from the best, as a share of it. */
export function gapOf(price: number, bound: number): number {
  if (price - bound <= 1e-6) return 0;
  return (price - bound) / Math.max(Math.abs(price), 1e-6);
}
