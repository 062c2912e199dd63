import { visitsOf, type Apiary, type Colony, type Visit } from '@incremen/core/records';
import { skipToken } from '@reduxjs/toolkit/query';
import { useMemo } from 'react';
import { useOlderVisitsQuery } from '../server/serverData.ts';
import { useAppSelector } from '../state/store.ts';
import { useApiary } from './hooks.ts';

/** The apiary with visits that this device does not keep. */
export function withVisits(apiary: Apiary, visits: readonly Visit[]): Apiary {
  const missing = visits.filter((v) => !apiary.visit[v.id]);
  if (missing.length === 0) return apiary;
  return { ...apiary, visit: { ...apiary.visit, ...Object.fromEntries(missing.map((v) => [v.id, v])) } };
}

/** Visits with those that only the server keeps. */
export interface WholeVisits {
  readonly apiary: Apiary;
  /** 'here': all of them; 'asked': the older ones are on the way; 'away': the server cannot be reached. */
  readonly older: 'here' | 'asked' | 'away';
}

/** The apiary with every visit there ever was, once the server has answered. @param colonyId - null for all colonies */
export function useWholeVisits(colonyId: string | null, wanted = true): WholeVisits {
  const apiary = useApiary();
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const { data, isError } = useOlderVisitsQuery(
    operationId === null || !wanted ? skipToken : { operationId, colonyId },
  );
  return useMemo(
    () => ({
      apiary: data ? withVisits(apiary, data.visits) : apiary,
      older: data ? 'here' : isError ? 'away' : 'asked',
    }),
    [apiary, data, isError],
  );
}

/** Every visit of a colony, latest first, as far as they can be had. */
export function useVisitsOf(colony: Colony): readonly Visit[] {
  const { apiary } = useWholeVisits(colony.id);
  return visitsOf(apiary, colony.id);
}
