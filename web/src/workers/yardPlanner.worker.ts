import type { Apiary, NucRecipe, YardPlanRequest } from '@incremen/core/records';
import type { Day, Problem } from '@incremen/core/basics';
import {
  alternativeOf,
  buildProblem,
  evaluate,
  faultsOfPlan,
  firstDayFor,
  nucsOnDay,
  nucsOnDayProven,
  nucsWanted,
  planOfAll,
  YardSearch,
  type Alternative,
  type Assignment,
  type NucsOnDay,
} from '@incremen/core/yardplan';
import { expose } from 'comlink';
import { loadedSolver } from './solver.ts';

/** A plan as far as the search has got. */
export interface Found {
  readonly plan: Assignment;
  readonly price: number;
  readonly round: number;
  readonly rounds: number;
  /** What only pins can cause: rules that no plan around them can keep. */
  readonly faults: readonly Problem[];
}

/** Lets messages in between two rounds, so that the search can be stopped. */
const breathe = () => new Promise<void>((go) => setTimeout(go, 0));

/** Counts up with every request; a search that is not the latest stops. */
let latest = 0;

const planner = {
  /**
   * Searches in rounds and reports the best plan after each. The first comes at once.
   *
   * @returns what is wrong with the request; empty when it was searched to the end, or stopped
   */
  async solve(
    apiary: Apiary,
    request: YardPlanRequest,
    rounds: number,
    report: (found: Found) => void,
  ): Promise<readonly Problem[]> {
    const mine = ++latest;
    const built = buildProblem(apiary, request);
    if (!built.ok) return built.problems;
    const search = new YardSearch(built.value);
    search.first();
    const say = (round: number) => {
      const { plan, price, feasible } = search.best();
      report({
        plan,
        price,
        round,
        rounds,
        faults: feasible ? [] : faultsOfPlan(built.value, plan),
      });
    };
    say(0);
    for (let round = 1; round <= rounds; round++) {
      await breathe();
      if (mine !== latest) return [];
      search.round();
      say(round);
    }
    return [];
  },

  /** Ends the search under way; its last report stands. */
  stop(): void {
    latest++;
  },

  /** How many nucs can be made on each of these days: roughly for all of them, then with a longer look at each. */
  async days(
    apiary: Apiary,
    request: YardPlanRequest,
    recipe: NucRecipe,
    days: readonly Day[],
    report: (day: NucsOnDay) => void,
  ): Promise<void> {
    const mine = ++latest;
    const solver = await loadedSolver();
    const looks = [
      (day: Day) => nucsOnDay(apiary, request, recipe, day),
      (day: Day) => nucsOnDayProven(apiary, request, recipe, day, solver),
    ];
    for (const look of looks) {
      for (const day of days) {
        await breathe();
        if (mine !== latest) return;
        report(look(day));
      }
    }
  },

  /** The first day on which all that is asked for can be made. */
  firstDay: async (apiary: Apiary, request: YardPlanRequest) =>
    firstDayFor(apiary, request, await loadedSolver()),

  /** Another request worked out for the table of alternatives; null when it cannot be. */
  async alternative(
    apiary: Apiary,
    request: YardPlanRequest,
    rounds: number,
  ): Promise<{ readonly alternative: Alternative; readonly plan: Assignment } | null> {
    const built = buildProblem(apiary, request);
    if (!built.ok) return null;
    const search = new YardSearch(built.value);
    search.first();
    for (let r = 0; r < rounds; r++) search.round();
    const quick = search.best();
    const isShort = evaluate(built.value, quick.plan).nucsMade < nucsWanted(built.value);
    const longer = isShort ? planOfAll(built.value, await loadedSolver()) : null;
    const plan = longer && longer.price < quick.price ? longer.plan : quick.plan;
    return { alternative: alternativeOf(built.value, evaluate(built.value, plan)), plan };
  },
};
export type YardPlanner = typeof planner;
expose(planner);
