import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { addDays, dayInWords, daysBetween } from '@incremen/core/basics';
import { seasonOfYard, seasonSigns, yardCalendar } from '@incremen/core/forecast';
import type { Yard } from '@incremen/core/records';
import {
  CLIMATE_WORDS,
  CLIMATES,
  daysIntoSeason,
  PHASE_WORDS,
  phaseAt,
  SEASON_EVENT_NAMES,
  SEASON_EVENTS,
  type Climate,
  type SeasonEvent,
  type SeasonSetting,
} from '@incremen/core/season';
import { Link, useParams } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { useTell } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../ui/DayField.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { RouteError } from '../../ui/RouteError.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { SeasonBand } from './SeasonBand.tsx';
import styles from './SeasonPage.module.css';

/** The year of a yard: a band of its parts, with dates that are dragged to what the keeper sees. */
export function SeasonPage() {
  const apiary = useApiary();
  const { yardId = '' } = useParams();
  const yard = apiary.yard[yardId];
  if (!yard) return <RouteError missing />;
  return <Year yard={yard} />;
}

function Year({ yard }: { readonly yard: Yard }) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems } = useTell();
  const calendar = yardCalendar(apiary, yard);
  const season = seasonOfYard(apiary, yard, today);
  const at = daysIntoSeason(season, today);
  const setting: SeasonSetting = yard.season ?? {
    climate: 'temperate',
    moved: { 'first-frost': calendar['first-frost'] },
    flows: [],
  };
  const save = (change: Partial<SeasonSetting>, said: string) =>
    void tell({ type: 'editYard', yardId: yard.id, season: { ...setting, ...change } }, said);
  const move = (event: SeasonEvent, to: number) =>
    save({ moved: { ...setting.moved, [event]: Math.min(364, Math.max(0, to)) } }, 'Date moved');
  const signs = seasonSigns(apiary, yard, today);
  const inFlow = setting.flows.find((f) => f.from <= today && f.to === null);
  return (
    <Box maxW="72rem">
      <PageHeader title={`The year at ${yard.name}`} aside={`${PHASE_WORDS[phaseAt(calendar, at)]} now`}>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/yards/${yard.id}/stands`}>Stands</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/yards/${yard.id}`}>Back to the yard</Link>
        </Button>
      </PageHeader>
      <Flex align="center" gap={4} wrap="wrap" mb={4}>
        <Text fontSize="lg" fontWeight="600">
          {inFlow
            ? `Nectar has come in since ${dayInWords(inFlow.from)}.`
            : calendar['main-flow'] <= at && at < calendar['main-flow-end']
              ? 'Main flow by the calendar: what is eaten is taken to be replaced.'
              : 'No flow is on record: stores are taken to shrink.'}
        </Text>
        {inFlow ? (
          <Button
            variant="outline"
            bg="sheet"
            onClick={() =>
              save(
                { flows: setting.flows.map((f) => (f === inFlow ? { ...f, to: today } : f)) },
                'The flow is over',
              )
            }
          >
            The flow is over
          </Button>
        ) : (
          <Button
            variant="outline"
            bg="sheet"
            onClick={() => save({ flows: [...setting.flows, { from: today, to: null }] }, 'A flow is on')}
          >
            Nectar is coming in
          </Button>
        )}
      </Flex>
      <ProblemList problems={problems} />
      <SeasonBand season={season} today={at} onMove={move} />
      {signs.length > 0 && (
        <Box as="section" aria-label="Signs of this year" mt={5}>
          <SectionHeading>Signs of this year</SectionHeading>
          {signs.map((s) => (
            <Flex key={s.event} gap={3} align="center" wrap="wrap" mb={2}>
              <Text flex="1 1 300px">
                {s.because} {SEASON_EVENT_NAMES[s.event]} on {dayInWords(s.day)}, not{' '}
                {dayInWords(season.days[s.event])}?
              </Text>
              <Button size="sm" variant="outline" bg="sheet" onClick={() => move(s.event, s.to)}>
                Move the date
              </Button>
            </Flex>
          ))}
        </Box>
      )}
      <SectionHeading mt={6}>Dates</SectionHeading>
      <ol className={styles.dates}>
        {SEASON_EVENTS.map((event, i) => (
          <li key={event}>
            <b aria-hidden>{i + 1}</b>
            <DayField
              label={SEASON_EVENT_NAMES[event]}
              value={season.days[event]}
              onChange={(day) => day !== '' && move(event, daysBetween(season.midwinter, day))}
            />
          </li>
        ))}
      </ol>
      <SectionHeading mt={6}>Climate</SectionHeading>
      <Choice
        label="Climate"
        hideLabel
        value={setting.climate}
        options={CLIMATES.map((c) => ({ id: c, label: CLIMATE_WORDS[c].name, hint: CLIMATE_WORDS[c].like }))}
        onChange={(climate: Climate) =>
          save({ climate, moved: {} }, `${CLIMATE_WORDS[climate].name}: the dates begin anew`)
        }
      />
      <Text color="inkSoft" mt={2} maxW="46rem">
        {CLIMATE_WORDS[setting.climate].like}. Our estimates to begin with: move each date to what this yard
        sees. From midwinter, {dayInWords(season.midwinter)}, to {dayInWords(addDays(season.midwinter, 364))}.
        Every forecast, the feed round and every plan ask this calendar.
      </Text>
    </Box>
  );
}
