import { addDays, daysBetween, type Day } from '../basics/index.ts';
import { operationOf, placeOf, type Apiary, type Colony, type Yard } from '../records/index.ts';
import { houseRules } from '../rules/index.ts';
import {
  calendarOf,
  seasonOfDay,
  type Climate,
  type Season,
  type SeasonCalendar,
  type SeasonEvent,
} from '../season/index.ts';

/** Dates that the season sets. */
export interface YardSeason {
  /** First hard frosts to come. */
  readonly frost: Day;
  /** A queen that lays after this day raises too few winter bees. */
  readonly lastForWinterBees: Day;
  readonly daysToFrost: number;
}

/** Midsummer comes so many days after midwinter. */
const MIDSUMMER_AFTER_MIDWINTER = 182;

const kept = new WeakMap<object, Map<string, SeasonCalendar>>();

/**
 * The calendar of a yard: of its climate, with the dates that the keeper moved, and the signs of this year that say that
 * something has come sooner. Without a setting of its own it is temperate, and its first frost is that of the house
 * rules.
 */
export function yardCalendar(apiary: Apiary, yard: Yard | undefined): SeasonCalendar {
  const operation = operationOf(apiary);
  const calendars = kept.get(operation) ?? new Map<string, SeasonCalendar>();
  kept.set(operation, calendars);
  const key = JSON.stringify(yard?.season ?? null);
  const known = calendars.get(key);
  if (known) return known;
  const made = yard?.season
    ? calendarOf(yard.season.climate, yard.season.moved as Partial<Record<SeasonEvent, number>>)
    : calendarOf('temperate', {
        'first-frost':
          MIDSUMMER_AFTER_MIDWINTER + houseRules(operation.houseRules.changes).frostAfterMidsummer,
      });
  calendars.set(key, made);
  return made;
}

/** The climate of a yard. */
export const climateOf = (yard: Yard | undefined): Climate => yard?.season?.climate ?? 'temperate';

/** The season of a yard that a day lies in. */
export const seasonOfYard = (apiary: Apiary, yard: Yard | undefined, day: Day): Season =>
  seasonOfDay(yardCalendar(apiary, yard), operationOf(apiary).hemisphere, day);

/** The season of the yard of a colony. */
export const seasonOfColony = (apiary: Apiary, colony: Colony, day: Day): Season =>
  seasonOfYard(apiary, placeOf(apiary, colony).yard, day);

/** When frosts come, and what that leaves time for. */
export function yardSeason(apiary: Apiary, day: Day, yard?: Yard): YardSeason {
  const { winterBeesWeeks } = houseRules(operationOf(apiary).houseRules.changes);
  const thisYear = seasonOfYard(apiary, yard, day).days['first-frost'];
  const frost =
    thisYear >= day ? thisYear : seasonOfYard(apiary, yard, addDays(thisYear, 100)).days['first-frost'];
  return {
    frost,
    lastForWinterBees: addDays(frost, -7 * winterBeesWeeks),
    daysToFrost: daysBetween(day, frost),
  };
}

/** The same for the yard in which a colony stands. */
export const colonySeason = (apiary: Apiary, colony: Colony, day: Day): YardSeason =>
  yardSeason(apiary, day, placeOf(apiary, colony).yard);
