import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { addDays, dayInWords, daysBetween } from '@incremen/core/basics';
import { flowOn, seasonOfYard, seasonSigns, settingOf, yardCalendar } from '@incremen/core/forecast';
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
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { FlowChoice } from '../../shared/weather/FlowChoice.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../shared/days/DayField.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { RouteError } from '../../ui/RouteError.tsx';
import { smallMass } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { Select } from '../../ui/Select.tsx';
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
  const setting = settingOf(apiary, yard);
  const save = (change: Partial<SeasonSetting>, said: string) =>
    void tell({ type: 'editYard', yardId: yard.id, season: { ...setting, ...change } }, said);
  const move = (event: SeasonEvent, to: number) =>
    save({ moved: { ...setting.moved, [event]: Math.min(364, Math.max(0, to)) } }, 'Date moved');
  const signs = seasonSigns(apiary, yard, today);
  return (
    <Box maxW="72rem">
      <PageHeader title={`The year at ${yard.name}`} aside={`${PHASE_WORDS[phaseAt(calendar, at)]} now`}>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/yards/${yard.id}/stands`}>Stands</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/spares">Spares for the winter</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/yards/${yard.id}`}>Back to the yard</Link>
        </Button>
      </PageHeader>
      <Flow yard={yard} inMainFlow={phaseAt(calendar, at) === 'main-flow'} />
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

/** What a strong colony may gain in a day, in kg: from a trickle to the best days. */
const GAINS = [0.2, 0.5, 1, 1.5, 2, 3, 5];

/** Whether nectar comes in, and how much where it was weighed. */
function Flow({ yard, inMainFlow }: { readonly yard: Yard; readonly inMainFlow: boolean }) {
  const { units } = useOperation();
  const today = useToday();
  const { tell, problems } = useTell();
  const flow = flowOn(yard, today);
  const gains =
    GAINS.includes(flow?.kgPerDay ?? 0) || flow?.kgPerDay == null ? GAINS : [flow.kgPerDay, ...GAINS];
  return (
    <Flex align="flex-end" gap={5} wrap="wrap" mb={4}>
      <FlowChoice yard={yard} />
      {flow?.to === null && (
        <Select
          label="Ten frames of bees gain in a day"
          fit
          value={String(flow.kgPerDay ?? '')}
          options={[
            ['', 'gain not weighed'],
            ...gains
              .toSorted((a, b) => a - b)
              .map((kg) => [String(kg), `gain ${smallMass(kg, units)} a day`] as const),
          ]}
          onChange={(kg) =>
            void tell(
              {
                type: 'noteFlow',
                yardId: yard.id,
                what: 'begins',
                day: flow.from,
                by: 'keeper',
                kgPerDay: kg === '' ? null : Number(kg),
              },
              'Noted',
            )
          }
        />
      )}
      <Text flex="1 1 20rem" maxW="34rem">
        {flow?.to === null
          ? `Nectar has come in since ${dayInWords(flow.from)}. What is eaten is replaced${flow.kgPerDay === null ? '; more is counted on only where it is weighed.' : `, and ten frames of bees store ${smallMass(flow.kgPerDay, units)} a day more.`}`
          : `${inMainFlow ? 'It is the main flow by the calendar, but ' : ''}${inMainFlow ? 'no' : 'No'} flow is on record: stores are taken to shrink.`}
      </Text>
      <ProblemList problems={problems} />
    </Flex>
  );
}
