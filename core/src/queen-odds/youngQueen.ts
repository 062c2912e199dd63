import type { QueenStateName } from '../rules/index.ts';
import { dayNumber, type Course, type DayNumber, type LayingSpan, type MatingSeason } from './course.ts';
import type { KeeperLikelihoods } from './keeperLikelihoods.ts';
import { spread, type Share } from './spread.ts';

/** A queen who comes out of a cell, and what was there before. */
export interface FromCell {
  readonly id: string;
  readonly prior: number;
  readonly emerged: DayNumber;
  readonly cells: Course['cells'];
  /** Whose brood was laid before. */
  readonly old: readonly LayingSpan[];
  /** How it stood before she was out. */
  readonly before: (day: DayNumber) => QueenStateName;
  /** The day from which there was nobody else to lay: workers would begin some weeks later. */
  readonly queenlessFrom: DayNumber;
}

/** How finely the days are told apart on which it happens: a part is dated to the day, a loss unseen is not. */
export interface Fineness {
  /** Days from emergence to her first egg. */
  readonly eggs: readonly Share[];
  /** Days from emergence to the first egg of one that lays drones. */
  readonly drones: readonly Share[];
  /** Days from emergence on which one who does not come back is lost. */
  readonly flights: readonly Share[];
  /** Days without any queen or brood of hers from which workers lay. */
  readonly workers: readonly Share[];
}

/**
 * By the day. First eggs mostly 8 to 14 days after emergence, to 21 in poor weather; she flies from day 5 on (Winston
 * 1987). Badly mated she begins with the others, unmated at three weeks and later; workers lay three to four weeks after
 * the last queen (common practice, no source).
 */
const FINE: Fineness = {
  eggs: spread({ earliest: 7, likely: 11, latest: 22 }),
  drones: [
    { after: 13, share: 0.3 },
    { after: 19, share: 0.3 },
    { after: 25, share: 0.4 },
  ],
  flights: [6, 9, 12].map((after) => ({ after, share: 1 / 3 })),
  workers: [
    { after: 23, share: 0.2 },
    { after: 26, share: 0.3 },
    { after: 29, share: 0.3 },
    { after: 32, share: 0.2 },
  ],
};

/** The same in few steps. */
export const COARSE: Fineness = {
  eggs: [
    { after: 8, share: 0.2 },
    { after: 11, share: 0.37 },
    { after: 14, share: 0.27 },
    { after: 18, share: 0.16 },
  ],
  drones: [
    { after: 14, share: 0.4 },
    { after: 24, share: 0.6 },
  ],
  flights: [{ after: 9, share: 1 }],
  workers: [{ after: 27, share: 1 }],
};

/** Workers that had a virgin lay no sooner than so many days after she was lost (judgement). */
const LAY_AFTER_VIRGIN = 8;
/** A young queen is a laying queen like others from so many days after her first egg: her brood is capped then. */
const PROVED_AFTER = 10;
/** Of virgins out of the season of drones, so many of those who would mate within it (judgement, no source). */
const MATES_OUT_OF_SEASON = 0.35;

/** How often a virgin who emerges on a day mates and comes back. */
const matesOf = ({ matingFrom, matingUntil }: MatingSeason, emerged: DayNumber, inSeason: number): number =>
  (matingFrom !== undefined && emerged < dayNumber(matingFrom)) ||
  (matingUntil !== undefined && emerged > dayNumber(matingUntil))
    ? inSeason * MATES_OUT_OF_SEASON
    : inSeason;

/** Everything that can become of a queen who comes out of a cell: she mates and lays, lays drones, idles, or is lost. */
export function youngQueenCourses(
  { id, prior, emerged, cells, old, before, queenlessFrom }: FromCell,
  season: MatingSeason,
  { matesOfVirgins, table: { fates } }: KeeperLikelihoods,
  { eggs, drones, flights, workers }: Fineness = FINE,
): Course[] {
  const mates = matesOf(season, emerged, matesOfVirgins);
  const unlucky = prior * (1 - mates);
  const lost = unlucky * Math.max(0, 1 - fates.dronesOfUnlucky - fates.staysVirgin);
  return [
    ...eggs.map(({ after, share }): Course => {
      const first = emerged + after;
      return {
        id: `${id}, eggs ${after}`,
        prior: prior * mates * share,
        cells,
        laying: [...old, { from: first, to: null, by: 'queen' }],
        stateOn: (day) =>
          day < emerged
            ? before(day)
            : day < first
              ? 'virgin'
              : day - first < PROVED_AFTER
                ? 'newly-laying'
                : 'laying',
      };
    }),
    ...drones.map(({ after, share }): Course => {
      const first = emerged + after;
      return {
        id: `${id}, drones ${after}`,
        prior: unlucky * fates.dronesOfUnlucky * share,
        cells,
        laying: [...old, { from: first, to: null, by: 'drone-queen' }],
        stateOn: (day) => (day < emerged ? before(day) : day < first ? 'virgin' : 'drone-layer'),
      };
    }),
    {
      id: `${id}, stays a virgin`,
      prior: unlucky * fates.staysVirgin,
      cells,
      laying: old,
      stateOn: (day) => (day < emerged ? before(day) : 'virgin'),
    },
    ...flights.flatMap((flight) =>
      workers.map((w): Course => {
        const gone = emerged + flight.after;
        const lay = Math.max(queenlessFrom + w.after, gone + LAY_AFTER_VIRGIN);
        return {
          id: `${id}, lost ${flight.after}, workers ${w.after}`,
          prior: lost * flight.share * w.share,
          cells,
          laying: [...old, { from: lay, to: null, by: 'workers' }],
          stateOn: (day) =>
            day < emerged ? before(day) : day < gone ? 'virgin' : day < lay ? 'hopeless' : 'laying-workers',
        };
      }),
    ),
  ];
}

/** Everything that can become of a colony that raises none: hopeless once no larva is young enough, until workers lay. */
export function queenlessCourses(
  id: string,
  prior: number,
  old: readonly LayingSpan[],
  from: DayNumber,
  /** How it stood while a larva could still become a queen, and until when. */
  { before, until }: { readonly before: QueenStateName; readonly until: DayNumber },
  { workers }: Fineness = FINE,
): Course[] {
  return workers.map(({ after, share }): Course => {
    const lay = from + after;
    return {
      id: `${id}, workers ${after}`,
      prior: prior * share,
      cells: null,
      laying: [...old, { from: lay, to: null, by: 'workers' }],
      stateOn: (day) => (day < until ? before : day < lay ? 'hopeless' : 'laying-workers'),
    };
  });
}
