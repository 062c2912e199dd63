import { Box, Button, Heading } from '@chakra-ui/react';
import { dayInWords, type Problem } from '@incremen/core/basics';
import { skipToken } from '@reduxjs/toolkit/query';
import { useMemo, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { takeBack } from '../../mirror/actions.ts';
import { useJournalInfiniteQuery } from '../../server/serverData.ts';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { useLatest } from '../../ui/useLatest.ts';

/** What was done, latest first; each entry can be taken back while nothing has built on it. */
export function Journal() {
  const dispatch = useAppDispatch();
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const outbox = useAppSelector((s) => s.mirror.outbox);
  const { data, error, hasNextPage, isFetching, fetchNextPage } = useJournalInfiniteQuery(
    operationId ?? skipToken,
  );
  const entries = data?.pages.flatMap((page) => page.entries) ?? [];
  const [notTakenBack, setNotTakenBack] = useState<readonly Problem[]>([]);
  const lines: Line[] = [
    ...outbox.toReversed().map((e) => ({
      id: e.id,
      at: e.madeAt,
      when: e.state === 'refused' ? 'refused' : 'not sent yet',
      summary: e.summary,
      by: null,
      undone: false,
    })),
    ...entries.map((e) => ({
      id: e.id,
      at: e.doneAt,
      when: dayInWords(e.doneAt.slice(0, 10)),
      summary: e.summary,
      by: e.by,
      undone: e.undoneBy !== null,
    })),
  ];

  async function undo(entryId: string) {
    const sent = await dispatch(takeBack(entryId));
    setNotTakenBack(sent.ok ? [] : sent.problems);
  }
  const takenBack = useLatest((entryId: string) => void undo(entryId));
  const columns = useMemo(() => columnsOf(takenBack), [takenBack]);
  if (error && 'message' in error) throw new Error(error.message);

  return (
    <Box as="section">
      <Heading as="h2" fontSize="xl" mb={2}>
        Journal
      </Heading>
      <ProblemList problems={[...((error as readonly Problem[] | undefined) ?? []), ...notTakenBack]} />
      <DataTable
        label="Journal"
        rows={lines}
        columns={columns}
        rowId={(l) => l.id}
        find="Find in the journal"
        none={data || error ? 'Nothing has been recorded yet.' : 'Opening the journal…'}
        marks={(l) => (l.undone ? 'past' : undefined)}
      />
      {hasNextPage && (
        <Button
          variant="outline"
          bg="sheet"
          mt={3}
          disabled={isFetching}
          onClick={() => void fetchNextPage()}
        >
          Show earlier
        </Button>
      )}
    </Box>
  );
}

/** One entry as it is listed. */
interface Line {
  readonly id: string;
  /** When it was done, as the clock of the server or of this device says. */
  readonly at: string;
  readonly when: string;
  readonly summary: string;
  readonly by: string | null;
  readonly undone: boolean;
}

const columnsOf = (undo: (id: string) => void): readonly Column<Line>[] => [
  { id: 'summary', title: 'What', value: (l) => l.summary, names: true },
  { id: 'when', title: 'When', value: (l) => l.at, show: (l) => l.when },
  { id: 'by', title: 'By', value: (l) => l.by, show: (l) => l.by ?? '' },
  {
    id: 'undo',
    title: 'Undo',
    deeds: true,
    value: () => null,
    show: ({ id, summary, undone }) =>
      !undone && (
        <Button variant="ghost" size="sm" aria-label={`Undo: ${summary}`} onClick={() => undo(id)}>
          Undo
        </Button>
      ),
  },
];
