import { daysBetween, type Day, shiftWindow } from '../../basics/index.ts';
import {
  type PlanPart,
  type CommandOf,
  type Plan,
  unitsOfPlan,
  boxesOfHive,
  queenOf,
} from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { goneUnits } from '../../work/index.ts';
import { closes } from './closingVisits.ts';
import { dropLooksOfLastSplit } from './droppingLooks.ts';
import { takeKit } from './keepingKit.ts';
import { noteDoneAlready } from './noteDoneAlready.ts';

type Path = readonly (string | number)[];

/**
 * Ticks a step of the work, or takes the tick back.
 *
 * The first tick begins the work; the last carries the plan into the data: stand, hive, boxes, colony,
 * frames, queen and follow-ups are then as they stand in the yard.
 */
export function decideTickStep(draft: Draft, command: CommandOf<'tickStep'>, path: Path): void {
  const step = draft.need('step', command.stepId, [...path, 'stepId']);
  const plan = step && draft.need('plan', step.planId, [...path, 'stepId']);
  if (!step || !plan) return;
  if (plan.status === 'done' || plan.status === 'dropped') {
    draft.problem(
      'plan-closed',
      [...path, 'stepId'],
      plan.status === 'done' ? 'This work is finished and in the records.' : 'This plan was dropped.',
      plan.status === 'done' ? 'Take the whole work back from the journal.' : 'Make a new plan.',
    );
    return;
  }
  if (command.done && step.doneOn !== null) {
    noteDoneAlready(draft, step.doneOn, [...path, 'stepId']);
    return;
  }
  draft.put('step', { ...step, doneOn: command.done ? command.day : null });
  const steps = Object.values(draft.apiary.step).filter((s) => s.planId === plan.id);
  const doneSteps = steps.filter((s) => s.doneOn !== null).length;
  if (doneSteps === steps.length) {
    const { closing } = command;
    if (!closes(draft, unitsOfPlan(draft.apiary, plan), closing, [...path, 'closing'])) return;
    carryOut(draft, closing ? { ...plan, body: { ...plan.body, closing } } : plan, command.day, path);
    return;
  }
  if (plan.status === 'draft' && doneSteps > 0) draft.put('plan', { ...plan, status: 'working' });
  if (plan.status === 'working' && doneSteps === 0) draft.put('plan', { ...plan, status: 'draft' });
}

/** Makes the apiary what the plan says, provided that nothing it rests on has changed meanwhile. */
function carryOut(draft: Draft, plan: Plan, day: Day, path: Path): void {
  const parent = draft.need('colony', plan.colonyId, [...path, 'stepId']);
  if (!parent) return;
  draft.problems.push(...goneUnits(draft.apiary, plan, [...path, 'stepId']));
  if (draft.problems.length > 0) return;
  const [stay, fresh] = plan.body.parts;
  if (fresh.distance === 'above') {
    // The colony stays one: a box more, and what hangs in it.
    placeAbove(draft, plan, path);
    moveFramesOf(draft, plan, path);
    fileFollowUps(draft, plan, day, path);
    takeKit(draft, plan.body.kit);
    draft.put('plan', { ...plan, status: 'done' });
    return;
  }
  placeHive(draft, plan, fresh, path);
  const partIds = [stay.colonyId, fresh.colonyId];
  const separation = (part: PlanPart) => ({
    v: 1 as const,
    day,
    planId: plan.id,
    queen: part.queen,
    partIds,
    emergence: part.queen === 'here' ? null : plan.body.emergence,
  });
  dropLooksOfLastSplit(draft, parent);
  draft.put('colony', { ...parent, separation: separation(stay) });
  draft.add(
    'colony',
    {
      id: fresh.colonyId,
      name: fresh.name,
      hiveId: plan.body.newHive.hiveId,
      startedOn: day,
      endedOn: null,
      origin: { how: 'split', fromColonyId: parent.id, planId: plan.id },
      separation: separation(fresh),
    },
    [...path, 'stepId'],
  );
  moveFramesOf(draft, plan, path);
  moveQueen(draft, plan);
  fileFollowUps(draft, plan, day, path);
  takeKit(draft, plan.body.kit);
  draft.put('plan', { ...plan, status: 'done' });
}

function fileFollowUps(draft: Draft, plan: Plan, day: Day, path: Path): void {
  const [stay, fresh] = plan.body.parts;
  const late = daysBetween(plan.day, day);
  for (const f of plan.body.followUps) {
    // Work done later than planned: what hangs on the day of the split moves with it.
    const window = f.anchor === 'split' ? shiftWindow(f.window, late) : f.window;
    const ids = f.parts.map((key) => (key === 'stay' ? stay.colonyId : fresh.colonyId));
    draft.add(
      'followUp',
      {
        id: f.id,
        planId: plan.id,
        colonyIds: ids,
        kind: f.kind,
        topic: f.topic,
        window,
        expect: f.expect,
        status: 'open',
      },
      [...path, 'stepId'],
    );
  }
}

/** The box that is brought goes on top, and an excluder over the brood boxes where there is none. */
function placeAbove(draft: Draft, plan: Plan, path: Path): void {
  const colony = draft.get('colony', plan.colonyId);
  if (!colony?.hiveId) return;
  const boxes = boxesOfHive(draft.apiary, colony.hiveId);
  const lowestSuper = boxes.find((b) => b.role === 'super');
  const isDivided = boxes.some((b) => b.excluderBelow);
  if (lowestSuper && !isDivided) draft.put('box', { ...lowestSuper, excluderBelow: true });
  for (const b of plan.body.newHive.boxes) {
    if (b.from !== 'kit') continue;
    draft.add(
      'box',
      {
        id: b.boxId,
        hiveId: colony.hiveId,
        position: boxes.length,
        sizeId: b.sizeId,
        slots: b.slots,
        role: 'super',
        chambers: [{ colonyId: colony.id, fromSlot: 1, toSlot: b.slots }],
        excluderBelow: !lowestSuper && !isDivided,
      },
      [...path, 'stepId'],
    );
  }
}

function placeHive(draft: Draft, plan: Plan, fresh: PlanPart, path: Path): void {
  const { newHive } = plan.body;
  const parent = draft.get('colony', plan.colonyId);
  const order = Object.values(draft.apiary.stand).filter((s) => s.yardId === newHive.yardId).length;
  draft.add('stand', { id: newHive.standId, yardId: newHive.yardId, name: fresh.name, order }, [
    ...path,
    'stepId',
  ]);
  draft.add('hive', { id: newHive.hiveId, standId: newHive.standId, name: fresh.name }, [...path, 'stepId']);
  newHive.boxes.forEach((b, position) => {
    if (b.from === 'kit') {
      draft.add(
        'box',
        {
          id: b.boxId,
          hiveId: newHive.hiveId,
          position,
          sizeId: b.sizeId,
          slots: b.slots,
          role: 'brood',
          chambers: [{ colonyId: fresh.colonyId, fromSlot: 1, toSlot: b.slots }],
          excluderBelow: false,
        },
        [...path, 'stepId'],
      );
      return;
    }
    const box = draft.need('box', b.boxId, [...path, 'stepId']);
    if (!box) return;
    if (box.hiveId !== parent?.hiveId) {
      draft.problem(
        'box-elsewhere',
        [...path, 'stepId'],
        'A box of this plan stands in another hive by now.',
        'Make the plan again.',
      );
      return;
    }
    draft.put('box', {
      ...box,
      hiveId: newHive.hiveId,
      position,
      chambers: [{ colonyId: fresh.colonyId, fromSlot: 1, toSlot: box.slots }],
    });
  });
  if (parent?.hiveId) {
    boxesOfHive(draft.apiary, parent.hiveId).forEach((box, position) => {
      if (box.position !== position) draft.put('box', { ...box, position });
    });
  }
}

function moveFramesOf(draft: Draft, plan: Plan, path: Path): void {
  const moves = Object.values(draft.apiary.move).filter((m) => m.planId === plan.id);
  for (const move of moves) {
    const frame = draft.need('frame', move.frameId, [...path, 'stepId']);
    if (!frame) continue;
    if (frame.boxId !== move.fromBoxId || frame.slot !== move.fromSlot) {
      draft.problem(
        'frame-moved',
        [...path, 'stepId'],
        'A frame of this plan has been moved since the plan was made.',
        'Drop the plan and make it again from the present state.',
      );
      continue;
    }
    draft.put('frame', { ...frame, place: 'box', boxId: move.toBoxId, slot: move.toSlot });
  }
}

function moveQueen(draft: Draft, plan: Plan): void {
  const queen = queenOf(draft.apiary, plan.colonyId);
  if (!queen) return;
  const [stay, fresh] = plan.body.parts;
  // Where both have one, the old queen stays and the new part is given another.
  if (fresh.queen === 'here' && stay.queen !== 'here') {
    draft.put('queen', { ...queen, whereabouts: { known: 'colony', colonyId: fresh.colonyId } });
  } else if (fresh.queen === 'unknown') {
    draft.put('queen', {
      ...queen,
      whereabouts: { known: 'oneOf', colonyIds: [stay.colonyId, fresh.colonyId] },
    });
  }
}
