import { lowerFirst, numberAt } from '../../basics/index.ts';
import { missingOf } from '../rules/unitRule.ts';
import {
  STORE,
  type Assignment,
  type YardFrame,
  type YardProblem,
  type YardUnit,
} from '../problem/problem.ts';
import { evaluate, type Evaluation } from '../search/evaluate.ts';
import type { NameOf } from './hiveVisit.ts';
import { labelIn } from './stepPlaces.ts';

/** So many combs, and combs to exchange for them, are tried for each who is short. */
const TRIED = 4;

/**
 * Why nothing can be moved towards a wish, in one sentence: of the moves that would help most, the one that breaks least,
 * with the rule that it breaks; or that what is missing is not worth a hive opened.
 *
 * @returns an empty text where nobody is short of anything that a comb could bring
 */
export function whyNothing(problem: YardProblem, plan: Assignment, seen: Evaluation, nameOf: NameOf): string {
  const tried = problem.units
    .filter((u) => u.kind === 'colony' && isShort(u, seen))
    .flatMap((u) => movesFor(problem, plan, u).map((m) => ({ ...m, to: u, seen: evaluate(problem, m.plan) })))
    .filter((m) => gainOf(m.to, seen, m.seen) > 0.05);
  const [best] = tried.toSorted(
    (a, b) => a.seen.broken.length - b.seen.broken.length || a.seen.cost - b.seen.cost,
  );
  if (!best) return '';
  const from = problem.units[best.frame.home];
  const comb = `${from ? labelIn(best.frame.label, from.name) : best.frame.label} of ${nameOf(best.frame.home)}`;
  const [rule] = best.seen.broken;
  if (!rule)
    return `${comb} could go to ${nameOf(best.to.index)}, and would bring less than the opening of two hives costs.`;
  return `${comb} for ${nameOf(best.to.index)}: ${lowerFirst(rule.label).replace(' · ', ' in ')} would be ${show(rule.value)} where ${rule.sense === 'atLeast' ? 'at least' : 'at most'} ${show(rule.threshold)} is allowed. ${rule.why} ${rule.mend}`.trim();
}

const show = (n: number) => String(Math.round(n * 100) / 100);

const wishesOf = (u: YardUnit) => u.rules.filter((r) => !r.hard);

const isShort = (u: YardUnit, seen: Evaluation) => missing(u, seen) > 0;

const missing = (u: YardUnit, seen: Evaluation) =>
  wishesOf(u)
    .filter((r) => r.sense === 'atLeast')
    .reduce((sum, r) => sum + missingOf(r, seen.after[u.index] ?? u.before), 0);

const gainOf = (u: YardUnit, before: Evaluation, after: Evaluation) => missing(u, before) - missing(u, after);

/** A comb of another colony hung into one that is short, its emptiest comb in exchange where it has no free slot. */
function movesFor(
  problem: YardProblem,
  plan: Assignment,
  u: YardUnit,
): { frame: YardFrame; plan: Assignment }[] {
  const { frames, units } = problem;
  const coming = frames
    .filter(
      (f) =>
        f.home !== u.index &&
        f.home !== STORE &&
        units[f.home]?.kind === 'colony' &&
        f.mayGoTo.includes(u.index) &&
        numberAt(plan.to, f.index) === f.home &&
        !f.hasQueen,
    )
    .toSorted((a, b) => b.capped - a.capped)
    .slice(0, TRIED);
  const [empty] = frames
    .filter(
      (f) => f.home === u.index && numberAt(plan.to, f.index) === f.home && f.brood < 0.05 && !f.hasQueen,
    )
    .toSorted((a, b) => b.drawn + b.foundation - a.drawn - a.foundation);
  return coming.flatMap((frame) => {
    const alone = [...plan.to];
    alone[frame.index] = u.index;
    const exchanged = [...alone];
    const back =
      empty &&
      (empty.mayGoTo.includes(frame.home) ? frame.home : empty.mayGoTo.includes(STORE) ? STORE : null);
    if (empty && back !== null && back !== undefined) exchanged[empty.index] = back;
    return [alone, exchanged].map((to) => ({ frame, plan: { to, shakenFor: plan.shakenFor } }));
  });
}
