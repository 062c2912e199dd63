import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { queenRegister, yearOfBirth, type RegisterLine } from '@incremen/core/colony';
import { newQueen, QUEEN_DEED_WORDS, type Apiary } from '@incremen/core/records';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { z } from 'zod';
import { QueenMark } from '../../drawing/Slat.tsx';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { LineIn } from '../../shared/telling/checkedFields.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { textOrNull } from '../../ui/formFields.tsx';
import common from '../../ui/common.module.css';

/** The register: who is where, how old, whom to mark, whom to replace, who waits in a cage, who is gone. */
export function QueensPage() {
  const apiary = useApiary();
  const today = useToday();
  const { present, stock, gone } = queenRegister(apiary, today);
  const columns = useMemo(() => columnsOf(apiary), [apiary]);
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
      <DataTable
        label="Queens in colonies"
        rows={present}
        columns={columns}
        rowId={(l) => l.queen.id}
        find="Find a queen, a colony or a line"
        none="No queen recorded. Add her on the page of her colony, or above for one that waits in a cage."
      />
      {gone.length > 0 && (
        <details>
          <summary className={common.summary}>{count(gone.length, 'queen')} that are gone</summary>
          <DataTable
            label="Queens that are gone"
            rows={gone}
            columns={columns}
            rowId={(l) => l.queen.id}
            find="Find a queen that is gone"
            none=""
          />
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

/** Where she is, in words. */
function placeOfQueen(apiary: Apiary, { queen, colony }: RegisterLine): string {
  const { whereabouts: at, end } = queen;
  if (colony) return colony.name;
  if (at.known === 'oneOf') return `in ${at.colonyIds.map((id) => apiary.colony[id]?.name).join(' or ')}`;
  if (at.known === 'stock') return 'in stock';
  return end ? `${QUEEN_DEED_WORDS[end.how]}, ${dayInWords(end.day)}` : 'gone';
}

/** Virgin, or in a cage; empty for one that goes about her work. */
const stateOfQueen = ({ queen: q }: RegisterLine): string =>
  [
    ...(q.mating === 'virgin' ? ['virgin'] : []),
    ...(q.cagedSince ? [`caged since ${dayInWords(q.cagedSince)}`] : []),
  ].join(', ');

function Mark({ queen }: RegisterLine) {
  return (
    <Flex align="center" gap={3}>
      <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden="true">
        <QueenMark x={15} y={15} r={9} colour={queen.dot} />
      </svg>
      <Link className={common.inlineLink} to={`/queens/${queen.id}`}>
        {queen.name ?? (queen.number ? `No. ${queen.number}` : 'No name')}
      </Link>
    </Flex>
  );
}

const columnsOf = (apiary: Apiary): readonly Column<RegisterLine>[] => [
  {
    id: 'queen',
    title: 'Queen',
    value: ({ queen: q }) => q.name ?? q.number ?? null,
    show: (l) => <Mark {...l} />,
    names: true,
  },
  { id: 'colony', title: 'Colony', value: (l) => placeOfQueen(apiary, l) },
  {
    id: 'born',
    title: 'Born',
    value: ({ queen }) => yearOfBirth(queen),
    show: ({ queen }) => {
      const born = yearOfBirth(queen);
      return born === null ? 'not known' : `${queen.birthYear === null ? 'by ' : ''}${born}`;
    },
    numeric: true,
  },
  {
    id: 'season',
    title: 'Season',
    value: ({ seasons, queen }) => (queen.whereabouts.known === 'gone' ? null : seasons),
    numeric: true,
  },
  { id: 'line', title: 'Line', value: ({ queen }) => queen.line },
  {
    id: 'state',
    title: 'State',
    value: (l) => stateOfQueen(l) || null,
    show: (l) => stateOfQueen(l),
  },
];

const inStock = z.strictObject({ name: textOrNull, breeder: textOrNull });

/** Queens that wait in cages, and the form for one more. */
function Stock({ lines }: { readonly lines: readonly RegisterLine[] }) {
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const apiary = useApiary();
  const columns = useMemo(() => columnsOf(apiary), [apiary]);
  const [adding, setAdding] = useState(false);
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
      {!(adding && lines.length === 0) && (
        <DataTable
          label="Queens in stock"
          rows={lines}
          columns={columns}
          rowId={(l) => l.queen.id}
          none="No queen waits in a cage."
        />
      )}
      {adding && (
        <CheckedForm
          label="A queen in stock"
          verb="Add the queen"
          schema={inStock}
          start={{ name: '', breeder: '' }}
          busy={busy}
          problems={problems}
          onTell={async ({ name, breeder }) => {
            const told = await tell(
              {
                type: 'putQueen',
                queen: newQueen({
                  id: crypto.randomUUID(),
                  name,
                  birthYear: Number(today.slice(0, 4)),
                  mating: 'mated',
                  origin: 'bought',
                  breeder,
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
          <LineIn name="name" label="Name or number" maxLength={80} />
          <LineIn name="breeder" label="Breeder" maxLength={80} />
        </CheckedForm>
      )}
    </Box>
  );
}
