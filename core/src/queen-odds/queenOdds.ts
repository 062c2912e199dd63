import type { Day } from '../basics/index.ts';
import type { Evidence } from '../records/index.ts';
import { coursesOf, dayNumber, type Course, type DayNumber, type PartBefore } from './courses.ts';
import { sayingsOf, type Gift } from './likelihoods.ts';
import { USUAL_LIKELIHOODS, type KeeperLikelihoods } from './keeperLikelihoods.ts';
import { QUEEN_STATES, type QueenOdds, type QueenStateName } from '../rules/index.ts';

/** One dated look. */
export interface DatedLook {
  readonly day: Day;
  readonly seen: Evidence;
}

/** A course with its chance after all looks. */
export interface WeighedCourse {
  readonly course: Course;
  readonly chance: number;
}

/** Something seen that speaks for or against the leading state. */
export interface Reason {
  readonly day: Day;
  readonly words: string;
  /** How much more often it is seen if the state is so than if it is not; below 1 it speaks against. */
  readonly times: number;
}

/** What is to be believed of a queen on a day. */
export interface QueenBelief {
  readonly odds: QueenOdds;
  readonly leading: QueenStateName;
  /** Chance of the leading state. */
  readonly chance: number;
  /** The next likeliest: it stays beside the first until a look parts them. */
  readonly rival: { readonly state: QueenStateName; readonly chance: number };
  /** True when no state has half of the chances. */
  readonly open: boolean;
  readonly reasonsFor: readonly Reason[];
  readonly reasonsAgainst: readonly Reason[];
  readonly courses: readonly WeighedCourse[];
}

const giftsOf = ({ gifts = [] }: PartBefore): Gift[] =>
  gifts.map(({ day, young }) => ({ on: dayNumber(day), young }));

/** Weighs every course by every look. What was not looked for weighs nothing. */
function weighCourses(
  before: PartBefore,
  looks: readonly DatedLook[],
  day: Day,
  keeper: KeeperLikelihoods = USUAL_LIKELIHOODS,
): WeighedCourse[] {
  const courses = coursesOf(before, day, keeper);
  const gifts = giftsOf(before);
  const sayings = looks.flatMap((l) => sayingsOf(l.seen, dayNumber(l.day), keeper, gifts));
  const logs = courses.map(
    (c) => Math.log(c.prior) + sayings.reduce((s, say) => s + Math.log(say.chance(c)), 0),
  );
  const most = Math.max(...logs);
  const weights = logs.map((l) => Math.exp(l - most));
  const sum = weights.reduce((s, w) => s + w, 0);
  return courses.map((course, i) => ({ course, chance: (weights[i] ?? 0) / sum }));
}

/** The chances of the states on a day, from weighed courses. */
export function oddsOn(courses: readonly WeighedCourse[], day: DayNumber): QueenOdds {
  const odds = Object.fromEntries(QUEEN_STATES.map((s) => [s, 0])) as Record<QueenStateName, number>;
  for (const { course, chance } of courses) odds[course.stateOn(day)] += chance;
  return odds;
}

/** What is seen more seldom than so, by all that is believed after it, cannot well be. Judgement, no source. */
const STRANGE = 0.1;
/** So much of all chances is taken back for an inspection that cannot well be, and at most. Judgement, no source. */
const TAKEN_BACK = { each: 0.15, most: 0.4 } as const;

/** Inspections that say what no course explains: something was missed, or a date or a word is wrong. */
function strangeLooks(
  courses: readonly WeighedCourse[],
  before: PartBefore,
  looks: readonly DatedLook[],
  keeper: KeeperLikelihoods,
): number {
  const gifts = giftsOf(before);
  return looks.filter((l) =>
    sayingsOf(l.seen, dayNumber(l.day), keeper, gifts).some(
      (say) => courses.reduce((sum, { course, chance }) => sum + chance * say.chance(course), 0) < STRANGE,
    ),
  ).length;
}

/** Chances with as much taken back as notes contradict what can be: no story is sure on the strength of those. */
function widened(odds: QueenOdds, strange: number): QueenOdds {
  if (strange === 0) return odds;
  const back = Math.min(TAKEN_BACK.most, strange * TAKEN_BACK.each);
  return Object.fromEntries(
    QUEEN_STATES.map((s) => [s, odds[s] * (1 - back) + back / QUEEN_STATES.length]),
  ) as unknown as QueenOdds;
}

/** Seen more than half as often again, or less than two thirds as often: worth telling. */
const TELLING = 1.5;
/** Reasons that are told of each kind. */
const MOST_REASONS = 5;

/** What is to be believed of a queen on a day, and why. */
export function queenBelief(
  before: PartBefore,
  looks: readonly DatedLook[],
  day: Day,
  keeper: KeeperLikelihoods = USUAL_LIKELIHOODS,
): QueenBelief {
  const courses = weighCourses(before, looks, day, keeper);
  const today = dayNumber(day);
  const odds = widened(oddsOn(courses, today), strangeLooks(courses, before, looks, keeper));
  const ranked = QUEEN_STATES.toSorted((a, b) => odds[b] - odds[a]);
  const leading = ranked[0] ?? 'laying';
  const rival = ranked[1] ?? 'laying';
  const reasons = looks
    .flatMap((l) =>
      sayingsOf(l.seen, dayNumber(l.day), keeper, giftsOf(before)).map((s) => ({
        day: l.day,
        words: s.words,
        chance: s.chance,
      })),
    )
    .map(({ chance, ...r }): Reason => ({ ...r, times: timesOf(courses, leading, today, chance) }));
  return {
    odds,
    leading,
    chance: odds[leading],
    rival: { state: rival, chance: odds[rival] },
    open: odds[leading] < 0.5,
    reasonsFor: reasons
      .filter((r) => r.times >= TELLING)
      .toSorted((a, b) => b.times - a.times)
      .slice(0, MOST_REASONS),
    reasonsAgainst: reasons
      .filter((r) => r.times <= 1 / TELLING)
      .toSorted((a, b) => a.times - b.times)
      .slice(0, MOST_REASONS),
    courses,
  };
}

/** How much more often something is seen where the state is so than where it is not, by the chances beforehand. */
function timesOf(
  courses: readonly WeighedCourse[],
  state: QueenStateName,
  day: DayNumber,
  chance: (c: Course) => number,
): number {
  let so = 0;
  let soWeight = 0;
  let not = 0;
  let notWeight = 0;
  for (const { course } of courses) {
    const p = chance(course) * course.prior;
    if (course.stateOn(day) === state) {
      so += p;
      soWeight += course.prior;
    } else {
      not += p;
      notWeight += course.prior;
    }
  }
  if (soWeight === 0 || notWeight === 0 || not === 0) return 1;
  return so / soWeight / (not / notWeight);
}
