import { Box, Text } from '@chakra-ui/react';
import { strengthHistory } from '@incremen/core/colony';
import type { Apiary, Colony, Reading } from '@incremen/core/records';
import { skipToken } from '@reduxjs/toolkit/query';
import { Suspense, useMemo } from 'react';
import { useAppSelector } from '../../state/store.ts';
import { useReadingsOfColonyQuery } from '../../server/serverData.ts';
import { useApiary, useOperation } from '../../mirror/hooks.ts';
import { withVisits } from '../../mirror/olderVisits.ts';
import { lazyPart } from '../../ui/lazyPart.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { ForecastHeld } from './ForecastHeld.tsx';

const StrengthChart = lazyPart(() => import('./StrengthChart.tsx'));

/** All readings of a colony; while the server is away, those that are kept here. */
export function useReadingsOf(colony: Colony): {
  /** The apiary with the visits on which they were read. */
  readonly apiary: Apiary;
  readonly readings: readonly Reading[];
  readonly whole: boolean;
} {
  const apiary = useApiary();
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const { currentData } = useReadingsOfColonyQuery(
    operationId === null ? skipToken : { operationId, colonyId: colony.id },
  );
  return useMemo(() => {
    const here = Object.values(apiary.reading).filter(
      (r) => r.visitId !== null && apiary.visit[r.visitId]?.colonyId === colony.id,
    );
    if (!currentData) return { apiary, readings: here, whole: false };
    const known = new Set(currentData.readings.map((r) => r.id));
    return {
      apiary: withVisits(apiary, currentData.visits),
      readings: [...currentData.readings, ...here.filter((r) => !known.has(r.id))],
      whole: true,
    };
  }, [apiary, colony.id, currentData]);
}

/** How the colony has grown and shrunk, from all its counts. */
export function History({
  colony,
  apiary,
  readings,
  whole,
}: {
  readonly colony: Colony;
  readonly apiary: Apiary;
  readonly readings: readonly Reading[];
  readonly whole: boolean;
}) {
  const { referenceSize } = useOperation();
  const points = useMemo(
    () => strengthHistory(apiary, readings, referenceSize),
    [apiary, readings, referenceSize],
  );
  if (points.length === 0) return null;
  return (
    <Box as="section" aria-label={`Strength of ${colony.name}`}>
      <SectionHeading>Strength</SectionHeading>
      {points.length === 1 ? (
        <Text color="inkSoft">One count so far. From the second on, its growth is drawn here.</Text>
      ) : (
        <Suspense fallback={<Box h="220px" />}>
          <StrengthChart points={points} />
        </Suspense>
      )}
      <ForecastHeld colony={colony} apiary={apiary} readings={readings} />
      {!whole && (
        <Text color="inkSoft">Older counts are on the server; these are the ones kept on this device.</Text>
      )}
    </Box>
  );
}
