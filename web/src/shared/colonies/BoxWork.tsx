import { Box, Text } from '@chakra-ui/react';
import { BOX_ACTIONS, type BoxAction, type Colony } from '@incremen/core/records';
import { planAction, unitFacts } from '@incremen/core/remedies';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import common from '../../ui/common.module.css';
import { useOutside } from '../weather/useOutside.ts';

const WORDS: Readonly<Record<BoxAction, { readonly title: string; readonly not: string }>> = {
  'add-box': { title: 'Add a box: under, above, or as a super', not: 'It shares its boxes with others.' },
  'box-to-super': {
    title: 'Make the upper brood box a super, without finding the queen',
    not: 'For a hive of two brood boxes or more.',
  },
  'drone-comb': {
    title: 'Hang a drone comb, and cut it on its day',
    not: 'For a colony of eight frames of bees or more, with a frame of its size in the store.',
  },
  'clean-boxes': {
    title: 'Exchange floor and boxes for clean ones',
    not: 'It shares its boxes with others.',
  },
};

/** What can be done with its boxes and combs, weak or strong; what cannot, with the reason. */
export function BoxWork({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const { coldNights } = useOutside();
  const facts = useMemo(
    () => unitFacts(apiary, colony, today, { coldNights }),
    [apiary, colony, today, coldNights],
  );
  return (
    <Box as="ul" listStyleType="none" display="grid" gap={2}>
      {BOX_ACTIONS.map((id) => (
        <li key={id}>
          {facts.shut === null && planAction(id, facts, [facts], {}, () => crypto.randomUUID()) ? (
            <Link className={common.inlineLink} to={`/colonies/${facts.colony.id}/act/${id}`}>
              {WORDS[id].title}
            </Link>
          ) : (
            <Text color="inkSoft">
              {WORDS[id].title}: {facts.shut ?? (facts.sick ? 'Have it examined first.' : WORDS[id].not)}
            </Text>
          )}
        </li>
      ))}
    </Box>
  );
}
