import { openFollowUps, type Apiary, type FollowUp } from '@incremen/core/records';

/** The open watch of a colony. */
export const watchOf = (apiary: Apiary, colonyId: string): FollowUp | undefined =>
  openFollowUps(apiary).find((f) => f.topic === 'watch' && f.colonyIds.includes(colonyId));
