import type { Window } from '../../basics/index.ts';
import type { CommandOf } from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { noteEnded } from './noteEnded.ts';

type Path = readonly (string | number)[];

/** A window whose days are in order; else a problem. */
function inOrder(draft: Draft, window: Window, path: Path): void {
  if (window.earliest <= window.likely && window.likely <= window.latest) return;
  draft.problem(
    'window-reversed',
    path,
    `The days of this inspection are not in order: ${window.earliest}, ${window.likely}, ${window.latest}.`,
    'Give the earliest, the likely and the latest day in this order.',
  );
}

/** Files a look by hand. One on the same matter that was open already is replaced. */
export function decideFileFollowUp(draft: Draft, command: CommandOf<'fileFollowUp'>, path: Path): void {
  const { followUp } = command;
  const at = [...path, 'followUp'];
  inOrder(draft, followUp.window, [...at, 'window']);
  followUp.colonyIds.forEach((id, i) => {
    const colony = draft.need('colony', id, [...at, 'colonyIds', i]);
    noteEnded(draft, colony, [...at, 'colonyIds', i], 'Choose a colony that is there.');
  });
  for (const f of Object.values(draft.apiary.followUp)) {
    const same = f.status === 'open' && f.topic === 'watch' && followUp.topic === 'watch';
    if (same && f.colonyIds.every((id) => followUp.colonyIds.includes(id))) {
      draft.put('followUp', { ...f, status: 'dropped' });
    }
  }
  draft.add('followUp', { ...followUp, status: 'open' }, [...at, 'id']);
}

/** Puts a look on another day, with the reason. */
export function decideMoveFollowUp(draft: Draft, command: CommandOf<'moveFollowUp'>, path: Path): void {
  const found = draft.need('followUp', command.followUpId, [...path, 'followUpId']);
  inOrder(draft, command.window, [...path, 'window']);
  if (!found) return;
  if (found.status !== 'open') {
    draft.problem(
      'follow-up-closed',
      [...path, 'followUpId'],
      'This inspection is done or dropped.',
      'Nothing is to be moved.',
    );
    return;
  }
  draft.put('followUp', {
    ...found,
    window: command.window,
    expect: `${found.expect} (Moved: ${command.why})`.slice(0, 800),
  });
}
