import { Box, Button, Heading, Text } from '@chakra-ui/react';
import { framesInStore, storeLines, type StoreLine } from '@incremen/core';
import { Link } from 'react-router';
import { useApiary, useOperation, useSend } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { sizeName } from '../setup/SizePicker.tsx';
import './work.css';

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
      <PageHeader title="Store" aside="Work that is done takes what stays in the yard.">
        <Button asChild variant="outline" bg="sheet" minH="44px">
          <Link to="/worksheet">Back to the work</Link>
        </Button>
      </PageHeader>
      <ProblemList problems={problems} />
      <Text fontSize="1.15rem" fontWeight="600" mb={4} role="status">
        {short.length === 0
          ? 'Nothing that was counted runs short for the plans that are kept.'
          : `Short for the plans that are kept: ${short
              .map((l) => `${l.promised - (l.count ?? 0)} × ${l.what}`)
              .join(', ')}.`}
      </Text>
      <Box as="ul" aria-label="Equipment" listStyleType="none">
        {lines.map((line) => (
          <Line key={line.what} line={line} onChange={(n) => set(line, n)} />
        ))}
      </Box>
      <Combs />
    </Box>
  );
}

function Line({ line, onChange }: { readonly line: StoreLine; readonly onChange: (count: number) => void }) {
  const isShort = line.count !== null && line.count < line.promised;
  return (
    <li className="store-line" data-short={isShort || undefined}>
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
  const combs = new Map<string, number>();
  for (const f of framesInStore(apiary)) {
    const what = `${f.blank === 'drawn' ? 'drawn comb' : 'foundation'}, ${sizeName(operation, f.sizeId)}`;
    combs.set(what, (combs.get(what) ?? 0) + 1);
  }
  return (
    <Box as="section" mt={6}>
      <Heading as="h2" fontSize="1.15rem" mb={1}>
        Combs
      </Heading>
      {combs.size === 0 && <Text color="inkSoft">No comb lies in the store.</Text>}
      <Box as="ul" listStyleType="none">
        {[...combs]
          .toSorted(([a], [b]) => a.localeCompare(b))
          .map(([what, n]) => (
            <li key={what}>
              {count(n, 'frame')} of {what}
            </li>
          ))}
      </Box>
    </Box>
  );
}
