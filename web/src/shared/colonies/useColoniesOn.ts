import { addDays, type Day } from '@incremen/core/basics';
import { coloniesOfYard, type Colony, type Reading } from '@incremen/core/records';
import { colonyState, framesBack, framesOn, type ColonyState } from '@incremen/core/colony';
import { useEffect, useMemo, useState } from 'react';
import { useAppSelector } from '../../state/store.ts';
import { api } from '../../mirror/api.ts';
import { useApiary, useToday } from '../../mirror/hooks.ts';

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
  const { readings } = back;
  const states = useMemo(
    () =>
      colonies.map((c) => {
        if (day === null) return colonyState(apiary, c, today);
        const frames = readings ? framesBack(apiary, c, readings, day) : framesOn(apiary, c, day);
        return colonyState(apiary, c, today, frames);
      }),
    [apiary, colonies, today, day, readings],
  );
  return { states, day, past: back.status };
}

interface Past {
  readonly day: Day | null;
  readonly status: ColoniesOn['past'];
  readonly readings: readonly Reading[] | null;
}

const NO_PAST: Past = { day: null, status: 'here', readings: null };

/** The readings that stood on a past day, from the server. */
function usePast(day: Day | null): Past {
  const { operationId, revision } = useAppSelector((s) => s.mirror);
  const [past, setPast] = useState<Past>(NO_PAST);
  useEffect(() => {
    if (day === null || operationId === null) return undefined;
    let current = true;
    // Dragging the slider passes many days; the one it rests on is asked for.
    const timer = setTimeout(() => {
      api.readingsAsOf(operationId, day).then(
        ({ readings }) => current && setPast({ day, status: 'here', readings }),
        () => current && setPast({ day, status: 'away', readings: [] }),
      );
    }, 120);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [day, operationId, revision]);
  if (day === null) return NO_PAST;
  return past.day === day ? past : { day, status: 'fetching', readings: past.readings ?? [] };
}
