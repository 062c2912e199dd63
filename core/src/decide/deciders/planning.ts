import { type CommandOf, type Colony, framesOfColony } from '../../records/index.ts';
import type { Draft } from './draft.ts';

type Path = readonly (string | number)[];

/** Keeps a plan, its moves and its steps, after checking that they are about frames that are there. */
export function decideSavePlan(draft: Draft, command: CommandOf<'savePlan'>, path: Path): void {
  const { plan } = command;
  const colony = checkPlan(draft, command, path);
  if (!colony) return;
  if (plan.status !== 'draft') {
    draft.problem(
      'plan-not-new',
      [...path, 'plan', 'status'],
      'A new plan begins as a draft.',
      'Save it as a draft.',
    );
  }
  const working = Object.values(draft.apiary.plan).find(
    (p) => p.colonyId === colony.id && p.status === 'working' && p.id !== plan.id,
  );
  if (working) {
    draft.problem(
      'work-under-way',
      [...path, 'plan', 'colonyId'],
      `Work on another plan for ${colony.name} has begun.`,
      'Finish or drop it first.',
    );
  }
  for (const old of Object.values(draft.apiary.plan)) {
    if (old.colonyId === colony.id && old.status === 'draft' && old.id !== plan.id) {
      draft.put('plan', { ...old, status: 'dropped' });
    }
  }
  draft.add('plan', plan, [...path, 'plan', 'id']);
  command.moves.forEach((m, i) => draft.add('move', m, [...path, 'moves', i, 'id']));
  command.steps.forEach((s, i) => draft.add('step', s, [...path, 'steps', i, 'id']));
}

/** What must hold of a plan however it comes: it is about things that are there. @returns its colony */
export function checkPlan(
  draft: Draft,
  command: Pick<CommandOf<'savePlan'>, 'plan' | 'moves' | 'steps'>,
  path: Path,
): Colony | undefined {
  const { plan } = command;
  const colony = draft.need('colony', plan.colonyId, [...path, 'plan', 'colonyId']);
  if (!colony) return undefined;
  if (plan.day < colony.startedOn) {
    draft.problem(
      'before-colony',
      [...path, 'plan', 'day'],
      `${colony.name} exists since ${colony.startedOn}; the work is dated ${plan.day}.`,
      'Choose a later day.',
    );
  }
  draft.need('yard', plan.body.newHive.yardId, [...path, 'plan', 'body', 'newHive', 'yardId']);
  if (plan.body.parts[0].colonyId !== colony.id || draft.get('colony', plan.body.parts[1].colonyId)) {
    draft.problem(
      'wrong-parts',
      [...path, 'plan', 'body', 'parts'],
      'The first part of a plan is the colony that stays, the second a new one.',
      'Make the plan again.',
    );
  }
  const own = new Set(framesOfColony(draft.apiary, colony).map((p) => p.frame.id));
  command.moves.forEach((move, i) => {
    const at = [...path, 'moves', i];
    const frame = draft.need('frame', move.frameId, [...at, 'frameId']);
    if (frame && !own.has(frame.id) && frame.place !== 'store') {
      draft.problem(
        'frame-elsewhere',
        [...at, 'frameId'],
        `Frame to be moved is neither in ${colony.name} nor in the store.`,
        'Make the plan again from the present state.',
      );
    }
    if (move.planId !== plan.id) foreign(draft, [...at, 'planId']);
  });
  command.steps.forEach((s, i) => {
    if (s.planId !== plan.id) foreign(draft, [...path, 'steps', i, 'planId']);
  });
  return colony;
}

function foreign(draft: Draft, path: Path): void {
  draft.problem(
    'foreign-plan',
    path,
    'This line belongs to another plan.',
    'Use the id of the plan that is saved.',
  );
}

/** Drops a plan; what was done at the hives already is not touched. */
export function decideDropPlan(draft: Draft, command: CommandOf<'dropPlan'>, path: Path): void {
  const plan = draft.need('plan', command.planId, [...path, 'planId']);
  if (!plan) return;
  if (plan.status === 'done') {
    draft.problem(
      'plan-done',
      [...path, 'planId'],
      'This plan has been carried out.',
      'Take the work back from the journal instead.',
    );
    return;
  }
  draft.put('plan', { ...plan, status: 'dropped' });
}
