import { evaluate, type Evaluation } from '../search/evaluate.ts';
import type { FoundPlan } from './hiveTree.ts';
import { mostNucs } from './mostNucs.ts';
import { PRICES } from '../problem/prices.ts';
import { nucsWanted, type YardProblem } from '../problem/problem.ts';

/** What was proven of a problem. */
export interface Proof {
  /** No plan costs less; null when nothing was shown. */
  readonly bound: number | null;
  /** A plan that was found on the way, which breaks no rule. */
  readonly better: FoundPlan | null;
  /** No plan makes more nucs; null when that was not shown. */
  readonly mostNucs: number | null;
}

/** Before anything is shown. */
export const NO_PROOF: Proof = { bound: null, better: null, mostNucs: null };

/** Solvers work to a tolerance: the last digits prove nothing. */
const NOISE = 1e-5;

/** The best bound and the best plan so far. */
export class BestProof {
  private proof = NO_PROOF;
  private readonly problem: YardProblem;

  constructor(problem: YardProblem) {
    this.problem = problem;
  }

  with(bound: number | null, better: FoundPlan | null, most: number | null = null): Proof {
    const { proof, problem } = this;
    const shown = bound === null ? null : bound - NOISE * Math.max(1, Math.abs(bound));
    const mosts = [proof.mostNucs, most, shown === null ? null : mostNucs(problem, shown)].filter(
      (n) => n !== null,
    );
    const mostNow = mosts.length > 0 ? Math.min(...mosts) : null;
    // Nucs that cannot be made are missing from every plan.
    const inVain = mostNow === null ? null : PRICES.nucMissing * (nucsWanted(problem) - mostNow);
    const bounds = [proof.bound, shown, inVain].filter((n) => n !== null);
    this.proof = {
      bound: bounds.length > 0 ? Math.max(...bounds) : null,
      better: !proof.better || (better && better.price < proof.better.price) ? better : proof.better,
      mostNucs: mostNow,
    };
    return this.proof;
  }

  /** The best plan makes as many nucs as can be made, though fewer than are asked for by the one goal that asks. */
  get makesMost(): boolean {
    const { better, mostNucs: most } = this.proof;
    if (better === null || most === null || most >= nucsWanted(this.problem)) return false;
    return this.problem.nucGoals.length === 1 && evaluate(this.problem, better.plan).nucsMade === most;
  }

  get bound(): number | null {
    return this.proof.bound;
  }

  get better(): FoundPlan | null {
    return this.proof.better;
  }

  get gap(): number {
    const { bound, better } = this.proof;
    return bound === null || better === null ? Infinity : gapOf(better.price, bound);
  }
}

/** Points: a thousandth of a comb carried is no difference, nor is what solvers are off. */
const SAME = 1e-3;

/**
 * How far a plan may be from the best, as a share of what it costs; null while no bound is shown. Nucs that nobody can
 * make are no cost that another plan could save.
 */
export function gapOfPlan(
  problem: YardProblem,
  { cost, nucsMade }: Pick<Evaluation, 'cost' | 'nucsMade'>,
  { bound, mostNucs: most }: Pick<Proof, 'bound' | 'mostNucs'>,
): number | null {
  if (bound === null) return null;
  const inVain = nucsMade === most ? PRICES.nucMissing * (nucsWanted(problem) - nucsMade) : 0;
  return gapOf(cost - inVain, bound - inVain);
}

/** How far a price may be from the best, as a share of it. */
export function gapOf(price: number, bound: number): number {
  if (price - bound <= SAME) return 0;
  return (price - bound) / Math.max(Math.abs(price), 1e-6);
}
