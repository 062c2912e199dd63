import { coloniesOfYard, countedOn, framesOfColony, type Apiary, type Colony } from '@incremen/core/records';

/** How far the first count of a yard has come. */
export interface CountRound {
  readonly counted: number;
  readonly all: number;
  /** The first, by the order of the stands, that was never counted; null when each was. */
  readonly next: Colony | null;
}

/** How many colonies of a yard have ever been counted, and which comes next. */
export function countRound(apiary: Apiary, yardId: string): CountRound {
  const colonies = coloniesOfYard(apiary, yardId);
  const never = colonies.filter((c) => countedOn(framesOfColony(apiary, c)) === null);
  return { counted: colonies.length - never.length, all: colonies.length, next: never[0] ?? null };
}

/** Where a colony is counted for the first time: in a few numbers. */
export const firstCountOf = (colony: Pick<Colony, 'id'>): string => `/colonies/${colony.id}/count?by=quick`;
