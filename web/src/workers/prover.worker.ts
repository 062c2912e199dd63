import type { Apiary, YardPlanRequest } from '@incremen/core/records';
import {
  buildProblem,
  proofsOf,
  shortageOf,
  type Proof,
  type ProofEffort,
  type Shortage,
} from '@incremen/core/yardplan';
import { expose } from 'comlink';
import { loadedSolver } from './solver.ts';

const prover = {
  /**
   * A price below which no plan can be, and perhaps a plan near it: a quick answer, then better ones as they are
   * found.
   *
   * @param report - told of each; they come while the prover works on
   */
  async prove(
    apiary: Apiary,
    request: YardPlanRequest,
    effort: ProofEffort,
    report: (proof: Proof) => void,
  ): Promise<void> {
    const built = buildProblem(apiary, request);
    if (!built.ok) return;
    for (const proof of proofsOf(built.value, await loadedSolver())) {
      report(proof);
      if (effort === 'quick') return;
    }
  },
  /** What is missing for all that is asked for. */
  async shortage(apiary: Apiary, request: YardPlanRequest): Promise<readonly Shortage[]> {
    const built = buildProblem(apiary, request);
    return built.ok ? shortageOf(built.value, await loadedSolver()) : [];
  },
};
export type Prover = typeof prover;
expose(prover);
