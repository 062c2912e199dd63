import {
  stepsOfWork,
  boxesOfHive,
  framesOfColony,
  isOpenWork,
  type CommandOf,
  type Work,
  type WorkStep,
} from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { noteEnded } from './noteEnded.ts';

type Path = readonly (string | number)[];

/** Keeps work and its steps, after checking that it is about things that are there. */
export function decideSaveWork(draft: Draft, command: CommandOf<'saveWork'>, path: Path): void {
  const { work } = command;
  if (work.status !== 'draft') {
    draft.problem(
      'plan-not-new',
      [...path, 'work', 'status'],
      'A new plan begins as a draft.',
      'Save it as a draft.',
    );
  }
  checkWork(draft, command, path);
  makeWayForSplit(draft, work, path);
  draft.add('work', work, [...path, 'work', 'id']);
  command.steps.forEach((s, i) => draft.add('workStep', s, [...path, 'steps', i, 'id']));
}

/** A colony has one split planned at a time: a draft gives way to the new one, work under way does not. */
function makeWayForSplit(draft: Draft, work: Work, path: Path): void {
  const { asked } = work.body;
  if (asked.source !== 'split') return;
  for (const old of Object.values(draft.apiary.work)) {
    const other = old.body.asked;
    if (old.id === work.id || other.source !== 'split' || other.colonyId !== asked.colonyId) continue;
    if (old.status === 'working') {
      draft.problem(
        'work-under-way',
        [...path, 'work', 'body', 'asked', 'colonyId'],
        `Work on another plan for ${draft.get('colony', asked.colonyId)?.name ?? 'this colony'} has begun.`,
        'Finish or drop it first.',
      );
    } else if (old.status === 'draft') draft.put('work', { ...old, status: 'dropped' });
  }
}

/** Puts work that was planned anew in the place of the one under way. Ticks are not lost. */
export function decideAmendWork(draft: Draft, command: CommandOf<'amendWork'>, path: Path): void {
  const { work } = command;
  const at = [...path, 'work', 'id'];
  const old = draft.need('work', work.id, at);
  if (!old) return;
  if (!isOpenWork(old)) {
    noteClosed(draft, old, at);
    return;
  }
  checkWork(draft, command, path);
  if (!isSameWork(old, work)) {
    draft.problem(
      'other-plan',
      [...path, 'work'],
      'This is another plan, not the one being worked.',
      'Drop the plan and make a new one.',
    );
  }
  const steps = stepsOfWork(draft.apiary, work.id);
  keepTicks(draft, steps, command.steps, path);
  for (const s of steps) draft.remove('workStep', s.id);
  for (const s of command.steps) draft.put('workStep', s);
  const isBegun = command.steps.some((s) => s.doneOn !== null);
  draft.put('work', { ...work, status: isBegun ? 'working' : 'draft' });
}

function isSameWork({ body: { asked: old } }: Work, { body: { asked } }: Work): boolean {
  if (old.source === 'split' && asked.source === 'split')
    return old.colonyId === asked.colonyId && old.methodId === asked.methodId;
  return old.source === asked.source;
}

/** Work that is finished or was dropped takes no change. */
export function noteClosed(draft: Draft, { status }: Work, path: Path): void {
  draft.problem(
    'plan-closed',
    path,
    status === 'done' ? 'This work is finished and in the records.' : 'This plan was dropped.',
    status === 'done' ? 'Undo the whole work from the journal.' : 'Make a new plan.',
  );
}

function keepTicks(
  draft: Draft,
  old: readonly Pick<WorkStep, 'id' | 'doneOn' | 'text'>[],
  anew: readonly Pick<WorkStep, 'id' | 'doneOn'>[],
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

/** Drops work; what was done at the hives already is not touched. */
export function decideDropWork(draft: Draft, command: CommandOf<'dropWork'>, path: Path): void {
  const work = draft.need('work', command.workId, [...path, 'workId']);
  if (!work) return;
  if (work.status === 'done') {
    draft.problem(
      'plan-done',
      [...path, 'workId'],
      'This plan has been carried out.',
      'Undo the work from the journal instead.',
    );
    return;
  }
  draft.put('work', { ...work, status: 'dropped' });
}

type Planned = Pick<CommandOf<'saveWork'>, 'work' | 'steps'>;

/** What must hold of work however it comes: it is about things that are there, and takes no identifier of others. */
function checkWork(draft: Draft, command: Planned, path: Path): void {
  checkYards(draft, command, path);
  checkUnits(draft, command, path);
  checkNames(draft, command, path);
  checkFrames(draft, command, path);
  checkSteps(draft, command, path);
  checkIds(draft, command, path);
}

function checkYards(draft: Draft, { work: { body } }: Planned, path: Path): void {
  const at = [...path, 'work', 'body'];
  const { asked } = body;
  if (asked.source === 'yard')
    asked.request.yardIds.forEach((id, i) =>
      draft.need('yard', id, [...at, 'asked', 'request', 'yardIds', i]),
    );
  if (asked.source === 'action')
    asked.yardIds.forEach((id, i) => draft.need('yard', id, [...at, 'asked', 'yardIds', i]));
  body.newHives.forEach((h, i) => draft.need('yard', h.yardId, [...at, 'newHives', i, 'yardId']));
}

function checkUnits(draft: Draft, { work }: Planned, path: Path): void {
  const { body } = work;
  const setUp = new Set(body.newHives.map((h) => h.colonyId));
  const { asked } = body;
  if (
    asked.source === 'split' &&
    draft.need('colony', asked.colonyId, [...path, 'work', 'body', 'asked', 'colonyId']) &&
    !body.units.some((u) => u.state === 'stays' && u.colonyId === asked.colonyId)
  ) {
    draft.problem(
      'wrong-parts',
      [...path, 'work', 'body', 'units'],
      'The colony that is split is not among the parts of its plan.',
      'Make the plan again.',
    );
  }
  body.units.forEach((u, i) => {
    const where = [...path, 'work', 'body', 'units', i, 'colonyId'];
    if (u.state !== 'stays') {
      if (draft.get('colony', u.colonyId) || (u.state === 'new' && !setUp.has(u.colonyId)))
        draft.problem('wrong-parts', where, `${u.name} is not a new colony.`, 'Make the plan again.');
      return;
    }
    const colony = draft.need('colony', u.colonyId, where);
    noteEnded(draft, colony, where, 'Make the plan again without it.');
    if (colony && work.day < colony.startedOn) {
      draft.problem(
        'before-colony',
        [...path, 'work', 'day'],
        `${colony.name} exists since ${colony.startedOn}; the work is dated ${work.day}.`,
        'Choose a later day.',
      );
    }
  });
}

function checkNames(draft: Draft, { work }: Planned, path: Path): void {
  const taken = new Set(
    Object.values(draft.apiary.colony).flatMap((c) => (c.endedOn === null ? [c.name] : [])),
  );
  work.body.units.forEach((u, i) => {
    if (u.state !== 'new') return;
    if (taken.has(u.name)) {
      draft.problem(
        'name-taken',
        [...path, 'work', 'body', 'units', i, 'name'],
        `There is a colony named ${u.name} already.`,
        'Give the new one another name.',
      );
    }
    taken.add(u.name);
  });
}

function checkFrames(draft: Draft, { work: { body } }: Planned, path: Path): void {
  const twice = new Set<string>();
  const own = new Set(
    body.units.flatMap((u) => {
      const colony = u.state === 'stays' ? draft.get('colony', u.colonyId) : undefined;
      if (!colony) return [];
      // Combs in common hang in the same hive.
      return [
        ...framesOfColony(draft.apiary, colony).map((p) => p.box.id),
        ...(colony.hiveId === null ? [] : boxesOfHive(draft.apiary, colony.hiveId).map((b) => b.id)),
      ];
    }),
  );
  body.moves.forEach((m, i) => {
    const where = [...path, 'work', 'body', 'moves', i, 'frameId'];
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
    const isThere = frame.boxId === (m.from?.boxId ?? null) && frame.slot === (m.from?.slot ?? null);
    if (!isThere || frame.place === 'gone' || (m.from && !own.has(m.from.boxId))) {
      draft.problem(
        'frame-elsewhere',
        where,
        'A frame of this plan hangs elsewhere by now.',
        'Make the plan again from the present state.',
      );
    }
  });
}

function checkSteps(draft: Draft, { work, steps }: Planned, path: Path): void {
  steps.forEach((s, i) => {
    if (s.workId === work.id) return;
    draft.problem(
      'foreign-plan',
      [...path, 'steps', i, 'workId'],
      'This line belongs to another plan.',
      'Use the id of the plan that is saved.',
    );
  });
}

/** Identifiers of what the work sets up are its own: no record has them, and no other work that is open. */
function checkIds(draft: Draft, { work, steps }: Planned, path: Path): void {
  const at = [...path, 'work', 'body'];
  const taken = (i: readonly (string | number)[], what: string) =>
    draft.problem('id-taken', i, `The id of ${what} is in use already.`, 'Make a new id.');
  const others = new Set(
    Object.values(draft.apiary.work)
      .filter((w) => w.id !== work.id && isOpenWork(w))
      .flatMap((w) => idsMadeBy(w)),
  );
  const { body } = work;
  body.newHives.forEach((h, i) => {
    if (draft.get('colony', h.colonyId) || draft.get('hive', h.hiveId) || draft.get('stand', h.standId))
      taken([...at, 'newHives', i], 'a new hive');
    else if ([h.colonyId, h.hiveId, h.standId].some((id) => others.has(id)))
      taken([...at, 'newHives', i], 'a new hive');
    h.boxes.forEach((b, j) => {
      if (b.from === 'kit' && (draft.get('box', b.boxId) || others.has(b.boxId)))
        taken([...at, 'newHives', i, 'boxes', j, 'boxId'], 'a new box');
    });
  });
  body.newBoxes.forEach((b, i) => {
    if (draft.get('box', b.boxId) || others.has(b.boxId)) taken([...at, 'newBoxes', i, 'boxId'], 'a new box');
  });
  body.looks.forEach((l, i) => {
    if (draft.get('followUp', l.id) || others.has(l.id)) taken([...at, 'looks', i, 'id'], 'an inspection');
  });
  steps.forEach((s, i) => {
    const known = draft.get('workStep', s.id);
    if (known && known.workId !== work.id) taken([...path, 'steps', i, 'id'], 'a step');
  });
}

const idsMadeBy = ({ body }: Work): string[] => [
  ...body.newHives.flatMap((h) => [
    h.colonyId,
    h.hiveId,
    h.standId,
    ...h.boxes.flatMap((b) => (b.from === 'kit' ? [b.boxId] : [])),
  ]),
  ...body.newBoxes.map((b) => b.boxId),
  ...body.looks.map((l) => l.id),
];
