import type { Apiary } from '../apiary/records.ts';
import { addDays, type Day } from '../calendar/day.ts';
import { buildProblem } from './buildProblem.ts';
import { evaluate } from './evaluate.ts';
import type { NucRecipe, YardPlanRequest } from './request.ts';
import { YardSearch } from './searchYard.ts';

/** How many nucs can be made on a day. */
export interface NucsOnDay {
  readonly day: Day;
  readonly nucs: number;
  /** Frames of bees and of brood in the yards on that day. */
  readonly bees: number;
  readonly brood: number;
}

/** How far ahead counts are carried: two cycles of brood. */
const DAYS_AHEAD = 42;

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
  const asked: YardPlanRequest = {
    ...request,
    day,
    pins: [],
    forbids: [],
    goals: [{ id: 'most', kind: 'makeNucs', count: null, recipe, importance: 2 }],
  };
  const problem = buildProblem(apiary, asked);
  if (!problem.ok) return { day, nucs: 0, bees: 0, brood: 0 };
  const search = new YardSearch(problem.value);
  search.first();
  for (let r = 0; r < rounds; r++) search.round(0.25);
  const { plan, feasible } = search.best();
  const total = (m: 0 | 1) => problem.value.units.reduce((n, u) => n + (u.before[m] ?? 0), 0);
  return {
    day,
    nucs: feasible ? evaluate(problem.value, plan).nucsMade : 0,
    bees: total(0),
    brood: total(1),
  };
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
    const search = new YardSearch(problem.value);
    search.first();
    const { plan, feasible } = search.best();
    const wanted = problem.value.nucGoals.reduce((n, g) => n + (g.count ?? 0), 0);
    if (feasible && evaluate(problem.value, plan).nucsMade >= wanted) {
      return { day: problem.value.day, days };
    }
  }
  return null;
}
