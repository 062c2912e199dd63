import type { Apiary, NucRecipe, WorkReport, YardPlanRequest } from '@incremen/core/records';
import { reportWork } from '@incremen/core/repair';
import { DEFAULT_HOUSE_RULES } from '@incremen/core/rules';
import { findMethods, tryOut, type Situation, type Trials } from '@incremen/core/split';
import type { Day, Problem } from '@incremen/core/basics';
import {
  alternativeOf,
  buildProblem,
  evaluate,
  nucsOnDay,
  YardSearch,
  type NucsOnDay,
  type Proof,
  type Shortage,
} from '@incremen/core/yardplan';
import type { Found } from '../workers/yardPlanner.worker.ts';

/** What the stand-in for the prover answers. */
export const proverSays: {
  bound: number | null;
  mostNucs: number | null;
  shortages: Shortage[];
  wait: { day: Day; days: number } | null;
  /** It goes on looking, and never ends by itself. */
  isAtIt: boolean;
} = {
  bound: null,
  mostNucs: null,
  shortages: [],
  wait: null,
  isAtIt: false,
};

/** Makes the next search fail, as a worker that was ended does. */
export const plannerFails = { next: false };

/** The planner of yards without workers, which tests do not have: the first plan only, at once. */
export const yardPlannerHere = {
  yardPlanner: () => ({
    solve: async (
      apiary: Apiary,
      request: YardPlanRequest,
      rounds: number,
      report: (found: Found) => void,
    ): Promise<readonly Problem[]> => {
      await Promise.resolve();
      if (plannerFails.next) {
        plannerFails.next = false;
        throw new Error('ended');
      }
      const built = buildProblem(apiary, request);
      if (!built.ok) return built.problems;
      const search = new YardSearch(built.value);
      search.first();
      const { plan, price } = search.best();
      report({ plan, price, round: rounds, rounds, faults: [] });
      return [];
    },
    stop: () => Promise.resolve(),
    days: async (
      apiary: Apiary,
      request: YardPlanRequest,
      recipe: NucRecipe,
      days: readonly Day[],
      report: (day: NucsOnDay) => void,
    ): Promise<void> => {
      await Promise.resolve();
      for (const day of days.slice(0, 2)) report(nucsOnDay(apiary, request, recipe, day, 0));
    },
    firstDay: () => Promise.resolve(proverSays.wait),
    alternative: async (apiary: Apiary, request: YardPlanRequest) => {
      await Promise.resolve();
      const built = buildProblem(apiary, request);
      if (!built.ok) return null;
      const search = new YardSearch(built.value);
      search.first();
      const { plan } = search.best();
      return { plan, alternative: alternativeOf(built.value, evaluate(built.value, plan)) };
    },
  }),
  askProver: (ask: (prover: object) => Promise<unknown>): Promise<unknown> =>
    ask({
      prove: (_apiary: Apiary, _request: YardPlanRequest, effort: string, report: (p: Proof) => void) => {
        report({ bound: proverSays.bound, better: null, mostNucs: proverSays.mostNucs });
        const isEndless = proverSays.isAtIt && effort === 'thorough';
        return isEndless ? new Promise<void>(() => undefined) : Promise.resolve();
      },
      shortage: () => Promise.resolve(proverSays.shortages),
    }),
  endProver: () => undefined,
};

/** The planner of single colonies and of repairs. */
export const plannerHere = {
  warmUpPlanner: () => undefined,
  plannerWorker: () => ({
    tryOut: (apiary: Apiary, colonyId: string, now: Situation): Promise<Trials> =>
      Promise.resolve(
        tryOut(apiary, colonyId, now, now.day, findMethods(now, DEFAULT_HOUSE_RULES), () =>
          crypto.randomUUID(),
        ),
      ),
    repair: (...[apiary, workId, report, day]: [Apiary, string, WorkReport, Day]) =>
      Promise.resolve(reportWork(apiary, workId, report, day, () => crypto.randomUUID())),
  }),
};
