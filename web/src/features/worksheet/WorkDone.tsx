import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { isInspection, isJob } from '@incremen/core/followup';
import { addDays, capital, dayInWords } from '@incremen/core/basics';
import { METHOD_NAMES, openFollowUps, unitsOfWork, type Work } from '@incremen/core/records';
import { Link } from 'react-router';
import { LaneAxis, TimeLane } from '../../drawing/TimeLane.tsx';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { JobDone } from '../../shared/telling/JobDone.tsx';
import { DrawnColonies } from '../../shared/work/DrawnColonies.tsx';

/** After the last tick: how the hives now stand, and when to come back. */
export function WorkDone({ work }: { readonly work: Work }) {
  const apiary = useApiary();
  const today = useToday();
  const colonies = unitsOfWork(apiary, work).flatMap((u) => apiary.colony[u.colonyId] ?? []);
  const due = openFollowUps(apiary).filter((f) =>
    f.colonyIds.some((id) => colonies.some((c) => c.id === id)),
  );
  const scale = { from: addDays(today, -3), days: 42, dayWidth: 13 };
  const inspections = due
    .filter(isInspection)
    .toSorted((a, b) => a.window.likely.localeCompare(b.window.likely));
  const next = inspections.find((f) => f.workId === work.id) ?? inspections[0];
  const jobs = due.filter((f) => isJob(f));
  const { asked } = work.body;
  const what = asked.source === 'split' ? METHOD_NAMES[asked.methodId] : capital(work.name);
  const waiting = colonies.filter((c) => due.some((f) => f.colonyIds.includes(c.id)));
  return (
    <Box>
      <PageHeader title="The work is done" aside={`${what}: in the records`}>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/inspections">All inspections due</Link>
        </Button>
        <Button asChild>
          <Link to="/">Back to today</Link>
        </Button>
      </PageHeader>
      <Text fontSize="xl" mb={5} maxW="44rem">
        {next ? (
          <>
            Come back on <b>{dayInWords(next.window.likely)}</b> ({dayInWords(next.window.earliest)} to{' '}
            {dayInWords(next.window.latest)}). {next.expect}
          </>
        ) : (
          'No inspection is due for it.'
        )}{' '}
        {due.length - jobs.length > 1 &&
          `${count(due.length - jobs.length, 'day')} to inspect or to keep hands off are filed.`}
      </Text>
      {jobs.length > 0 && (
        <Box as="ul" aria-label="Still to be done" mb={5} maxW="44rem" display="grid" gap={2}>
          {jobs.map((f) => (
            <Flex as="li" key={f.id} gap={3} align="center" justify="space-between">
              <Text>{f.expect}</Text>
              <JobDone job={f} />
            </Flex>
          ))}
        </Box>
      )}
      <DrawnColonies colonies={colonies} />
      {waiting.length > 0 && (
        <Box overflowX="auto" tabIndex={0} role="region" aria-label="Inspections and hands-off days">
          <LaneAxis scale={scale} today={today} />
          {waiting.map((c) => (
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
      )}
    </Box>
  );
}
