import { Box } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { Work } from '@incremen/core/records';
import { promisedBy, type Promised } from '@incremen/core/remedies';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useApiary, useOperation } from '../../mirror/hooks.ts';
import { one, smallMass } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { useLatest } from '../../ui/useLatest.ts';

const WAITS_MS = 400;

/**
 * What each colony will be once the field bees are home: the same as every page shows on that day.
 *
 * @param of - what the work was made of: when it changes the work is asked for anew, a moment later
 * @param workOf - the work; null while there is none
 */
export default function WorkPromises({
  of,
  workOf,
}: {
  readonly of: unknown;
  readonly workOf: () => Work | null;
}) {
  const apiary = useApiary();
  const { units } = useOperation();
  const [promised, setPromised] = useState<readonly Promised[]>([]);
  // Ticks on the records change nothing of what was promised.
  const ask = useLatest(() => {
    const work = workOf();
    return work ? promisedBy(apiary, work) : [];
  });
  useEffect(() => {
    const timer = setTimeout(() => setPromised(ask()), WAITS_MS);
    return () => clearTimeout(timer);
  }, [of, ask]);
  const [first] = promised;
  if (!first) return null;
  return (
    <Box as="section" aria-label="What it makes">
      <SectionHeading mb={1}>On {dayInWords(first.day)}, field bees at home</SectionHeading>
      <Box as="ul" listStyleType="none" display="grid" gap={1}>
        {promised.map((p) => (
          <li key={p.colonyId}>
            {apiary.colony[p.colonyId] ? (
              <Link to={`/colonies/${p.colonyId}`}>
                <b>{p.name}</b>
              </Link>
            ) : (
              <b>{p.name}</b>
            )}
            : {one(p.bees)} frames of bees, {one(p.brood)} of brood, {smallMass(p.foodKg, units)} of food
          </li>
        ))}
      </Box>
    </Box>
  );
}
