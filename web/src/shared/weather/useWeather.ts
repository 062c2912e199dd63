import type { WeatherReport } from '@incremen/contract';
import { skipToken } from '@reduxjs/toolkit/query';
import { useMemo, useState } from 'react';
import { keptWeather } from '../../server/keptWeather.ts';
import { useWeatherQuery } from '../../server/serverData.ts';
import { useAppSelector } from '../../state/store.ts';
import { useOperation, useToday } from '../../mirror/hooks.ts';

/** Weather as far as it is known here. */
export interface Weather {
  readonly report: WeatherReport | null;
  /** The hour up to which it was observed, as 2026-05-15T14:00; null when nothing is known. */
  readonly now: string | null;
  readonly state: 'asking' | 'known' | 'away';
}

const MORNING = 9;

/** Weather of the yard, asked for when a view opens that needs it. */
export function useWeather(): Weather {
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const day = useToday();
  const [hourOpened] = useState(() => new Date().getHours());
  // On a day that stands still it is always morning.
  const hour = useOperation().fixedToday === null ? hourOpened : MORNING;
  const { currentData, isError } = useWeatherQuery(
    operationId === null ? skipToken : { operationId, day, hour },
    { refetchOnMountOrArgChange: true },
  );
  const kept = useMemo(() => keptWeather(operationId), [operationId]);
  const report = currentData ?? kept;
  const state = isError ? 'away' : currentData ? 'known' : 'asking';
  return { report, now: report?.observed.at(-1)?.time ?? report?.forecast[0]?.time ?? null, state };
}
