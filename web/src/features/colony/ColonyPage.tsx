import { StandTurns } from '../../shared/colonies/StandTurns.tsx';
import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { colonyOn } from '@incremen/core/forecast';
import { assess } from '@incremen/core/assessment';
import { colonyState, type ColonyState } from '@incremen/core/colony';
import { dayInWords } from '@incremen/core/basics';
import { frameSize } from '@incremen/core/comb';
import {
  boxesOfColony,
  hangsWrong,
  housemates,
  photosOf,
  placeOf,
  sharedBoxesOf,
  visitsOf,
  type Apiary,
  type Colony,
  framesOfColony,
} from '@incremen/core/records';
import { ClipboardList, Layers, NotebookPen } from 'lucide-react';
import { Suspense, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { drawnBoxesOf } from '../../drawing/drawnBoxes.ts';
import { HiveDrawing, hiveInWords } from '../../drawing/HiveDrawing.tsx';
import { Legend } from '../../drawing/Legend.tsx';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { useVisitsOf } from '../../mirror/olderVisits.ts';
import { ago, count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { PhotoStrip } from '../../shared/photos/PhotoStrip.tsx';
import { queenColour } from '../../shared/colonies/ColonyCard.tsx';
import { CountNext } from '../../shared/colonies/CountNext.tsx';
import { DescentTree } from './DescentTree.tsx';
import { Diary } from './Diary.tsx';
import { Due } from './Due.tsx';
import { Forecast } from './Forecast.tsx';
import { History, useReadingsOf } from './History.tsx';
import { MainVerb } from './MainVerb.tsx';
import { QueenPanel } from './QueenPanel.tsx';
import { Rename } from './Rename.tsx';
import { OnTheHive } from './OnTheHive.tsx';
import { StrengthTable } from './StrengthTable.tsx';
import { Whence } from './Whence.tsx';
import { lazyPart } from '../../ui/lazyPart.tsx';

const ColonyLane = lazyPart(() => import('../../shared/lanes/ColonyLane.tsx'));
const QueenBeliefPanel = lazyPart(() => import('./QueenBeliefPanel.tsx'));

/** One colony: its boxes as they stand, what it amounts to and becomes, its queen, what is due, its diary. */
export function ColonyPage() {
  const apiary = useApiary();
  const { colonyId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  if (!colony) return <RouteError missing />;
  return <ColonyView key={colony.id} colony={colony} />;
}

function ColonyView({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const counted = useMemo(
    () => colonyState(apiary, colony, today, framesOfColony(apiary, colony)),
    [apiary, colony, today],
  );
  const state = useMemo(() => assess(apiary, colony, today), [apiary, colony, today]);
  const past = useReadingsOf(colony);
  const boxes = drawnBoxesOf(apiary, colony);
  const { yard } = placeOf(apiary, colony);
  const visits = useVisitsOf(colony);
  const known = counted.countAgeDays !== null;
  return (
    <Box>
      <PageHeader
        title={colony.name}
        aside={<Whence apiary={apiary} colony={colony} yard={yard?.name ?? ''} />}
      >
        {colony.endedOn === null && (
          <>
            <Rename colony={colony} />
            <Button asChild variant="outline" bg="sheet">
              <Link to={`/colonies/${colony.id}/happened`}>
                <NotebookPen size={18} aria-hidden /> Something happened
              </Link>
            </Button>
            <Button asChild variant="outline" bg="sheet">
              <Link to={`/colonies/${colony.id}/hive`}>
                <Layers size={18} aria-hidden /> Boxes
              </Link>
            </Button>
            <Button asChild variant="outline" bg="sheet">
              <Link to={`/colonies/${colony.id}/count`}>
                <ClipboardList size={18} aria-hidden /> Count
              </Link>
            </Button>
          </>
        )}
        <MainVerb apiary={apiary} state={state} today={today} />
      </PageHeader>
      {counted.countAgeDays === 0 && colony.endedOn === null && yard && (
        <CountNext yard={yard} after={colony} />
      )}
      <Flex gap={{ base: 6, lg: 10 }} direction={{ base: 'column', lg: 'row' }} align="flex-start">
        <Box flex="none" w={{ base: '100%', lg: '392px' }}>
          <StandTurns colony={colony}>
            <HiveDrawing
              boxes={boxes}
              queenColour={queenColour(counted)}
              label={hiveInWords(colony.name, boxes)}
              scale={2}
              numbers
            />
          </StandTurns>
          <AboutHive apiary={apiary} state={counted} />
          <OnTheHive colony={colony} />
        </Box>
        <Box flex="1" minW={0} display="grid" gridTemplateColumns="minmax(0, 1fr)" gap={6} w="100%">
          <Text
            fontSize="lg"
            fontFamily="heading"
            fontWeight="600"
            color={state.notice.urgent ? 'alarm' : state.lane === 'raising' ? 'rest' : 'ink'}
          >
            {state.notice.words}
          </Text>
          {known && (
            <StrengthTable
              counted={counted}
              today={state}
              evidence={visits.find((v) => v.evidence)?.evidence ?? null}
            />
          )}
          {colonyOn(apiary, colony, today).doubts.map(({ words }) => (
            <Text key={words} color="near" maxW="40rem">
              {words}
            </Text>
          ))}
          {known && <Forecast today={state} />}
          <QueenPanel colony={colony} state={state} />
          {colony.endedOn === null && (
            <Suspense fallback={null}>
              <QueenBeliefPanel colony={colony} />
              <ColonyLane colonyId={colony.id} />
            </Suspense>
          )}
          <Due apiary={apiary} colony={colony} today={today} />
          <History colony={colony} {...past} />
          <DescentTree colony={colony} />
          <Diary visits={visits} apiary={apiary} readings={past.readings} />
        </Box>
      </Flex>
      <Box mt={6}>
        <Legend />
      </Box>
    </Box>
  );
}

/** Whether it has boxes of its own in a hive that it shares: parted above and below, not side by side. */
const isStacked = (apiary: Apiary, colony: Colony) =>
  boxesOfColony(apiary, colony).some((b) => b.chambers.every((c) => c.colonyId === colony.id));

/** Older ones are in the diary. */
const LATEST_PHOTOS = 6;

/** What the picture of the hive does not say by itself, and its latest photos. */
function AboutHive({ apiary, state }: { readonly apiary: Apiary; readonly state: ColonyState }) {
  const { colony, frames } = state;
  const others = housemates(apiary, colony);
  const shared = sharedBoxesOf(apiary, colony);
  const wrong = frames.filter(hangsWrong);
  const photos = visitsOf(apiary, colony.id).flatMap((v) =>
    photosOf(apiary, v.id).map((p, i) => ({ id: p.id, label: `photo ${i + 1} of ${dayInWords(v.day)}` })),
  );
  return (
    <Box mt={2} color="inkSoft" display="grid" gap={1}>
      <Text>
        {state.countAgeDays === null
          ? 'Never counted: frames are drawn as outlines.'
          : `Counted ${ago(state.countAgeDays)}.`}
        {state.countedBeforeSplit && ' That was before the split; bees have gone home since.'}
      </Text>
      {others.length > 0 && (
        <Text>
          {isStacked(apiary, colony) ? 'In one stack with' : 'Behind a partition'}:{' '}
          {others.map((c, i) => (
            <span key={c.id}>
              {i > 0 && ', '}
              <Link to={`/colonies/${c.id}`} style={{ textDecoration: 'underline' }}>
                {c.name}
              </Link>
            </span>
          ))}
          .
          {shared.length > 0 && ` ${count(shared.length, 'super')} in common, counted for each by its share.`}
        </Text>
      )}
      {wrong.map((f) => (
        <Text key={f.frame.id} color="alarm">
          Frame {f.slot} is {frameSize(f.frame.sizeId).name} in a box for {frameSize(f.box.sizeId).name}: it
          leaves a gap below or does not hang. Move it when you can.
        </Text>
      ))}
      {photos.length > 0 && (
        <Box mt={2}>
          <PhotoStrip photos={photos.slice(0, LATEST_PHOTOS)} />
        </Box>
      )}
    </Box>
  );
}
