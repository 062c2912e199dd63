import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { agendaOf, assess, hivesToday } from '@incremen/core/assessment';
import { addDays, dayInWords, type Day } from '@incremen/core/basics';
import type { Apiary } from '@incremen/core/records';
import { Suspense, useMemo } from 'react';
import { Link } from 'react-router';
import { lazyPart } from '../../ui/lazyPart.tsx';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { WeatherLine } from '../../shared/weather/WeatherLine.tsx';
import { ComingUp } from './ComingUp.tsx';
import { HivesToday } from './HivesToday.tsx';
import { nextActs, type Act } from './nextActs.ts';
import { Unfinished } from './Unfinished.tsx';
import styles from './TodayPage.module.css';

// Below what is due, and for those who follow a plan of the season.
const Changed = lazyPart(() => import('./Changed.tsx'));
const SeasonAhead = lazyPart(() => import('./SeasonAhead.tsx'));
// Only who begins has no yard.
const EmptyYard = lazyPart(() => import('../../shared/colonies/EmptyYard.tsx'));

/** So many more acts stand under the first one. */
const MORE = 3;

/** The home of the day: one next act, the hives of the day, what is coming, what is unfinished and what has changed. */
export function TodayPage() {
  const apiary = useApiary();
  const today = useToday();
  const { seasonPlan } = useOperation();
  if (Object.keys(apiary.yard).length === 0) {
    return (
      <Suspense fallback={null}>
        <EmptyYard />
      </Suspense>
    );
  }
  return (
    <Box>
      <PageHeader title="Today" aside={dayInWords(today)} />
      <Next />
      <WeatherLine />
      <HivesToday />
      <Flex gap={{ base: 4, lg: 10 }} wrap="wrap" align="flex-start">
        <ComingUp />
        <Suspense fallback={null}>{seasonPlan && <SeasonAhead plan={seasonPlan} />}</Suspense>
        <Unfinished />
        <Suspense fallback={null}>
          <Changed />
        </Suspense>
      </Flex>
    </Box>
  );
}

function Next() {
  const apiary = useApiary();
  const today = useToday();
  const acts = useMemo(() => actsOf(apiary, today), [apiary, today]);
  const [first, ...rest] = acts;
  if (!first) return <NothingUrgent />;
  return (
    <section aria-label="Next" className={styles.next} data-urgent={first.urgent || undefined}>
      <Box flex="1 1 18rem">
        <Heading as="h2" className={styles.say}>
          {first.say}
        </Heading>
        {first.why !== '' && <Text fontSize="lg">{first.why}</Text>}
      </Box>
      <Button asChild size="lg" minH="56px" px={7} fontSize="lg">
        <Link to={first.to}>{first.verb}</Link>
      </Button>
      {rest.length > 0 && (
        <ul className={styles.then} aria-label="After that">
          {rest.slice(0, MORE).map((a) => (
            <li key={a.key}>
              <Link to={a.to}>{a.say}</Link> {a.why}
            </li>
          ))}
          {rest.length > MORE && <li>and {rest.length - MORE} more below</li>}
        </ul>
      )}
    </section>
  );
}

const actsOf = (apiary: Apiary, today: Day): Act[] =>
  nextActs(
    apiary,
    Object.values(apiary.colony)
      .filter((c) => c.endedOn === null && c.hiveId !== null)
      .map((c) => assess(apiary, c, today)),
    hivesToday(apiary, today).must.map((h) => h.colony.id),
    today,
  );

/** What is calm is said, with the next thing that is due. */
function NothingUrgent() {
  const apiary = useApiary();
  const today = useToday();
  const next = useMemo(
    () => agendaOf(apiary, today).find((a) => a.day > today && a.followUps.length > 0),
    [apiary, today],
  );
  const [due] = next?.followUps ?? [];
  const names = due?.colonyIds.flatMap((id) => apiary.colony[id]?.name ?? []).join(' and ');
  return (
    <section aria-label="Next" className={styles.next}>
      <Box flex="1 1 18rem">
        <Heading as="h2" className={styles.say}>
          Nothing urgent.
        </Heading>
        <Text fontSize="lg">
          {next && due
            ? `Next: inspect ${names} ${next.day === addDays(today, 1) ? 'tomorrow' : `on ${dayInWords(next.day)}`}.`
            : 'No inspection is due.'}
        </Text>
      </Box>
      <Button asChild variant="outline" bg="sheet" size="lg" minH="56px">
        <Link to="/yard">See the yard</Link>
      </Button>
    </section>
  );
}
