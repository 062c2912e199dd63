import { daysBetween, shiftWindow } from '../../basics/index.ts';
import { queenLane, type QueenLane } from '../../followup/index.ts';
import {
  type FollowUpTopic,
  type Apiary,
  type Colony,
  type FollowUp,
  openFollowUps,
  visitsOf,
} from '../../records/index.ts';
import type { Draft } from './draft.ts';

/** What is due so many days after a young queen has emerged. */
const AFTER_HER: ReadonlySet<FollowUpTopic> = new Set(['rest', 'eggs-due']);

/**
 * Moves what was filed for a part when what was now seen of it dates its queen anew.
 *
 * What several parts share stays: the look that tells them apart files it for each.
 *
 * @param before - the apiary as it was before anything was seen
 */
export function moveWithQueen(draft: Draft, before: Apiary, colonyId: string): void {
  const was = waitingLane(before, before.colony[colonyId]);
  const is = waitingLane(draft.apiary, draft.get('colony', colonyId));
  const days = was && is ? daysBetween(was.emergence.likely, is.emergence.likely) : 0;
  if (!was || days === 0) return;
  for (const f of openFollowUps(before)) {
    if (f.colonyIds.length !== 1 || f.colonyIds[0] !== colonyId) continue;
    if (!AFTER_HER.has(f.topic) && !isDayOfDecision(f, was)) continue;
    if (draft.get('followUp', f.id) !== f) continue;
    draft.put('followUp', { ...f, window: shiftWindow(f.window, days) });
  }
}

/** Whether a follow-up is the last day on which a part must have eggs. */
export const isDayOfDecision = (f: FollowUp, lane: QueenLane): boolean =>
  f.topic === 'act' && f.window.likely === lane.decideBy;

/** The lane of a part that still waits for eggs of its queen, by all that was seen; null for any other. */
export function waitingLane(apiary: Apiary, colony: Colony | undefined): QueenLane | null {
  if (!colony) return null;
  const [latest] = visitsOf(apiary, colony.id);
  const lane = queenLane(apiary, colony, latest?.day ?? colony.startedOn);
  return lane && !lane.laying ? lane : null;
}
