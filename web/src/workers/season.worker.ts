import type { Apiary } from '@incremen/core/records';
import {
  costOfAWeek,
  frontierOf,
  planChoices,
  runSeasons,
  ScheduleSearch,
  triedChoices,
  triedPlan,
  whatHelps,
  type PlanChange,
  type Schedule,
  type Scored,
  type SeasonBatch,
  type SeasonProblem,
  type TriedChoice,
  type TriedPlan,
} from '@incremen/core/seasonplan';
import { expose, transfer } from 'comlink';

/** How far the search of a season has got. */
export interface FoundSeason {
  readonly done: number;
  readonly tried: number;
  /** The best so far, before it was tried in the planner of a day. */
  readonly best: Scored;
  /** The plans to choose from, tried in the planner of a day; they come one by one when the search is over. */
  readonly plans: readonly TriedChoice[];
  /** What none beats in colonies and honey at once. */
  readonly frontier: readonly Scored[];
  readonly over: boolean;
}

/** Seasons over which plans are told and compared. */
const TOLD = 240;
const COMPARED = 60;
/** The search lets messages in, and tells how far it is, so often. */
const BREATH_MS = 60;

const breathe = () => new Promise<void>((go) => setTimeout(go, 0));
let latest = 0;

const planner = {
  /** Runs so many seasons from one on. */
  seasons(problem: SeasonProblem, schedule: Schedule, first: number, seasons: number): SeasonBatch {
    const batch = runSeasons(problem, schedule, first, seasons);
    const buffers = [batch.colonies, batch.frames, batch.honey, batch.drivers].map(
      (a) => a.buffer as ArrayBuffer,
    );
    return transfer(batch, buffers);
  },

  /** Searches plans of a season, reports how far it is, and tries the best ones in the planner of a day. */
  async search(apiary: Apiary, problem: SeasonProblem, report: (found: FoundSeason) => void): Promise<void> {
    const mine = ++latest;
    const search = new ScheduleSearch(problem);
    let best: Scored | null = null;
    let said = performance.now();
    const tell = (done: number, plans: readonly TriedChoice[], over: boolean) => {
      if (best)
        report({
          done,
          tried: search.tried.size,
          best,
          plans,
          frontier:
            over || plans.length > 0 ? frontierOf(search.tried.values(), COMPARED).map((p) => p.scored) : [],
          over,
        });
    };
    for (const step of search.steps()) {
      best = step.best;
      if (performance.now() - said < BREATH_MS) continue;
      tell(0.9 * step.done, [], false);
      await breathe();
      if (mine !== latest) return;
      said = performance.now();
    }
    const plans: TriedChoice[] = [];
    const choices = planChoices(search.tried.values(), TOLD);
    for (const { why, scored } of choices) {
      const tried = triedPlan(apiary, problem, scored.schedule, TOLD, () => crypto.randomUUID(), null);
      plans.push({ why, ...tried });
      tell(0.9 + (0.1 * plans.length) / choices.length, triedChoices(plans), false);
      await breathe();
      if (mine !== latest) return;
    }
    tell(1, triedChoices(plans), true);
  },

  /** Ends the search under way. */
  stop(): void {
    latest++;
  },

  /** Tries one schedule in the planner of a day: a point of the frontier that was picked. */
  tried: (apiary: Apiary, problem: SeasonProblem, schedule: Schedule): TriedPlan =>
    triedPlan(apiary, problem, schedule, TOLD, () => crypto.randomUUID(), null),

  /** What would raise the odds of a plan, and what a week's delay costs. */
  helps: (
    problem: SeasonProblem,
    schedule: Schedule,
  ): { readonly changes: readonly PlanChange[]; readonly week: ReturnType<typeof costOfAWeek> } => ({
    changes: whatHelps(problem, schedule, TOLD),
    week: costOfAWeek(problem, schedule, TOLD),
  }),
};
export type SeasonWorker = typeof planner;
expose(planner);
