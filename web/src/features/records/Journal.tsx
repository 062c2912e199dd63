import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { dayInWords, type Problem } from '@incremen/core/basics';
import { skipToken } from '@reduxjs/toolkit/query';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { takeBack } from '../../mirror/actions.ts';
import { useJournalInfiniteQuery } from '../../server/serverData.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';

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
  if (error && 'message' in error) throw new Error(error.message);

  async function undo(entryId: string) {
    const sent = await dispatch(takeBack(entryId));
    setNotTakenBack(sent.ok ? [] : sent.problems);
  }

  return (
    <Box as="section">
      <Heading as="h2" fontSize="xl" mb={2}>
        Journal
      </Heading>
      <ProblemList problems={[...((error as readonly Problem[] | undefined) ?? []), ...notTakenBack]} />
      <Box as="ol" listStyleType="none">
        {outbox.toReversed().map((e) => (
          <Row
            key={e.id}
            when={e.state === 'refused' ? 'refused' : 'not sent yet'}
            summary={e.summary}
            onTakeBack={() => void undo(e.id)}
          />
        ))}
        {entries.map((e) => (
          <Row
            key={e.id}
            when={dayInWords(e.doneAt.slice(0, 10))}
            summary={e.summary}
            by={e.by}
            onTakeBack={e.undoneBy ? null : () => void undo(e.id)}
          />
        ))}
      </Box>
      {data && entries.length + outbox.length === 0 && (
        <Text color="inkSoft">Nothing has been recorded yet.</Text>
      )}
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

function Row({
  when,
  summary,
  by = null,
  onTakeBack,
}: {
  readonly when: string;
  readonly summary: string;
  /** Who did it, where that is known. */
  readonly by?: string | null;
  /** Null for what was taken back already. */
  readonly onTakeBack: (() => void) | null;
}) {
  return (
    <Flex as="li" gap={4} align="center" borderTopWidth="1px" borderColor="line" minH="48px">
      <Text w="6.5rem" flex="none" color="inkSoft">
        {when}
      </Text>
      <Text flex="1" {...(onTakeBack ? {} : { textDecoration: 'line-through', color: 'inkSoft' })}>
        {summary}
        {by !== null && (
          <Box as="span" color="inkSoft">
            {' '}
            · {by}
          </Box>
        )}
      </Text>
      {onTakeBack && (
        <Button variant="ghost" size="sm" aria-label={`Undo: ${summary}`} onClick={onTakeBack}>
          Undo
        </Button>
      )}
    </Flex>
  );
}
