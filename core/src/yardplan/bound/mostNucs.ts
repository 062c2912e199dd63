import { priceOfMove, priceOfShake, PRICES } from '../problem/prices.ts';
import { nucsWanted, STORE, type YardProblem } from '../problem/problem.ts';

/**
 * How many nucs can be made at most, as far as a bound shows it: with one more even all the work that there could be
 * would not make up for the bound.
 *
 * @param bound - no plan costs less
 * @returns null where wishes for colonies cost as well, so that the bound says nothing of nucs alone
 */
export function mostNucs(problem: YardProblem, bound: number): number | null {
  if (problem.units.some((u) => u.rules.some((r) => !r.hard))) return null;
  const wanted = nucsWanted(problem);
  const missing = Math.ceil((bound - mostWork(problem)) / PRICES.nucMissing - 1e-9);
  return wanted - Math.max(0, missing);
}

/** Points that carrying every frame, shaking it out and opening every hive would cost. */
function mostWork(problem: YardProblem): number {
  const { units, frames } = problem;
  const opening = PRICES.hiveOpened * units.filter((u) => u.kind === 'colony').length;
  return frames.reduce((sum, frame) => {
    const targets = frame.pinnedTo === null ? frame.mayGoTo : [frame.pinnedTo];
    const moves = targets.map((to) => priceOfMove(problem, frame, to === STORE ? null : (units[to] ?? null)));
    const isShaken = frame.mayShakeFor.length > 0 || frame.shakenAlready !== null;
    return sum + Math.max(0, ...moves, isShaken ? priceOfShake(frame) : 0);
  }, opening);
}

/** The same problem with fewer nucs asked for by its one goal. What a plan costs is less by that many missing nucs. */
export function withFewerNucs(problem: YardProblem, wanted: number): YardProblem {
  return { ...problem, nucGoals: problem.nucGoals.map((goal) => ({ ...goal, wanted })) };
}
