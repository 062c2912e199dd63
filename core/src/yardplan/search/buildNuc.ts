import { intAt, numberAt } from '../../basics/index.ts';
import { AT } from '../rules/measures.ts';
import type { PlanInWork } from './planInWork.ts';
import { STORE } from '../problem/problem.ts';
import { NOBODY } from './yardState.ts';

/** Makes a nuc from the fewest and strongest colonies that can. */
export function buildSomehow(work: PlanInWork, nuc: number): boolean {
  const spare = (d: number) =>
    Math.min(
      work.state.sum(d, AT.brood) - work.problem.rules.donorFloorBrood,
      work.state.sum(d, AT.bees) - work.problem.rules.weakBees,
    );
  const donors = work.donorsOf(nuc).toSorted((a, b) => spare(b) - spare(a) || a - b);
  const [a, b, c] = donors;
  const sets = [
    ...donors.slice(0, 3).map((d) => [d]),
    ...(b === undefined ? [] : [[a as number, b]]),
    ...(c === undefined
      ? []
      : [
          [a as number, c],
          [a as number, b as number, c],
        ]),
    donors.slice(0, 6),
  ];
  return sets.some((set) => buildNuc(work, nuc, set));
}

/**
 * Fills a nuc step by step with the frame, or the shake, that lowers the price most.
 *
 * @returns whether it now stands and no rule is broken that was not before; otherwise nothing is changed
 */
export function buildNuc(work: PlanInWork, nuc: number, donors: readonly number[]): boolean {
  const brokenBefore = work.state.broken;
  const from = new Set(donors);
  const movers = (work.wouldSuit[nuc] ?? []).filter(
    (i) => work.isHome(i) && from.has(work.problem.frames[i]?.home as number),
  );
  const spareCombs = (work.wouldSuit[nuc] ?? []).filter(
    (i) => work.isHome(i) && work.problem.frames[i]?.home === STORE,
  );
  const shakers = (work.wouldBeShaken[nuc] ?? []).filter((i) =>
    from.has(work.problem.frames[i]?.home as number),
  );
  const undo: (() => void)[] = [];
  const most = (work.problem.units[nuc]?.slots ?? 5) + 8;
  for (let step = 0; step < most; step++) {
    const combs = [...movers, ...spareCombs.filter((i) => work.isHome(i)).slice(0, 1)].filter(
      (i) => work.isHome(i) && work.state.shakenFor[i] === NOBODY,
    );
    const bees =
      step === 0 ? [] : shakers.filter((i) => work.isHome(i) && work.state.shakenFor[i] === NOBODY);
    const back = bestStep(work, nuc, combs, bees) ?? (step > 0 ? bestExchange(work, nuc, combs) : null);
    if (back === null) break;
    undo.push(back);
  }
  if (work.state.isMadeNuc(nuc) && work.state.broken <= brokenBefore && !work.state.breaksRule(nuc)) {
    return true;
  }
  for (const back of undo.toReversed()) back();
  work.state.settle();
  return false;
}

/** Takes the one frame, or shakes the one frame, that lowers the price most. @returns the way back */
function bestStep(
  work: PlanInWork,
  nuc: number,
  combs: readonly number[],
  bees: readonly number[],
): (() => void) | null {
  let best = work.state.settle() - 1e-6;
  let found = -1;
  let isShake = false;
  const look = (i: number, shake: boolean) => {
    const price = work.state.settle();
    if (price >= best) return;
    best = price;
    found = i;
    isShake = shake;
  };
  for (const i of combs) {
    const home = intAt(work.state.to, i);
    work.state.place(i, nuc);
    look(i, false);
    work.state.place(i, home);
  }
  for (const i of bees) {
    work.state.shake(i, nuc);
    look(i, true);
    work.state.shake(i, NOBODY);
  }
  work.state.settle();
  if (found < 0) return null;
  const i = found;
  if (isShake) {
    work.shake(i, nuc);
    return () => work.shake(i, NOBODY);
  }
  const home = intAt(work.state.to, i);
  work.put(i, nuc);
  return () => work.put(i, home);
}

/** Exchanges one frame of a nuc that breaks a rule for the one that lowers the price most. */
function bestExchange(work: PlanInWork, nuc: number, combs: readonly number[]): (() => void) | null {
  if (!work.state.breaksRule(nuc)) return null;
  let best = work.state.settle() - 1e-6;
  let pair: readonly [number, number] | null = null;
  for (const out of work.guests[nuc] ?? []) {
    const home = work.problem.frames[out]?.home as number;
    work.state.place(out, home);
    for (const i of combs) {
      const from = intAt(work.state.to, i);
      work.state.place(i, nuc);
      const price = work.state.settle();
      if (price < best) {
        best = price;
        pair = [out, i];
      }
      work.state.place(i, from);
    }
    work.state.place(out, nuc);
  }
  work.state.settle();
  if (pair === null) return null;
  const [out, into] = pair;
  const homes = [out, into].map((i) => work.problem.frames[i]?.home as number);
  work.put(out, numberAt(homes, 0));
  work.put(into, nuc);
  return () => {
    work.put(into, numberAt(homes, 1));
    work.put(out, nuc);
  };
}
