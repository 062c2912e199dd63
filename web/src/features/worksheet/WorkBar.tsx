import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { workState, type WorkStep } from '@incremen/core';
import { Hand, ShieldAlert, Split, Timer } from 'lucide-react';
import { useState } from 'react';
import { count } from '../../ui/format.ts';
import { ResumeCard } from './ResumeCard.tsx';
import { StopPanel } from './StopPanel.tsx';
import { useWorkClock } from './useWorkClock.ts';
import './work.css';

/** Longer than this open, brood cools and robbers come (common practice, no source). */
const LONG_MINUTES = 20;

/** Above the steps: what stands open and for how long, what is left, and what to do when work has to stop. */
export function WorkBar({
  planId,
  steps,
  onReport,
}: {
  readonly planId: string;
  readonly steps: readonly WorkStep[];
  /** Something was done, or turned out, other than planned. */
  readonly onReport: () => void;
}) {
  const state = workState(steps);
  const clock = useWorkClock(planId, state);
  const [why, setWhy] = useState<'robbers' | 'stop' | null>(null);
  const report = (
    <Button variant="outline" bg="sheet" minH="52px" onClick={onReport}>
      <Split size={20} aria-hidden /> It went otherwise
    </Button>
  );
  if (state.done === 0 && state.open === null) {
    return (
      <Flex mb={3} gap={3} align="center" justify="space-between" wrap="wrap">
        <Text color="inkSoft">About {count(state.minutesLeft, 'minute')} for one person.</Text>
        {report}
      </Flex>
    );
  }
  if (clock.pausedAt)
    return <ResumeCard state={state} since={clock.pausedAt} closed={clock.closed} onGoOn={clock.goOn} />;
  if (why) {
    return (
      <StopPanel
        why={why}
        state={state}
        onBack={() => setWhy(null)}
        onStopped={(closed) => {
          clock.pause(closed);
          setWhy(null);
        }}
      />
    );
  }
  const isLong = clock.openMinutes >= LONG_MINUTES;
  return (
    <Flex
      className="work-bar"
      data-long={(state.open && isLong) || undefined}
      role="group"
      aria-label="How the work stands"
    >
      <Timer size={26} aria-hidden />
      <Box flex="1" minW="150px">
        <Text fontWeight="700" fontSize="1.15rem">
          {state.open ? `${state.open.name} open for ${clock.openMinutes} min` : 'No hive stands open'}
        </Text>
        <Text fontSize="sm">
          {isLong && state.open
            ? 'Long enough: cover the frames that you do not work at.'
            : `About ${count(state.minutesLeft, 'minute')} left, done about ${clock.endsAt.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`}
        </Text>
      </Box>
      {report}
      <Button variant="outline" bg="sheet" color="alarm" minH="52px" onClick={() => setWhy('robbers')}>
        <ShieldAlert size={20} aria-hidden /> Robbers
      </Button>
      <Button variant="outline" bg="sheet" minH="52px" onClick={() => setWhy('stop')}>
        <Hand size={20} aria-hidden /> Stop for now
      </Button>
    </Flex>
  );
}
