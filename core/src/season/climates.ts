/**
 * What the year of a yard turns on, in the order of a usual year. `last-mating`: queens that emerge later hardly mate.
 * `last-opening`: brood nests stay shut from then on.
 */
export const SEASON_EVENTS = [
  'brood-restart',
  'first-drones',
  'first-flow',
  'swarm-start',
  'main-flow',
  'swarm-end',
  'main-flow-end',
  'autumn-flow',
  'last-mating',
  'autumn-flow-end',
  'last-opening',
  'first-frost',
] as const;
export type SeasonEvent = (typeof SEASON_EVENTS)[number];

/** What each is called where its date is asked for. */
export const SEASON_EVENT_NAMES: Readonly<Record<SeasonEvent, string>> = {
  'brood-restart': 'Brood is raised again',
  'first-drones': 'First drones fly',
  'first-flow': 'First nectar flow begins',
  'swarm-start': 'Swarm season begins',
  'main-flow': 'Main flow begins',
  'swarm-end': 'Swarm season ends',
  'main-flow-end': 'Main flow ends',
  'autumn-flow': 'Autumn flow begins',
  'last-mating': 'Last queens mate',
  'autumn-flow-end': 'Autumn flow ends',
  'last-opening': 'Last opening of brood nests',
  'first-frost': 'First hard frost',
};

/** A year of bees: each event as days after midwinter, the shortest day. */
export type SeasonCalendar = Readonly<Record<SeasonEvent, number>>;

/** Kinds of climate to begin from; every date can be moved. */
export const CLIMATES = ['temperate', 'maritime', 'continental', 'warm'] as const;
export type Climate = (typeof CLIMATES)[number];

export const CLIMATE_WORDS: Readonly<Record<Climate, { readonly name: string; readonly like: string }>> = {
  temperate: { name: 'Temperate', like: 'Cold winters of four months, a main flow in early summer' },
  maritime: { name: 'Mild and maritime', like: 'Mild wet winters, a long spring, a late main flow' },
  continental: { name: 'Cold and continental', like: 'Long hard winters, a short strong season' },
  warm: { name: 'Warm', like: 'Hardly any frost, an early spring, a long summer dearth' },
};

const calendar = (...days: readonly number[]): SeasonCalendar =>
  Object.fromEntries(SEASON_EVENTS.map((e, i) => [e, days[i] ?? 0])) as Record<SeasonEvent, number>;

/**
 * The usual year of each climate, in days after midwinter. Our estimates, no published source: a keeper moves the dates
 * to what the yard sees.
 */
export const CLIMATE_CALENDARS: Readonly<Record<Climate, SeasonCalendar>> = {
  // Midwinter 21 Dec in the north: 5 Feb, 20 Apr, 20 Apr, 1 May, 1 Jun, 5 Jul, 15 Jul, 16 Aug, 25 Aug, 20 Sep, 1 Oct, 14 Oct.
  temperate: calendar(46, 120, 120, 131, 162, 196, 206, 238, 247, 273, 284, 297),
  maritime: calendar(30, 110, 115, 125, 176, 201, 216, 243, 255, 283, 298, 324),
  continental: calendar(66, 140, 135, 150, 181, 206, 227, 243, 232, 263, 268, 288),
  warm: calendar(4, 70, 61, 79, 110, 161, 176, 264, 298, 324, 334, 364),
};

/** Food that a colony of full size needs for the winter of each climate, in kg: about 18–20 where it is mild, 27–40 where it is long (common practice, no source). */
export const CLIMATE_WINTER_KG: Readonly<Record<Climate, number>> = {
  temperate: 20,
  maritime: 18,
  continental: 30,
  warm: 12,
};
