import { isMet } from '../course/batch.ts';
import { SeasonRun } from '../course/seasonRun.ts';
import type { Schedule, SeasonProblem } from '../course/problem.ts';

/** What a schedule comes to over some seasons. */
export interface Scored {
  readonly schedule: Schedule;
  /** What it is searched by: more is better. */
  readonly score: number;
  /** Share of seasons that bring all that is wanted. */
  readonly odds: number;
  /** Means. */
  readonly colonies: number;
  readonly strong: number;
  readonly honey: number;
  readonly money: number;
  readonly hours: number;
  readonly made: number;
  readonly asked: number;
  readonly seasons: number;
}

/** Odds count most; how near a season comes, a third, so that a search finds its way where all odds are nothing. */
const BY_ODDS = 0.7;
/** A colony more than was wanted needs a stand, comb and care; an hour and money are not for nothing either. */
const TOO_MANY = 0.012;
const AN_HOUR = 0.0004;
/** A kilogram of honey, so that of two plans that do what is wanted the one with more is taken. */
const A_KG = 0.0002;
const A_ROUND = 0.01;

/** Scores a schedule over the first so many seasons: every schedule meets the same weather. */
export function scoreOf(
  problem: SeasonProblem,
  schedule: Schedule,
  seasons: number,
  run = new SeasonRun(problem),
): Scored {
  const { aim } = problem;
  const sum = { score: 0, odds: 0, colonies: 0, strong: 0, honey: 0, money: 0, hours: 0, made: 0, asked: 0 };
  for (let s = 0; s < seasons; s++) {
    const end = run.run(schedule, s);
    const met = isMet(problem, end) ? 1 : 0;
    const excess = Math.max(0, end.colonies - aim.colonies);
    const near =
      (Math.min(1, end.strong / aim.colonies) - (aim.atMost ? Math.min(1, excess / aim.colonies) : 0)) *
      (aim.honeyKg > 0 ? 0.6 + 0.4 * Math.min(1, end.honey / aim.honeyKg) : 1) *
      under(end.money, aim.moneyMost) *
      under(end.hours, aim.hoursMost);
    sum.odds += met;
    sum.score +=
      BY_ODDS * met + (1 - BY_ODDS) * near - TOO_MANY * excess - AN_HOUR * end.hours + A_KG * end.honey;
    sum.colonies += end.colonies;
    sum.strong += end.strong;
    sum.honey += end.honey;
    sum.money += end.money;
    sum.hours += end.hours;
    sum.made += end.made;
    sum.asked += end.asked;
  }
  const mean = (n: number) => n / seasons;
  return {
    schedule,
    score: mean(sum.score) - A_ROUND * schedule.length,
    odds: mean(sum.odds),
    colonies: mean(sum.colonies),
    strong: mean(sum.strong),
    honey: mean(sum.honey),
    money: mean(sum.money),
    hours: mean(sum.hours),
    made: mean(sum.made),
    asked: mean(sum.asked),
    seasons,
  };
}

const under = (value: number, most: number | null) =>
  most === null || value <= most ? 1 : Math.max(0, most) / value;

/** The weeks of a schedule in words for telling two apart. */
export const signature = (schedule: Schedule): string =>
  schedule.map((r) => `${r.what}/${r.queen}/${r.yard}/${r.week}/${r.parts}`).join(' ');

/** Rounds in their order; two of a kind in one week and yard are one. */
export function inOrder(schedule: Schedule): Schedule {
  return schedule.toSorted((a, b) => a.week - b.week || a.what.localeCompare(b.what) || a.yard - b.yard);
}
