import type { CommandOf, FollowUp } from '../../records/index.ts';
import { isJob } from '../../followup/index.ts';
import type { Draft } from './draft.ts';
import { settleInspection } from './settlingInspection.ts';

type Path = readonly (string | number)[];

/** Records a look, draws its verdict, settles what it settles and files what comes next. */
export function decideLook(draft: Draft, command: CommandOf<'recordLook'>, path: Path): void {
  const ids = [...command.newIds];
  const before = draft.apiary;
  command.parts.forEach((part, i) => {
    const at = [...path, 'parts', i];
    const colony = draft.need('colony', part.colonyId, [...at, 'colonyId']);
    if (!colony) return;
    const since = colony.separation?.day ?? colony.startedOn;
    if (command.day < since) {
      draft.problem(
        'before-colony',
        [...path, 'day'],
        `${colony.name} has been on its own since ${since}; the inspection is dated ${command.day}.`,
        'Correct the day of the inspection.',
      );
    }
    if (part.evidence.framesRead > part.evidence.framesTotal) {
      draft.problem(
        'more-read-than-there',
        [...at, 'evidence', 'framesRead'],
        `${part.evidence.framesRead} frames read of ${part.evidence.framesTotal}.`,
        'Enter at most as many frames as there are.',
      );
    }
    draft.add(
      'visit',
      {
        id: part.visitId,
        colonyId: part.colonyId,
        day: command.day,
        purpose: 'look',
        note: command.note,
        evidence: part.evidence,
        time: command.time ?? null,
        conditions: command.conditions ?? null,
        clash: null,
        unexpected: null,
        by: null,
      },
      [...at, 'visitId'],
    );
  });
  const followUp =
    command.followUpId === null
      ? undefined
      : draft.need('followUp', command.followUpId, [...path, 'followUpId']);
  if (draft.problems.length > 0) return;
  const looked = command.parts.map((p) => p.colonyId);
  if (followUp) markDone(draft, followUp, looked, ids);
  settleInspection(draft, before, command.parts, command.day, ids);
}

/** A look that was due is done for those that were looked at; the others still have it before them. */
function markDone(draft: Draft, followUp: FollowUp, looked: readonly string[], ids: string[]): void {
  const left = followUp.colonyIds.filter(
    (id) => !looked.includes(id) && draft.get('colony', id)?.endedOn === null,
  );
  const done = followUp.colonyIds.filter((id) => looked.includes(id));
  if (done.length === 0) return;
  const id = left.length > 0 ? ids.shift() : undefined;
  if (id !== undefined) draft.put('followUp', { ...followUp, id, colonyIds: left });
  draft.put('followUp', {
    ...followUp,
    colonyIds: id === undefined ? followUp.colonyIds : done,
    status: 'done',
  });
}

/** Closes a follow-up without a look: a job is done; of a look the beekeeper knows better. */
export function decideCloseFollowUp(draft: Draft, command: CommandOf<'closeFollowUp'>, path: Path): void {
  const followUp = draft.need('followUp', command.followUpId, [...path, 'followUpId']);
  if (followUp) draft.put('followUp', { ...followUp, status: isJob(followUp) ? 'done' : 'dropped' });
}
