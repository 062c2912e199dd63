import { Box } from '@chakra-ui/react';
import type { Day } from '@incremen/core/basics';
import { judgeLook } from '@incremen/core/decide';
import type { Colony, Evidence } from '@incremen/core/records';
import { useMemo } from 'react';
import { useApiary } from '../../mirror/hooks.ts';
import { AtAGlance, VERDICT_ID } from './AtAGlance.tsx';
import LookChances from './LookChances.tsx';
import { VerdictCard } from './VerdictCard.tsx';

/** The verdict on what is being entered of one colony: its answer in a line for above the questions, or the whole of it. */
export default function SeenVerdict({
  colony,
  day,
  evidence,
  inShort = false,
}: {
  readonly colony: Colony;
  readonly day: Day;
  readonly evidence: Evidence;
  readonly inShort?: boolean;
}) {
  const apiary = useApiary();
  const joint = useMemo(
    () => judgeLook(apiary, [{ colonyId: colony.id, evidence }], day),
    [apiary, colony.id, evidence, day],
  );
  const names = new Map(Object.values(apiary.colony).map((c) => [c.id, c.name]));
  if (inShort) return <AtAGlance joint={joint} names={names} />;
  return (
    <Box id={VERDICT_ID} mt={4} p={4} bg="sheet" borderWidth="1px" borderRadius="xl" maxW="46rem">
      <VerdictCard
        joint={joint}
        names={names}
        day={day}
        chances={(id) => id === colony.id && <LookChances colony={colony} day={day} seen={evidence} />}
      />
    </Box>
  );
}
