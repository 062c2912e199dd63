import { BestProof, NO_PROOF, type Proof } from './bestProof.ts';
import { evaluate } from '../search/evaluate.ts';
import { HiveTree, type FoundPlan } from './hiveTree.ts';
import { mostByCounting } from './mostByCounting.ts';
import { withFewerNucs } from './mostNucs.ts';
import { NucColumns } from '../columns/nucColumns.ts';
import { proveByYards } from './proveByYards.ts';
import { hasBegunNucs } from '../columns/wholeNuc.ts';
import { planOfParts, yardParts, type YardPart } from './yardPart.ts';
import { solveModel, type Solver } from '../model/linearModel.ts';
import { pooledModel } from '../model/pooledModel.ts';
import { PRICES } from '../problem/prices.ts';
import { nucsWanted, type YardProblem } from '../problem/problem.ts';
import { YardSearch } from '../search/searchYard.ts';

/** How hard to look for a bound. */
export type ProofEffort = 'quick' | 'thorough';

/** Whole nucs are looked for through fewer rounds where there are more hives, for each takes longer. */
const roundsFor = (hives: number) => Math.max(60, Math.min(400, Math.round(8000 / Math.max(1, hives))));
/** Rounds between two reports. */
const REPORTED = 5;
/** Models of so many columns are solved as they are. */
const EXACT_COLUMNS = 450;
/** A gap as small as this is none. */
const CLOSED = 1.1e-3;
/** A brake on the search through a tree; its nodes are counted too. */
const SECONDS = 12;
/** Rounds of search before nucs are priced, and after a plan is put together from them. */
const SEARCHED = 2;
/** For the proof a nuc that is not made costs so many times what one costs, but no less than this. */
const MISSING_TIMES = 1.6;
const MISSING_LEAST = 12;

/**
 * Shows a price below which no plan of the problem can be, by linear models that every plan fits into.
 *
 * @param effort - `quick` lets nucs share their frames, and frames be divided; `thorough` takes nucs and hives
 *   whole, and puts plans together from them
 */
export function proveYard(problem: YardProblem, solver: Solver, effort: ProofEffort): Proof {
  let last = NO_PROOF;
  for (const proof of proofsOf(problem, solver)) {
    last = proof;
    if (effort === 'quick') break;
  }
  return last;
}

/**
 * The same step by step: each proof that comes is as good as the one before or better. The first is the quick one.
 */
export function* proofsOf(problem: YardProblem, solver: Solver): Generator<Proof> {
  const pooled = pooledModel(problem).model;
  const known = new BestProof(problem);
  yield known.with(solveModel(solver, pooled, 'relaxed').bound, null);
  const parts = partsOf(problem);
  const { limits } = problem.request;
  const isApart = limits.hives === null && limits.frames === null;
  const isMost = problem.nucGoals.length > 0 && problem.nucGoals.every((g) => g.count === null);
  if (parts && isApart && isMost) {
    yield* proveApart(problem, parts, solver, known);
    return;
  }
  const search = new YardSearch(problem);
  search.first();
  // Whole nucs make better plans than the search: it goes on only while nucs are missing that may well be made.
  const isEnough = () => search.best().price < PRICES.nucMissing;
  for (let r = 0; r < SEARCHED && !isMost && !isEnough(); r++) search.round();
  yield* proveFrom(problem, solver, bestOf(search), known);
}

/** Proofs from a plan on. */
function* proveFrom(
  problem: YardProblem,
  solver: Solver,
  start: FoundPlan | null,
  known: BestProof,
): Generator<Proof> {
  if (start) yield known.with(null, start);
  if (known.makesMost) {
    yield* proveFewer(problem, solver, known);
    return;
  }
  const nucMissing = missingPrice(problem, start);
  const parts = nucMissing < PRICES.nucMissing ? partsOf(problem) : null;
  if (start && parts) {
    for (const { bound, better } of proveByYards(problem, parts, solver, start, known.bound ?? 0))
      yield known.with(bound, better);
    if (known.better) yield known.with(null, polished(problem, known.better));
    return;
  }
  const pooled = pooledModel(problem).model;
  const columns = NucColumns.of(problem, solver, start?.plan ?? null, nucMissing);
  if (!columns) {
    const effortOf = { nodes: nodesFor(pooled.columns), seconds: SECONDS };
    yield known.with(solveModel(solver, pooled, effortOf).bound, start);
    return;
  }
  // With all nucs made, the bound is good sooner at a price for a missing one that is near what one costs.
  const isDear = nucMissing >= PRICES.nucMissing;
  const isAllMade = () => isDear && missingPrice(problem, known.better) < PRICES.nucMissing;
  const isSettled = () => known.makesMost || isAllMade();
  try {
    const tree = new HiveTree(problem, solver, columns, nucMissing, start?.plan ?? null);
    yield known.with(tree.bound, tree.cheapest);
    if (isDear && !isAllMade()) yield known.with(null, null, mostByCounting(problem, solver));
    for (let left = roundsFor(hiveCount(problem)); left > 0 && !isSettled(); left -= REPORTED) {
      const isOpen = tree.work(Math.min(left, REPORTED));
      yield known.with(tree.bound, tree.cheapest);
      if (!isOpen || known.gap < CLOSED) break;
    }
  } finally {
    columns.dispose();
  }
  if (isAllMade()) {
    yield* proveFrom(problem, solver, known.better, known);
    return;
  }
  if (known.makesMost) {
    yield* proveFewer(problem, solver, known);
    return;
  }
  if (known.better) yield known.with(null, polished(problem, known.better));
  // Whole nucs say nothing of combs that colonies give each other: in a small yard everything is taken whole.
  if (known.gap < CLOSED) return;
  const exact = pooledModel(problem, { nucsApart: true }).model;
  if (exact.columns > EXACT_COLUMNS) return;
  const effortOf = { nodes: nodesFor(exact.columns), seconds: SECONDS };
  yield known.with(solveModel(solver, exact, effortOf).bound, null);
}

/** What is left when no nuc more can be made: to make as many in the best way. */
function* proveFewer(problem: YardProblem, solver: Solver, known: BestProof): Generator<Proof> {
  if (!known.better) return;
  const { plan, price } = known.better;
  const { nucsMade } = evaluate(problem, plan);
  const less = PRICES.nucMissing * (nucsWanted(problem) - nucsMade);
  const fewer = withFewerNucs(problem, nucsMade);
  const start = { plan, price: price - less };
  for (const { bound, better } of proveFrom(fewer, solver, start, new BestProof(fewer))) {
    yield known.with(
      bound === null ? null : bound + less,
      better && { ...better, price: better.price + less },
    );
  }
}

/** Where each yard makes as many as it can, one has nothing to do with the other. Each goes one step on in turn. */
function* proveApart(
  problem: YardProblem,
  parts: readonly YardPart[],
  solver: Solver,
  known: BestProof,
): Generator<Proof> {
  const yards = parts.map((part) => ({ part, proofs: proofsOf(part.problem, solver), last: NO_PROOF }));
  const open = new Set(yards);
  try {
    while (open.size > 0) {
      for (const yard of open) {
        const { value, done } = yard.proofs.next();
        if (done) open.delete(yard);
        else yard.last = value;
      }
      const sumOf = (of: (proof: Proof) => number | null) =>
        yards.reduce<number | null>((sum, { last }) => {
          const n = of(last);
          return sum === null || n === null ? null : sum + n;
        }, 0);
      yield known.with(
        sumOf((p) => p.bound),
        together(problem, yards),
        sumOf((p) => p.mostNucs),
      );
    }
  } finally {
    // Proofs that are broken off let go of what they hold.
    for (const { proofs } of yards) proofs.return(undefined);
  }
}

/** The best plans of all yards as one; null while a yard has none, and where the store is too small for all. */
function together(
  problem: YardProblem,
  yards: readonly { readonly part: YardPart; readonly last: Proof }[],
): FoundPlan | null {
  const plan = planOfParts(
    problem,
    yards.flatMap(({ part, last }) => (last.better ? [{ part, plan: last.better.plan }] : [])),
  );
  if (!plan || yards.some(({ last }) => !last.better)) return null;
  const seen = evaluate(problem, plan);
  return seen.broken.length === 0 ? { plan, price: seen.cost } : null;
}

/** The yards to prove one by one; null where they hang together by more than the number of nucs of one recipe. */
function partsOf(problem: YardProblem): YardPart[] | null {
  const isOneGoal = problem.nucGoals.length === 1 && !hasBegunNucs(problem);
  return isOneGoal ? yardParts(problem) : null;
}

const hiveCount = (problem: YardProblem) => problem.units.filter((u) => u.kind === 'colony').length;

/**
 * What a nuc that is not made costs in the proof. Any price up to the true one gives a bound; one that is not far
 * above what a nuc costs gives a good one soon.
 */
function missingPrice(problem: YardProblem, start: FoundPlan | null): number {
  const wanted = nucsWanted(problem);
  if (!start || wanted === 0 || start.price >= PRICES.nucMissing) return PRICES.nucMissing;
  return Math.min(PRICES.nucMissing, Math.max(MISSING_LEAST, (MISSING_TIMES * start.price) / wanted));
}

function polished(problem: YardProblem, found: FoundPlan): FoundPlan {
  const search = new YardSearch(problem, found.plan);
  for (let r = 0; r < SEARCHED; r++) search.round();
  const best = bestOf(search);
  return best && best.price < found.price ? best : found;
}

/** The plan of a search, weighed up by itself; null when it breaks a rule. */
function bestOf(search: YardSearch): FoundPlan | null {
  const { plan, feasible } = search.best();
  const seen = evaluate(search.problem, plan);
  return feasible && seen.broken.length === 0 ? { plan, price: seen.cost } : null;
}

/** A larger model gets fewer nodes, for each takes longer. */
const nodesFor = (columns: number) => Math.max(20, Math.min(20_000, Math.round(4_000_000 / columns)));
