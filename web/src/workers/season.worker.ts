import type { Apiary } from '@incremen/core/records';
import {
  costOfAWeek,
  helpsThatHold,
  outlookOf,
  runSeasons,
  triedPlan,
  workOut,
  type FoundSeason,
  type Outlook,
  type PlanChange,
  type Schedule,
  type SeasonBatch,
  type SeasonProblem,
  type TriedPlan,
} from '@incremen/core/seasonplan';
import { expose, transfer } from 'comlink';

/** Seasons over which plans are told and compared. */
const TOLD = 240;
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

  /** What the seasons that were run so far tell: ten thousand of them are sorted week by week, which no page should wait for. */
  outlook: (
    problem: SeasonProblem,
    schedule: Schedule,
    batches: readonly SeasonBatch[],
    over: boolean,
  ): Outlook => outlookOf(problem, schedule, batches, over),

  /** Searches plans of a season, reports how far it is, and tries the best ones in the planner of a day. */
  async search(apiary: Apiary, problem: SeasonProblem, report: (found: FoundSeason) => void): Promise<void> {
    const mine = ++latest;
    let said = performance.now();
    let plans = 0;
    for (const found of workOut(apiary, problem, () => crypto.randomUUID())) {
      const isNews = found.over || found.plans.length !== plans;
      if (!isNews && performance.now() - said < BREATH_MS) continue;
      plans = found.plans.length;
      report(found);
      await breathe();
      if (mine !== latest) return;
      said = performance.now();
    }
  },

  /** Ends the search under way. */
  stop(): void {
    latest++;
  },

  /** Tries one schedule in the planner of a day: a point of the frontier that was picked. */
  tried: (apiary: Apiary, problem: SeasonProblem, schedule: Schedule): TriedPlan =>
    triedPlan(apiary, problem, schedule, TOLD, () => crypto.randomUUID(), null),

  /** What would raise the odds of a plan and can be done, and what a week's delay costs. */
  async helps(
    apiary: Apiary,
    problem: SeasonProblem,
    schedule: Schedule,
  ): Promise<{ readonly changes: readonly PlanChange[]; readonly week: ReturnType<typeof costOfAWeek> }> {
    const mine = latest;
    let changes: readonly PlanChange[] = [];
    for (const held of helpsThatHold(apiary, problem, schedule, TOLD, () => crypto.randomUUID())) {
      changes = held;
      // A search that begins meanwhile does not wait for the rest.
      await breathe();
      if (mine !== latest) break;
    }
    return { changes, week: costOfAWeek(problem, schedule, TOLD) };
  },
};
export type SeasonWorker = typeof planner;
expose(planner);
