import type { Apiary } from '@incremen/core';
import {
  buildProblem,
  proveYard,
  shortageOf,
  type Proof,
  type ProofEffort,
  type Shortage,
  type Solver,
  type YardPlanRequest,
} from '@incremen/core/yardplan';
import { expose } from 'comlink';
import loadSolver from 'highs';
import wasmUrl from 'highs/runtime?url';

let solver: Promise<Solver> | undefined;
const loaded = () => (solver ??= loadSolver({ locateFile: () => wasmUrl }));

const prover = {
  /** A price below which no plan can be, and perhaps a plan near it. */
  async prove(apiary: Apiary, request: YardPlanRequest, effort: ProofEffort): Promise<Proof> {
    const built = buildProblem(apiary, request);
    return built.ok ? proveYard(built.value, await loaded(), effort) : { bound: null, better: null };
  },
  /** What is missing for all that is asked for. */
  async shortage(apiary: Apiary, request: YardPlanRequest): Promise<readonly Shortage[]> {
    const built = buildProblem(apiary, request);
    return built.ok ? shortageOf(built.value, await loaded()) : [];
  },
};
export type Prover = typeof prover;
expose(prover);
