import { DEMO_DAY, demoScenario } from '@incremen/core/demo';
import {
  findMethods,
  makePlan,
  METHODS,
  tryOut,
  type PlanRequest,
  type Situation,
  type Trials,
  type WorkedPlan,
} from '@incremen/core/split';
import { operationOf, type Apiary, type Command, type WorkReport } from '@incremen/core/records';
import { houseRules } from '@incremen/core/rules';
import type { Day, Result } from '@incremen/core/basics';
import { reportWork } from '@incremen/core/repair';
import { expose } from 'comlink';

const planner = {
  /** Works a plan out away from the page, so that the page never stalls. */
  plan: (apiary: Apiary, request: PlanRequest): Result<WorkedPlan> =>
    makePlan(apiary, request, () => crypto.randomUUID()),
  /** Puts what was really done in the place of what was planned, and plans the rest anew. */
  repair: (apiary: Apiary, planId: string, report: WorkReport, day: Day): Result<Command> =>
    reportWork(apiary, planId, report, day, () => crypto.randomUUID()),
  /** Works out the ways that look best for a colony. */
  tryOut: (apiary: Apiary, colonyId: string, now: Situation): Trials =>
    tryOut(
      apiary,
      colonyId,
      now,
      now.day,
      findMethods(now, houseRules(operationOf(apiary).houseRules.changes)),
      () => crypto.randomUUID(),
    ),
  /** Has the planner compiled by working out plans of a made-up yard; their result is thrown away. */
  warmUp: (): void => {
    const { apiary } = demoScenario();
    for (const colony of Object.values(apiary.colony).slice(0, 3)) {
      for (const { id } of METHODS) {
        const request = { colonyId: colony.id, methodId: id, day: DEMO_DAY, newName: 'warm', options: {} };
        makePlan(apiary, request, () => crypto.randomUUID());
      }
    }
  },
};
export type Planner = typeof planner;
expose(planner);
