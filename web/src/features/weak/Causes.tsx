import { Box, Text } from '@chakra-ui/react';
import type { WeakCause } from '@incremen/core/remedies';
import styles from './Causes.module.css';

const WORDS: Readonly<Record<WeakCause['cause'], string>> = {
  disease: 'Disease',
  queen: 'Queen',
  bees: 'Bees',
  food: 'Food',
  room: 'Room',
  space: 'Space',
  season: 'Season',
  young: 'Young',
};

/** Why a unit is weak, the gravest first. */
export function Causes({ causes }: { readonly causes: readonly WeakCause[] }) {
  if (causes.length === 0) return <Text color="inkSoft">Nothing in the records says why.</Text>;
  return (
    <Box as="ul" aria-label="Why it is weak" listStyleType="none" display="grid" gap={1}>
      {causes.map((c) => (
        <li key={c.cause} className={styles.cause}>
          <b>{WORDS[c.cause]}</b>
          <span>{c.words}</span>
        </li>
      ))}
    </Box>
  );
}
