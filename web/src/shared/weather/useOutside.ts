import { WEATHER_LIMITS } from '@incremen/core/weather';
import type { Outside } from '@incremen/core/remedies';
import { useState } from 'react';
import { useColdestNight } from './useColdestNight.ts';

/** Nights as the weather tells them, until the keeper says otherwise. */
export function useOutside() {
  const [nights, setNights] = useState<'mild' | 'cold' | null>(null);
  const coldest = useColdestNight();
  const shownNights =
    nights ?? (coldest !== null && coldest.minC < WEATHER_LIMITS.coldNightC ? 'cold' : 'mild');
  return { coldNights: shownNights === 'cold', shownNights, setNights } satisfies Outside &
    Record<string, unknown>;
}
