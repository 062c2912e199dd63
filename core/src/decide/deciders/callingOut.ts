import { changeCallOut } from '../../callout/index.ts';
import { unitsOfCallOut, type CommandOf, type CallOut } from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { carryOutCallOut } from './carryOutCallOut.ts';
import { closes } from './closingVisits.ts';
import { noteEnded } from './noteEnded.ts';

type Path = readonly (string | number)[];

/** Begins a break-up: givers, units and what each keeps or gets. */
export function decideStartCallOut(draft: Draft, command: CommandOf<'startCallOut'>, path: Path): void {
  const { callOut } = command;
  const at = [...path, 'callOut'];
  draft.need('yard', callOut.body.yardId, [...at, 'body', 'yardId']);
  callOut.body.givers.forEach((g, i) => {
    const colony = draft.need('colony', g.colonyId, [...at, 'body', 'givers', i, 'colonyId']);
    noteEnded(draft, colony, [...at, 'body', 'givers', i], 'Choose another donor.');
    const elsewhere = Object.values(draft.apiary.callOut).find(
      (c) =>
        c.status === 'open' && c.id !== callOut.id && c.body.givers.some((o) => o.colonyId === g.colonyId),
    );
    if (elsewhere) {
      draft.problem(
        'giver-twice',
        [...at, 'body', 'givers', i],
        `${colony?.name ?? 'This colony'} is being broken up already: ${elsewhere.name}.`,
        'Finish or drop that first.',
      );
    }
  });
  const names = new Set(
    Object.values(draft.apiary.colony).flatMap((c) => (c.endedOn === null ? [c.name] : [])),
  );
  callOut.body.units.forEach((u, i) => {
    if (names.has(u.name)) {
      draft.problem(
        'name-taken',
        [...at, 'body', 'units', i, 'name'],
        `There is a colony named ${u.name} already.`,
        'Give the part another name.',
      );
    }
    names.add(u.name);
  });
  if (callOut.status !== 'open' || callOut.body.calls.length > 0) {
    draft.problem('not-new', at, 'A break-up begins without calls.', 'Begin it first, then call.');
  }
  draft.add('callOut', callOut, [...at, 'id']);
}

/** Takes in a call, or a change of one. */
export function decideChangeCallOut(draft: Draft, command: CommandOf<'changeCallOut'>, path: Path): void {
  const callOut = open(draft, command.callOutId, path);
  if (!callOut) return;
  const { change } = command;
  if (change.what === 'call' && !isGiversFrame(draft, change.call.frameId, change.call.giverId)) {
    draft.problem(
      'frame-elsewhere',
      [...path, 'change', 'call', 'frameId'],
      'This frame does not hang in the colony that gives: its boxes hold no more than was called.',
      'Choose a frame of a donor, or enter the frame under the hive first.',
    );
    return;
  }
  const changed = changeCallOut(callOut.body, change);
  if (!changed.ok) {
    const { code, path: at, message, remedy } = changed.problem;
    draft.problem(code, [...path, 'change', ...at], message, remedy);
    return;
  }
  draft.put('callOut', { ...callOut, body: changed.body });
}

/** Gives a break-up up: nothing of it is in the records. */
export function decideDropCallOut(draft: Draft, command: CommandOf<'dropCallOut'>, path: Path): void {
  const callOut = open(draft, command.callOutId, path);
  if (callOut) draft.put('callOut', { ...callOut, status: 'dropped' });
}

/** Finishes a break-up: the records become what was called. */
export function decideFinishCallOut(draft: Draft, command: CommandOf<'finishCallOut'>, path: Path): void {
  const callOut = open(draft, command.callOutId, path);
  if (!callOut) return;
  const aside = callOut.body.calls.filter((c) => c.to.at === 'aside').length;
  if (aside > 0) {
    draft.problem(
      'frames-aside',
      path,
      `${aside === 1 ? 'One frame still lies' : `${aside} frames still lie`} aside.`,
      'Give each to a part, or hang it back.',
    );
    return;
  }
  if (!callOut.body.calls.some((c) => c.to.at === 'unit')) {
    draft.problem('nothing-made', path, 'No part has a frame.', 'Call frames, or drop the break-up.');
    return;
  }
  const caged = callOut.body.queens.find((q) => q.now === 'caged');
  if (caged) {
    draft.problem(
      'queen-caged',
      path,
      `The queen of ${draft.get('colony', caged.giverId)?.name ?? 'a donor'} is still in her cage.`,
      'Say where she goes: home, into a part, or taken away.',
    );
    return;
  }
  if (!closes(draft, unitsOfCallOut(draft.apiary, callOut), command.closing, [...path, 'closing'])) return;
  carryOutCallOut(draft, callOut, command, path);
}

function open(draft: Draft, callOutId: string, path: Path): CallOut | undefined {
  const callOut = draft.need('callOut', callOutId, [...path, 'callOutId']);
  if (!callOut || callOut.status === 'open') return callOut;
  draft.problem(
    'call-out-closed',
    [...path, 'callOutId'],
    `${callOut.name} ${callOut.status === 'done' ? 'is finished' : 'was dropped'} already.`,
    callOut.status === 'done' ? 'Take the finishing back from the journal first.' : 'Begin another.',
  );
  return undefined;
}

function isGiversFrame(draft: Draft, frameId: string, giverId: string): boolean {
  const frame = draft.get('frame', frameId);
  const box = frame?.boxId ? draft.get('box', frame.boxId) : undefined;
  const hiveId = draft.get('colony', giverId)?.hiveId;
  return box !== undefined && box.hiveId === hiveId;
}
