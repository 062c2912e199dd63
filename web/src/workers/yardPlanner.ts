import { wrap, type Remote } from 'comlink';
import type { Prover } from './prover.worker.ts';
import type { YardPlanner } from './yardPlanner.worker.ts';

/** Workers for different errands, so that a chart of six weeks does not hold up the plan on the bench. */
type Errand = 'bench' | 'days' | 'beside';

const planners = new Map<Errand, Remote<YardPlanner>>();

/** The planner of yards in its web worker; started when first asked for and kept. */
export function yardPlanner(errand: Errand): Remote<YardPlanner> {
  let planner = planners.get(errand);
  if (!planner) {
    planner = wrap<YardPlanner>(
      new Worker(new URL('./yardPlanner.worker.ts', import.meta.url), {
        type: 'module',
        name: `yard planner, ${errand}`,
      }),
    );
    planners.set(errand, planner);
  }
  return planner;
}

let prover: { readonly worker: Worker; readonly remote: Remote<Prover>; busy: number } | undefined;

/**
 * Asks the prover, in a worker of its own. Its solver cannot be interrupted: {@link endProver} ends the worker
 * instead, and the next question starts another.
 */
export async function askProver<T>(ask: (prover: Remote<Prover>) => Promise<T>): Promise<T> {
  prover ??= start();
  const mine = prover;
  mine.busy++;
  try {
    return await ask(mine.remote);
  } finally {
    mine.busy--;
  }
}

/** Ends what the prover is at; an answer that was waited for never comes. */
export function endProver(): void {
  if (!prover || prover.busy === 0) return;
  prover.worker.terminate();
  prover = undefined;
}

function start() {
  const worker = new Worker(new URL('./prover.worker.ts', import.meta.url), {
    type: 'module',
    name: 'prover',
  });
  return { worker, remote: wrap<Prover>(worker), busy: 0 };
}
