import { wrap, type Remote } from 'comlink';
import type { Planner } from './planner.worker.ts';

let planner: Remote<Planner> | undefined;

/** The planner in its web worker; started when first asked for and kept. */
export function plannerWorker(): Remote<Planner> {
  planner ??= wrap<Planner>(
    new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module', name: 'planner' }),
  );
  return planner;
}
