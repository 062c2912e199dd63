import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { Clash, Reschedule } from '@incremen/core/followup';
import { CloudRain, TriangleAlert } from 'lucide-react';
import { useApiary, useSend } from '../../mirror/hooks.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';

/** What the weather moves, each with a button that does it, and what gets in each other's way. */
export function Warnings({
  moves,
  clashes,
}: {
  readonly moves: readonly Reschedule[];
  readonly clashes: readonly Clash[];
}) {
  const apiary = useApiary();
  const { send, problems } = useSend();
  if (moves.length === 0 && clashes.length === 0) return null;
  return (
    <Box as="section" aria-label="Weather and clashes" mb={6} display="grid" gap={2} maxW="56rem">
      <ProblemList problems={problems} />
      {moves.map((m) => {
        const names = m.followUp.colonyIds.map((c) => apiary.colony[c]?.name).join(' and ');
        return (
          <Flex
            key={m.followUp.id}
            gap={3}
            align="center"
            wrap="wrap"
            borderLeftWidth="5px"
            borderColor="near"
            pl={3}
          >
            <CloudRain size={20} aria-hidden />
            <Text flex="1" minW="220px">
              <b>{names}:</b> {m.why}
            </Text>
            <Button
              variant="outline"
              bg="sheet"
              aria-label={`${names}: look on ${dayInWords(m.to.likely)}`}
              onClick={() =>
                void send({ type: 'moveFollowUp', followUpId: m.followUp.id, window: m.to, why: m.why })
              }
            >
              Look on {dayInWords(m.to.likely)}
            </Button>
          </Flex>
        );
      })}
      {clashes.map((c) => (
        <Flex
          key={c.words}
          gap={3}
          align="flex-start"
          borderLeftWidth="5px"
          borderColor="alarm"
          pl={3}
          py={1}
        >
          <Box flex="none" pt="2px">
            <TriangleAlert size={20} aria-hidden />
          </Box>
          <Text>{c.words}</Text>
        </Flex>
      ))}
    </Box>
  );
}
