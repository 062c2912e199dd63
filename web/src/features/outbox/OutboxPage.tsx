import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { Check } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { discard, tryAgain } from '../../mirror/actions.ts';
import { flush } from '../../mirror/sync.ts';
import type { OutboxEntry } from '../../offline/database.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

/** What was entered on this device and is not with the server yet, in the order in which it will be sent. */
export function OutboxPage() {
  const dispatch = useAppDispatch();
  const { outbox, reach, syncedAt } = useAppSelector((s) => s.mirror);
  const refused = outbox.filter((e) => e.state === 'refused');
  const waiting = outbox.filter((e) => e.state === 'waiting');
  return (
    <Box maxW="46rem">
      <PageHeader
        title="Outbox"
        aside={syncedAt === null ? undefined : `Last in step with the server ${moment(syncedAt)}`}
      >
        {waiting.length > 0 && (
          <Button variant="outline" bg="sheet" onClick={() => void dispatch(flush())}>
            Try to send now
          </Button>
        )}
      </PageHeader>
      {outbox.length === 0 && (
        <Flex align="center" gap={3} fontSize="lg">
          <Box as={Check} boxSize="24px" color="accent" aria-hidden />
          Everything that was entered here is with the server.
        </Flex>
      )}
      {refused.length > 0 && (
        <Box as="section" mb={6}>
          <SectionHeading>Could not be taken in</SectionHeading>
          <Text color="inkSoft" mb={3}>
            Nothing of these is lost: they stay here until you try them again or throw them away.
          </Text>
          <Box as="ol" listStyleType="none" display="grid" gap={3}>
            {refused.map((e) => (
              <Box as="li" key={e.id}>
                <Entry entry={e} />
                <ProblemList problems={e.problems} />
                <Flex gap={2} mt={2}>
                  <Button variant="outline" bg="sheet" onClick={() => void dispatch(tryAgain(e.seq))}>
                    Try again
                  </Button>
                  <Button variant="ghost" onClick={() => void dispatch(discard(e.seq))}>
                    Throw away
                  </Button>
                </Flex>
              </Box>
            ))}
          </Box>
        </Box>
      )}
      {waiting.length > 0 && (
        <Box as="section">
          <SectionHeading>{count(waiting.length, 'entry waits', 'entries wait')}</SectionHeading>
          <Text color="inkSoft" mb={3}>
            {reach === 'away'
              ? 'They are safe on this device, through a reload or an empty battery, and go out by themselves when the server is back.'
              : 'They are being sent.'}
          </Text>
          <Box as="ol" aria-label="Waiting to be sent" listStyleType="none">
            {waiting.map((e) => (
              <Flex
                as="li"
                key={e.id}
                align="center"
                gap={3}
                borderTopWidth="1px"
                borderColor="line"
                minH="52px"
              >
                <Entry entry={e} />
                <Button
                  ml="auto"
                  variant="ghost"
                  size="sm"
                  aria-label={`Undo: ${e.summary}`}
                  onClick={() => void dispatch(discard(e.seq))}
                >
                  Undo
                </Button>
              </Flex>
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}

function Entry({ entry }: { readonly entry: OutboxEntry }) {
  return (
    <Box>
      <Text fontWeight="600">{entry.summary}</Text>
      <Text color="inkSoft" fontSize="sm">
        entered {moment(Date.parse(entry.madeAt))}
      </Text>
    </Box>
  );
}

function moment(at: number): string {
  return new Date(at).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
}
