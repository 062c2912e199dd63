import { makePlan, type Apiary, type PlanRequest, type Result, type WorkedPlan } from '@incremen/core';
import { expose } from 'comlink';

const planner = {
  /** Works a plan out away from the page, so that the page never stalls. */
  plan: (apiary: Apiary, request: PlanRequest): Result<WorkedPlan> =>
    makePlan(apiary, request, () => crypto.randomUUID()),
};
export type Planner = typeof planner;
expose(planner);
