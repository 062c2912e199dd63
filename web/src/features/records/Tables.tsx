import { Button, Flex, Text } from '@chakra-ui/react';
import {
  colonyTable,
  countTable,
  queenTable,
  storeTable,
  tableFile,
  visitTable,
  type Table,
} from '@incremen/core/formats';
import type { Apiary } from '@incremen/core/records';
import { Sheet } from 'lucide-react';
import Papa from 'papaparse';
import { useState } from 'react';
import type { JournalPage } from '@incremen/contract';
import type { Day, Problem } from '@incremen/core/basics';
import { useAppSelector } from '../../state/store.ts';
import { api } from '../../server/api.ts';
import { problemsOf } from '../../server/problemsOf.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';
import common from '../../ui/common.module.css';
import { seenInWords } from '../../shared/evidence/seenInWords.ts';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { withVisits } from '../../mirror/olderVisits.ts';

const TABLES: readonly { readonly name: string; readonly of: (apiary: Apiary) => Table }[] = [
  { name: 'Colonies', of: colonyTable },
  { name: 'Counts', of: countTable },
  { name: 'Queens', of: queenTable },
  { name: 'Store', of: storeTable },
];

const visits = (apiary: Apiary): Table =>
  visitTable(apiary, (id) => {
    const seen = apiary.visit[id]?.evidence;
    return seen ? seenInWords(seen) : '';
  });

/** Lets the browser keep a text as a file. */
function save(text: string, name: string): void {
  // Spreadsheets take a file for UTF-8 when it begins with this mark.
  const url = URL.createObjectURL(new Blob(['\uFEFF', text], { type: 'text/csv;charset=utf-8' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** Keeps a table as a file. A text that begins like a formula is taken for one, unless it is escaped. */
function saveTable(fields: readonly string[], rows: readonly (readonly unknown[])[], name: string): void {
  const data = rows.map((row) => [...row]);
  save(Papa.unparse({ fields: [...fields], data }, { escapeFormulae: true }), name);
}

/** A table of what only the server has whole: it is fetched when it is asked for. */
function FetchedTable({
  name,
  write,
}: {
  readonly name: string;
  readonly write: (operationId: string) => Promise<void>;
}) {
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  async function fetchAndWrite() {
    if (operationId === null) return;
    setBusy(true);
    setProblems([]);
    try {
      await write(operationId);
    } catch (error) {
      setProblems(problemsOf(error));
    } finally {
      setBusy(false);
    }
  }
  return (
    <>
      <Button size="sm" variant="outline" bg="sheet" loading={busy} onClick={() => void fetchAndWrite()}>
        <Sheet size={16} aria-hidden /> {name}
      </Button>
      <ProblemList problems={problems} />
    </>
  );
}

/** The whole journal, page by page. */
async function writeJournal(operationId: string, today: Day): Promise<void> {
  const rows: string[][] = [];
  for (let before: number | null = null; ;) {
    const page: JournalPage = await api.journal(operationId, before);
    rows.push(...page.entries.map((e) => [e.doneAt, e.summary, e.undoneBy ? 'undone' : '']));
    if (page.next === null) break;
    before = page.next;
  }
  saveTable(['when', 'what', 'undone'], rows, `incremen-journal-${today}.csv`);
}

/** The records as tables for a spreadsheet, one file each. */
export function Tables() {
  const apiary = useApiary();
  const today = useToday();
  const keep = (table: Table) => saveTable(table.columns, table.rows, tableFile(table, today));
  return (
    <Flex
      gap={2}
      wrap="wrap"
      align="center"
      mb={3}
      role="group"
      aria-label="Tables for a spreadsheet"
      className={common.noPrint}
    >
      <Text color="inkSoft">For a spreadsheet:</Text>
      <FetchedTable name="Journal" write={(op) => writeJournal(op, today)} />
      <FetchedTable
        name="Visits"
        write={async (op) => {
          const older = await api.olderVisits(op, null);
          keep(visits(withVisits(apiary, older.visits)));
        }}
      />
      {TABLES.map(({ name, of }) => (
        <Button key={name} size="sm" variant="outline" bg="sheet" onClick={() => keep(of(apiary))}>
          <Sheet size={16} aria-hidden /> {name}
        </Button>
      ))}
    </Flex>
  );
}
