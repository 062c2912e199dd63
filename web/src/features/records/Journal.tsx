import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import type { JournalPage } from '@incremen/contract';
import { dayInWords, type Problem } from '@incremen/core/basics';
import { useEffect, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { takeBack } from '../../mirror/actions.ts';
import { api } from '../../mirror/api.ts';
import { problemsOf } from '../../mirror/problemsOf.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';

/** What was done, latest first; each entry can be taken back while nothing has built on it. */
export function Journal() {
  const dispatch = useAppDispatch();
  const { operationId, revision, outbox } = useAppSelector((s) => s.mirror);
  const [entries, setEntries] = useState<JournalPage['entries']>([]);
  const [next, setNext] = useState<number | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);

  useEffect(() => {
    if (operationId === null) return undefined;
    let current = true;
    api
      .journal(operationId, null)
      .then((page) => {
        if (!current) return;
        setEntries(page.entries);
        setNext(page.next);
      })
      .catch((error: unknown) => current && setProblems(problemsOf(error)));
    return () => {
      current = false;
    };
  }, [operationId, revision]);

  async function more() {
    if (operationId === null || next === null) return;
    const page = await api.journal(operationId, next);
    setEntries([...entries, ...page.entries]);
    setNext(page.next);
  }

  async function undo(entryId: string) {
    const sent = await dispatch(takeBack(entryId));
    setProblems(sent.ok ? [] : sent.problems);
  }

  return (
    <Box as="section">
      <Heading as="h2" fontSize="1.3rem" mb={2}>
        Journal
      </Heading>
      <ProblemList problems={problems} />
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
            onTakeBack={e.undoneBy ? null : () => void undo(e.id)}
          />
        ))}
      </Box>
      {entries.length + outbox.length === 0 && <Text color="inkSoft">Nothing has been recorded yet.</Text>}
      {next !== null && (
        <Button variant="outline" bg="sheet" mt={3} minH="44px" onClick={() => void more()}>
          Show earlier
        </Button>
      )}
    </Box>
  );
}

function Row({
  when,
  summary,
  onTakeBack,
}: {
  readonly when: string;
  readonly summary: string;
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
      </Text>
      {onTakeBack && (
        <Button
          variant="ghost"
          minH="44px"
          size="sm"
          aria-label={`Take back: ${summary}`}
          onClick={onTakeBack}
        >
          Take back
        </Button>
      )}
    </Flex>
  );
}
