export {
  CLIMATE_CALENDARS,
  CLIMATE_WINTER_KG,
  CLIMATE_WORDS,
  CLIMATES,
  SEASON_EVENT_NAMES,
  SEASON_EVENTS,
  type Climate,
  type SeasonCalendar,
  type SeasonEvent,
} from './climates.ts';
export { problemsOfSeason } from './problemsOfSeason.ts';
export { pullOf, type SeasonPull, winterBeesAmongAdults } from './colonyYear.ts';
export {
  calendarOf,
  daysIntoSeason,
  flowSpell,
  type FlowSpell,
  type Hemisphere,
  midwinterBefore,
  phaseAt,
  PHASE_WORDS,
  SEASON_PHASES,
  type Season,
  type SeasonPhase,
  seasonOfDay,
  seasonSetting,
  type SeasonSetting,
} from './season.ts';
