import { worseInWords } from '../../brood/index.ts';
import { lowerFirst, numberAt } from '../../basics/index.ts';
import { combKind } from '../problem/effects.ts';
import { STORE, type Assignment, type YardFrame, type YardProblem } from '../problem/problem.ts';
import { labelIn } from './stepPlaces.ts';
import { evaluate, type Evaluation } from '../search/evaluate.ts';

/** So many combs that stayed are tried in the place of the one that goes: those most like it. */
const TRIED = 3;

/**
 * Why this comb and not the next best of its hive, in one sentence: the other is put in its place, and the plan weighed
 * up anew. Empty where there is no other of its kind, or none that is worse.
 */
export function notTheNextBest(
  problem: YardProblem,
  plan: Assignment,
  seen: Evaluation,
  index: number,
): string {
  const frame = problem.frames[index];
  if (!frame || frame.home === STORE || frame.pinnedTo !== null) return '';
  const to = numberAt(plan.to, index);
  const best = problem.frames
    .filter((f) => f.home === frame.home && isFree(plan, f, to) && combKind(f) === combKind(frame))
    .toSorted((a, b) => unlike(a, frame) - unlike(b, frame))
    .slice(0, TRIED)
    .map((other) => ({ other, seen: evaluate(problem, exchanged(plan, index, other.index)) }))
    .toSorted((a, b) => a.seen.broken.length - b.seen.broken.length || a.seen.cost - b.seen.cost)[0];
  if (!best) return '';
  const short = best.seen.broken.find((l) => !seen.broken.some((b) => b.id === l.id));
  const name = labelIn(best.other.label, problem.units[frame.home]?.name ?? '');
  if (short) {
    const miss = short.sense === 'atLeast' ? 'would fall short' : 'would be too much';
    return `Not ${name}: ${lowerFirst(short.label).replace(' · ', ' in ')} ${miss}.`;
  }
  const why = best.seen.cost > seen.cost ? worseInWords(best.other, frame) : null;
  return why === null ? '' : `Not ${name}: ${why}.`;
}

/** It stays, and nothing is decided about it. */
const isFree = (plan: Assignment, f: YardFrame, to: number) =>
  numberAt(plan.to, f.index) === f.home &&
  (plan.shakenFor[f.index] ?? null) === null &&
  !f.hasQueen &&
  f.pinnedTo === null &&
  f.mayGoTo.includes(to);

const unlike = (a: YardFrame, b: YardFrame) =>
  Math.abs(a.brood - b.brood) + Math.abs(a.stores - b.stores) + Math.abs(a.drawn - b.drawn);

/** The same plan with two combs of one hive exchanged. */
function exchanged(plan: Assignment, goes: number, stays: number): Assignment {
  const to = [...plan.to];
  [to[goes], to[stays]] = [numberAt(to, stays), numberAt(to, goes)];
  return { to, shakenFor: plan.shakenFor };
}
