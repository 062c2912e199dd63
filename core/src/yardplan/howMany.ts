import type { Apiary, NucRecipe, YardGoal, YardPlanRequest } from '../records/index.ts';
import { addDays, type Day, floatAt } from '../basics/index.ts';
import { buildProblem } from './problem/buildProblem.ts';
import { problemsOfRequest } from './problem/requestProblems.ts';
import { NO_PROOF } from './bound/bestProof.ts';
import { evaluate } from './search/evaluate.ts';
import type { FoundPlan } from './bound/hiveTree.ts';
import type { Solver } from './model/linearModel.ts';
import { AT, type Measure } from './rules/measures.ts';
import { nucsWanted, type YardProblem } from './problem/problem.ts';
import { proofsOf, proveYard } from './bound/proveYard.ts';
import { YardSearch } from './search/searchYard.ts';

/** How many nucs can be made on a day. */
export interface NucsOnDay {
  readonly day: Day;
  readonly nucs: number;
  /** No plan of the day makes more; null while that is not looked into. */
  readonly mostNucs: number | null;
  /** Frames of bees and of brood in the yards on that day. */
  readonly bees: number;
  readonly brood: number;
}

/** How far ahead counts are carried: two cycles of brood. */
const DAYS_AHEAD = 42;
/** Steps of a proof for one day. */
const STEPS = 7;

/**
 * How many nucs of a recipe can be made on a day, from counts carried forward: a plan that breaks no rule
 * was found for so many. More may be possible; the plan of the day proves by how much at most.
 *
 * @param rounds - rounds of search after the first plan, for days on which one more nuc may be in reach
 */
export function nucsOnDay(
  apiary: Apiary,
  request: YardPlanRequest,
  recipe: NucRecipe,
  day: Day,
  rounds = 1,
): NucsOnDay {
  const problem = problemOfDay(apiary, request, recipe, day);
  if (!problem) return noneOn(day);
  const search = new YardSearch(problem);
  search.first();
  for (let r = 0; r < rounds; r++) search.round(0.25);
  const { plan, feasible } = search.best();
  return {
    day,
    nucs: feasible ? evaluate(problem, plan).nucsMade : 0,
    mostNucs: null,
    ...strengthOf(problem),
  };
}

/**
 * The same with a longer look: a proof finds more nucs, and says how many there can be at most. It is broken off when
 * the two are one, or after a while.
 */
export function nucsOnDayProven(
  apiary: Apiary,
  request: YardPlanRequest,
  recipe: NucRecipe,
  day: Day,
  solver: Solver,
): NucsOnDay {
  const problem = problemOfDay(apiary, request, recipe, day);
  if (!problem) return noneOn(day);
  const { nucs, mostNucs } = mostFound(problem, solver, null);
  return { day, nucs, mostNucs, ...strengthOf(problem) };
}

function problemOfDay(
  apiary: Apiary,
  request: YardPlanRequest,
  recipe: NucRecipe,
  day: Day,
): YardProblem | null {
  const problem = buildProblem(apiary, {
    ...request,
    day,
    pins: [],
    forbids: [],
    goals: [asManyAsPossible(request, recipe)],
  });
  return problem.ok ? problem.value : null;
}

/** The nucs of a recipe, as many as can be; of the colony that is broken up whole for them, where one is. */
function asManyAsPossible({ goals }: YardPlanRequest, recipe: NucRecipe): YardGoal {
  const asked = goals.find((g) => g.kind === 'makeNucs');
  const whole = asked?.kind === 'makeNucs' && asked.wholeOfId !== undefined && { wholeOfId: asked.wholeOfId };
  return { id: 'most', kind: 'makeNucs', count: null, recipe, importance: 2, ...whole };
}

const noneOn = (day: Day): NucsOnDay => ({ day, nucs: 0, mostNucs: 0, bees: 0, brood: 0 });

function strengthOf({ units }: YardProblem) {
  const total = (m: Measure) => units.reduce((n, u) => n + floatAt(u.before, AT[m]), 0);
  return { bees: total('bees'), brood: total('brood') };
}

/**
 * A plan that makes all nucs that are asked for, or as many as a proof comes upon after a while. It knows ways that a
 * search by single frames misses.
 *
 * @returns null when none was found that breaks no rule
 */
export const planOfAll = (problem: YardProblem, solver: Solver): FoundPlan | null =>
  mostFound(problem, solver, nucsWanted(problem)).better;

/**
 * How many nucs a proof comes upon, and how many there can be.
 *
 * @param wanted - no more are looked for than these; null for all there can be
 */
function mostFound(problem: YardProblem, solver: Solver, wanted: number | null) {
  let nucs = 0;
  let last = NO_PROOF;
  let steps = 0;
  for (const proof of proofsOf(problem, solver)) {
    last = proof;
    const { better, mostNucs } = proof;
    if (better) nucs = evaluate(problem, better.plan).nucsMade;
    const most = Math.min(wanted ?? Infinity, mostNucs ?? Infinity);
    if (nucs === most || ++steps >= STEPS) break;
  }
  return { nucs, mostNucs: last.mostNucs, better: last.better };
}

/** Whether so many nucs can be made: looked for where the quick bound does not rule it out. */
function isInReach(problem: YardProblem, solver: Solver, wanted: number): boolean {
  const { mostNucs } = proveYard(problem, solver, 'quick');
  if (mostNucs !== null && mostNucs < wanted) return false;
  return mostFound(problem, solver, wanted).nucs >= wanted;
}

/**
 * Why no nuc can be made on any of these days, from the calendar of the yards; null where one of them is in season.
 */
export function outOfSeason(
  apiary: Apiary,
  request: YardPlanRequest,
  recipe: NucRecipe,
  days: readonly Day[],
): string | null {
  let why: string | null = null;
  for (const day of days) {
    const [gate] = problemsOfRequest(apiary, {
      ...request,
      day,
      pins: [],
      forbids: [],
      goals: [asManyAsPossible(request, recipe)],
    }).filter((p) => p.code === 'season');
    if (!gate) return null;
    why ??= gate.message;
  }
  return why;
}

/** The days of a chart: today and the six weeks to come. */
export function daysAhead(from: Day): Day[] {
  return Array.from({ length: DAYS_AHEAD + 1 }, (_, i) => addDays(from, i));
}

/**
 * The first day on which all nucs that are asked for can be made, within so many days; null when there is
 * none. What "wait 6 days" is said from.
 */
export function firstDayFor(
  apiary: Apiary,
  request: YardPlanRequest,
  solver: Solver,
  within = DAYS_AHEAD,
): { readonly day: Day; readonly days: number } | null {
  for (let days = 1; days <= within; days++) {
    const problem = buildProblem(apiary, {
      ...request,
      day: addDays(request.day, days),
      pins: [],
      forbids: [],
    });
    if (!problem.ok) continue;
    if (isInReach(problem.value, solver, nucsWanted(problem.value))) {
      return { day: problem.value.day, days };
    }
  }
  return null;
}
