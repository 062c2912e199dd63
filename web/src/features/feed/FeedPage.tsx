import { useColdestNight } from '../../shared/weather/useColdestNight.ts';
import { volumeInWords, type Units } from '@incremen/core/basics';
import { Box, Button, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import { feedRound, type FeedAim, type FeedLine } from '@incremen/core/feed';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { count, degrees, degreeSign, smallMass } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { Select } from '../../ui/Select.tsx';
import { FlowChoice } from '../../shared/weather/FlowChoice.tsx';
import { SyrupCalculator } from './SyrupCalculator.tsx';
import common from '../../ui/common.module.css';
import styles from './FeedPage.module.css';

/** Who in a yard is fed, with what and how much, and the syrup for it. */
export function FeedPage() {
  const apiary = useApiary();
  const { units } = useOperation();
  const today = useToday();
  const coldest = useColdestNight();
  const yards = Object.values(apiary.yard);
  const [yardId, setYardId] = useState(yards[0]?.id ?? '');
  const yard = apiary.yard[yardId];
  const [aim, setAim] = useState<FeedAim>('bridge');
  const [said, setSaid] = useState<'mild' | 'cold' | null>(null);
  const forecast = coldest?.minC ?? null;
  const nightMinC = said === 'mild' ? 12 : said === 'cold' ? 4 : (forecast ?? 12);
  const nightKind = said ?? (nightMinC < 8 ? 'cold' : 'mild');
  const round = feedRound(apiary, yardId, today, aim, { nightMinC });
  return (
    <Box>
      <PageHeader title="Feed round" aside="In the evening, inside the hive, small entrance, nothing spilt">
        <Button asChild variant="outline" bg="sheet">
          <Link to="/store">Store</Link>
        </Button>
        <Button variant="outline" bg="sheet" onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print
        </Button>
      </PageHeader>
      <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 340px' }} gap={8} alignItems="start">
        <Box>
          <Flex gap={5} wrap="wrap" align="flex-end" mb={4} className={common.noPrint}>
            {yards.length > 1 && (
              <Select
                label="Yard"
                fit
                value={yardId}
                options={yards.map((y) => [y.id, y.name])}
                onChange={setYardId}
              />
            )}
            <Choice
              label="What for"
              value={aim}
              options={[
                { id: 'bridge', label: 'Until nectar comes in' },
                { id: 'draw-comb', label: 'To draw comb' },
                { id: 'winter', label: 'For winter' },
              ]}
              onChange={setAim}
            />
            {yard && <FlowChoice yard={yard} />}
            <Button asChild variant="outline" bg="sheet">
              <Link to={`/yards/${yardId}/season`}>The year here</Link>
            </Button>
            <Choice
              label="Nights"
              shown={
                said === null && forecast !== null
                  ? `Nights: ${degrees(forecast, units)} ${degreeSign(units)} ${coldest?.by === 'keeper' ? 'as you said' : 'in the forecast'}`
                  : 'Nights'
              }
              value={nightKind}
              options={[
                { id: 'mild', label: 'Mild: syrup' },
                { id: 'cold', label: 'Cold: fondant' },
              ]}
              onChange={setSaid}
            />
          </Flex>
          {round.lines.length === 0 ? (
            <Text>No colony stands in this yard.</Text>
          ) : (
            <>
              <Text fontSize="xl" fontWeight="700" mb={3}>
                {takeInWords(round, units)}
              </Text>
              <Box as="ul" aria-label="Round" listStyleType="none" display="grid" gap={1}>
                {round.lines.map((line) => (
                  <FeedRow key={line.colonyId} line={line} />
                ))}
              </Box>
              <Text mt={4} color="inkSoft" fontSize="sm" maxW="44rem">
                Syrup cools before it is given. Combs of fed hives are food, not honey to extract. In a
                dearth, robbers kill a nuc in a day: if they come, close down and stop.
              </Text>
            </>
          )}
        </Box>
        <SyrupCalculator
          litres={round.syrupLitres > 0 ? round.syrupLitres : null}
          sugarPerWater={round.sugarPerWater}
        />
      </Grid>
    </Box>
  );
}

/** What to take along; of colonies of which nothing is known, that is said and no all-clear given. */
function takeInWords(round: ReturnType<typeof feedRound>, units: Units): string {
  const unknown = round.lines.filter((l) => l.what === 'count-first').length;
  if (unknown === round.lines.length)
    return 'None is counted: lift each at the back, or look, before you feed.';
  const others =
    unknown > 0 ? ` ${count(unknown, 'colony', 'colonies')} not counted: lift or look first.` : '';
  if (round.lines.every((l) => l.kg <= 0))
    return `${unknown > 0 ? 'Of those that are counted, none needs feed.' : 'Nobody needs feed.'}${others}`;
  const parts = [
    ...(round.syrupLitres > 0
      ? [
          `${volumeInWords(round.syrupLitres, units)} of syrup ${round.sugarPerWater}:1, from ${smallMass(round.sugarKg, units)} of sugar`,
        ]
      : []),
    ...(round.fondantKg > 0 ? [`${smallMass(round.fondantKg, units)} of fondant`] : []),
  ];
  return `Take ${parts.join(' and ')}.${others}`;
}

/** Longer is not told apart. */
const LONG_DAYS = 90;

const lastsInWords = ({ low, high }: NonNullable<FeedLine['days']>): string =>
  low > LONG_DAYS ? '' : `It lasts ${Math.floor(low)} to ${Math.min(LONG_DAYS, Math.ceil(high))} days.`;

const alarmInWords = ({ days }: FeedLine): string =>
  !days || days.likely < 1 ? 'Its food is used up.' : `Food for about ${Math.floor(days.likely)} days.`;

const GAUGE = 120;

/** A hive with its stores drawn against what it needs. */
function FeedRow({ line }: { readonly line: FeedLine }) {
  const { units } = useOperation();
  const scale = Math.max(line.hasKg, line.needsKg, 0.5);
  return (
    <li className={styles.row} data-fed={line.kg > 0 || undefined}>
      <Link to={`/colonies/${line.colonyId}`}>
        <b>{line.name}</b>
      </Link>
      <svg viewBox={`0 0 ${GAUGE} 16`} width={GAUGE} height="16" role="img">
        <title>
          {smallMass(line.hasKg, units)} of stores, {smallMass(line.needsKg, units)} needed
        </title>
        <rect
          x="0.500"
          y="0.500"
          width={GAUGE - 1}
          height="15"
          rx="4"
          fill="var(--chakra-colors-sunk)"
          stroke="var(--chakra-colors-line)"
        />
        <rect
          x="1"
          y="1"
          width={Math.max(2, ((GAUGE - 2) * line.hasKg) / scale)}
          height="14"
          rx="3"
          fill="var(--chakra-colors-stores)"
        />
        <path
          d={`M${1 + ((GAUGE - 2) * line.needsKg) / scale} -1v18`}
          stroke="var(--chakra-colors-ink)"
          strokeWidth="2.5"
        />
      </svg>
      <Heading as="h3" fontSize="lg">
        {line.what === 'syrup' && `${volumeInWords(line.litres, units)} of syrup`}
        {line.what === 'fondant' && `${smallMass(line.kg, units)} of fondant`}
        {line.what === 'none' && 'nothing'}
        {line.what === 'count-first' && 'not known'}
      </Heading>
      <span>
        {line.alarm && <b className={styles.alarm}>{alarmInWords(line)} </b>}
        {line.why} {!line.alarm && line.days && line.what !== 'none' && lastsInWords(line.days)} {line.note}
      </span>
    </li>
  );
}
