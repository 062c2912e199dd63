import type { Apiary } from '../records/records.ts';
import { buildProblem } from '../yardplan/problem/buildProblem.ts';
import type { YardProblem } from '../yardplan/problem/problem.ts';
import {
  newYardPlanRequest,
  NUC_RECIPES,
  type NucRecipe,
  type YardGoal,
  type YardPlanRequest,
} from '../records/bodies/request.ts';
import { YardSearch } from '../yardplan/search/searchYard.ts';

/** The five-frame recipe, changed where a test needs it. */
export const fiveFrames = (change: Partial<NucRecipe> = {}): NucRecipe => ({
  ...(NUC_RECIPES[0]?.recipe as NucRecipe),
  ...change,
});

/** The two-and-two recipe. */
export const twoAndTwo = (change: Partial<NucRecipe> = {}): NucRecipe => ({
  ...(NUC_RECIPES[1]?.recipe as NucRecipe),
  ...change,
});

/** The goal to make so many nucs; null for as many as possible. */
export const nucs = (count: number | null, recipe = fiveFrames()): YardGoal => ({
  id: 'nucs',
  kind: 'makeNucs',
  count,
  recipe,
  importance: 2,
});

/** A request for all yards of an apiary, with the usual circumstances. */
export function requestFor(
  apiary: Apiary,
  goals: YardGoal[],
  change: Partial<YardPlanRequest> = {},
): YardPlanRequest {
  return { ...newYardPlanRequest(Object.keys(apiary.yard), '2026-05-15'), goals, ...change };
}

/** The problem of a request. @throws Error with its first fault */
export function problemOf(apiary: Apiary, request: YardPlanRequest): YardProblem {
  const built = buildProblem(apiary, request);
  if (!built.ok) throw new Error(built.problems.map((p) => p.message).join('\n'));
  return built.value;
}

/** The best plan after so many rounds. */
export function planned(problem: YardProblem, rounds = 3) {
  const search = new YardSearch(problem);
  search.first();
  for (let r = 0; r < rounds; r++) search.round(0.4);
  return search.best();
}
