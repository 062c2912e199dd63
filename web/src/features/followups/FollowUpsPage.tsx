import { LaneLegend } from '../../drawing/LaneLegend.tsx';
import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import { addDays, dayInWords, type Day, weekOf } from '@incremen/core/basics';
import { openFollowUps, type Apiary, type FollowUp } from '@incremen/core/records';
import { agendaOf, type AgendaNeed } from '@incremen/core/assessment';
import { followUpInShort, isJob } from '@incremen/core/followup';
import { API_PATHS } from '@incremen/contract';
import { CalendarPlus, HeartPulse } from 'lucide-react';
import { Fragment, useMemo } from 'react';
import { useAppSelector } from '../../state/store.ts';
import { Link } from 'react-router';
import { LaneAxis, TimeLane, type LaneScale } from '../../drawing/TimeLane.tsx';
import { useApiary, useToday, useOperation } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { QueensComing } from '../../shared/lanes/QueensComing.tsx';
import { useLanes } from '../../shared/lanes/useLanes.ts';
import { Warnings } from './Warnings.tsx';
import { JobDone } from '../../shared/telling/JobDone.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

/** What is due: a list in the order of days, and every colony's lane beside it. */
export function FollowUpsPage() {
  const apiary = useApiary();
  const today = useToday();
  const { weekStart } = useOperation();
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const open = openFollowUps(apiary);
  const { lanes, clashes, moves } = useLanes();
  const agenda = useMemo(() => agendaOf(apiary, today), [apiary, today]);
  const resting = open.filter((f) => f.kind === 'hands-off' && f.window.latest >= today);
  const yards = Object.keys(apiary.yard).length;
  const scale: LaneScale = { from: weekOf(addDays(today, -5), weekStart), days: 49, dayWidth: 17 };
  const colonies = [...new Set(open.flatMap((f) => f.colonyIds))].flatMap((id) => apiary.colony[id] ?? []);
  return (
    <Box>
      <PageHeader title="Inspections" aside={`Today is ${dayInWords(today)}`}>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/weak">
            <HeartPulse size={18} aria-hidden /> Weak colonies
          </Link>
        </Button>
        {operationId !== null && (
          <Button asChild variant="outline" bg="sheet">
            <a href={API_PATHS.calendar(operationId)} download>
              <CalendarPlus size={18} aria-hidden /> Calendar
            </a>
          </Button>
        )}
      </PageHeader>
      <Warnings moves={moves} clashes={clashes} />
      {open.length === 0 && agenda.length === 0 ? (
        <Text maxW="34rem">
          Nothing is due. Do a split or save an inspection, and the next inspections and hands-off days appear
          here.
        </Text>
      ) : (
        <>
          <Box
            as="section"
            hidden={colonies.length === 0}
            overflowX="auto"
            w={{ base: '100%', md: 'fit-content' }}
            maxW="100%"
            bg="sheet"
            borderWidth="1px"
            borderRadius="xl"
            p={4}
            mb={2}
            tabIndex={0}
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
          {colonies.length > 0 && <LaneLegend />}
          <Grid
            gap={6}
            templateColumns={{ base: '1fr', md: 'repeat(auto-fit, minmax(290px, 1fr))' }}
            alignItems="start"
          >
            {agenda.map((a) => (
              <Box as="section" key={`${a.day}${a.yardId}`} maxW="420px">
                <SectionHeading>
                  {a.day === today ? 'Today' : dayInWords(a.day)}
                  {yards > 1 && `, ${apiary.yard[a.yardId]?.name ?? ''}`}
                </SectionHeading>
                <Box as="ul" listStyleType="none" display="grid" gap={2}>
                  {a.needs.map((n) => (
                    <NeedItem key={`${n.colony.id} ${n.need.notice.id}`} {...n} />
                  ))}
                  {a.followUps.map((f) => (
                    <FollowUpItem key={f.id} followUp={f} apiary={apiary} today={today} />
                  ))}
                </Box>
              </Box>
            ))}
            {resting.length > 0 && (
              <Box as="section" maxW="420px">
                <SectionHeading>Hands off</SectionHeading>
                <Box as="ul" listStyleType="none" display="grid" gap={2}>
                  {resting.map((f) => (
                    <FollowUpItem key={f.id} followUp={f} apiary={apiary} today={today} />
                  ))}
                </Box>
              </Box>
            )}
          </Grid>
        </>
      )}
      <QueensComing lanes={lanes} />
    </Box>
  );
}

/** What a colony needs without anybody having filed it: as the board and its own page say. */
function NeedItem({ colony, need: { notice, why } }: AgendaNeed) {
  return (
    <Flex
      as="li"
      gap={3}
      align="center"
      bg="sheet"
      borderWidth="1px"
      borderLeftWidth="5px"
      borderLeftColor="alarm"
      borderRadius="lg"
      px={3}
      py={2}
    >
      <Box flex="1">
        <Text fontWeight="700">{colony.name}</Text>
        <Text>{notice.words}</Text>
        {why !== '' && (
          <Text fontSize="sm" color="inkSoft">
            {why}
          </Text>
        )}
      </Box>
      <Button asChild variant="outline">
        <Link to={`/colonies/${colony.id}`} aria-label={`See ${colony.name}`}>
          See
        </Link>
      </Button>
    </Flex>
  );
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
  const late = isLook && f.window.latest < today;
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
        <Text>{followUpInShort(f)}</Text>
        <Text fontSize="sm" color={late ? 'alarm' : 'inkSoft'}>
          {late ? `Overdue: ${windowInWords(f)}` : windowInWords(f)}
        </Text>
      </Box>
      {isJob(f) && <JobDone job={f} />}
      {isLook && !isJob(f) && (
        <Button asChild {...(ready ? {} : { variant: 'outline' as const })}>
          <Link
            to={`/look/${f.id}`}
            aria-label={`Record the inspection of ${f.colonyIds.map((c) => apiary.colony[c]?.name).join(' and ')}`}
          >
            {ready ? 'Record' : 'Open'}
          </Link>
        </Button>
      )}
    </Flex>
  );
}

function windowInWords({ kind, window: w }: FollowUp): string {
  if (w.earliest === w.latest) return dayInWords(w.earliest);
  const span = `${dayInWords(w.earliest)} to ${dayInWords(w.latest)}`;
  return kind === 'look' ? `best ${dayInWords(w.likely)}, ${span}` : span;
}
