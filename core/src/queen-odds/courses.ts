import { daysBetween, type Day, type Window } from '../basics/index.ts';
import type { QueenCame } from '../records/index.ts';
import { emergencyEmergence } from '../brood/index.ts';
import { LEAST_LIKELIHOOD, type QueenStateName } from '../rules/index.ts';
import { cagedCourses, cameCourses } from './cameCourses.ts';
import type { LikelihoodTable } from './likelihoodTable.ts';
import { USUAL_LIKELIHOODS, type KeeperLikelihoods } from './keeperLikelihoods.ts';

/** Days since the beginning of 2000: thousands of comparisons are made of them. */
export type DayNumber = number;

/** The number of a day. */
export const dayNumber = (day: Day): DayNumber => daysBetween('2000-01-01', day);

/** Whose eggs are laid: of a mated queen, of an unmated one, or of workers. */
export type Layer = 'queen' | 'drone-queen' | 'workers';

/** A stretch of days in which somebody lays, both ends included; null ends are open. */
export interface LayingSpan {
  readonly from: DayNumber | null;
  readonly to: DayNumber | null;
  readonly by: Layer;
}

/** One way in which it may have come, from the loss of the queen to now and beyond. */
export interface Course {
  readonly id: string;
  /** How likely it is before anything was seen. */
  readonly prior: number;
  readonly laying: readonly LayingSpan[];
  /** Live queen cells are in it, from one day to another. */
  readonly cells: { readonly from: DayNumber; readonly to: DayNumber } | null;
  /** When a queen came out of a cell; null where none did. */
  readonly emerged: DayNumber | null;
  /** A queen, of whatever kind, is in it from one day to another. */
  readonly queen: { readonly from: DayNumber | null; readonly to: DayNumber | null } | null;
  readonly stateOn: (day: DayNumber) => QueenStateName;
}

/** What is known of a part before it is looked at. */
export interface PartBefore {
  /** The day on which it was parted; null for a colony that was never split. */
  readonly separatedOn: Day | null;
  /** When a new queen is expected, where that is known better than from emergency cells. */
  readonly emergence: Window | null;
  /** The chance that the old queen is in it. */
  readonly queenHere: number;
  /** A queen who came from outside: what was seen before says nothing of her. */
  readonly came?: QueenCame | null;
  /** Brood that came from elsewhere: it is not her evidence, and of the young a queen can be raised. */
  readonly gifts?: readonly { readonly day: Day; readonly young: boolean }[];
  /** Since when its own queen sits in a cage. */
  readonly cagedSince?: Day | null;
}

/** Days from emergence to the first egg: mostly 8 to 14, to 21 in poor weather (Winston 1987). */
const FIRST_EGGS = [
  { after: 9, share: 0.25 },
  { after: 12, share: 0.4 },
  { after: 15, share: 0.23 },
  { after: 20, share: 0.12 },
] as const;

/**
 * Days from emergence to the first egg of one that lays drones: badly mated she begins with the others, unmated at three
 * weeks and later (common practice, no source).
 */
const DRONE_EGGS = [
  { after: 12, share: 0.25 },
  { after: 18, share: 0.25 },
  { after: 24, share: 0.5 },
] as const;

/** Workers lay from three to four weeks after the last queen, once open brood is long gone (common practice, no source). */
const WORKERS_LAY_AFTER = 26;
/** A young queen is a laying queen like others from so many days after her first egg: her brood is capped then. */
const PROVED_AFTER = 10;

/** Every course that a part can have taken, with its chance beforehand. */
export function coursesOf(
  before: PartBefore,
  today: Day,
  keeper: KeeperLikelihoods = USUAL_LIKELIHOODS,
): Course[] {
  const { separatedOn, came, cagedSince } = before;
  const courses = came
    ? cameCourses(came, dayNumber(came.on), keeper.matesOfVirgins, keeper.table.fates)
    : cagedSince
      ? cagedCourses(dayNumber(cagedSince))
      : separatedOn === null
        ? unsplit(dayNumber(today), keeper.table.fates)
        : parted(before, dayNumber(separatedOn), separatedOn, keeper);
  const all = (before.gifts ?? [])
    .filter((g) => g.young)
    .reduce<Course[]>((list, g) => list.flatMap((c) => raisedFromGift(c, dayNumber(g.day), keeper)), courses);
  const sum = all.reduce((s, c) => s + c.prior, 0);
  return all.map((c) => ({ ...c, prior: c.prior / sum }));
}

/** How long ago the queen of a colony that was never parted may have been lost. Judgement, no source. */
const LOST_AGO = [
  { days: 14, share: 0.6 },
  { days: 25, share: 0.4 },
] as const;

/** How long ago a queen that is there may have stopped laying. Judgement, no source. */
const STOPPED_AGO = [
  { days: 10, share: 0.5 },
  { days: 25, share: 0.5 },
] as const;

/** A queen cell is seen for so many days before she is out. */
const CELL_DAYS = 11;

const always = (by: Layer): LayingSpan => ({ from: null, to: null, by });

/**
 * How long ago the queen of a colony that was never parted may have left with a swarm, or been replaced, and after how many
 * days a young one is out: a prime swarm goes when the first cells are capped, a week before that (Winston 1987). Shares:
 * judgement, no source.
 */
const SWARMED_AGO = [
  { days: 4, out: 8, share: 0.3 },
  { days: 10, out: 8, share: 0.2 },
  // Lost rather than swarmed: emergency cells are out on day 12.
  { days: 10, out: 12, share: 0.3 },
  { days: 17, out: 8, share: 0.2 },
] as const;

function unsplit(today: DayNumber, s: LikelihoodTable['fates']): Course[] {
  return [
    stable(
      'laying',
      Math.max(LEAST_LIKELIHOOD, 1 - s.notLaying - s.droneLayer - s.lost - s.layingWorkers - s.superseding),
      'laying',
      'queen',
    ),
    // She has stopped a while ago, barred or starved: while brood of hers is still capped, or so long that it has hatched.
    ...STOPPED_AGO.map(({ days, share }) => ({
      ...stable(`stopped ${days} days ago`, s.notLaying * share, 'not-laying', null),
      laying: [{ from: null, to: today - days, by: 'queen' as const }],
    })),
    stable('drone-layer', s.droneLayer, 'drone-layer', 'drone-queen'),
    stable('laying-workers', s.layingWorkers, 'laying-workers', 'workers', false),
    // Lost some while ago, nobody knows when: while brood of hers is still capped, or so long that it has hatched.
    ...LOST_AGO.map(({ days, share }) => ({
      ...stable(`lost ${days} days ago`, s.lost * share, 'hopeless', null, false),
      laying: [{ from: null, to: today - days, by: 'queen' as const }],
    })),
    // Swarmed or replaced unseen, nobody knows when: its cells are capped, or its young queen is out.
    ...SWARMED_AGO.map(({ days, out: after, share }): Course => {
      const out = today - days + after;
      return {
        id: `swarmed or superseded ${days} days ago, out after ${after}`,
        prior: s.superseding * share,
        laying: [{ from: null, to: today - days, by: 'queen' }],
        cells: { from: out - CELL_DAYS, to: out },
        emerged: out,
        queen: { from: out, to: null },
        stateOn: (day) => (day < out ? 'cells' : 'virgin'),
      };
    }),
  ];
}

function stable(id: string, prior: number, state: QueenStateName, by: Layer | null, queen = true): Course {
  return {
    id,
    prior,
    laying: by ? [always(by)] : [],
    cells: null,
    emerged: null,
    queen: queen ? { from: null, to: null } : null,
    stateOn: () => state,
  };
}

function parted(
  { queenHere, emergence }: PartBefore,
  lostOn: DayNumber,
  lostDay: Day,
  { raisesCells, matesOfVirgins, table }: KeeperLikelihoods,
): Course[] {
  const s = table.fates;
  const here = [
    stable(
      'old-queen',
      queenHere * Math.max(LEAST_LIKELIHOOD, 1 - s.notLaying - s.droneLayer),
      'laying',
      'queen',
    ),
    stable('old-queen-idle', queenHere * s.notLaying, 'not-laying', null),
    stable('old-drone-layer', queenHere * s.droneLayer, 'drone-layer', 'drone-queen'),
  ].map((c) =>
    c.id === 'old-queen-idle' ? { ...c, laying: [{ from: null, to: lostOn, by: 'queen' as const }] } : c,
  );
  const raises = (1 - queenHere) * raisesCells;
  const window = emergence ?? emergencyEmergence(lostDay);
  const emergences = [
    { on: dayNumber(window.earliest), share: 0.25 },
    { on: dayNumber(window.likely), share: 0.5 },
    { on: dayNumber(window.latest), share: 0.25 },
  ];
  const old: LayingSpan = { from: null, to: lostOn, by: 'queen' };
  const cellsFrom = emergence === null ? lostOn + 2 : dayNumber(emergence.earliest) - 9;
  const raised = emergences.flatMap((e) => {
    const base = { cells: { from: cellsFrom, to: e.on }, emerged: e.on };
    const share = raises * e.share;
    const mated = FIRST_EGGS.map((f): Course => {
      const eggs = e.on + f.after;
      return {
        ...base,
        id: `raised ${e.on} eggs ${f.after}`,
        prior: share * matesOfVirgins * f.share,
        laying: [old, { from: eggs, to: null, by: 'queen' }],
        queen: { from: e.on, to: null },
        stateOn: (day) =>
          day < e.on
            ? 'cells'
            : day < eggs
              ? 'virgin'
              : day - eggs < PROVED_AFTER
                ? 'newly-laying'
                : 'laying',
      };
    });
    const unlucky = share * (1 - matesOfVirgins);
    const droneLayers = DRONE_EGGS.map((d): Course => {
      const eggs = e.on + d.after;
      return {
        ...base,
        id: `unmated ${e.on} eggs ${d.after}`,
        prior: unlucky * s.dronesOfUnlucky * d.share,
        laying: [old, { from: eggs, to: null, by: 'drone-queen' }],
        queen: { from: e.on, to: null },
        stateOn: (day) => (day < e.on ? 'cells' : day < eggs ? 'virgin' : 'drone-layer'),
      };
    });
    const lost = e.on + 9;
    const gone: Course = {
      ...base,
      ...withoutQueen(old, lostOn + WORKERS_LAY_AFTER + 5),
      id: `lost on flight ${e.on}`,
      prior: unlucky * Math.max(0, 1 - s.dronesOfUnlucky - s.staysVirgin),
      queen: { from: e.on, to: lost },
      stateOn: (day) =>
        day < e.on
          ? 'cells'
          : day < lost
            ? 'virgin'
            : day < lostOn + WORKERS_LAY_AFTER + 5
              ? 'hopeless'
              : 'laying-workers',
    };
    const never: Course = {
      ...base,
      id: `stays a virgin ${e.on}`,
      prior: unlucky * s.staysVirgin,
      laying: [old],
      queen: { from: e.on, to: null },
      stateOn: (day) => (day < e.on ? 'cells' : 'virgin'),
    };
    return [...mated, ...droneLayers, never, gone];
  });
  const workers = lostOn + WORKERS_LAY_AFTER;
  const failed: Course = {
    ...withoutQueen(old, workers),
    id: 'raised none',
    prior: (1 - queenHere) * (1 - raisesCells),
    cells: null,
    emerged: null,
    queen: null,
    // Until day 6 a larva may still become one.
    stateOn: (day) => (day < lostOn + 7 ? 'cells' : day < workers ? 'hopeless' : 'laying-workers'),
  };
  return [...here, ...raised, failed].filter((c) => c.prior > 0);
}

const withoutQueen = (old: LayingSpan, workersFrom: DayNumber) => ({
  laying: [old, { from: workersFrom, to: null, by: 'workers' as const }],
});

/** Emergency cells on eggs and young larvae that were given: seen from day 2 on, out on day 12, eggs about day 26. */
const ON_GIFT = { cells: 2, out: 12, eggs: 26 } as const;

/** A colony without a queen that gets eggs raises one from them, or does not; any other leaves them alone. */
function raisedFromGift(
  course: Course,
  on: DayNumber,
  { raisesCells, matesOfVirgins }: KeeperLikelihoods,
): Course[] {
  if (course.stateOn(on) !== 'hopeless') return [course];
  const out = on + ON_GIFT.out;
  const eggs = on + ON_GIFT.eggs;
  const base = {
    cells: { from: on + ON_GIFT.cells, to: out },
    emerged: out,
    queen: { from: out, to: null },
  };
  return [
    {
      ...course,
      ...base,
      id: `${course.id}, raised from a gift`,
      prior: course.prior * raisesCells * matesOfVirgins,
      laying: [...course.laying.filter((l) => l.by === 'queen'), { from: eggs, to: null, by: 'queen' }],
      stateOn: (day) =>
        day < on
          ? course.stateOn(day)
          : day < out
            ? 'cells'
            : day < eggs
              ? 'virgin'
              : day - eggs < PROVED_AFTER
                ? 'newly-laying'
                : 'laying',
    },
    {
      ...course,
      ...base,
      id: `${course.id}, raised from a gift and lost`,
      prior: course.prior * raisesCells * (1 - matesOfVirgins),
      stateOn: (day) =>
        day < on ? course.stateOn(day) : day < out ? 'cells' : day < eggs ? 'virgin' : 'hopeless',
    },
    { ...course, prior: course.prior * (1 - raisesCells) },
  ];
}

/** Whether somebody laid on any day of a span. */
export function laidBetween(course: Course, from: DayNumber, to: DayNumber, by?: Layer): boolean {
  return course.laying.some(
    (l) =>
      (by === undefined || l.by === by) &&
      (l.from === null || l.from <= to) &&
      (l.to === null || l.to >= from),
  );
}
