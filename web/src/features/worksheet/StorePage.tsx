import { Box, Button, Text } from '@chakra-ui/react';
import { combLines, shoppingList, storeLines, type StoreLine } from '@incremen/core/work';
import { Link } from 'react-router';
import { useApiary, useOperation, useSend, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { sizeName } from '../../shared/hives/SizePicker.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { CombShelf } from './CombShelf.tsx';
import styles from './StorePage.module.css';

/** What lies in the store, what plans will take of it, and what runs out first. */
export function StorePage() {
  const apiary = useApiary();
  const { send, problems } = useSend();
  const lines = storeLines(apiary);
  const short = lines.filter((l) => l.count !== null && l.count < l.promised);
  const set = (line: StoreLine, n: number) =>
    void send({ type: 'setKit', items: [{ id: line.id ?? crypto.randomUUID(), what: line.what, count: n }] });
  return (
    <Box maxW="46rem">
      <PageHeader title="Store" aside="Finished work takes its equipment off this list.">
        <Button asChild variant="outline" bg="sheet">
          <Link to="/feed">Feed round</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/worksheet">Work</Link>
        </Button>
      </PageHeader>
      <ProblemList problems={problems} />
      <Text fontSize="lg" fontWeight="600" mb={4} role="status">
        {short.length === 0
          ? 'You have everything your saved plans need.'
          : `Short for the plans that are kept: ${short
              .map((l) => `${l.promised - (l.count ?? 0)} × ${l.what}`)
              .join(', ')}.`}
      </Text>
      <Box as="ul" aria-label="Equipment" listStyleType="none">
        {lines.map((line) => (
          <Line key={line.what} line={line} onChange={(n) => set(line, n)} />
        ))}
      </Box>
      <Shopping />
      <Combs />
      <CombShelf />
    </Box>
  );
}

function Line({ line, onChange }: { readonly line: StoreLine; readonly onChange: (count: number) => void }) {
  const isShort = line.count !== null && line.count < line.promised;
  return (
    <li className={styles.line} data-short={isShort || undefined}>
      <span>
        {line.promised > 0 && `plans take ${line.promised}`}
        {line.count === null && `${line.promised > 0 ? ' · ' : ''}not counted yet`}
      </span>
      <Stepper label={line.what} value={line.count ?? 0} min={0} max={9999} onChange={onChange} />
    </li>
  );
}

/** Combs by size and kind; they are counted one by one, as they come and go. */
function Combs() {
  const apiary = useApiary();
  const operation = useOperation();
  const year = Number(useToday().slice(0, 4));
  const combs = combLines(apiary, year);
  return (
    <Box as="section" mt={6}>
      <SectionHeading mb={1}>Combs</SectionHeading>
      {combs.length === 0 && <Text color="inkSoft">No comb lies in the store.</Text>}
      <Box as="ul" aria-label="Combs" listStyleType="none">
        {combs.map((c) => (
          <li key={`${c.sizeId} ${c.kind}`} className={styles.line}>
            <span>
              <b>
                {count(c.count, 'frame')} {COMB_WORDS[c.kind]}
              </b>
              , {sizeName(operation, c.sizeId)}
            </span>
            <span>
              {[
                ...(c.promised > 0 ? [`plans take ${c.promised}`] : []),
                ...(c.oldest === null ? [] : [`oldest of ${c.oldest}`]),
                ...(c.old > 0 ? [`${c.old} to melt down by your rule`] : []),
              ].join(' · ')}
            </span>
          </li>
        ))}
      </Box>
    </Box>
  );
}

const COMB_WORDS = { 'with stores': 'with stores', drawn: 'drawn', foundation: 'of foundation' } as const;

/** What is to be bought or made before the work that is planned. */
function Shopping() {
  const lines = shoppingList(useApiary());
  if (lines.length === 0) return null;
  return (
    <Box as="section" mt={6} aria-label="Shopping list">
      <SectionHeading mb={1}>To buy or make</SectionHeading>
      <Box as="ul" listStyleType="none">
        {lines.map((l) => (
          <li key={l.what}>
            {l.count} × {l.what}
          </li>
        ))}
      </Box>
    </Box>
  );
}
