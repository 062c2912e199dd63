import {
  runSeasons,
  type Outlook,
  type Schedule,
  type SeasonBatch,
  type SeasonProblem,
} from '@incremen/core/seasonplan';
import { wrap, type Remote } from 'comlink';
import type { SeasonWorker } from './season.worker.ts';

/** Seasons of the first picture. */
export const SEASONS_AT_FIRST = 100;
/** Seasons that a worker is given at once: it can be stopped in between. */
const CHUNK = 250;
const MOST_WORKERS = 4;
/** A hundred seasons of so many colonies take about a tenth of a second. */
const QUICK_COLONIES = 40;

const workers: Remote<SeasonWorker>[] = [];

/** Where two cores are, two work; the page keeps its own. */
function pool(): readonly Remote<SeasonWorker>[] {
  const wanted = Math.max(2, Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 2));
  while (workers.length < wanted) workers.push(start(`seasons ${workers.length + 1}`));
  return workers;
}

const start = (name: string) =>
  wrap<SeasonWorker>(new Worker(new URL('./season.worker.ts', import.meta.url), { type: 'module', name }));

let searcher: Remote<SeasonWorker> | undefined;

/** The worker that searches plans, by itself: seasons are run beside it. */
export const seasonSearcher = (): Remote<SeasonWorker> => (searcher ??= start('season search'));

/** Something that can be told to stop. */
export interface Halt {
  stopped: boolean;
}

/**
 * Runs so many seasons in all workers, and hands over each batch as it comes. The same seed gives the same seasons, whoever runs
 * them.
 */
export async function manySeasons(
  problem: SeasonProblem,
  schedule: Schedule,
  seasons: number,
  halt: Halt,
  report: (batch: SeasonBatch) => void,
): Promise<void> {
  // Workers take a second to start: the first picture waits for none where the page itself is done in a blink.
  const onPage = problem.starts.length <= QUICK_COLONIES;
  if (onPage) report(runSeasons(problem, schedule, 0, Math.min(SEASONS_AT_FIRST, seasons)));
  let next = onPage ? Math.min(SEASONS_AT_FIRST, seasons) : 0;
  const take = () => {
    if (halt.stopped || next >= seasons) return null;
    const from = next;
    const many = Math.min(from === 0 ? SEASONS_AT_FIRST : CHUNK, seasons - from);
    next += many;
    return { from, many };
  };
  await Promise.all(
    pool().map(async (worker) => {
      for (let part = take(); part; part = take()) {
        const batch = await worker.seasons(problem, schedule, part.from, part.many);
        if (!halt.stopped) report(batch);
      }
    }),
  );
}

/** What seasons tell, worked out beside the page. */
export const outlookIn = (
  problem: SeasonProblem,
  schedule: Schedule,
  batches: readonly SeasonBatch[],
  over: boolean,
): Promise<Outlook> => {
  const [worker] = pool();
  if (!worker) throw new Error('a pool has a worker');
  return worker.outlook(problem, schedule, batches, over);
};
