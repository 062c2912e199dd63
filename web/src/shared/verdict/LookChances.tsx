import { Box, Heading, Text } from '@chakra-ui/react';
import { dayInWords, type Day } from '@incremen/core/basics';
import type { Colony, Evidence } from '@incremen/core/records';
import { nextObservation, queenBeliefOf } from '@incremen/core/queen-odds';
import { useMemo } from 'react';
import { useApiary } from '../../mirror/hooks.ts';
import { ChanceBars, SETTLED } from '../chances/ChanceBars.tsx';

/** What this inspection makes likely together with all that was seen before, and what would settle it. */
export default function LookChances({
  colony,
  day,
  seen,
}: {
  readonly colony: Colony;
  readonly day: Day;
  readonly seen: Evidence;
}) {
  const apiary = useApiary();
  const { belief, earlier, next } = useMemo(() => {
    const known = queenBeliefOf(apiary, colony, day, { day, seen });
    return {
      belief: known.belief,
      earlier: known.looks.length - 1,
      next: nextObservation(known.belief, day, known.keeper),
    };
  }, [apiary, colony, day, seen]);
  return (
    <Box as="section" aria-label={`Chances for ${colony.name}`}>
      <Heading as="h3" fontSize="md" mb={1}>
        {colony.name}: how likely, {earlier === 0 ? 'from this inspection' : 'from all inspections'}
      </Heading>
      <ChanceBars belief={belief} />
      {belief.chance < SETTLED && (
        <Text fontSize="sm" mt={1}>
          <b>
            {next.what}
            {next.day > day ? ` from ${dayInWords(next.day)} on` : ' now'}
          </b>{' '}
          would settle it best.
        </Text>
      )}
    </Box>
  );
}
