import { Box, Button, Text } from '@chakra-ui/react';
import { addDays, dayInWords } from '@incremen/core/basics';
import { METHOD_NAMES, openFollowUps, type Plan, unitsBeside } from '@incremen/core/records';
import { Link } from 'react-router';
import { LaneAxis, TimeLane } from '../../drawing/TimeLane.tsx';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { DrawnColonies } from '../../shared/work/DrawnColonies.tsx';

/** After the last tick: how the hives now stand, and when to come back. */
export function WorkDone({ plan }: { readonly plan: Plan }) {
  const apiary = useApiary();
  const today = useToday();
  const colonies = [
    ...plan.body.parts.map((p) => p.colonyId),
    ...unitsBeside(apiary, plan).map((c) => c.id),
  ].flatMap((id) => apiary.colony[id] ?? []);
  const due = openFollowUps(apiary).filter((f) =>
    f.colonyIds.some((id) => colonies.some((c) => c.id === id)),
  );
  const scale = { from: addDays(today, -3), days: 42, dayWidth: 13 };
  const next = due.find((f) => f.kind === 'look');
  return (
    <Box>
      <PageHeader title="The work is done" aside={`${METHOD_NAMES[plan.methodId]}, in the records`}>
        <Button asChild variant="outline" bg="sheet" minH="44px">
          <Link to="/follow-ups">All follow-ups</Link>
        </Button>
        <Button asChild minH="44px">
          <Link to="/">Back to the board</Link>
        </Button>
      </PageHeader>
      {next && (
        <Text fontSize="1.25rem" mb={5} maxW="44rem">
          Come back on <b>{dayInWords(next.window.likely)}</b> ({dayInWords(next.window.earliest)} to{' '}
          {dayInWords(next.window.latest)}). {next.expect}
        </Text>
      )}
      <DrawnColonies colonies={colonies} />
      <Box overflowX="auto" tabIndex={0} role="region" aria-label="Look days and hands-off days">
        <LaneAxis scale={scale} today={today} />
        {colonies.map((c) => (
          <Box key={c.id}>
            <Text fontWeight="600">{c.name}</Text>
            <TimeLane
              followUps={due.filter((f) => f.colonyIds.includes(c.id))}
              scale={scale}
              today={today}
              label={c.name}
            />
          </Box>
        ))}
      </Box>
    </Box>
  );
}
