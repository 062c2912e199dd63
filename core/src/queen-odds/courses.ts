import type { Day } from '../basics/index.ts';
import { emergencyEmergence } from '../brood/index.ts';
import { LEAST_LIKELIHOOD } from '../rules/index.ts';
import { cagedCourses, cameCourses } from './cameCourses.ts';
import {
  dayNumber,
  stable,
  type Course,
  type DayNumber,
  type LayingSpan,
  type PartBefore,
} from './course.ts';
import { USUAL_LIKELIHOODS, type KeeperLikelihoods } from './keeperLikelihoods.ts';
import { spread } from './spread.ts';
import { wholeCourses } from './wholeCourses.ts';
import { COARSE, queenlessCourses, youngQueenCourses } from './youngQueen.ts';

/** The courses that were asked for last: on one day most colonies of a yard have the same ones. */
let last: { readonly key: string; readonly courses: readonly Course[] } = { key: '', courses: [] };

/** Every course that a colony can have taken, with its chance beforehand. */
export function coursesOf(
  before: PartBefore,
  today: Day,
  keeper: KeeperLikelihoods = USUAL_LIKELIHOODS,
): readonly Course[] {
  const { raisesCells, matesOfVirgins, table } = keeper;
  const whole = before.separatedOn === null;
  const key = JSON.stringify([before, whole ? today : null, raisesCells, matesOfVirgins, table.fates]);
  if (last.key !== key) last = { key, courses: worked(before, today, keeper) };
  return last.courses;
}

function worked(before: PartBefore, today: Day, keeper: KeeperLikelihoods): Course[] {
  const { separatedOn, came, cagedSince } = before;
  const courses = came
    ? cameCourses(came, dayNumber(came.on), before, keeper)
    : cagedSince
      ? cagedCourses(dayNumber(cagedSince))
      : separatedOn === null
        ? wholeCourses(dayNumber(today), before, keeper)
        : parted(before, separatedOn, keeper);
  const all = (before.gifts ?? [])
    .filter((g) => g.young)
    .reduce<Course[]>(
      (list, g) => list.flatMap((c) => raisedFromGift(c, dayNumber(g.day), before, keeper)),
      courses,
    );
  const sum = all.reduce((s, c) => s + c.prior, 0);
  return all.filter((c) => c.prior > 0).map((c) => ({ ...c, prior: c.prior / sum }));
}

/** A queen cell is seen for so many days before she is out, where nobody knows when it was begun. */
const CELL_DAYS = 9;

function parted(before: PartBefore, lostDay: Day, keeper: KeeperLikelihoods): Course[] {
  const { queenHere, emergence } = before;
  const lostOn = dayNumber(lostDay);
  const { raisesCells, table } = keeper;
  const s = table.fates;
  const old: LayingSpan = { from: null, to: lostOn, by: 'queen' };
  const window = emergence ?? emergencyEmergence(lostDay);
  const cellsFrom = emergence === null ? lostOn + 2 : dayNumber(emergence.earliest) - CELL_DAYS;
  return [
    stable(
      'old-queen',
      queenHere * Math.max(LEAST_LIKELIHOOD, 1 - s.notLaying - s.droneLayer),
      'laying',
      'queen',
    ),
    { ...stable('old-queen-idle', queenHere * s.notLaying, 'not-laying', null), laying: [old] },
    stable('old-drone-layer', queenHere * s.droneLayer, 'drone-layer', 'drone-queen'),
    ...spread({
      earliest: dayNumber(window.earliest),
      likely: dayNumber(window.likely),
      latest: dayNumber(window.latest),
    }).flatMap(({ after: emerged, share }) =>
      youngQueenCourses(
        {
          id: `raised ${emerged}`,
          prior: (1 - queenHere) * raisesCells * share,
          emerged,
          cells: { from: cellsFrom, to: emerged },
          old: [old],
          before: () => 'cells',
          queenlessFrom: lostOn,
        },
        before,
        keeper,
      ),
    ),
    // Until day 6 a larva may still become one.
    ...queenlessCourses('raised none', (1 - queenHere) * (1 - raisesCells), [old], lostOn, {
      before: 'cells',
      until: lostOn + 7,
    }),
  ];
}

/** Emergency cells on eggs and young larvae that were given: seen from day 2 on, out on day 12. */
const ON_GIFT = { cells: 2, out: 12 } as const;

/** Eggs are given where a queen is doubted: a colony that got them is so many times likelier to have had none (judgement). */
const GIVEN_WHERE_DOUBTED = 6;

/** A colony without a queen that gets eggs raises one from them, or does not; any other leaves them alone. */
function raisedFromGift(
  course: Course,
  on: DayNumber,
  before: PartBefore,
  keeper: KeeperLikelihoods,
): Course[] {
  if (course.stateOn(on) !== 'hopeless') return [course];
  // Of a part that is known to have none nothing is doubted.
  const doubted = before.separatedOn === null ? GIVEN_WHERE_DOUBTED : 1;
  const prior = course.prior * doubted;
  const out = on + ON_GIFT.out;
  return [
    ...youngQueenCourses(
      {
        id: `${course.id}, raised from a gift`,
        prior: prior * keeper.raisesCells,
        emerged: out,
        cells: { from: on + ON_GIFT.cells, to: out },
        old: course.laying.filter((l) => l.by === 'queen'),
        before: (day) => (day < on ? course.stateOn(day) : 'cells'),
        queenlessFrom: on,
      },
      before,
      keeper,
      COARSE,
    ),
    { ...course, prior: prior * (1 - keeper.raisesCells) },
  ];
}
