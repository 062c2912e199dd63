import type { Day } from '../basics/index.ts';
import type { Evidence } from '../records/index.ts';
import { dayNumber, type Course, type DayNumber, type PartBefore } from './course.ts';
import { coursesOf } from './courses.ts';
import { sayingsOf } from './likelihoods.ts';
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
  /** The newest inspection that it rests on; null where there is none. */
  readonly last: DatedLook | null;
}

/** A thing said on an inspection, with how likely it is in each course. */
interface Said {
  readonly look: DatedLook;
  readonly words: string;
  /** By course. */
  readonly chances: Float64Array;
}

/** All that was said, weighed once: belief, doubts and reasons rest on the same figures. */
function saidOf(
  courses: readonly Course[],
  { gifts = [] }: PartBefore,
  looks: readonly DatedLook[],
  keeper: KeeperLikelihoods,
): readonly Said[] {
  const given = gifts.map(({ day, young }) => ({ on: dayNumber(day), young }));
  return looks.flatMap((look) =>
    sayingsOf(look.seen, dayNumber(look.day), keeper, given).map(({ words, chance }) => {
      const chances = new Float64Array(courses.length);
      courses.forEach((c, i) => (chances[i] = chance(c)));
      return { look, words, chances };
    }),
  );
}

/** Weighs every course by all that was said. What was not looked for weighs nothing. */
function weighCourses(courses: readonly Course[], said: readonly Said[]): readonly WeighedCourse[] {
  const logs = Float64Array.from(courses, (c) => Math.log(c.prior));
  const together = new Float64Array(courses.length).fill(1);
  const add = () => {
    for (let i = 0; i < logs.length; i++) logs[i] = (logs[i] ?? 0) + Math.log(together[i] ?? 1);
    together.fill(1);
  };
  said.forEach(({ chances }, n) => {
    for (let i = 0; i < chances.length; i++) together[i] = (together[i] ?? 1) * (chances[i] ?? 1);
    // No chance is below one in two hundred: so many of them stay far from nothing.
    if (n % 50 === 49) add();
  });
  add();
  const most = logs.reduce((m, l) => Math.max(m, l), -Infinity);
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
const STRANGE = 0.03;
/** So much of all chances is taken back for an inspection that cannot well be, and at most. Judgement, no source. */
const TAKEN_BACK = { each: 0.15, most: 0.4 } as const;

/** Inspections that say what no course explains: something was missed, or a date or a word is wrong. */
function strangeLooks(weighed: readonly WeighedCourse[], said: readonly Said[]): number {
  const strange = said.filter(
    ({ chances }) => weighed.reduce((sum, { chance }, i) => sum + chance * (chances[i] ?? 0), 0) < STRANGE,
  );
  return new Set(strange.map(({ look }) => look)).size;
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
  const possible = coursesOf(before, day, keeper);
  const said = saidOf(possible, before, looks, keeper);
  const courses = weighCourses(possible, said);
  const today = dayNumber(day);
  const odds = widened(oddsOn(courses, today), strangeLooks(courses, said));
  const ranked = QUEEN_STATES.toSorted((a, b) => odds[b] - odds[a]);
  const leading = ranked[0] ?? 'laying';
  const rival = ranked[1] ?? 'laying';
  const isSo = possible.map((c) => c.stateOn(today) === leading);
  const reasons = said.map(({ look, words, chances }): Reason => ({
    day: look.day,
    words,
    times: timesOf(possible, isSo, chances),
  }));
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
    last: looks.at(-1) ?? null,
  };
}

/** How much more often something is seen where the state is so than where it is not, by the chances beforehand. */
function timesOf(courses: readonly Course[], isSo: readonly boolean[], chances: Float64Array): number {
  const so = { seen: 0, all: 0 };
  const not = { seen: 0, all: 0 };
  courses.forEach(({ prior }, i) => {
    const side = isSo[i] ? so : not;
    side.seen += prior * (chances[i] ?? 0);
    side.all += prior;
  });
  if (so.all === 0 || not.all === 0 || not.seen === 0) return 1;
  return so.seen / so.all / (not.seen / not.all);
}
