import type { ActionId } from '../records/bodies/actionId.ts';
import { workOfAction, type ActionChoice } from '../remedies/actions/actionPlan.ts';
import { planAction } from '../remedies/actions/actions.ts';
import { allFacts } from '../remedies/remedies.ts';
import { WEAK_DAY, type WeakYard } from './weakYard.ts';

export const MILD = { coldNights: false };

/** The action planned for the unit in question; null where it cannot be. */
export function planned(yard: WeakYard, id: ActionId, choice: ActionChoice = {}) {
  const all = allFacts(yard.apiary, WEAK_DAY, MILD);
  const facts = all.find((f) => f.colony.id === yard.weak.id);
  if (!facts) throw new Error('no facts');
  return planAction(id, facts, all, choice, yard.newId);
}

/** Works an action off to its last step. */
export function work(yard: WeakYard, id: ActionId, choice: ActionChoice = {}) {
  const plan = planned(yard, id, choice);
  if (!plan) throw new Error(`${id} cannot be done`);
  const command = workOfAction(yard.apiary, plan, WEAK_DAY, yard.newId);
  yard.run(command);
  for (const step of command.steps) yard.tick(step.id, WEAK_DAY);
  return { plan, command };
}
