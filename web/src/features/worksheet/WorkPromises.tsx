import { Box } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { Work } from '@incremen/core/records';
import { promisedBy, type Promised } from '@incremen/core/remedies';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import { one } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

const WAITS_MS = 400;

/** What each colony will be once the field bees are home: the same as every page shows on that day. */
export default function WorkPromises({ work }: { readonly work: Work }) {
  const apiary = useApiary();
  const [promised, setPromised] = useState<readonly Promised[]>([]);
  const asked = useRef({ apiary, work });
  useEffect(() => {
    // Once, when the steps can be ticked: ticks change nothing of it.
    const timer = setTimeout(
      () => setPromised(promisedBy(asked.current.apiary, asked.current.work)),
      WAITS_MS,
    );
    return () => clearTimeout(timer);
  }, []);
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
            : {one(p.bees)} frames of bees, {one(p.brood)} of brood, {one(p.foodKg)} kg of food
          </li>
        ))}
      </Box>
    </Box>
  );
}
