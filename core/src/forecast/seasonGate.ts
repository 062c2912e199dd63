import { addDays, dayInWords, daysBetween, yearOf, type Day } from '../basics/index.ts';
import { hasLiveCell, shareOf } from '../comb/index.ts';
import { coloniesOfYard, framesOfColony, type Apiary, type NucQueen, type Yard } from '../records/index.ts';
import { seasonOfYard } from './yardSeason.ts';

/** Why something is not done at this time of the year, and from when it is. */
export interface SeasonGate {
  readonly why: string;
  /** The next day on which it is sensible. */
  readonly next: Day;
}

/** Units with a mated queen need so long to get ready for the winter (common practice, no source). */
const WINTER_READY_DAYS = 42;

/** A queen is out so many days after she is begun, by what a part raises her from; she mates in the weeks that follow (Winston 1987). */
const OUT_AFTER: Readonly<Record<NucQueen, number | null>> = {
  raises: 12,
  cell: 3,
  // The colony that she leaves raises another.
  'old-queen': 12,
  mated: null,
};

/** A day as it is said on another: with its year where that is another one. */
const onAnotherDay = (day: Day, today: Day): string =>
  yearOf(day) === yearOf(today) ? dayInWords(day) : `${dayInWords(day)} ${yearOf(day)}`;

const YEAR = 365;

/** Why no brood nest of a yard is opened on a day: winter. Null where it may be. */
export function openingGate(apiary: Apiary, yard: Yard | undefined, day: Day): SeasonGate | null {
  const { days } = seasonOfYard(apiary, yard, day);
  if (day >= days['brood-restart'] && day <= days['last-opening']) return null;
  const next =
    day < days['brood-restart']
      ? days['brood-restart']
      : seasonOfYard(apiary, yard, addDays(days['brood-restart'], YEAR)).days['brood-restart'];
  return {
    why: `Winter: brood nests stay shut until about ${onAnotherDay(next, day)}. Heft them, and feed what is light.`,
    next,
  };
}

/**
 * Why a yard makes no increase on a day, by how a new part gets its queen; null where it may. One rule for the finder, the
 * bench, the chart of days and the board (common practice, no source; the dates are those of the yard's calendar).
 *
 * @param sooner - drones were seen, or swarm cells stand: then it may begin before the calendar has drones
 */
export function increaseGate(
  apiary: Apiary,
  yard: Yard | undefined,
  day: Day,
  queen: NucQueen,
  sooner = false,
): SeasonGate | null {
  const { days } = seasonOfYard(apiary, yard, day);
  const shut = openingGate(apiary, yard, day);
  const nextYear = seasonOfYard(apiary, yard, addDays(days['first-drones'], YEAR)).days['first-drones'];
  if (shut) {
    const next = shut.next <= days['first-drones'] ? days['first-drones'] : nextYear;
    return {
      why: `Winter: no colony is divided. The next sensible day is about ${onAnotherDay(next, day)}, when drones fly.`,
      next,
    };
  }
  if (day < days['first-drones'] && !sooner) {
    return {
      why: `Before drones fly no colony is divided, unless swarm cells say that it goes anyway. They fly from about ${dayInWords(days['first-drones'])}.`,
      next: days['first-drones'],
    };
  }
  const outAfter = OUT_AFTER[queen];
  if (outAfter !== null) {
    if (addDays(day, outAfter) <= days['last-mating']) return null;
    const lastMated = addDays(days['first-frost'], -WINTER_READY_DAYS);
    const mated = day <= lastMated ? ` With a mated queen there is time until ${dayInWords(lastMated)}.` : '';
    return {
      why: `Too late to raise a queen: the last ones mate about ${dayInWords(days['last-mating'])}.${mated} Otherwise from about ${onAnotherDay(nextYear, day)}.`,
      next: nextYear,
    };
  }
  if (day <= addDays(days['first-frost'], -WINTER_READY_DAYS)) return null;
  return {
    why: `Too late for a new colony, even with a mated queen: it needs six weeks before the hard frost, about ${dayInWords(days['first-frost'])}. Unite, feed, and leave them shut; again from about ${onAnotherDay(nextYear, day)}.`,
    next: nextYear,
  };
}

/** What was counted says so long how far the year is. */
const SIGN_DAYS = 21;

/** Whether drone brood or live queen cells were counted in a yard of late: the year is further on than its calendar. */
export const mayBeginSooner = (apiary: Apiary, yard: Yard, day: Day): boolean =>
  coloniesOfYard(apiary, yard.id).some((c) =>
    framesOfColony(apiary, c).some(({ reading }) => {
      if (!reading || daysBetween(reading.day, day) > SIGN_DAYS) return false;
      return hasLiveCell(reading.body) || shareOf(reading.body, 'drone') > 0;
    }),
  );
