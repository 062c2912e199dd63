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

/** Starts the planner before it is needed, when the page has nothing better to do. */
export function warmUpPlanner(): void {
  const start = () => void plannerWorker().warmUp();
  if ('requestIdleCallback' in globalThis) requestIdleCallback(start);
  else setTimeout(start, 200);
}
