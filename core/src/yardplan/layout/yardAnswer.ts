import { combsInWords, type PlanFrame } from '../../split/index.ts';
import { capital, listInWords } from '../../basics/index.ts';
import { AT } from '../rules/measures.ts';
import { nothingMoved, STORE, type Assignment, type YardProblem } from '../problem/problem.ts';
import type { Evaluation } from '../search/evaluate.ts';
import type { NameOf } from './hiveVisit.ts';
import { boxesThatStay } from './layOutYard.ts';
import { whyNothing } from './whyNothing.ts';

/** So many things are said; the rest is counted. */
const MOST = 3;

/**
 * What a yard plan comes to, in one sentence: "Move 2 combs of capped brood from Tansy to Burnet." A wish that is met
 * already and one that cannot be met are told apart.
 */
export function yardAnswer(problem: YardProblem, plan: Assignment, seen: Evaluation, nameOf: NameOf): string {
  const said = [
    ...problem.unions.map((u) => `unite ${u.fromName} with ${nameOf(indexOf(problem, u.intoId))}`),
    ...nucsMade(problem, plan, seen, nameOf),
    ...boxesChanged(problem, plan),
    ...combsMoved(problem, plan, nameOf),
    ...beesShaken(problem, plan, nameOf),
  ];
  if (said.length === 0) {
    const short = seen.shortfalls.length > 0;
    if (nothingMoved(problem).to.every((to, i) => plan.to[i] === to) && !short)
      return 'What you want is there already: leave everything where it hangs.';
    const why = whyNothing(problem, plan, seen, nameOf);
    return `Nothing is moved towards what you want: leave everything where it hangs.${why === '' ? '' : ` ${capital(why)}`}`;
  }
  const first = said.slice(0, MOST);
  const more = said.length - first.length;
  const all = [...first, ...(more > 0 ? [`and ${more} more, listed below`] : [])].join('; ');
  return `${all.charAt(0).toUpperCase()}${all.slice(1)}.`;
}

const indexOf = (problem: YardProblem, key: string) => problem.units.findIndex((u) => u.key === key);

/** Combs by donor and receiver, where they change hives. */
function groups(problem: YardProblem, plan: Assignment) {
  const found = new Map<string, { from: number; to: number; frames: PlanFrame[] }>();
  problem.frames.forEach((f, i) => {
    const to = plan.to[i] ?? f.home;
    if (to === f.home) return;
    const key = `${f.home}>${to}`;
    const group = found.get(key) ?? { from: f.home, to, frames: [] };
    group.frames.push(f);
    found.set(key, group);
  });
  return [...found.values()].toSorted((a, b) => b.frames.length - a.frames.length);
}

function nucsMade(problem: YardProblem, plan: Assignment, seen: Evaluation, nameOf: NameOf): string[] {
  const all = groups(problem, plan);
  const made = problem.units.filter(
    (u) => u.kind === 'nuc' && seen.present[u.index] && (seen.after[u.index]?.[AT.frames] ?? 0) > 0,
  );
  const donor = (from: number) => (from === STORE ? 'the store' : nameOf(from));
  const [only] = made;
  if (only && made.length === 1) {
    const from = all
      .filter((g) => g.to === only.index)
      .map((g) => `${combsInWords(g.frames)} from ${donor(g.from)}`);
    return [`make ${nameOf(only.index)} with ${listInWords(from)}`];
  }
  if (made.length === 0) return [];
  // Of several it is said who gives how much; which comb goes where stands in the picture.
  const combs = new Map<number, number>();
  for (const g of all)
    if (problem.units[g.to]?.kind === 'nuc') combs.set(g.from, (combs.get(g.from) ?? 0) + g.frames.length);
  const from = [...combs]
    .toSorted((a, b) => b[1] - a[1])
    .map(([unit, n]) => `${n} ${n === 1 ? 'comb' : 'combs'} from ${donor(unit)}`);
  const hers = problem.units.filter((u) => u.kind === 'colony' && u.wholeOf !== null);
  const rest =
    hers.length > 0 ? `, and one with the old queen of ${listInWords(hers.map((u) => u.name))}` : '';
  return [`make ${made.length} nucs with ${listInWords(from)}${rest}`];
}

/** Hives that get other boxes, or fewer: that is done even where no comb changes hands. */
function boxesChanged(problem: YardProblem, plan: Assignment): string[] {
  return problem.units.flatMap((u): string[] => {
    const goal = problem.request.goals.find(
      (g) => (g.kind === 'hiveUp' || g.kind === 'shrink') && g.colonyId === u.key,
    );
    if (goal?.kind === 'hiveUp') {
      const many = goal.above === 'brood' ? 'two boxes' : 'a box';
      return [
        `move ${u.name} into ${many} of ${goal.slots} frames${goal.above === 'super' ? ' and a super' : ''}`,
      ];
    }
    if (goal?.kind !== 'shrink') return [];
    const stay = problem.frames.filter((_f, i) => plan.to[i] === u.index).length;
    return boxesThatStay(problem, u, stay).empty.length > 0
      ? [`bring ${u.name} down to ${goal.boxes === 1 ? 'one box' : `${goal.boxes} boxes`}`]
      : [];
  });
}

const combsMoved = (problem: YardProblem, plan: Assignment, nameOf: NameOf): string[] =>
  groups(problem, plan)
    .filter((g) => problem.units[g.to]?.kind !== 'nuc')
    .map((g) =>
      g.to === STORE
        ? `take ${combsInWords(g.frames)} from ${nameOf(g.from)} to the store`
        : `move ${combsInWords(g.frames)} from ${g.from === STORE ? 'the store' : nameOf(g.from)} to ${nameOf(g.to)}`,
    );

function beesShaken(problem: YardProblem, plan: Assignment, nameOf: NameOf): string[] {
  const combs = new Map<string, { from: number; to: number; n: number }>();
  problem.frames.forEach((f, i) => {
    const to = plan.shakenFor[i];
    if (typeof to !== 'number' || problem.units[to]?.kind === 'nuc') return;
    const key = `${f.home}>${to}`;
    const known = combs.get(key) ?? { from: f.home, to, n: 0 };
    combs.set(key, { ...known, n: known.n + 1 });
  });
  return [...combs.values()].map(
    ({ from, to, n }) =>
      `shake the nurse bees off ${n === 1 ? 'one comb' : `${n} combs`} of ${nameOf(from)} into ${nameOf(to)}`,
  );
}
