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
import type { Problem } from '@incremen/core/basics';
import { useAppSelector } from '../../state/store.ts';
import { api } from '../../server/api.ts';
import { problemsOf } from '../../server/problemsOf.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { seenInWords } from '../../shared/evidence/seenInWords.ts';
import { useApiary, useToday } from '../../mirror/hooks.ts';

const TABLES: readonly { readonly name: string; readonly of: (apiary: Apiary) => Table }[] = [
  { name: 'Colonies', of: colonyTable },
  { name: 'Counts', of: countTable },
  { name: 'Queens', of: queenTable },
  {
    name: 'Visits',
    of: (apiary) =>
      visitTable(apiary, (id) => {
        const seen = apiary.visit[id]?.evidence;
        return seen ? seenInWords(seen) : '';
      }),
  },
  { name: 'Store', of: storeTable },
];

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

/** The whole journal, page by page from the server. */
function JournalTable() {
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const today = useToday();
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  async function write() {
    if (operationId === null) return;
    setBusy(true);
    setProblems([]);
    try {
      const rows: string[][] = [];
      for (let before: number | null = null; ;) {
        const page: JournalPage = await api.journal(operationId, before);
        rows.push(...page.entries.map((e) => [e.doneAt, e.summary, e.undoneBy ? 'undone' : '']));
        if (page.next === null) break;
        before = page.next;
      }
      const text = Papa.unparse({ fields: ['when', 'what', 'undone'], data: rows }, { escapeFormulae: true });
      save(text, `incremen-journal-${today}.csv`);
    } catch (error) {
      setProblems(problemsOf(error));
    } finally {
      setBusy(false);
    }
  }
  return (
    <>
      <Button size="sm" variant="outline" bg="sheet" loading={busy} onClick={() => void write()}>
        <Sheet size={16} aria-hidden /> Journal
      </Button>
      <ProblemList problems={problems} />
    </>
  );
}

/** The records as tables for a spreadsheet, one file each. */
export function Tables() {
  const apiary = useApiary();
  const today = useToday();
  return (
    <Flex gap={2} wrap="wrap" align="center" mb={3} role="group" aria-label="Tables for a spreadsheet">
      <Text color="inkSoft">For a spreadsheet:</Text>
      <JournalTable />
      {TABLES.map(({ name, of }) => (
        <Button
          key={name}
          size="sm"
          variant="outline"
          bg="sheet"
          onClick={() => {
            const table = of(apiary);
            // A text that begins with one of these is taken for a formula.
            const text = Papa.unparse(
              { fields: [...table.columns], data: table.rows.map((row) => [...row]) },
              { escapeFormulae: true },
            );
            save(text, tableFile(table, today));
          }}
        >
          <Sheet size={16} aria-hidden /> {name}
        </Button>
      ))}
    </Flex>
  );
}
