import type { Apiary } from '@incremen/core/records';
import type { Situation, Trials } from '@incremen/core/split';
import { useEffect, useState } from 'react';
import { plannerWorker } from '../../workers/planner.ts';

const NONE: Trials = {};

/**
 * The ways that look best, worked out away from the page; empty while they are not, or where what is said is not what the
 * records hold.
 *
 * @param asRecorded - whether bees, brood, queen and cells are those of the records: a plan knows no others
 */
export function useTrials(apiary: Apiary, colonyId: string, now: Situation, asRecorded: boolean): Trials {
  const [tried, setTried] = useState<{ apiary: Apiary; key: string; trials: Trials } | null>(null);
  const key = JSON.stringify(now);
  useEffect(() => {
    if (!asRecorded) return;
    let current = true;
    plannerWorker()
      .tryOut(apiary, colonyId, JSON.parse(key) as Situation)
      .then((trials) => {
        if (current) setTried({ apiary, key, trials });
      })
      // Untried ways are shown as they look: the plan itself says what falls short.
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [apiary, colonyId, key, asRecorded]);
  return asRecorded && tried?.apiary === apiary && tried.key === key ? tried.trials : NONE;
}
