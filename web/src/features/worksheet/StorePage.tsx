import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { combLines, shoppingList, storeLines, type StoreLine } from '@incremen/core/work';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useApiary, useOperation, useSend, useToday } from '../../mirror/hooks.ts';
import { Gear } from '../../drawing/Gear.tsx';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { useLatest } from '../../ui/useLatest.ts';
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
  const columns = useColumns(set);
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
          : `Your saved plans still need ${short
              .map((l) => `${l.promised - (l.count ?? 0)} × ${l.what}`)
              .join(', ')}.`}
      </Text>
      <DataTable
        label="Equipment"
        rows={lines}
        columns={columns}
        rowId={(l) => l.what}
        find="Find equipment"
        none="Nothing is kept here."
        marks={(l) => (isShort(l) ? 'alarm' : undefined)}
      />
      <Shopping />
      <Combs />
      <CombShelf />
    </Box>
  );
}

const isShort = (l: StoreLine) => l.count !== null && l.count < l.promised;

function useColumns(set: (line: StoreLine, n: number) => void): readonly Column<StoreLine>[] {
  const change = useLatest(set);
  return useMemo(
    () => [
      {
        id: 'what',
        title: 'Equipment',
        value: (l) => l.what,
        show: ({ what }) => (
          <Flex align="center" gap={3}>
            <Gear what={what} /> {what}
          </Flex>
        ),
        names: true,
      },
      {
        id: 'promised',
        title: 'Plans take',
        value: (l) => (l.promised > 0 ? l.promised : null),
        numeric: true,
      },
      {
        id: 'count',
        title: 'In the store',
        value: (l) => l.count,
        show: (l) => <InStore line={l} onChange={(n) => change(l, n)} />,
        numeric: true,
      },
    ],
    [change],
  );
}

/** Nobody has counted it: no number is shown before somebody has. */
function InStore({ line, onChange }: { readonly line: StoreLine; readonly onChange: (n: number) => void }) {
  return (
    <Flex align="center" justify={{ base: 'flex-start', sm: 'flex-end' }} gap={3}>
      {line.count === null && <Text color="inkSoft">not counted</Text>}
      <Stepper label={line.what} bare value={line.count ?? 0} min={0} max={9999} onChange={onChange} />
    </Flex>
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
              <Gear what="frame" />
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
