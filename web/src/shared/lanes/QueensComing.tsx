import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { addDays, dayInWords } from '@incremen/core/basics';
import { Link } from 'react-router';
import { BiologyLane } from '../../drawing/BiologyLane.tsx';
import { useToday } from '../../mirror/hooks.ts';
import type { LaneWithFallback } from './useLanes.ts';

/** Parts that raise a queen: their biology over the days, why dates moved, and plan B with its day. */
export function QueensComing({ lanes }: { readonly lanes: readonly LaneWithFallback[] }) {
  if (lanes.length === 0) return null;
  return (
    <Box as="section" aria-label="Queens on their way" mt={8}>
      <Heading as="h2" fontSize="xl" mb={3}>
        Queens on their way
      </Heading>
      <Box display="grid" gridTemplateColumns="minmax(0, 1fr)" gap={4}>
        {lanes.map((l) => (
          <QueenComing key={l.lane.colonyId} {...l} />
        ))}
      </Box>
    </Box>
  );
}

/** One part on its way to a queen. */
export function QueenComing({ lane, planB, pastLast }: LaneWithFallback) {
  const today = useToday();
  const [first, ...others] = planB.choices;
  return (
    <Box
      as="article"
      aria-label={`${lane.name}: its queen`}
      bg="sheet"
      borderWidth="1px"
      borderRadius="xl"
      p={4}
    >
      <Flex justify="space-between" gap={4} wrap="wrap" align="center" mb={2}>
        <Box>
          <Heading as="h3" fontSize="lg">
            <Link to={`/colonies/${lane.colonyId}`}>{lane.name}</Link>
          </Heading>
          <Text color={pastLast ? 'alarm' : 'inkSoft'} fontWeight={pastLast ? '700' : '400'}>
            {pastLast ??
              (lane.laying
                ? 'Eggs are seen: wait for flat-capped worker brood.'
                : `${lane.certain ? 'Eggs' : 'If the old queen is not in it: eggs'} by ${dayInWords(lane.latestEggs)} at the latest.`)}
          </Text>
        </Box>
        <Flex gap={2} wrap="wrap">
          {planB.reuniteWith && (
            <Button asChild variant="outline" bg="sheet">
              <Link to={`/colonies/${lane.colonyId}/act/combine?with=${planB.reuniteWith.id}`}>
                Reunite with {planB.reuniteWith.name}
              </Link>
            </Button>
          )}
          <Button asChild {...(pastLast ? {} : { variant: 'outline' as const, bg: 'sheet' })}>
            <Link to={`/colonies/${lane.colonyId}/act`} aria-label={`What to do about ${lane.name}`}>
              What to do
            </Link>
          </Button>
        </Flex>
      </Flex>
      <Box
        overflowX="auto"
        tabIndex={0}
        role="region"
        aria-label={`${lane.name}: what is to be expected when`}
      >
        <BiologyLane
          lane={lane}
          decideBy={planB.decideBy}
          today={today}
          scale={{ from: addDays(lane.lostOn, -1), days: 56, dayWidth: 15 }}
        />
      </Box>
      {lane.contradictions.map((c) => (
        <Text key={c} color="alarm" fontWeight="600" mt={2}>
          {c}
        </Text>
      ))}
      {lane.changes.map((c) => (
        <Text key={`${c.day}${c.because}`} mt={1}>
          {c.because} {c.was !== c.now && `Moved from ${dayInWords(c.was)} to ${dayInWords(c.now)}.`}
        </Text>
      ))}
      <Text mt={2}>
        <b style={{ color: 'var(--chakra-colors-alarm)' }}>Decide by {dayInWords(planB.decideBy)}.</b>{' '}
        {planB.because} Then {first?.words ?? 'unite it'}
        {others.length > 0 && `, or ${others.map((c) => c.words).join(', or ')}`}.
      </Text>
    </Box>
  );
}
