import type { Solver } from '@incremen/core/yardplan';
import loadSolver from 'highs';
import wasmUrl from 'highs/runtime?url';

let solver: Promise<Solver> | undefined;

/** The solver of this worker, loaded when it is first asked for. */
export const loadedSolver = (): Promise<Solver> => (solver ??= loadSolver({ locateFile: () => wasmUrl }));
