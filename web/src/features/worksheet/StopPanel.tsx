import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import type { WorkState } from '@incremen/core/work';
import { useState } from 'react';
import workStopStyles from './workStop.module.css';
import { Tick } from '../../ui/Tick.tsx';

const WORDS = {
  robbers: {
    title: 'Robbing: close up, in this order',
    then: 'Cover every open box at once, entrances to one bee, no comb and no syrup in the open. Go on tomorrow: the second wave is larger than the first.',
  },
  stop: {
    title: 'Close these, then it can wait',
    then: 'Frames that are out go back into a box of their own hive or of the colony or nuc that they are for. The rest of the work stays as it is.',
  },
} as const;

/** What to close first when robbers come, or rain, or the day ends; work stops only when all is answered for. */
export function StopPanel({
  why,
  state,
  onBack,
  onStopped,
}: {
  readonly why: 'robbers' | 'stop';
  readonly state: WorkState;
  readonly onBack: () => void;
  /** With the steps that were closed for the time being. */
  readonly onStopped: (closed: readonly string[]) => void;
}) {
  const [shut, setShut] = useState<readonly string[]>([]);
  const words = WORDS[why];
  const jobs = [
    ...state.closeNow.map((s) => ({ id: s.id, text: s.text })),
    {
      id: 'entrances',
      text: why === 'robbers' ? 'Entrances small, none shut' : 'No entrance is shut, every lid is on',
    },
  ];
  const all = jobs.every((j) => shut.includes(j.id));
  return (
    <Box role="alert" className={workStopStyles.workStop} data-why={why}>
      <Heading as="h2" fontSize="xl" mb={1}>
        {words.title}
      </Heading>
      <Text mb={3}>{words.then}</Text>
      <Box as="ol" listStyleType="none" display="grid" gap={2} mb={3}>
        {jobs.map((j) => (
          <li key={j.id}>
            <Tick
              label={j.text}
              on="sheet"
              checked={shut.includes(j.id)}
              onChange={(done) => setShut(done ? [...shut, j.id] : shut.filter((id) => id !== j.id))}
            />
          </li>
        ))}
      </Box>
      <Flex gap={2} wrap="wrap">
        <Button minH="52px" disabled={!all} onClick={() => onStopped(shut)}>
          All closed: stop here
        </Button>
        <Button variant="outline" bg="sheet" minH="52px" onClick={onBack}>
          Go on working
        </Button>
      </Flex>
    </Box>
  );
}
