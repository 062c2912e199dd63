import { addDays, openFollowUps, type Apiary, type Day, type FollowUp } from '@incremen/core';
import type { Remedy } from '@incremen/core/remedies';

const WATCH_DAYS = 7;

/** The look that a watched colony has to stand: a test and a date. */
export function watchFor(colonyId: string, remedy: Remedy, today: Day): FollowUp {
  const day = addDays(today, WATCH_DAYS);
  return {
    id: crypto.randomUUID(),
    planId: null,
    colonyIds: [colonyId],
    kind: 'look',
    topic: 'watch',
    window: { earliest: addDays(day, -1), likely: day, latest: addDays(day, 2) },
    expect: remedy.why,
    status: 'open',
  };
}

/** The open watch of a colony. */
export const watchOf = (apiary: Apiary, colonyId: string): FollowUp | undefined =>
  openFollowUps(apiary).find((f) => f.topic === 'watch' && f.colonyIds.includes(colonyId));
