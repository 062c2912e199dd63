import type { Apiary } from '@incremen/core/records';
import type { FoundSeason, SeasonProblem } from '@incremen/core/seasonplan';
import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { seasonSearcher } from '../../workers/seasonPool.ts';

/** Asking waits so long for the next change of the aim. */
const PAUSE_MS = 400;

/** The search for plans of a season: it begins anew when the aim changes, and can be stopped. */
export function useSeasonSearch(
  apiary: Apiary,
  problem: SeasonProblem | null,
): { readonly found: FoundSeason | null; readonly busy: boolean; readonly stop: () => void } {
  const [state, setState] = useState<{
    readonly problem: SeasonProblem;
    readonly found: FoundSeason | null;
    readonly over: boolean;
  } | null>(null);
  const asked = useRef(false);
  useEffect(() => {
    if (!problem) return undefined;
    let current = true;
    const timer = setTimeout(
      () => {
        void seasonSearcher()
          .search(
            apiary,
            problem,
            proxy((found: FoundSeason) => {
              if (current) setState({ problem, found, over: found.over });
            }),
          )
          .catch(() => {
            if (current) setState({ problem, found: null, over: true });
          });
        // The first question is not being typed.
      },
      asked.current ? PAUSE_MS : 0,
    );
    asked.current = true;
    return () => {
      current = false;
      clearTimeout(timer);
      void seasonSearcher().stop();
    };
  }, [apiary, problem]);
  const mine = state !== null && state.problem === problem ? state : null;
  const stop = useCallback(() => {
    void seasonSearcher().stop();
    setState((s) => (s ? { ...s, over: true } : s));
  }, []);
  return { found: mine?.found ?? null, busy: problem !== null && !(mine?.over ?? false), stop };
}
