import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { queenRegister, yearOfBirth, type RegisterLine } from '@incremen/core/colony';
import { newQueen, QUEEN_DEED_WORDS } from '@incremen/core/records';
import { useState } from 'react';
import { Link } from 'react-router';
import { QueenMark } from '../../drawing/Slat.tsx';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { TextField } from '../../ui/TextField.tsx';
import common from '../../ui/common.module.css';
import styles from './QueensPage.module.css';

/** The register: who is where, how old, whom to mark, whom to replace, who waits in a cage, who is gone. */
export function QueensPage() {
  const apiary = useApiary();
  const today = useToday();
  const { present, stock, gone } = queenRegister(apiary, today);
  const toMark = present.filter((l) => l.toMark !== null);
  const toReplace = present.filter((l) => l.toReplace);
  return (
    <Box maxW="60rem">
      <PageHeader
        title="Queens"
        aside={`${count(present.length, 'queen')} in colonies, ${stock.length} in stock`}
      >
        <Button asChild variant="outline" bg="sheet">
          <Link to="/cells">Queen cells</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/queens/tags">Tags</Link>
        </Button>
      </PageHeader>
      <Flex gap={8} wrap="wrap" mb={6}>
        <Named title="To mark" lines={toMark} none="All are marked.">
          {(l) => l.toMark}
        </Named>
        <Named title="To replace" lines={toReplace} none="None is too old by your rule.">
          {(l) => `in her ${ordinal(l.seasons ?? 0)} season`}
        </Named>
      </Flex>
      <Stock lines={stock} />
      <SectionHeading>In colonies</SectionHeading>
      {present.length === 0 && (
        <Text>
          No queen recorded. Add her on the page of her colony, or below for one that waits in a cage.
        </Text>
      )}
      <Box as="ul" aria-label="Queens in colonies" listStyleType="none">
        {present.map((l) => (
          <Row key={l.queen.id} line={l} />
        ))}
      </Box>
      {gone.length > 0 && (
        <details>
          <summary className={common.summary}>{count(gone.length, 'queen')} that are gone</summary>
          <ul className={styles.list}>
            {gone.map((l) => (
              <Row key={l.queen.id} line={l} />
            ))}
          </ul>
        </details>
      )}
    </Box>
  );
}

const ordinal = (n: number) => `${n}${n === 1 ? 'st' : n === 2 ? 'nd' : n === 3 ? 'rd' : 'th'}`;

function Named({
  title,
  lines,
  none,
  children,
}: {
  readonly title: string;
  readonly lines: readonly RegisterLine[];
  readonly none: string;
  readonly children: (line: RegisterLine) => string | null;
}) {
  return (
    <Box as="section" flex="1 1 260px">
      <SectionHeading mb={1}>{title}</SectionHeading>
      {lines.length === 0 && <Text color="inkSoft">{none}</Text>}
      {lines.map((l) => (
        <Text key={l.queen.id}>
          <Link className={common.inlineLink} to={`/queens/${l.queen.id}`}>
            {l.colony?.name ?? l.queen.name ?? 'A queen'}
          </Link>
          : {children(l)}
        </Text>
      ))}
    </Box>
  );
}

function Row({ line: { queen, colony, seasons } }: { readonly line: RegisterLine }) {
  const apiary = useApiary();
  const born = yearOfBirth(queen);
  const { whereabouts } = queen;
  const places = whereabouts.known === 'oneOf' ? whereabouts.colonyIds : [];
  return (
    <li className={styles.row}>
      <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden="true">
        <QueenMark x={15} y={15} r={9} colour={queen.dot} />
      </svg>
      <Link className={common.inlineLink} to={`/queens/${queen.id}`}>
        {queen.name ?? (queen.number ? `No. ${queen.number}` : 'No name')}
      </Link>
      <span>
        {colony?.name ??
          (places.length > 0
            ? `in ${places.map((id) => apiary.colony[id]?.name).join(' or ')}`
            : whereabouts.known === 'stock'
              ? 'in stock'
              : queen.end
                ? `${QUEEN_DEED_WORDS[queen.end.how]}, ${dayInWords(queen.end.day)}`
                : 'gone')}
      </span>
      <span>{born === null ? 'year not known' : `${queen.birthYear === null ? 'by ' : ''}${born}`}</span>
      <span>
        {[
          ...(seasons !== null && whereabouts.known !== 'gone' ? [`season ${seasons}`] : []),
          ...(queen.cagedSince ? [`caged since ${dayInWords(queen.cagedSince)}`] : []),
          ...(queen.line ? [queen.line] : []),
          ...(queen.mating === 'virgin' ? ['virgin'] : []),
        ].join(' · ')}
      </span>
    </li>
  );
}

/** Queens that wait in cages, and the form for one more. */
function Stock({ lines }: { readonly lines: readonly RegisterLine[] }) {
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [adding, setAdding] = useState(false);
  const [name, setName] = useState('');
  const [breeder, setBreeder] = useState('');
  return (
    <Box as="section" mb={6}>
      <Flex gap={3} align="center" mb={1}>
        <SectionHeading mb={0}>In stock</SectionHeading>
        {!adding && (
          <Button variant="ghost" size="sm" color="accent" onClick={() => setAdding(true)}>
            Add a queen
          </Button>
        )}
      </Flex>
      {lines.length === 0 && !adding && <Text color="inkSoft">No queen waits in a cage.</Text>}
      <ul className={styles.list}>
        {lines.map((l) => (
          <Row key={l.queen.id} line={l} />
        ))}
      </ul>
      {adding && (
        <TellForm
          label="A queen in stock"
          verb="Add the queen"
          busy={busy}
          problems={problems}
          onTell={async () => {
            const told = await tell(
              {
                type: 'putQueen',
                queen: newQueen({
                  id: crypto.randomUUID(),
                  name: name.trim() === '' ? null : name.trim(),
                  birthYear: Number(today.slice(0, 4)),
                  mating: 'mated',
                  origin: 'bought',
                  breeder: breeder.trim() === '' ? null : breeder.trim(),
                  whereabouts: { known: 'stock' },
                  cagedSince: today,
                }),
              },
              'The queen is in stock',
            );
            if (told) setAdding(false);
          }}
        >
          <Text color="inkSoft">Keep her cage warm and dark with its attendants, a drop of water a day.</Text>
          <TextField label="Name or number" value={name} onChange={setName} />
          <TextField label="Breeder" value={breeder} onChange={setBreeder} />
        </TellForm>
      )}
    </Box>
  );
}
