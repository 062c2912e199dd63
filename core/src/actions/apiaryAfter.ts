import { carryOutYardPlan } from '../apiary/deciders/carryOutYardPlan.ts';
import { Draft } from '../apiary/draft.ts';
import type { Apiary, YardPlan } from '../apiary/records.ts';

/** The apiary as it will be when a plan is worked off: for a picture of it beforehand. */
export function apiaryAfter(apiary: Apiary, plan: YardPlan): Apiary {
  const draft = new Draft(apiary);
  draft.put('yardPlan', plan);
  carryOutYardPlan(draft, plan, plan.day, []);
  return draft.apiary;
}
