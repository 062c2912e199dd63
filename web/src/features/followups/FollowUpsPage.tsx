import { Box, Button, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import { addDays, dayInWords, openFollowUps, type Apiary, type Day, type FollowUp } from '@incremen/core';
import { Fragment } from 'react';
import { Link } from 'react-router';
import { LaneAxis, TimeLane, type LaneScale } from '../../drawing/TimeLane.tsx';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { topicInWords } from './topics.ts';

/** What is due: a list in the order of days, and every colony's lane beside it. */
export function FollowUpsPage() {
  const apiary = useApiary();
  const today = useToday();
  const open = openFollowUps(apiary);
  const scale: LaneScale = { from: addDays(today, -7), days: 49, dayWidth: 14 };
  const colonies = [...new Set(open.flatMap((f) => f.colonyIds))].flatMap((id) => apiary.colony[id] ?? []);
  return (
    <Box>
      <PageHeader title="Follow-ups" aside={`Today is ${dayInWords(today)}`} />
      {open.length === 0 ? (
        <Text maxW="34rem">
          Nothing waits. Work off a split, or record a look, and its look days and hands-off days appear here
          by themselves.
        </Text>
      ) : (
        <Flex direction={{ base: 'column', xl: 'row' }} gap={8} align="flex-start">
          <Box flex="1 1 360px" maxW={{ xl: '400px' }} w="100%">
            {groups(open, today).map(([title, list]) => (
              <Box as="section" key={title} mb={5}>
                <Heading as="h2" fontSize="1.15rem" mb={2}>
                  {title}
                </Heading>
                <Box as="ul" listStyleType="none" display="grid" gap={2}>
                  {list.map((f) => (
                    <FollowUpItem key={f.id} followUp={f} apiary={apiary} today={today} />
                  ))}
                </Box>
              </Box>
            ))}
          </Box>
          <Box
            overflowX="auto"
            flex="1 1 auto"
            maxW="100%"
            w={{ base: '100%', xl: 'auto' }}
            bg="sheet"
            borderWidth="1px"
            borderRadius="xl"
            p={4}
            tabIndex={0}
            role="region"
            aria-label="Lanes by colony"
          >
            <Grid templateColumns="max-content max-content" columnGap={4} alignItems="center" rowGap={1}>
              <Box />
              <LaneAxis scale={scale} today={today} />
              {colonies.map((c) => (
                <Fragment key={c.id}>
                  <Link to={`/colonies/${c.id}`} style={{ fontWeight: 700 }}>
                    {c.name}
                  </Link>
                  <TimeLane
                    label={c.name}
                    followUps={open.filter((f) => f.colonyIds.includes(c.id))}
                    scale={scale}
                    today={today}
                  />
                </Fragment>
              ))}
            </Grid>
          </Box>
        </Flex>
      )}
    </Box>
  );
}

function groups(open: readonly FollowUp[], today: Day): [string, FollowUp[]][] {
  const looks = open.filter((f) => f.kind === 'look');
  const later = (f: FollowUp) => f.window.earliest > today;
  const sections: [string, FollowUp[]][] = [
    ['Overdue', looks.filter((f) => f.window.latest < today)],
    ['Now', looks.filter((f) => !later(f) && f.window.latest >= today)],
    ['Hands off now', open.filter((f) => f.kind === 'hands-off' && !later(f) && f.window.latest >= today)],
    ['Later', open.filter((f) => later(f))],
  ];
  return sections.filter(([, list]) => list.length > 0);
}

function FollowUpItem({
  followUp: f,
  apiary,
  today,
}: {
  readonly followUp: FollowUp;
  readonly apiary: Apiary;
  readonly today: Day;
}) {
  const isLook = f.kind === 'look';
  const ready = isLook && f.window.earliest <= today;
  return (
    <Flex
      as="li"
      gap={3}
      align="center"
      bg={isLook ? 'sheet' : 'restSoft'}
      borderWidth="1px"
      borderLeftWidth="5px"
      borderLeftColor={isLook ? (ready ? 'alarm' : 'accent') : 'rest'}
      borderRadius="lg"
      px={3}
      py={2}
    >
      <Box flex="1">
        <Text fontWeight="700">{f.colonyIds.map((c) => apiary.colony[c]?.name).join(' · ')}</Text>
        <Text>{topicInWords(f.topic)}</Text>
        <Text fontSize="sm" color="inkSoft">
          {isLook ? `best ${dayInWords(f.window.likely)}, ` : ''}
          {dayInWords(f.window.earliest)} to {dayInWords(f.window.latest)}
        </Text>
      </Box>
      {isLook && (
        <Button asChild minH="44px" {...(ready ? {} : { variant: 'outline' as const })}>
          <Link
            to={`/look/${f.id}`}
            aria-label={`Record the look at ${f.colonyIds.map((c) => apiary.colony[c]?.name).join(' and ')}`}
          >
            {ready ? 'Record' : 'Open'}
          </Link>
        </Button>
      )}
    </Flex>
  );
}
