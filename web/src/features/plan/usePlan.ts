import type { Apiary, PlanRequest, Problem, WorkedPlan } from '@incremen/core';
import { useEffect, useState } from 'react';
import { plannerWorker } from '../../workers/planner.ts';

/** A plan as it comes from the planner. */
export interface Planning {
  readonly plan: WorkedPlan | null;
  readonly problems: readonly Problem[];
  /** How long the last one took, in milliseconds, from asking to having it. */
  readonly tookMs: number | null;
  readonly busy: boolean;
}

/** Works the request out anew whenever it changes; an answer that comes too late is dropped. */
export function usePlan(apiary: Apiary, request: PlanRequest): Planning {
  const [planning, setPlanning] = useState<Planning>({ plan: null, problems: [], tookMs: null, busy: true });
  const key = JSON.stringify(request);
  useEffect(() => {
    let current = true;
    const started = performance.now();
    setPlanning((p) => ({ ...p, busy: true }));
    plannerWorker()
      .plan(apiary, JSON.parse(key) as PlanRequest)
      .then((result) => {
        if (!current) return;
        const tookMs = performance.now() - started;
        performance.measure('plan', { start: started, end: started + tookMs });
        setPlanning(
          result.ok
            ? { plan: result.value, problems: [], tookMs, busy: false }
            : { plan: null, problems: result.problems, tookMs, busy: false },
        );
      })
      .catch((error: unknown) => {
        if (!current) return;
        setPlanning({
          plan: null,
          tookMs: null,
          busy: false,
          problems: [
            { code: 'planner-failed', path: [], message: 'The planner has failed.', remedy: String(error) },
          ],
        });
      });
    return () => {
      current = false;
    };
  }, [apiary, key]);
  return planning;
}
