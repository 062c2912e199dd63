import { runSeasons, type Schedule, type SeasonProblem } from '@incremen/core/seasonplan';
import { parentPort } from 'node:worker_threads';

interface Part {
  readonly problem: SeasonProblem;
  readonly schedule: Schedule;
  readonly from: number;
  readonly seasons: number;
}

// Half of the seasons of the bench, in a thread of its own.
parentPort?.on('message', ({ problem, schedule, from, seasons }: Part) => {
  const batch = runSeasons(problem, schedule, from, seasons);
  parentPort?.postMessage(batch, [batch.colonies.buffer as ArrayBuffer, batch.frames.buffer as ArrayBuffer]);
});
