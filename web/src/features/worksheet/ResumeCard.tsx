import { lowerFirst } from '@incremen/core/basics';
import { Box, Button, Heading, Text } from '@chakra-ui/react';
import type { WorkState } from '@incremen/core/work';
import type { ReactNode } from 'react';
import { count } from '../../ui/format.ts';
import workStopStyles from './workStop.module.css';

/** Interrupted work, and all that is needed to take it up again. */
export function ResumeCard({
  state,
  openName,
  since,
  closed,
  onGoOn,
}: {
  readonly state: WorkState;
  /** The hive that stands open. */
  readonly openName: string;
  readonly since: Date;
  readonly closed: readonly string[];
  readonly onGoOn: () => void;
}) {
  const shut = state.closeNow.filter((s) => closed.includes(s.id));
  const isShut = state.open === null || shut.length > 0;
  return (
    <Box as="section" aria-label="Interrupted work" className={workStopStyles.workStop}>
      <Heading as="h2" fontSize="xl" mb={2}>
        Stopped {since.toLocaleString('en-GB', { weekday: 'short', hour: '2-digit', minute: '2-digit' })}
      </Heading>
      <Box as="dl" className={workStopStyles.workFacts} mb={3}>
        <Fact name="Hive">
          {state.open
            ? `${openName}, ${isShut ? 'closed for the time being' : 'still open'}`
            : 'none stands open'}
        </Fact>
        <Fact name="Frames">
          {`${count(state.carried.length, 'frame')} carried, ${state.toCarry.length} to go`}
          {state.carried.length > 0 && `: last ${lowerFirst(state.carried.at(-1)?.text ?? '')}`}
        </Fact>
        <Fact name="Queen">{state.queen ? `${state.queen}: done` : 'not looked for yet'}</Fact>
        <Fact name="Next">{state.next?.text ?? 'nothing is left'}</Fact>
      </Box>
      <Text fontSize="sm" color="inkSoft" mb={3}>
        {shut.length > 0 && 'What was closed is opened again first, with a little smoke. '}Read the counts
        anew if more than a few days have gone by.
      </Text>
      <Button minH="52px" onClick={onGoOn}>
        Go on
      </Button>
    </Box>
  );
}

function Fact({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </>
  );
}
