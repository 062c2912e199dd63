import { scaleDays, scaleVerdict } from '@incremen/core/weather';
import type { Outside } from '@incremen/core/remedies';
import { useState } from 'react';
import { useWeather } from './useWeather.ts';
import { senseOf } from './weatherWords.ts';

/** Nights below this are cold for brood, in °C. */
const COLD_C = 10;

/** Nights and flow as weather and scale tell them, until the keeper says otherwise. */
export function useOutside() {
  const { report, now } = useWeather();
  const [nights, setNights] = useState<'mild' | 'cold' | null>(null);
  const [flow, setFlow] = useState<'yes' | 'no' | null>(null);
  const coldest = report && now ? (senseOf(report, now).coldest?.minC ?? null) : null;
  const onScale = scaleVerdict(scaleDays(report?.scale ?? [])).says;
  const shownNights = nights ?? (coldest !== null && coldest < COLD_C ? 'cold' : 'mild');
  const shownFlow = flow ?? (onScale === 'flow' ? 'yes' : 'no');
  const coldNights = shownNights === 'cold';
  const flows = shownFlow === 'yes';
  return { coldNights, flow: flows, shownNights, shownFlow, setNights, setFlow } satisfies Outside &
    Record<string, unknown>;
}
