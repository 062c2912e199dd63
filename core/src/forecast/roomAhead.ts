import { addDays, daysBetween, type Day } from '../basics/index.ts';
import { inReferenceFrames, shareOf } from '../comb/index.ts';
import { framesOfColony, operationOf, placeOf, type Apiary, type Colony } from '../records/index.ts';
import { conditionsAt, courseOf } from './colonyOn.ts';
import { daysUntilFull } from './hatchForecast.ts';
import { colonySeason, seasonOfColony } from './yardSeason.ts';

/** When a colony wants another box, and where it goes. */
export interface RoomAhead {
  /** The day on which bees cover nearly all its combs; null when that does not come within six weeks. */
  readonly full: Day | null;
  /** The day by which the box should be on; null for none. */
  readonly boxBy: Day | null;
  /**
   * On top, where warmth rises into it; or under the nest, where an empty box does not cool the brood.
   */
  readonly where: 'above' | 'under';
  /** Cold nights keep it waiting until this day; null where they do not. */
  readonly waitUntil: Day | null;
  /** It shrinks towards winter, or sits in its cluster: however full it is, an empty box only cools it. */
  readonly shrinks: boolean;
  /** Combs of drone brood, each with the day on which the last of its drones are out. */
  readonly drones: readonly { readonly slot: number; readonly until: Day }[];
}

const DAYS_AHEAD = 42;
/** A box is given so many days before it is needed: bees move into it by and by (common practice, no source). */
const GIVEN_BEFORE_DAYS = 4;
/** Bees that fill so much of their combs fill a box above in cold nights as well; fewer get it below. */
const STRONG_SHARE = 1;
/** A comb with so much drone brood is a drone comb. */
const DRONE_COMB = 0.3;
/** Capped drone brood of unknown age is out within so many days (Winston 1987: capped on day 10, out on day 24). */
const DRONES_OUT_AFTER = 14;

/**
 * The room that a colony will want.
 *
 * @param coldUntil - the last of the cold nights that are forecast; null when none are
 */
export function roomAhead(
  apiary: Apiary,
  colony: Colony,
  today: Day,
  coldUntil: Day | null = null,
): RoomAhead {
  const { referenceSize } = operationOf(apiary);
  const frames = framesOfColony(apiary, colony);
  const combs = frames.reduce((n, f) => n + inReferenceFrames(f.frame.sizeId, referenceSize), 0);
  const course = courseOf(apiary, colony, today, DAYS_AHEAD);
  const days = daysUntilFull(course, combs);
  const full = days === null ? null : addDays(today, days);
  const needed = full === null ? null : later(today, addDays(full, -GIVEN_BEFORE_DAYS));
  const shrinks = shrinksOn(apiary, colony, needed ?? today);
  const wanted = shrinks ? null : needed;
  const isCold = conditionsAt(apiary, placeOf(apiary, colony).yard);
  const cold = wanted !== null && (isCold(wanted).coldNights || (coldUntil !== null && wanted <= coldUntil));
  const bees = course.find((d) => d.day === wanted)?.bees ?? 0;
  // A box that is not needed for days yet waits for the end of a cold spell.
  const waits = cold && coldUntil !== null && full !== null && daysBetween(coldUntil, full) >= 0;
  return {
    full,
    boxBy: waits && coldUntil !== null ? addDays(coldUntil, 1) : wanted,
    where: cold && !waits && bees < STRONG_SHARE * combs ? 'under' : 'above',
    waitUntil: waits ? coldUntil : null,
    shrinks,
    drones: frames.flatMap((f) =>
      f.reading && shareOf(f.reading.body, 'drone') >= DRONE_COMB
        ? [{ slot: f.slot, until: addDays(f.reading.day, DRONES_OUT_AFTER) }]
        : [],
    ),
  };
}

/** From the last day on which bees can still be raised for winter until brood begins again (common practice, no source). */
function shrinksOn(apiary: Apiary, colony: Colony, day: Day): boolean {
  const { days } = seasonOfColony(apiary, colony, day);
  const { lastForWinterBees } = colonySeason(apiary, colony, day);
  return day > lastForWinterBees || day > days['first-frost'] || day < days['brood-restart'];
}

const later = (a: Day, b: Day): Day => (a > b ? a : b);
