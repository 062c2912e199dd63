import { Text } from '@chakra-ui/react';
import { bothSides } from '@incremen/core/comb';
import { glossaryEntry, type GlossaryEntry } from '@incremen/core/glossary';
import { useId, type ReactNode } from 'react';
import { Slat } from './Slat.tsx';
import styles from './Term.module.css';

/** A word of the trade that says on a tap what it means; plain where it is not in the glossary. */
export function Term({ word, children }: { readonly word: string; readonly children?: ReactNode }) {
  const id = useId();
  const entry = glossaryEntry(word);
  if (!entry) return <>{children ?? word}</>;
  return (
    <>
      <button type="button" className={styles.term} popoverTarget={id}>
        {children ?? word}
      </button>
      <span id={id} popover="auto" className={styles.card} role="note" aria-label={entry.word}>
        <Meaning entry={entry} />
      </span>
    </>
  );
}

/** What a word means, with a comb that shows it. */
export function Meaning({ entry: { word, also, means, comb } }: { readonly entry: GlossaryEntry }) {
  return (
    <span className={styles.meaning}>
      {comb && (
        <svg width="34" height="80" viewBox="0 0 34 80" aria-hidden="true">
          <Slat reading={bothSides(comb, 0)} x={10} y={6} height={68} />
        </svg>
      )}
      <span>
        <Text as="b">{word}</Text>
        {also && <Text as="span" color="inkSoft">{`, also ${also.join(', ')}`}</Text>}
        <Text as="span" display="block">
          {means}
        </Text>
      </span>
    </span>
  );
}
