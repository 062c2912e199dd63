import { intAt } from '../../basics/index.ts';
import type { PlanInWork } from './planInWork.ts';
import { STORE, type YardProblem } from '../problem/problem.ts';
import { NOBODY } from './yardState.ts';

/** Steepest descent over what the wishes of colonies can gain by one frame, shake or exchange. */
export function fulfilWishes(work: PlanInWork): void {
  for (let pass = 0; pass < 4; pass++) {
    let changed = false;
    for (const u of work.wishing) {
      while (improveUnit(work, u)) changed = true;
    }
    if (!changed) return;
  }
}

/** Takes the one step that lowers the price most without breaking a rule. @returns whether there was one */
function improveUnit(work: PlanInWork, u: number): boolean {
  let best = work.state.settle() - 1e-6;
  const { broken } = work.state;
  let doIt: (() => void) | null = null;
  const consider = (apply: () => void, revert: () => void) => {
    apply();
    const p = work.state.settle();
    // A step may not break a rule that held.
    if (p < best && work.state.broken <= broken) {
      best = p;
      doIt = apply;
    }
    revert();
    work.state.settle();
  };
  // The emptiest comb goes first.
  const outs = (work.toStore[u] ?? [])
    .filter((i) => work.isHome(i))
    .toSorted((a, b) => heldBy(work.problem, a) - heldBy(work.problem, b) || a - b);
  for (const i of outs) {
    const shaken = intAt(work.state.shakenFor, i);
    consider(
      () => work.put(i, STORE),
      () => {
        work.put(i, u);
        work.shake(i, shaken);
      },
    );
  }
  // One comb of a kind is enough to try from the store.
  const seen = new Set<string>();
  for (const i of work.wouldSuit[u] ?? []) {
    const f = work.problem.frames[i] as YardProblem['frames'][number];
    if (!work.isHome(i) || work.state.shakenFor[i] !== NOBODY) continue;
    if (f.home === STORE) {
      if (seen.has(f.blank)) continue;
      seen.add(f.blank);
    }
    consider(
      () => work.put(i, u),
      () => work.put(i, f.home),
    );
    for (const out of outs.slice(0, 1)) {
      const shaken = intAt(work.state.shakenFor, out);
      consider(
        () => {
          work.put(out, STORE);
          work.put(i, u);
        },
        () => {
          work.put(i, f.home);
          work.put(out, u);
          work.shake(out, shaken);
        },
      );
    }
  }
  for (const i of work.wouldBeShaken[u] ?? []) {
    if (!work.isHome(i) || work.state.shakenFor[i] !== NOBODY) continue;
    consider(
      () => work.shake(i, u),
      () => work.shake(i, NOBODY),
    );
  }
  if (doIt === null) return false;
  (doIt as () => void)();
  work.state.settle();
  return true;
}

/** What a comb holds that would be missed. */
const heldBy = (problem: YardProblem, i: number) => {
  const f = problem.frames[i];
  return f ? f.stores + f.beeBread + f.bees / 4 : 0;
};
