import { type FollowUpTopic, type Colony, type FollowUp, openFollowUps } from '../../records/index.ts';
import type { Draft } from './draft.ts';

/** Drops what is due for one colony; what it shares with others stays for them. */
export function dropLooks(
  draft: Draft,
  colonyId: string,
  which: (f: FollowUp) => boolean = () => true,
): void {
  for (const f of openFollowUps(draft.apiary)) {
    if (!f.colonyIds.includes(colonyId) || !which(f)) continue;
    const others = f.colonyIds.filter((id) => id !== colonyId);
    draft.put('followUp', others.length > 0 ? { ...f, colonyIds: others } : { ...f, status: 'dropped' });
  }
}

/** Looks that wait for a queen to be told, or raised. */
const OF_ITS_QUEEN: ReadonlySet<FollowUpTopic> = new Set([
  'early-capped',
  'which-part',
  'surplus-cells',
  'rest',
  'eggs-due',
  'capped-due',
  'cage',
]);

/** What waits for the queen of a colony to be told, or raised, is overtaken. */
export const dropLooksOfItsQueen = (draft: Draft, colonyId: string): void =>
  dropLooks(draft, colonyId, (f) => OF_ITS_QUEEN.has(f.topic));

/** A colony is parted anew: what was due after it was parted before is overtaken. */
export function dropLooksOfLastSplit(draft: Draft, colony: Colony): void {
  if (!colony.separation) return;
  const last = colony.separation.workId;
  dropLooks(draft, colony.id, (f) => (last !== null && f.workId === last) || OF_ITS_QUEEN.has(f.topic));
}
