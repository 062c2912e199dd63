import type { Apiary } from '@incremen/core/records';
import type { PlanRequest, WorkedPlan } from '@incremen/core/split';
import type { Problem, Result } from '@incremen/core/basics';
import { useEffect, useState } from 'react';
import { plannerWorker } from '../../workers/planner.ts';

/** A plan as it comes from the planner. */
export interface Planning {
  /** The latest plan; while `busy` it may still be that of the request before. */
  readonly plan: WorkedPlan | null;
  readonly problems: readonly Problem[];
  /** How long the last one took, in milliseconds, from asking to having it. */
  readonly tookMs: number | null;
  readonly busy: boolean;
}

interface Answer {
  readonly apiary: Apiary;
  readonly key: string;
  readonly result: Result<WorkedPlan>;
  readonly tookMs: number;
}

/** Works the request out anew whenever it changes; an answer that comes too late is dropped. */
export function usePlan(apiary: Apiary, request: PlanRequest): Planning {
  const [answer, setAnswer] = useState<Answer | null>(null);
  const key = JSON.stringify(request);
  useEffect(() => {
    let current = true;
    const started = performance.now();
    const take = (result: Result<WorkedPlan>) => {
      if (!current) return;
      const tookMs = performance.now() - started;
      performance.measure('plan', { start: started, duration: tookMs });
      setAnswer({ apiary, key, result, tookMs });
    };
    plannerWorker()
      .plan(apiary, JSON.parse(key) as PlanRequest)
      .then(take)
      .catch((error: unknown) => {
        take({
          ok: false,
          problems: [
            { code: 'planner-failed', path: [], message: 'The planner has failed.', remedy: String(error) },
          ],
        });
      });
    return () => {
      current = false;
    };
  }, [apiary, key]);
  return {
    plan: answer?.result.ok ? answer.result.value : null,
    problems: answer && !answer.result.ok ? answer.result.problems : [],
    tookMs: answer?.tookMs ?? null,
    busy: answer?.apiary !== apiary || answer.key !== key,
  };
}
