import type { CommandOf, Step } from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { checkPlan } from './planning.ts';
import { checkYardPlan } from './yardPlanning.ts';

type Path = readonly (string | number)[];

/** Puts a plan that was worked out anew in the place of the one being worked. Ticks are not lost. */
export function decideAmendPlan(draft: Draft, command: CommandOf<'amendPlan'>, path: Path): void {
  const { plan } = command;
  const old = draft.need('plan', plan.id, [...path, 'plan', 'id']);
  if (!old || !isOpen(draft, old.status, [...path, 'plan', 'id'])) return;
  if (!checkPlan(draft, command, path)) return;
  if (old.colonyId !== plan.colonyId || old.methodId !== plan.methodId) {
    draft.problem(
      'other-plan',
      [...path, 'plan'],
      'This is another plan, not the one being worked.',
      'Drop the plan and make a new one.',
    );
  }
  const steps = Object.values(draft.apiary.step).filter((s) => s.planId === plan.id);
  keepTicks(draft, steps, command.steps, path);
  for (const m of Object.values(draft.apiary.move)) if (m.planId === plan.id) draft.remove('move', m.id);
  for (const s of steps) draft.remove('step', s.id);
  for (const m of command.moves) draft.put('move', m);
  for (const s of command.steps) draft.put('step', s);
  draft.put('plan', { ...plan, status: statusOf(command.steps) });
}

/** The same for a plan for yards. */
export function decideAmendYardPlan(draft: Draft, command: CommandOf<'amendYardPlan'>, path: Path): void {
  const { yardPlan } = command;
  const at = [...path, 'yardPlan', 'id'];
  const old = draft.need('yardPlan', yardPlan.id, at);
  if (!old || !isOpen(draft, old.status, at)) return;
  checkYardPlan(draft, command, path);
  const steps = Object.values(draft.apiary.yardStep).filter((s) => s.yardPlanId === yardPlan.id);
  keepTicks(draft, steps, command.steps, path);
  for (const s of steps) draft.remove('yardStep', s.id);
  for (const s of command.steps) draft.put('yardStep', s);
  draft.put('yardPlan', { ...yardPlan, status: statusOf(command.steps) });
}

const statusOf = (steps: readonly Pick<Step, 'doneOn'>[]) =>
  steps.some((s) => s.doneOn !== null) ? 'working' : 'draft';

function isOpen(draft: Draft, status: string, path: Path): boolean {
  if (status === 'draft' || status === 'working') return true;
  draft.problem(
    'plan-closed',
    path,
    status === 'done' ? 'This work is finished and in the records.' : 'This plan was dropped.',
    status === 'done' ? 'Take the whole work back from the journal.' : 'Make a new plan.',
  );
  return false;
}

function keepTicks(
  draft: Draft,
  old: readonly Pick<Step, 'id' | 'doneOn' | 'text'>[],
  anew: readonly Pick<Step, 'id' | 'doneOn'>[],
  path: Path,
): void {
  const done = new Set(anew.filter((s) => s.doneOn !== null).map((s) => s.id));
  const lost = old.find((s) => s.doneOn !== null && !done.has(s.id));
  if (lost) {
    draft.problem(
      'tick-lost',
      [...path, 'steps'],
      `“${lost.text}” was ticked meanwhile and is not in the new plan.`,
      'Report once more what was done.',
    );
  }
  if (anew.every((s) => s.doneOn !== null)) {
    draft.problem(
      'nothing-left',
      [...path, 'steps'],
      'No step is left, not even to close the visit.',
      'Make the plan again.',
    );
  }
}
