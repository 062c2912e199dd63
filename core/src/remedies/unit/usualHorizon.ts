import { addDays, type Day } from '../../basics/index.ts';
import type { UnitFacts } from './unitFacts.ts';

/** Days from now on which what is done is judged, unless frosts come sooner. */
const LOOK_AHEAD = 42;

/** The day on which remedies are compared when none is chosen. */
export function usualHorizon({ day, season }: Pick<UnitFacts, 'day' | 'season'>): Day {
  const ahead = addDays(day, LOOK_AHEAD);
  return ahead < season.frost ? ahead : season.frost;
}
