import type { Apiary, SeasonRound } from '../../records/index.ts';
import type { Solver } from '../../yardplan/index.ts';
import { runSeasons, typicalSeason } from '../course/batch.ts';
import { MAKES, type Schedule, type SeasonProblem } from '../course/problem.ts';
import { scoreOf, type Scored } from '../search/score.ts';
import { roundOf, storedRound } from '../start/seasonProblem.ts';
import { tryRounds, type RoundTrial } from './tryRounds.ts';

/** A schedule whose rounds were tried in the planner of a day, and brought down to what it makes. */
export interface TriedPlan {
  readonly rounds: readonly SeasonRound[];
  readonly schedule: Schedule;
  readonly trials: readonly RoundTrial[];
  readonly scored: Scored;
  /** Rounds of which the planner of their day made fewer than asked, before they were brought down. */
  readonly refused: readonly RoundTrial[];
  /** Colonies that the schedule asked for and no plan of their day makes. */
  readonly takenOff: number;
}

/** Seasons from which the typical one is taken. */
const SEASONS = 120;
/** Rounds that came out smaller change the ones after: it is tried again so often. */
const TRIES = 3;

/**
 * Tries a schedule round by round in the planner of a day, and takes off what it cannot make, until every round that is left
 * breaks no rule on its day.
 */
export function triedPlan(
  apiary: Apiary,
  problem: SeasonProblem,
  schedule: Schedule,
  seasons: number,
  newId: () => string,
  solver: Solver | null,
): TriedPlan {
  let now = asOftenMade(problem, schedule);
  let trials: RoundTrial[] = [];
  let taken = 0;
  const refused: RoundTrial[] = [];
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const story = typicalSeason(problem, now, runSeasons(problem, now, 0, SEASONS));
    const rounds = now.map((r) => storedRound(problem, r));
    trials = tryRounds(apiary, problem, rounds, story, newId, solver);
    const short = trials.filter((t) => t.possible < asked(t.round));
    if (short.length === 0) break;
    refused.push(...short);
    now = trials.flatMap((t) => {
      const r = roundOf(problem, t.round);
      if (!MAKES.has(r.what)) return t.possible > 0 ? [r] : [];
      taken += Math.max(0, r.parts - t.possible);
      return t.possible > 0 ? [{ ...r, parts: Math.min(r.parts, t.possible) }] : [];
    });
  }
  const left = trials.filter((t) => t.possible > 0);
  const rounds = left.map((t) =>
    MAKES.has(t.round.what) ? { ...t.round, parts: Math.min(t.round.parts, t.possible) } : t.round,
  );
  const kept = rounds.map((r) => roundOf(problem, r));
  return {
    rounds,
    schedule: kept,
    trials: left.map((t, i) => ({ ...t, round: rounds[i] ?? t.round })),
    scored: scoreOf(problem, kept, seasons),
    takenOff: taken,
    refused,
  };
}

/** Rounds that ask for more than the colonies ever give ask for what they mostly give: nobody plans for seven of six. */
function asOftenMade(problem: SeasonProblem, schedule: Schedule): Schedule {
  const { madeBy, seasons } = runSeasons(problem, schedule, 0, SEASONS);
  return schedule.map((r, i) =>
    MAKES.has(r.what)
      ? { ...r, parts: Math.max(1, Math.min(r.parts, Math.ceil((madeBy[i] ?? 0) / seasons - 0.1))) }
      : r,
  );
}

const asked = (r: SeasonRound): number => (MAKES.has(r.what) ? r.parts : 1);
