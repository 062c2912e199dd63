import { NightsByHand } from './NightsByHand.tsx';
import { Box, Button, Grid, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { Suspense, useCallback, useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useOperation, useToday } from '../../mirror/hooks.ts';
import { degrees, degreeSign } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ScaleBars } from './ScaleBars.tsx';
import { useWeather } from '../../shared/weather/useWeather.ts';
import { senseOf, workInWords } from '../../shared/weather/weatherWords.ts';
import { lazyPart } from '../../ui/lazyPart.tsx';

const WeatherChart = lazyPart(() => import('./WeatherChart.tsx'));

/** Weather as bees and beekeepers need it: when to open, how cold the nights are, when queens fly, what the scale says. */
export function WeatherPage() {
  const { report, now, state } = useWeather();
  const { units } = useOperation();
  const today = useToday();
  const sense = useMemo(() => (report && now ? senseOf(report, now) : null), [report, now]);
  const toDegrees = useCallback((c: number) => degrees(c, units), [units]);
  const hours = useMemo(
    () =>
      report ? [...report.observed.slice(-36), ...report.forecast.filter((h) => h.time > (now ?? ''))] : [],
    [report, now],
  );
  const hives = [...new Set(report?.scale.map((h) => h.hive))];
  return (
    <Box>
      <PageHeader title="Weather" aside={asideOf(state, report?.sources ?? [])}>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/feed">Feed round</Link>
        </Button>
      </PageHeader>
      {report?.trouble && (
        <Text role="alert" bg="nearSoft" borderRadius="lg" px={4} py={2} mb={4}>
          {report.trouble}
        </Text>
      )}
      {!sense || !report || hours.length === 0 ? (
        <>
          <Text maxW="36rem">
            {state === 'asking'
              ? 'Asking for the weather…'
              : report?.trouble
                ? 'Of these days it has sent nothing yet.'
                : 'No weather station is connected, so nothing is known of the days to come.'}
          </Text>
          {state !== 'asking' && <NightsByHand />}
        </>
      ) : (
        <>
          <Text fontSize="xl" fontWeight="700" mb={1} maxW="46rem">
            {workInWords(sense, today)}
          </Text>
          <Text color="inkSoft" mb={3} maxW="46rem">
            {sense.rain
              ? `Rain is forecast from ${sense.rain.slice(11)} on ${dayInWords(sense.rain.slice(0, 10))}.`
              : 'No rain is forecast.'}{' '}
            Shaded: at least {degrees(14, units)} {degreeSign(units)}, dry, no strong wind, light.
          </Text>
          <Suspense fallback={<Box h="260px" />}>
            <WeatherChart hours={hours} now={now} windows={sense.windows} degrees={toDegrees} />
          </Suspense>
          <Grid templateColumns={{ base: '1fr', md: 'repeat(3, 1fr)' }} gap={6} mt={5} maxW="70rem">
            <Fact title="Nights">
              {sense.coldest
                ? `The coldest to come is the night of ${dayInWords(sense.coldest.day)}: ${degrees(sense.coldest.minC, units)} ${degreeSign(units)}. ${
                    sense.coldest.minC < 10
                      ? 'Brood needs more bees to cover it: plans allow for cold nights.'
                      : 'Mild: brood is covered as by day.'
                  }`
                : 'No night is in the forecast.'}
            </Fact>
            <Fact title="Mating flights">
              {sense.mating.length > 0
                ? `Queens can fly on ${sense.mating.map((d) => dayInWords(d)).join(', ')}.`
                : 'No afternoon in sight is warm and calm enough for a virgin to fly: first eggs will be late.'}
            </Fact>
            {hives.map((hive) => (
              <ScaleBars key={hive} hive={hive} hours={report.scale} />
            ))}
          </Grid>
        </>
      )}
    </Box>
  );
}

function asideOf(state: 'asking' | 'known' | 'away', sources: readonly string[]): string {
  if (state === 'away') return 'Without signal: as it was last known here.';
  return sources.length > 0 ? `From ${sources.join(', ')}` : '';
}

function Fact({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box as="section">
      <Text as="h2" fontWeight="700" fontSize="lg">
        {title}
      </Text>
      <Text>{children}</Text>
    </Box>
  );
}
