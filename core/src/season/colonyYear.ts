import type { SeasonCalendar } from './climates.ts';
import { phaseAt } from './season.ts';

/** What the time of the year does to a colony on a day. */
export interface SeasonPull {
  /** Share of her best rate at which a good queen lays, if nothing else holds her back. */
  readonly laying: number;
  /** Share of the workers emerging now that are winter bees. */
  readonly winterBees: number;
  /** Nights below about 10 °C are usual: less brood is covered, and keeping it warm costs food. */
  readonly coldNights: boolean;
  /** The colony sits in its winter cluster. */
  readonly cluster: boolean;
  /** Pollen can be gathered. */
  readonly pollen: boolean;
  /** Something is in flower: bees that have nothing left live from hand to mouth and do not starve at once. */
  readonly forage: boolean;
}

/** Winter bees: workers that emerge from about ten weeks before the first hard frost on; all of them six weeks before. */
const WINTER_BEES_FROM = 70;
const WINTER_BEES_ALL = 40;
/** Cold nights are usual until so long after the first drones fly, and again before the last opening. */
const COLD_UNTIL_DRONES = 0;
const COLD_BEFORE_LAST_OPENING = 14;

/**
 * What the calendar of a yard says of a day, given as days after midwinter. The shape over the year is our estimate, no
 * published source: none in winter, all of it at the main flow, less in a dearth, little before frost.
 */
export function pullOf(calendar: SeasonCalendar, at: number): SeasonPull {
  const c = calendar;
  const phase = phaseAt(c, at);
  const laying = along(at, [
    [c['brood-restart'], 0],
    [c['brood-restart'] + 14, 0.25],
    [c['first-flow'], 0.7],
    [c['main-flow'], 1],
    [c['main-flow-end'], 0.85],
    [c['autumn-flow'], 0.6],
    [c['autumn-flow-end'], 0.25],
    [c['first-frost'], 0],
  ]);
  const toFrost = c['first-frost'] - at;
  const winterBees =
    at < c['brood-restart']
      ? 1
      : Math.min(1, Math.max(0, (WINTER_BEES_FROM - toFrost) / (WINTER_BEES_FROM - WINTER_BEES_ALL)));
  return {
    laying: phase === 'winter' ? 0 : laying,
    winterBees,
    coldNights:
      at < c['first-drones'] + COLD_UNTIL_DRONES || at > c['last-opening'] - COLD_BEFORE_LAST_OPENING,
    cluster: phase === 'winter',
    pollen: at > c['brood-restart'] + 21 && at < c['last-opening'],
    forage: phase === 'build-up' || phase === 'main-flow' || phase === 'autumn-flow',
  };
}

/** The value of a line through points, level beyond its ends. */
function along(at: number, points: readonly (readonly [number, number])[]): number {
  const sorted = points.toSorted((a, b) => a[0] - b[0]);
  let last = sorted[0] ?? [0, 0];
  if (at <= last[0]) return last[1];
  for (const point of sorted) {
    if (at <= point[0]) {
      const span = point[0] - last[0];
      return span <= 0 ? point[1] : last[1] + ((point[1] - last[1]) * (at - last[0])) / span;
    }
    last = point;
  }
  return last[1];
}

/** Share of the adult bees that are winter bees when nothing else is known of a colony. */
export function winterBeesAmongAdults(calendar: SeasonCalendar, at: number): number {
  const c = calendar;
  const restart = c['brood-restart'];
  // They die out over the ten weeks after brood is raised again.
  if (at < restart + 30) return 1;
  if (at < restart + 80) return 1 - (at - restart - 30) / 50;
  const toFrost = c['first-frost'] - at;
  if (toFrost >= WINTER_BEES_ALL) return 0;
  return Math.min(1, (WINTER_BEES_ALL - toFrost) / WINTER_BEES_ALL);
}
