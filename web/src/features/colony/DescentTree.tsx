import { Box } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { descentOf } from '@incremen/core/colony';
import type { Colony } from '@incremen/core/records';
import { useMemo } from 'react';
import { KinTree } from '../../drawing/KinTree.tsx';
import { useApiary } from '../../mirror/hooks.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

const ORIGIN_WORDS: Readonly<Record<Colony['origin']['how'], string>> = {
  entered: 'since',
  split: 'split',
  swarm: 'swarm of',
  bought: 'bought',
  made: 'made',
};

/** The line of descent as a tree, the oldest at the left. Nothing is drawn for a colony without kin. */
export function DescentTree({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const descent = useMemo(() => descentOf(apiary, colony), [apiary, colony]);
  if (descent.kin.length < 2) return null;
  return (
    <Box as="section">
      <SectionHeading>Descent</SectionHeading>
      <KinTree
        label="Line of descent"
        hereId={colony.id}
        lines={descent.lines.map(({ from, to, how }) => ({ from, to, isDashed: how === 'union' }))}
        kin={descent.kin.map(({ colony: kin, generation }) => ({
          id: kin.id,
          generation,
          title: kin.name,
          to: `/colonies/${kin.id}`,
          below: kin.endedOn
            ? `ended ${dayInWords(kin.endedOn)}`
            : `${ORIGIN_WORDS[kin.origin.how]} ${dayInWords(kin.startedOn)}`,
        }))}
      />
    </Box>
  );
}
