import type { Window } from '../../basics/index.ts';
import type { FollowUp, FollowUpTopic } from '../../records/index.ts';
import type { LookText } from '../../followup/index.ts';
import type { Draft } from './draft.ts';

/** Files something that is to be done or looked at, under the next free identifier; nothing when none is left. */
export function fileJob(
  draft: Draft,
  ids: string[],
  job: {
    readonly colonyIds: readonly string[];
    readonly topic: FollowUpTopic;
    readonly window: Window;
    readonly expect: string;
    readonly kind?: FollowUp['kind'];
    readonly move?: FollowUp['move'];
  },
): void {
  if (job.colonyIds.length === 0) return;
  const id = ids.shift();
  if (id === undefined) return;
  draft.put('followUp', {
    id,
    workId: null,
    kind: job.kind ?? 'look',
    status: 'open',
    topic: job.topic,
    window: job.window,
    expect: job.expect,
    colonyIds: [...job.colonyIds],
    ...(job.move && { move: job.move }),
  });
}

/** Files when to come back to a colony, and when to leave it alone. */
export const fileLooks = (draft: Draft, ids: string[], colonyId: string, looks: readonly LookText[]): void =>
  looks.forEach((l) => fileJob(draft, ids, { colonyIds: [colonyId], ...l }));
