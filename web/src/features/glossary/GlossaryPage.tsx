import { Box, Text } from '@chakra-ui/react';
import { GLOSSARY } from '@incremen/core/glossary';
import { useState } from 'react';
import { Meaning } from '../../drawing/Term.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './GlossaryPage.module.css';

/** The words that are used here, explained, with pictures of comb. */
export function GlossaryPage() {
  const [find, setFind] = useState('');
  const asked = find.trim().toLowerCase();
  const groups = GLOSSARY.map((g) => ({
    ...g,
    entries: g.entries.filter((e) =>
      [e.word, ...(e.also ?? []), e.means].some((text) => text.toLowerCase().includes(asked)),
    ),
  })).filter((g) => g.entries.length > 0);
  return (
    <Box maxW="60rem">
      <PageHeader
        title="Words"
        aside="What is meant by them here. A word with dots under it says so on a tap."
      />
      <SearchField label="Find a word" value={find} onChange={setFind} />
      {groups.length === 0 && <Text>No word fits. Try a shorter one.</Text>}
      {groups.map((g) => (
        <Box as="section" key={g.title} aria-label={g.title} mb={6}>
          <SectionHeading>{g.title}</SectionHeading>
          <ul className={styles.words}>
            {g.entries.map((e) => (
              <li key={e.word}>
                <Meaning entry={e} />
              </li>
            ))}
          </ul>
        </Box>
      ))}
    </Box>
  );
}
