import type { WeatherReport } from '@incremen/contract';
import { useEffect, useState } from 'react';
import { useAppSelector } from '../../state/store.ts';
import { api } from '../../mirror/api.ts';
import { useOperation, useToday } from '../../mirror/hooks.ts';

/** Weather as far as it is known here. */
export interface Weather {
  readonly report: WeatherReport | null;
  /** The hour up to which it was observed, as 2026-05-15T14:00; null when nothing is known. */
  readonly now: string | null;
  readonly state: 'asking' | 'known' | 'away';
}

const KEPT = 'incremen.weather';

const MORNING = 9;

/** The last report is kept on this device: in the field there is often no signal. */
function keptReport(operationId: string | null): WeatherReport | null {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as {
      operationId: string;
      report: WeatherReport;
    } | null;
    return kept?.operationId === operationId ? kept.report : null;
  } catch {
    return null;
  }
}

/** Weather of the yard, asked for when a view opens that needs it. */
export function useWeather(): Weather {
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const today = useToday();
  // On a day that stands still it is always morning.
  const stands = useOperation().fixedToday !== null;
  const [report, setReport] = useState<WeatherReport | null>(() => keptReport(operationId));
  const [state, setState] = useState<Weather['state']>('asking');
  useEffect(() => {
    if (operationId === null) return undefined;
    let wanted = true;
    api
      .weather(operationId, today, stands ? MORNING : new Date().getHours())
      .then((fresh) => {
        if (!wanted) return;
        setReport(fresh);
        setState('known');
        try {
          localStorage.setItem(KEPT, JSON.stringify({ operationId, report: fresh }));
        } catch {
          // A full store costs nothing but the weather when there is no signal.
        }
      })
      .catch(() => wanted && setState('away'));
    return () => {
      wanted = false;
    };
  }, [operationId, today, stands]);
  return { report, now: report?.observed.at(-1)?.time ?? report?.forecast[0]?.time ?? null, state };
}
