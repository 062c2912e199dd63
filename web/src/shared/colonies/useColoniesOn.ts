import { addDays, type Day } from '@incremen/core/basics';
import { coloniesOfYard, framesOfColony, type Colony } from '@incremen/core/records';
import type { Readings } from '@incremen/contract';
import { assess } from '@incremen/core/assessment';
import type { ColonyState } from '@incremen/core/colony';
import { framesBack, framesOn } from '@incremen/core/forecast';
import { skipToken } from '@reduxjs/toolkit/query';
import { useEffect, useMemo, useState } from 'react';
import { useReadingsAsOfQuery } from '../../server/serverData.ts';
import { useAppSelector } from '../../state/store.ts';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { withVisits } from '../../mirror/olderVisits.ts';

/** Colonies on the day that a board shows. */
export interface ColoniesOn {
  readonly states: readonly ColonyState[];
  /** The day they are brought to; null when they show as counted. */
  readonly day: Day | null;
  /** Why the past cannot be shown, or that it is still being fetched. */
  readonly past: 'here' | 'fetching' | 'away';
}

/** The colonies of a yard, summed up as counted or on a day. */
export function useColoniesOn(yardId: string, offset: number | null): ColoniesOn {
  const apiary = useApiary();
  const colonies = useMemo(() => coloniesOfYard(apiary, yardId), [apiary, yardId]);
  return useStatesOn(colonies, offset);
}

/** Some colonies, summed up as counted or on a day. */
export function useStatesOn(colonies: readonly Colony[], offset: number | null): ColoniesOn {
  const apiary = useApiary();
  const today = useToday();
  const day = offset === null ? null : addDays(today, offset);
  const back = usePast(offset !== null && offset < 0 ? day : null);
  const { stood } = back;
  const then = useMemo(() => (stood ? withVisits(apiary, stood.visits) : apiary), [apiary, stood]);
  const states = useMemo(
    () =>
      colonies.map((c) => {
        if (day === null) return assess(apiary, c, today, framesOfColony(apiary, c));
        if (day === today) return assess(apiary, c, today);
        const frames = stood ? framesBack(then, c, stood.readings, day) : framesOn(apiary, c, day);
        return assess(apiary, c, today, frames);
      }),
    [apiary, then, colonies, today, day, stood],
  );
  return { states, day, past: back.status };
}

interface Past {
  readonly status: ColoniesOn['past'];
  /** What stood on that day, with the visits on which it was read. */
  readonly stood: Readings | null;
}

const NO_PAST: Past = { status: 'here', stood: null };
const NOTHING: Readings = { readings: [], visits: [] };

/** Dragging the slider passes many days; the one it rests on for this long is asked for. */
const REST_MS = 120;

/** The readings that stood on a past day, from the server. */
function usePast(day: Day | null): Past {
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const [rested, setRested] = useState<Day | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setRested(day), REST_MS);
    return () => clearTimeout(timer);
  }, [day]);
  const { data, currentData, isError } = useReadingsAsOfQuery(
    rested === null || operationId === null ? skipToken : { operationId, day: rested },
  );
  return useMemo(() => {
    if (day === null) return NO_PAST;
    if (day === rested && currentData) return { status: 'here', stood: currentData };
    if (day === rested && isError) return { status: 'away', stood: NOTHING };
    return { status: 'fetching', stood: data ?? NOTHING };
  }, [day, rested, data, currentData, isError]);
}
