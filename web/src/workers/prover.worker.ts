import type { Apiary } from '@incremen/core';
import {
  boundOf,
  buildProblem,
  shortageOf,
  type BoundEffort,
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
  /** A price below which no plan can be; null when nothing was shown. */
  async bound(apiary: Apiary, request: YardPlanRequest, effort: BoundEffort): Promise<number | null> {
    const built = buildProblem(apiary, request);
    return built.ok ? boundOf(built.value, await loaded(), effort) : null;
  },
  /** What is missing for all that is asked for. */
  async shortage(apiary: Apiary, request: YardPlanRequest): Promise<readonly Shortage[]> {
    const built = buildProblem(apiary, request);
    return built.ok ? shortageOf(built.value, await loaded()) : [];
  },
};
export type Prover = typeof prover;
expose(prover);
