import type { Apiary } from '@incremen/core/records';
import type { PlanChange, Schedule, SeasonProblem } from '@incremen/core/seasonplan';
import { useEffect, useState } from 'react';
import { seasonSearcher } from '../../workers/seasonPool.ts';

/** What would raise the odds of a plan, and what a week's delay costs. */
export interface Helps {
  readonly changes: readonly PlanChange[];
  readonly week: { readonly gain: number; readonly colonies: number; readonly honey: number };
}

/** Asked of the worker once the plan stands; null until it answers. */
export function useHelps(
  apiary: Apiary,
  problem: SeasonProblem | null,
  schedule: Schedule | null,
): Helps | null {
  const [known, setKnown] = useState<{
    readonly schedule: Schedule;
    readonly problem: SeasonProblem;
    readonly helps: Helps;
  } | null>(null);
  useEffect(() => {
    if (!problem || !schedule) return undefined;
    let current = true;
    void seasonSearcher()
      .helps(apiary, problem, schedule)
      .then((helps) => {
        if (current) setKnown({ problem, schedule, helps });
      });
    return () => {
      current = false;
    };
  }, [apiary, problem, schedule]);
  return known !== null && known.problem === problem && known.schedule === schedule ? known.helps : null;
}
