import type { Day } from '../basics/index.ts';
import type { Apiary, Yard } from '../records/index.ts';
import type { FlowSpell, SeasonSetting } from '../season/index.ts';
import { yardCalendar } from './yardSeason.ts';

/** The flow of a day among spells; null for none. Of two that overlap, the later begun. */
export const flowAmong = (flows: readonly FlowSpell[], day: Day): FlowSpell | null =>
  flows
    .filter((f) => f.from <= day && (f.to === null || day <= f.to))
    .reduce<FlowSpell | null>((best, f) => (best === null || f.from >= best.from ? f : best), null);

/** The flow on record in a yard on a day; null for none. A flow is never assumed from the calendar. */
export const flowOn = (yard: Yard | undefined, day: Day): FlowSpell | null =>
  flowAmong(yard?.season?.flows ?? [], day);

/** What is set of the year of a yard, or would be by what holds for it until then. */
export const settingOf = (apiary: Apiary, yard: Yard): SeasonSetting =>
  yard.season ?? {
    climate: 'temperate',
    moved: { 'first-frost': yardCalendar(apiary, yard)['first-frost'] },
    flows: [],
  };
