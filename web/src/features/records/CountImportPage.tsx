import { Box, Button, Flex, Table, Text } from '@chakra-ui/react';
import {
  COUNT_COLUMNS,
  DAY_ORDER_WORDS,
  dayOrders,
  matchColumns,
  planCountImport,
  renamedRows,
  type CountImport,
  type CountRow,
  type DayOrder,
} from '@incremen/core/formats';
import { dayInWords } from '@incremen/core/basics';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch } from '../../state/store.ts';
import { takeBack } from '../../mirror/actions.ts';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { toaster } from '../../ui/toaster.tsx';
import { readCsv } from './readCsv.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Select } from '../../ui/Select.tsx';
import common from '../../ui/common.module.css';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

const EXAMPLE = `yard,hive,box,slot,day,bees,eggs,open,capped,bee_bread,honey,queen
Home,Elm,1,1,2026-05-14,5,,,,1,8,
Home,Elm,1,2,2026-05-14,8,1,2,4,1,2,
Home,Elm,1,3,2026-05-14,9,2,3,4,,1,yes`;

/** Counts from a spreadsheet: preview first, every bad row explained, then all of the good ones at once. */
export function CountImportPage() {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const { send, problems, busy, clear } = useSend();
  const [file, setFile] = useState<{
    readonly name: string;
    readonly rows: readonly CountRow[];
    readonly columns: Readonly<Record<string, string | null>>;
    readonly order: DayOrder | null;
  } | null>(null);
  const preview = useMemo(() => {
    if (!file) return null;
    const { rows, problems: days } = renamedRows(file.rows, file.columns, file.order);
    const made = planCountImport(apiary, rows, today, () => crypto.randomUUID());
    // What is wrong with the days is said once, not for each row.
    const plan = days.length > 0 ? { ...made, commands: [], counts: [], rowsTaken: 0, problems: days } : made;
    return { name: file.name, plan };
  }, [file, apiary, today]);

  async function choose(chosen: File | undefined) {
    clear();
    if (!chosen) return;
    const rows = readCsv(await chosen.text());
    const headings = [...new Set(rows.flatMap((r) => Object.keys(r.fields)))];
    setFile({ name: chosen.name, rows, columns: matchColumns(headings), order: null });
  }

  async function take() {
    if (!preview) return;
    const sent = await send({ type: 'batch', commands: preview.plan.commands as never });
    if (!sent.ok) return;
    toaster.create({
      title: `${count(preview.plan.rowsTaken, 'frame')} taken in`,
      action: { label: 'Undo', onClick: () => void dispatch(takeBack(sent.entryId)) },
    });
    await navigate('/yard');
  }

  const plan = preview?.plan;
  const badLines = new Set(plan?.problems.map((p) => p.line)).size;
  return (
    <Box maxW="56rem">
      <PageHeader title="Import counts">
        {plan && plan.rowsTaken > 0 && (
          <Button loading={busy} onClick={() => void take()}>
            Take in {count(plan.rowsTaken, 'row')}
            {badLines > 0 && `, leave out ${badLines}`}
          </Button>
        )}
      </PageHeader>
      <Text as="label" display="block" fontWeight="600" mb={4}>
        A CSV file, one row a frame
        <Box
          as="input"
          {...{
            type: 'file',
            accept: '.csv,text/csv,text/plain',
            onChange: (e: React.ChangeEvent<HTMLInputElement>) => void choose(e.target.files?.[0]),
          }}
          display="block"
          mt={1}
          p={3}
          w="100%"
          bg="sheet"
          borderWidth="1px"
          borderRadius="lg"
        />
      </Text>
      <ProblemList problems={problems} />
      {file && (
        <Columns
          columns={file.columns}
          orders={possibleOrders(file.rows, file.columns)}
          order={file.order}
          onColumns={(columns) => setFile({ ...file, columns })}
          onOrder={(order) => setFile({ ...file, order })}
        />
      )}
      {preview && <Preview name={preview.name} plan={preview.plan} />}
      <SectionHeading mt={6}>Columns</SectionHeading>
      <Text mb={2}>
        <a className={common.inlineLink} href={TEMPLATE} download="incremen-counts.csv">
          Download an empty file
        </a>{' '}
        with these headings. Other headings are recognised where they can be; dates may be written in any one
        way.
      </Text>
      <Box
        as="pre"
        overflowX="auto"
        bg="sunk"
        p={3}
        borderRadius="lg"
        fontSize="sm"
        mb={3}
        tabIndex={0}
        role="region"
        aria-label="Example of a file"
      >
        {EXAMPLE}
      </Box>
      <Table.Root size="sm" bg="transparent">
        <Table.Body>
          {COUNT_COLUMNS.map((c) => (
            <Table.Row key={c.name} bg="transparent">
              <Table.Cell fontWeight="700" whiteSpace="nowrap" verticalAlign="top">
                {c.name}
                {c.needed && (
                  <Text as="span" color="accent">
                    {' '}
                    needed
                  </Text>
                )}
              </Table.Cell>
              <Table.Cell>{c.meaning}</Table.Cell>
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
    </Box>
  );
}

/** The orders in which the dates of the file can be read; more than one is asked about. */
function possibleOrders(
  rows: readonly CountRow[],
  columns: Readonly<Record<string, string | null>>,
): readonly DayOrder[] {
  const heading = Object.keys(columns).find((h) => columns[h] === 'day');
  return heading === undefined ? [] : dayOrders(rows.map((r) => r.fields[heading] ?? '').filter(Boolean));
}

/** Which heading is taken for what, to be corrected, and how its dates are written where that is not clear. */
function Columns({
  columns,
  orders,
  order,
  onColumns,
  onOrder,
}: {
  readonly columns: Readonly<Record<string, string | null>>;
  readonly orders: readonly DayOrder[];
  readonly order: DayOrder | null;
  readonly onColumns: (columns: Readonly<Record<string, string | null>>) => void;
  readonly onOrder: (order: DayOrder) => void;
}) {
  const missing = COUNT_COLUMNS.filter((c) => c.needed && !Object.values(columns).includes(c.name));
  return (
    <Box as="section" aria-label="Columns of the file" mb={5}>
      <Flex gap={3} wrap="wrap" align="flex-end">
        {Object.entries(columns).map(([heading, column]) => (
          <Box key={heading}>
            <Text fontWeight="600" fontSize="sm">
              {heading}
            </Text>
            <Select
              fit
              label={`${heading} is`}
              value={column ?? ''}
              options={[['', 'left out'], ...COUNT_COLUMNS.map((c) => [c.name, c.name] as const)]}
              onChange={(name) =>
                onColumns({
                  ...Object.fromEntries(Object.entries(columns).map(([h, c]) => [h, c === name ? null : c])),
                  [heading]: name === '' ? null : name,
                })
              }
            />
          </Box>
        ))}
      </Flex>
      {missing.length > 0 && (
        <Text color="alarm" mt={2}>
          Not found: {missing.map((c) => c.name).join(', ')}. Choose the column that holds it.
        </Text>
      )}
      {orders.length > 1 && (
        <Box mt={3}>
          <Choice
            label="The dates are written as"
            value={order ?? orders[0] ?? null}
            onChange={onOrder}
            options={orders.map((o) => ({ id: o, label: DAY_ORDER_WORDS[o] }))}
          />
        </Box>
      )}
    </Box>
  );
}

/** An empty file with every heading and one line as an example. */
const TEMPLATE = `data:text/csv;charset=utf-8,${encodeURIComponent(
  `${COUNT_COLUMNS.map((c) => c.name).join(',')}\r\n`,
)}`;

function Preview({ name, plan }: { readonly name: string; readonly plan: CountImport }) {
  return (
    <Box as="section" aria-label="Preview" display="grid" gap={4}>
      {plan.counts.length === 0 && <Text fontWeight="600">Nothing in {name} can be taken in yet.</Text>}
      {plan.counts.length > 0 && (
        <DataTable
          label="Counts that can be taken in"
          rows={plan.counts}
          columns={COUNTS}
          rowId={(c) => `${c.hive} ${c.day}`}
          find="Find a hive"
          none=""
        />
      )}
      {plan.problems.length > 0 && (
        <Box>
          <Text fontWeight="700" mb={1}>
            Left out, and why
          </Text>
          <DataTable
            label="Rows left out"
            rows={plan.problems.slice(0, SHOWN)}
            columns={LEFT_OUT}
            rowId={(p) => `${p.line} ${p.column} ${p.message}`}
            find="Find in what is left out"
            none=""
          />
          {plan.problems.length > SHOWN && <Text>And {plan.problems.length - SHOWN} more.</Text>}
        </Box>
      )}
    </Box>
  );
}

/** More than this nobody reads: the file is mended first. */
const SHOWN = 60;

const COUNTS: readonly Column<CountImport['counts'][number]>[] = [
  { id: 'hive', title: 'Hive', value: (c) => c.hive, names: true },
  { id: 'day', title: 'Counted on', value: (c) => c.day, show: (c) => dayInWords(c.day) },
  { id: 'frames', title: 'Frames', value: (c) => c.frames, numeric: true },
  {
    id: 'new',
    title: 'New here',
    value: (c) => (c.isNew ? 'new hive' : null),
    show: (c) => c.isNew && 'new hive',
  },
];

const LEFT_OUT: readonly Column<CountImport['problems'][number]>[] = [
  {
    id: 'line',
    title: 'Line',
    value: (p) => p.line,
    show: (p) => (
      <Text as="span" color="alarm" whiteSpace="nowrap">
        line {p.line}
      </Text>
    ),
    names: true,
  },
  { id: 'why', title: 'What is wrong', value: (p) => p.message },
  { id: 'remedy', title: 'What to do', value: (p) => p.remedy },
];
