import type { Outside } from '@incremen/core/remedies';
import { useState } from 'react';
import { useColdestNight } from './useColdestNight.ts';

/** Nights below this are cold for brood, in °C. */
const COLD_C = 10;

/** Nights as the weather tells them, until the keeper says otherwise. */
export function useOutside() {
  const [nights, setNights] = useState<'mild' | 'cold' | null>(null);
  const coldest = useColdestNight();
  const shownNights = nights ?? (coldest !== null && coldest.minC < COLD_C ? 'cold' : 'mild');
  return { coldNights: shownNights === 'cold', shownNights, setNights } satisfies Outside &
    Record<string, unknown>;
}
