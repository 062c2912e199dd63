import { Box, Text } from '@chakra-ui/react';
import { addDays, dayInWords } from '@incremen/core/basics';
import { openFollowUps, type Apiary, type Colony } from '@incremen/core/records';
import { Link } from 'react-router';
import { LaneAxis, TimeLane } from '../../drawing/TimeLane.tsx';
import { isInspection, isJob } from '@incremen/core/followup';
import { JobDone } from '../../shared/telling/JobDone.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

/** What is due with a colony: look days and days to keep hands off, as a lane and in words. */
export function Due({
  apiary,
  colony,
  today,
}: {
  readonly apiary: Apiary;
  readonly colony: Colony;
  readonly today: string;
}) {
  const own = openFollowUps(apiary).filter((f) => f.colonyIds.includes(colony.id));
  if (own.length === 0) return null;
  const scale = { from: addDays(today, -7), days: 42, dayWidth: 12 };
  return (
    <Box as="section">
      <SectionHeading>Due</SectionHeading>
      <Box overflowX="auto" role="region" aria-label="Look days and hands-off days" tabIndex={0}>
        <LaneAxis scale={scale} today={today} />
        <TimeLane followUps={own} scale={scale} today={today} label={colony.name} />
      </Box>
      <Box as="ul" listStyleType="none" display="grid" gap={1} mt={2}>
        {own.map((f) => (
          <Box as="li" key={f.id}>
            <Text as="span" fontWeight="600" color={f.kind === 'look' ? 'accent' : 'rest'}>
              {isJob(f)
                ? `To do, ${dayInWords(f.window.likely)}`
                : f.kind === 'look'
                  ? `Inspection, best ${dayInWords(f.window.likely)}`
                  : `Hands off ${dayInWords(f.window.earliest)} to ${dayInWords(f.window.latest)}`}
            </Text>
            . {f.expect} {isJob(f) && <JobDone job={f} />}
            {isInspection(f) && (
              <Link to={`/look/${f.id}`} style={{ textDecoration: 'underline' }}>
                Record it
              </Link>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
