import { Box, Button, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import {
  addDays,
  colonyState,
  dayInWords,
  layingRates,
  nestOf,
  openFollowUps,
  placeOf,
  visitsOf,
  type Apiary,
  type Colony,
  type ColonyState,
} from '@incremen/core';
import { ClipboardList, Eye, Split } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { RouteError } from '../../app/RouteError.tsx';
import { drawnBoxesOf } from '../../drawing/drawnBoxes.ts';
import { HiveDrawing, hiveInWords } from '../../drawing/HiveDrawing.tsx';
import { Legend } from '../../drawing/Legend.tsx';
import { LaneAxis, TimeLane } from '../../drawing/TimeLane.tsx';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { ago, mass, one, rangeOf } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { queenColour } from '../board/ColonyCard.tsx';
import { QueenPanel } from './QueenPanel.tsx';
import { Diary } from './Diary.tsx';

/** One colony: its boxes as they stand, what it amounts to, its queen, what is due, its diary. */
export function ColonyPage() {
  const apiary = useApiary();
  const today = useToday();
  const { colonyId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  if (!colony) return <RouteError missing />;
  const state = colonyState(apiary, colony, today);
  const boxes = drawnBoxesOf(apiary, colony);
  const { yard } = placeOf(apiary, colony);
  return (
    <Box>
      <PageHeader
        title={colony.name}
        aside={<Whence apiary={apiary} colony={colony} yard={yard?.name ?? ''} />}
      >
        <Button asChild variant="outline" bg="sheet" minH="44px">
          <Link to={`/colonies/${colony.id}/count`}>
            <ClipboardList size={18} aria-hidden /> Count
          </Link>
        </Button>
        <MainVerb apiary={apiary} state={state} today={today} />
      </PageHeader>
      <Flex gap={{ base: 6, lg: 10 }} direction={{ base: 'column', lg: 'row' }} align="flex-start">
        <Box flex="none" w={{ base: '100%', lg: '392px' }}>
          <HiveDrawing
            boxes={boxes}
            queenColour={queenColour(state)}
            label={hiveInWords(colony.name, boxes)}
            scale={2}
            numbers
          />
          <Text mt={2} color="inkSoft">
            {state.countAgeDays === null
              ? 'Never counted: frames are drawn as outlines.'
              : `Counted ${ago(state.countAgeDays)}.`}
            {state.countedBeforeSplit && ' That was before the split; bees have gone home since.'}
          </Text>
        </Box>
        <Box flex="1" minW={0} display="grid" gridTemplateColumns="minmax(0, 1fr)" gap={6} w="100%">
          <Text
            fontSize="1.2rem"
            fontFamily="heading"
            fontWeight="600"
            color={state.urgent ? 'alarm' : state.lane === 'raising' ? 'rest' : 'ink'}
          >
            {state.reason}
          </Text>
          {state.countAgeDays !== null && <StrengthTable state={state} />}
          <QueenPanel colony={colony} state={state} />
          <Due apiary={apiary} colony={colony} today={today} />
          <Diary visits={visitsOf(apiary, colony.id)} apiary={apiary} />
        </Box>
      </Flex>
      <Box mt={6}>
        <Legend />
      </Box>
    </Box>
  );
}

/** The one thing to do next with this colony. */
function MainVerb({
  apiary,
  state,
  today,
}: {
  readonly apiary: Apiary;
  readonly state: ColonyState;
  readonly today: string;
}) {
  const { colony } = state;
  const plan = Object.values(apiary.plan).find(
    (p) => p.colonyId === colony.id && (p.status === 'draft' || p.status === 'working'),
  );
  const due = openFollowUps(apiary).find(
    (f) => f.kind === 'look' && f.colonyIds.includes(colony.id) && f.window.earliest <= today,
  );
  if (colony.endedOn !== null) return null;
  if (plan) {
    return (
      <Button asChild minH="44px">
        <Link to={`/work/${plan.id}`}>
          {plan.status === 'draft' ? 'Start the work' : 'Go on with the work'}
        </Link>
      </Button>
    );
  }
  if (due) {
    return (
      <Button asChild minH="44px">
        <Link to={`/look/${due.id}`}>
          <Eye size={18} aria-hidden /> Record the look
        </Link>
      </Button>
    );
  }
  return (
    <Button
      asChild
      minH="44px"
      {...(state.lane === 'giver' ? {} : { variant: 'outline' as const, bg: 'sheet' })}
    >
      <Link to={`/colonies/${colony.id}/plan`}>
        <Split size={18} aria-hidden /> Plan a split
      </Link>
    </Button>
  );
}

function Whence({
  apiary,
  colony,
  yard,
}: {
  readonly apiary: Apiary;
  readonly colony: Colony;
  readonly yard: string;
}) {
  const from = colony.origin.how === 'split' ? apiary.colony[colony.origin.fromColonyId] : undefined;
  return (
    <Text>
      {yard}
      {from && (
        <>
          {' · split from '}
          <Link to={`/colonies/${from.id}`} style={{ textDecoration: 'underline' }}>
            {from.name}
          </Link>{' '}
          on {dayInWords(colony.startedOn)}
        </>
      )}
      {colony.endedOn && ` · ended ${dayInWords(colony.endedOn)}`}
    </Text>
  );
}

function StrengthTable({ state }: { readonly state: ColonyState }) {
  const { units } = useOperation();
  const { strength } = state;
  const rates = layingRates(nestOf(state.frames));
  const rows: [string, string, string][] = [
    [
      'Bees',
      `${one(strength.framesOfBees.likely)} frames`,
      `${rangeOf(strength.framesOfBees)}, about ${thousands(strength.bees.likely)} bees`,
    ],
    [
      'Brood',
      `${one(strength.broodFrames.likely)} frames`,
      `${one(strength.frames.eggs)} eggs · ${one(strength.frames.open)} open · ${one(strength.frames.capped + strength.frames.emerging)} capped`,
    ],
    [
      'Stores',
      `${one(strength.storesFrames)} frames`,
      `${mass(strength.storesKg.low, units)} to ${mass(strength.storesKg.high, units)}, bee bread ${one(strength.frames.beeBread)}`,
    ],
    ['Room', `${one(strength.frames.drawn)} frames`, 'of empty comb'],
    ...(state.countedBeforeSplit
      ? []
      : [
          ['Laying', `${Math.round(rates.fromOpen / 50) * 50} a day`, layingWords(rates)] satisfies [
            string,
            string,
            string,
          ],
        ]),
  ];
  return (
    <Grid
      as="dl"
      templateColumns="max-content max-content 1fr"
      columnGap={5}
      rowGap={1.5}
      alignItems="baseline"
    >
      {rows.map(([name, value, more]) => (
        <Box key={name} display="contents">
          <Text as="dt" color="inkSoft">
            {name}
          </Text>
          <Text as="dd" fontWeight="700" fontSize="1.15rem">
            {value}
          </Text>
          <Text as="dd" color="inkSoft">
            {more}
          </Text>
        </Box>
      ))}
    </Grid>
  );
}

const thousands = (n: number) => (Math.round(n / 100) * 100).toLocaleString('en-GB');

function layingWords(rates: { fromEggs: number; fromOpen: number; fromCapped: number }): string {
  const { fromEggs, fromOpen, fromCapped } = rates;
  if (fromEggs + fromOpen + fromCapped < 50) return 'no brood';
  if (fromEggs < 30 && fromOpen < 30) return 'no eggs, no open brood: stopped nine days ago or more';
  if (fromEggs < 30) return 'no eggs, larvae present: stopped three to nine days ago';
  if (fromOpen > fromCapped * 1.25) return 'eggs and larvae outrun capped brood: building up';
  if (fromOpen < fromCapped * 0.7) return 'fewer young than capped brood: shrinking';
  return 'steady, by open brood';
}

function Due({
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
      <Heading as="h2" fontSize="1.15rem" mb={2}>
        Due
      </Heading>
      <Box overflowX="auto" role="region" aria-label="Look days and hands-off days" tabIndex={0}>
        <LaneAxis scale={scale} today={today} />
        <TimeLane followUps={own} scale={scale} today={today} label={colony.name} />
      </Box>
      <Box as="ul" listStyleType="none" display="grid" gap={1} mt={2}>
        {own.map((f) => (
          <Box as="li" key={f.id}>
            <Text as="span" fontWeight="600" color={f.kind === 'look' ? 'accent' : 'rest'}>
              {f.kind === 'look'
                ? `Look, best ${dayInWords(f.window.likely)}`
                : `Hands off ${dayInWords(f.window.earliest)} to ${dayInWords(f.window.latest)}`}
            </Text>
            . {f.expect}{' '}
            {f.kind === 'look' && (
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
