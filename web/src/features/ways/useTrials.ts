import type { Apiary } from '@incremen/core/records';
import type { Situation, Trials } from '@incremen/core/split';
import { useCallback, useEffect, useRef, useState } from 'react';
import { plannerWorker } from '../../workers/planner.ts';

const NONE: Trials = {};

/**
 * The methods that look best, worked out away from the page; none while they are not, or where what is said is not what
 * the records hold.
 *
 * @param asRecorded - whether bees, brood, queen and cells are those of the records: a plan knows no others
 * @returns the trials as far as they are known, and `settled`, which waits for those under way: records that change a
 *   moment before a plan is asked for must not cost it the options that were shown
 */
export function useTrials(
  apiary: Apiary,
  colonyId: string,
  now: Situation,
  asRecorded: boolean,
): { readonly trials: Trials; readonly settled: () => Promise<Trials> } {
  const [tried, setTried] = useState<{ apiary: Apiary; key: string; trials: Trials } | null>(null);
  const underWay = useRef<Promise<Trials>>(Promise.resolve(NONE));
  const key = JSON.stringify(now);
  useEffect(() => {
    underWay.current = Promise.resolve(NONE);
    if (!asRecorded) return;
    let current = true;
    underWay.current = plannerWorker()
      .tryOut(apiary, colonyId, JSON.parse(key) as Situation)
      // Untried methods are shown as they look: the plan itself says what falls short.
      .catch(() => NONE);
    void underWay.current.then((trials) => {
      if (current) setTried({ apiary, key, trials });
    });
    return () => {
      current = false;
    };
  }, [apiary, colonyId, key, asRecorded]);
  const settled = useCallback(() => underWay.current, []);
  const trials = asRecorded && tried?.apiary === apiary && tried.key === key ? tried.trials : NONE;
  return { trials, settled };
}
