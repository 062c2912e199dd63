import { z } from 'zod';
import { addDays, daysBetween, yearOf, type Day } from '../basics/index.ts';
import {
  CLIMATE_CALENDARS,
  CLIMATES,
  SEASON_EVENTS,
  type Climate,
  type SeasonCalendar,
  type SeasonEvent,
} from './climates.ts';

export type Hemisphere = 'north' | 'south';

/** A spell in which nectar came in, as the keeper or a scale has said. */
export const flowSpell = z.strictObject({
  from: z.iso.date(),
  /** Its last day; null while it goes on. */
  to: z.iso.date().nullable(),
  by: z.enum(['keeper', 'scale']).default('keeper'),
  /**
   * What a colony of ten frames of bees gains in a day, in kg of ripe honey, over what it eats; null where nobody has
   * weighed it: then what is eaten is replaced, and no more is counted on.
   */
  kgPerDay: z.number().min(0).max(15).nullable().default(null),
});
export type FlowSpell = z.infer<typeof flowSpell>;

/** What a keeper has said of the year of a yard: where it begins from, and which dates were moved. */
export const seasonSetting = z.strictObject({
  climate: z.enum(CLIMATES),
  /** Days after midwinter, for events that were moved. */
  moved: z.partialRecord(z.enum(SEASON_EVENTS), z.int().min(0).max(365)),
  flows: z.array(flowSpell).max(200).default([]),
});
export type SeasonSetting = z.infer<typeof seasonSetting>;

/** The shortest day. */
const MIDWINTER: Readonly<Record<Hemisphere, string>> = { north: '12-21', south: '06-21' };

/** The last midwinter up to a day: the day from which a season's dates are counted. */
export function midwinterBefore(day: Day, hemisphere: Hemisphere): Day {
  const own = `${yearOf(day)}-${MIDWINTER[hemisphere]}`;
  return own <= day ? own : `${yearOf(day) - 1}-${MIDWINTER[hemisphere]}`;
}

/** The year of a climate with the dates that were moved. */
export const calendarOf = (
  climate: Climate,
  moved: Partial<Readonly<Record<SeasonEvent, number>>> = {},
): SeasonCalendar => ({ ...CLIMATE_CALENDARS[climate], ...moved });

/** The season that a day lies in, from one midwinter to the next. */
export interface Season {
  readonly midwinter: Day;
  readonly calendar: SeasonCalendar;
  /** The day of each event in this season. */
  readonly days: Readonly<Record<SeasonEvent, Day>>;
}

/** The season of a day, with its dates. */
export function seasonOfDay(calendar: SeasonCalendar, hemisphere: Hemisphere, day: Day): Season {
  const midwinter = midwinterBefore(day, hemisphere);
  const days = Object.fromEntries(SEASON_EVENTS.map((e) => [e, addDays(midwinter, calendar[e])])) as Record<
    SeasonEvent,
    Day
  >;
  return { midwinter, calendar, days };
}

/** Parts of a year, as they are drawn and spoken of. */
export const SEASON_PHASES = [
  'winter',
  'spring',
  'build-up',
  'main-flow',
  'dearth',
  'autumn-flow',
  'autumn',
] as const;
export type SeasonPhase = (typeof SEASON_PHASES)[number];
export const PHASE_WORDS: Readonly<Record<SeasonPhase, string>> = {
  winter: 'Winter rest',
  spring: 'Late winter and spring',
  'build-up': 'Build-up',
  'main-flow': 'Main flow',
  dearth: 'Dearth',
  'autumn-flow': 'Autumn flow',
  autumn: 'Autumn',
};

/** In which part of the year a day lies, as days after midwinter. */
export function phaseAt(calendar: SeasonCalendar, at: number): SeasonPhase {
  if (at < calendar['brood-restart'] || at >= calendar['first-frost']) return 'winter';
  if (at < calendar['first-flow']) return 'spring';
  if (at < calendar['main-flow']) return 'build-up';
  if (at < calendar['main-flow-end']) return 'main-flow';
  if (at < calendar['autumn-flow']) return 'dearth';
  return at < calendar['autumn-flow-end'] ? 'autumn-flow' : 'autumn';
}

/** Days after midwinter of a day. */
export const daysIntoSeason = (season: Season, day: Day): number => daysBetween(season.midwinter, day);
