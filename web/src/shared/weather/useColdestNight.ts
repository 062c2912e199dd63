import { useToday } from '../../mirror/hooks.ts';
import { nightsSaid } from './nightsSaid.ts';
import { useWeather } from './useWeather.ts';
import { senseOf } from './weatherWords.ts';

/** The coldest night to come, in °C, and who says so; null where nobody does. A forecast goes before what was typed. */
export function useColdestNight(): { readonly minC: number; readonly by: 'forecast' | 'keeper' } | null {
  const { report, now } = useWeather();
  const today = useToday();
  const coldest = report && now ? senseOf(report, now).coldest : null;
  if (coldest) return { minC: coldest.minC, by: 'forecast' };
  const said = nightsSaid(today);
  return said && { minC: said.minC, by: 'keeper' };
}
