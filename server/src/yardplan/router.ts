import { yardPlanQuestion, type YardPlanAnswer } from '@incremen/contract';
import type { Result } from '@incremen/core/basics';
import express, { Router } from 'express';
import { Worker } from 'node:worker_threads';
import { z } from 'zod';
import { requireJson } from '../problems/requireJson.ts';
import type { OperationStore } from '../operations/OperationStore.ts';
import { parseRequest } from '../problems/errorHandler.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import type { PlanWork } from './planThread.ts';

const params = z.object({ op: z.uuid({ error: 'The address must hold the id of an operation.' }) });

/** Plans that are worked out at once; each keeps a core busy. */
const MOST_AT_ONCE = 2;
/** A plan that takes longer is given up. */
const LONGEST_MS = 120_000;

/** Works out plans for yards, each in a thread of its own that ends when the asker goes away. */
export function yardPlanRouter(store: OperationStore): Router {
  const router = Router({ mergeParams: true });
  let underWay = 0;
  router.post('/', express.json({ limit: '1mb' }), requireJson, async (req, res) => {
    const { op } = parseRequest(params, req.params);
    const question = parseRequest(yardPlanQuestion, req.body);
    const { apiary } = await store.present(op);
    if (underWay >= MOST_AT_ONCE) {
      throw new ProblemError(429, 'planner-busy', 'The planner is at other plans.', [
        {
          code: 'planner-busy',
          path: [],
          message: `${MOST_AT_ONCE} plans are being worked out.`,
          remedy: 'Ask again in a minute.',
        },
      ]);
    }
    underWay++;
    const gone = new AbortController();
    res.on('close', () => gone.abort());
    try {
      const result = await workOut({ apiary, question }, gone.signal);
      if (!result.ok) {
        throw new ProblemError(422, 'plan-refused', 'This cannot be planned.', [...result.problems]);
      }
      res.json(result.value);
    } finally {
      underWay--;
    }
  });
  return router;
}

/** @throws Error when the thread fails, takes too long, or nobody waits for it any more */
function workOut(work: PlanWork, gone: AbortSignal): Promise<Result<YardPlanAnswer>> {
  return new Promise((resolve, reject) => {
    const thread = new Worker(new URL('./planThread.entry.mjs', import.meta.url), { workerData: work });
    const end = (settle: () => void) => {
      clearTimeout(timer);
      gone.removeEventListener('abort', leave);
      void thread.terminate();
      settle();
    };
    const leave = () => end(() => reject(new Error('nobody waits for the plan any more')));
    const timer = setTimeout(
      () => end(() => reject(new Error(`the plan took more than ${LONGEST_MS / 1000} s`))),
      LONGEST_MS,
    );
    gone.addEventListener('abort', leave);
    thread.once('message', (result: Result<YardPlanAnswer>) => end(() => resolve(result)));
    thread.once('error', (error) => end(() => reject(error)));
  });
}
