import { type CommandOf, unitsOfYardPlan } from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { carryOutYardPlan } from './carryOutYardPlan.ts';
import { closes } from './closingVisits.ts';
import { noteDoneAlready } from './noteDoneAlready.ts';
import { noteEnded } from './noteEnded.ts';

type Path = readonly (string | number)[];

/** Keeps a plan for yards, after checking that it is about things that are there. */
export function decideSaveYardPlan(draft: Draft, command: CommandOf<'saveYardPlan'>, path: Path): void {
  const { yardPlan } = command;
  const at = [...path, 'yardPlan'];
  if (yardPlan.status !== 'draft') {
    draft.problem('plan-not-new', [...at, 'status'], 'A new plan begins as a draft.', 'Save it as a draft.');
  }
  checkYardPlan(draft, command, path);
  draft.add('yardPlan', yardPlan, [...at, 'id']);
  command.steps.forEach((s, i) => draft.add('yardStep', s, [...path, 'steps', i, 'id']));
}

/** What must hold of a plan for yards however it comes: it is about things that are there. */
export function checkYardPlan(
  draft: Draft,
  command: Pick<CommandOf<'saveYardPlan'>, 'yardPlan' | 'steps'>,
  path: Path,
): void {
  const { yardPlan } = command;
  const at = [...path, 'yardPlan'];
  const { body } = yardPlan;
  body.request.yardIds.forEach((id, i) => draft.need('yard', id, [...at, 'body', 'request', 'yardIds', i]));
  const fresh = new Set(body.newHives.map((h) => h.colonyId));
  body.units.forEach((u, i) => {
    const where = [...at, 'body', 'units', i, 'colonyId'];
    if (u.kind === 'nuc' ? !fresh.has(u.colonyId) || draft.get('colony', u.colonyId) : false) {
      draft.problem('wrong-parts', where, `${u.name} is not a new colony.`, 'Make the plan again.');
    }
    if (u.kind !== 'colony') return;
    const colony = draft.need('colony', u.colonyId, where);
    noteEnded(draft, colony, where, 'Make the plan again without it.');
    if (colony && yardPlan.day < colony.startedOn) {
      draft.problem(
        'before-colony',
        [...at, 'day'],
        `${colony.name} exists since ${colony.startedOn}; the work is dated ${yardPlan.day}.`,
        'Choose a later day.',
      );
    }
  });
  namesOf(draft, command, path);
  const twice = new Set<string>();
  body.moves.forEach((m, i) => {
    const where = [...at, 'body', 'moves', i, 'frameId'];
    const frame = draft.need('frame', m.frameId, where);
    if (!frame) return;
    if (twice.has(frame.id)) {
      draft.problem(
        'frame-twice',
        where,
        'One frame is moved twice by this plan.',
        'A comb cannot be in two boxes: make the plan again.',
      );
    }
    twice.add(frame.id);
    if (frame.boxId !== (m.from?.boxId ?? null) || frame.slot !== (m.from?.slot ?? null)) {
      draft.problem(
        'frame-elsewhere',
        where,
        'A frame of this plan hangs elsewhere by now.',
        'Make the plan again from the present state.',
      );
    }
  });
  command.steps.forEach((s, i) => {
    if (s.yardPlanId !== yardPlan.id) {
      draft.problem(
        'foreign-plan',
        [...path, 'steps', i, 'yardPlanId'],
        'This line belongs to another plan.',
        'Use the id of the plan that is saved.',
      );
    }
  });
}

function namesOf(draft: Draft, { yardPlan }: Pick<CommandOf<'saveYardPlan'>, 'yardPlan'>, path: Path): void {
  const taken = new Set(
    Object.values(draft.apiary.colony).flatMap((c) => (c.endedOn === null ? [c.name] : [])),
  );
  yardPlan.body.units.forEach((u, i) => {
    if (u.kind !== 'nuc') return;
    if (taken.has(u.name)) {
      draft.problem(
        'name-taken',
        [...path, 'yardPlan', 'body', 'units', i, 'name'],
        `There is a colony named ${u.name} already.`,
        'Give the nuc another name.',
      );
    }
    taken.add(u.name);
  });
}

/** Drops a plan for yards; what was done at the hives already is not touched. */
export function decideDropYardPlan(draft: Draft, command: CommandOf<'dropYardPlan'>, path: Path): void {
  const plan = draft.need('yardPlan', command.yardPlanId, [...path, 'yardPlanId']);
  if (!plan) return;
  if (plan.status === 'done') {
    draft.problem(
      'plan-done',
      [...path, 'yardPlanId'],
      'This plan has been carried out.',
      'Take the work back from the journal instead.',
    );
    return;
  }
  draft.put('yardPlan', { ...plan, status: 'dropped' });
}

/**
 * Ticks a step of a yard plan, or takes the tick back. The first tick begins the work; the last carries the
 * plan into the data.
 */
export function decideTickYardStep(draft: Draft, command: CommandOf<'tickYardStep'>, path: Path): void {
  const at = [...path, 'stepId'];
  const step = draft.need('yardStep', command.stepId, at);
  const plan = step && draft.need('yardPlan', step.yardPlanId, at);
  if (!step || !plan) return;
  if (plan.status === 'done' || plan.status === 'dropped') {
    draft.problem(
      'plan-closed',
      at,
      plan.status === 'done' ? 'This work is finished and in the records.' : 'This plan was dropped.',
      plan.status === 'done' ? 'Take the whole work back from the journal.' : 'Make a new plan.',
    );
    return;
  }
  if (command.done && step.doneOn !== null) {
    noteDoneAlready(draft, step.doneOn, at);
    return;
  }
  draft.put('yardStep', { ...step, doneOn: command.done ? command.day : null });
  const steps = Object.values(draft.apiary.yardStep).filter((s) => s.yardPlanId === plan.id);
  const done = steps.filter((s) => s.doneOn !== null).length;
  if (done === steps.length) {
    const { closing } = command;
    if (!closes(draft, unitsOfYardPlan(draft.apiary, plan), closing, [...path, 'closing'])) return;
    carryOutYardPlan(draft, closing ? { ...plan, body: { ...plan.body, closing } } : plan, command.day, at);
    return;
  }
  const status = done > 0 ? 'working' : 'draft';
  if (plan.status !== status) draft.put('yardPlan', { ...plan, status });
}
