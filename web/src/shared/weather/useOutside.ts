import type { Outside } from '@incremen/core/remedies';
import { useState } from 'react';
import { useWeather } from './useWeather.ts';
import { senseOf } from './weatherWords.ts';

/** Nights below this are cold for brood, in °C. */
const COLD_C = 10;

/** Nights as the weather tells them, until the keeper says otherwise. */
export function useOutside() {
  const { report, now } = useWeather();
  const [nights, setNights] = useState<'mild' | 'cold' | null>(null);
  const coldest = report && now ? (senseOf(report, now).coldest?.minC ?? null) : null;
  const shownNights = nights ?? (coldest !== null && coldest < COLD_C ? 'cold' : 'mild');
  return { coldNights: shownNights === 'cold', shownNights, setNights } satisfies Outside &
    Record<string, unknown>;
}
