import type { Apiary } from '../../records/index.ts';
import { MAKES, type SeasonProblem } from '../course/problem.ts';
import { frontierOf, planChoices } from '../search/choices.ts';
import { signature, type Scored } from '../search/score.ts';
import { capKey, ScheduleSearch } from '../search/searchSchedules.ts';
import { roundOf } from '../start/seasonProblem.ts';
import { triedChoices, type TriedChoice } from './triedChoices.ts';
import { triedPlan, type TriedPlan } from './triedPlan.ts';

/** How far a season has been worked out. */
export interface FoundSeason {
  readonly done: number;
  readonly tried: number;
  /** The best so far, before it was tried in the planner of a day. */
  readonly best: Scored;
  /** The plans to choose from, tried in the planner of a day; they come one by one once they were searched. */
  readonly plans: readonly TriedChoice[];
  /** What none beats in colonies and honey at once. */
  readonly frontier: readonly Scored[];
  readonly over: boolean;
}

/** Seasons over which plans are told and compared. */
const TOLD = 240;
const COMPARED = 60;
/** Searched again so often, around what the planner of a day does not make. */
const SEARCHES = 3;
/** A tried plan that comes so near to what was searched is good enough. */
const NEAR = 0.06;
/** What a day does not give, the weeks beside it hardly give either. */
const WEEKS_BESIDE = 2;

/**
 * Works a season out: searches plans, tries the best ones in the planner of a day, and where that makes fewer colonies searches again
 * around it, until a plan stands that breaks no rule on its days and is nearly as good as the search thought.
 */
export function* workOut(
  apiary: Apiary,
  problem: SeasonProblem,
  newId: () => string,
): Generator<FoundSeason, void> {
  const caps = new Map<string, number>();
  const plans: TriedChoice[] = [];
  const done = new Set<string>();
  let known: ReadonlyMap<string, Scored> = new Map();
  for (let attempt = 0; attempt < SEARCHES; attempt++) {
    const search = new ScheduleSearch(problem, caps, known);
    let best: Scored | null = null;
    const told = (share: number, over: boolean): FoundSeason | null =>
      best && {
        done: (attempt + share) / SEARCHES,
        tried: search.tried.size,
        best,
        plans: triedChoices(plans),
        frontier: plans.length > 0 ? frontierOf(search.tried.values(), COMPARED).map((p) => p.scored) : [],
        over,
      };
    for (const step of search.steps()) {
      best = step.best;
      const now = told(0.8 * step.done, false);
      if (now) yield now;
    }
    const choices = planChoices(search.tried.values(), TOLD);
    for (const [i, { merit, scored }] of choices.entries()) {
      const key = signature(scored.schedule);
      if (done.has(key)) continue;
      done.add(key);
      const plan = triedPlan(apiary, problem, scored.schedule, TOLD, newId, null);
      plans.push({ merit, ...plan });
      capBy(caps, problem, plan);
      const now = told(0.8 + (0.2 * (i + 1)) / choices.length, false);
      if (now) yield now;
    }
    const score = Math.max(-Infinity, ...plans.map((p) => p.scored.score));
    const last = attempt === SEARCHES - 1 || best === null || score >= best.score - NEAR;
    if (last) {
      const end = told(1, true);
      if (end) yield { ...end, done: 1 };
      return;
    }
    known = search.tried;
  }
}

/** Notes what the planner of a day makes at most of a round and of those in the weeks beside. */
function capBy(caps: Map<string, number>, problem: SeasonProblem, { refused }: TriedPlan): void {
  for (const { round, possible } of refused) {
    const r = roundOf(problem, round);
    if (!MAKES.has(r.what)) continue;
    for (let w = r.week - WEEKS_BESIDE; w <= r.week + WEEKS_BESIDE; w++) {
      const key = capKey({ ...r, week: w });
      caps.set(key, Math.min(caps.get(key) ?? Infinity, possible));
    }
  }
}
