import { Box, Button, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import { assess } from '@incremen/core/assessment';
import { dayInWords, type Day } from '@incremen/core/basics';
import { openFollowUps, type Apiary } from '@incremen/core/records';
import { unionsDownTo, expectedColonies, weakDesk, type WeakDesk } from '@incremen/core/remedies';
import { watchVerdict, type WatchVerdict } from '@incremen/core/followup';
import { yardSeason } from '@incremen/core/forecast';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { drawnBoxesOf } from '../../drawing/drawnBoxes.ts';
import { HiveDrawing, hiveInWords } from '../../drawing/HiveDrawing.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { one } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { Causes } from './Causes.tsx';
import { OutsideChoices } from './OutsideChoices.tsx';
import { useOutside } from '../../shared/weather/useOutside.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './WeakPage.module.css';
import common from '../../ui/common.module.css';

/** The desk for weak units: which, why, what to do first; the watch list, and nucs that outgrow their boxes. */
export function WeakPage() {
  const apiary = useApiary();
  const today = useToday();
  const outside = useOutside();
  const [chosen, setChosen] = useState<Day | null>(null);
  const season = useMemo(() => yardSeason(apiary, today), [apiary, today]);
  const coldNights = useDeferredValue(outside.coldNights);
  const on = useDeferredValue(chosen);
  const desk = useMemo(
    () => weakDesk(apiary, today, { coldNights }, on ?? undefined),
    [apiary, today, coldNights, on],
  );
  return (
    <Box>
      <PageHeader title="Weak colonies" aside={titleOf(desk)} />
      <OutsideChoices
        outside={outside}
        yards={yardsOf(apiary, desk)}
        today={today}
        frost={season.frost}
        on={chosen ?? desk.on}
        onDay={setChosen}
      />
      {desk.units.length === 0 ? (
        <Text mb={6}>
          No colony is weak or in doubt by what was counted and seen. Count, and inspect when inspections are
          due.
        </Text>
      ) : (
        <Box as="ul" aria-label="Weak colonies" listStyleType="none" display="grid" gap={4} mb={8}>
          {desk.units.map((u) => (
            <WeakUnit key={u.facts.colony.id} unit={u} />
          ))}
        </Box>
      )}
      <Grid
        gap={{ base: 8, xl: 10 }}
        templateColumns={{ base: 'minmax(0, 1fr)', lg: 'repeat(3, minmax(0, 1fr))' }}
        alignItems="start"
      >
        <Watched today={today} />
        <Nucs desk={desk} />
        <ComeDown desk={desk} />
      </Grid>
    </Box>
  );
}

/** The yards in which its units stand. */
const yardsOf = (apiary: Apiary, { units }: WeakDesk) =>
  Object.values(apiary.yard).filter((y) => units.some((u) => u.facts.yardId === y.id));

function titleOf({ units }: WeakDesk): string {
  const past = units.filter((u) => u.pastLast).length;
  return past > 0 ? `${units.length}, of which ${past} past the last date` : `${units.length} to see to`;
}

function WeakUnit({ unit }: { readonly unit: WeakDesk['units'][number] }) {
  const apiary = useApiary();
  const { facts, causes, remedies, pastLast } = unit;
  const { colony } = facts;
  const [best] = remedies.filter((r) => r.blocked === null);
  const [next] = assess(apiary, colony, facts.day).needs;
  const boxes = drawnBoxesOf(apiary, colony);
  return (
    <li className={styles.unit}>
      <Box maxW="200px">
        <HiveDrawing boxes={boxes} label={hiveInWords(colony.name, boxes)} scale={1} />
      </Box>
      <Box minW={0}>
        <Heading as="h2" fontSize="xl">
          <Link to={`/colonies/${colony.id}`}>{colony.name}</Link>
        </Heading>
        {pastLast && (
          <Text color="alarm" fontWeight="700">
            {pastLast}
          </Text>
        )}
        <Causes causes={causes} />
      </Box>
      <Box maxW="300px">
        <Text fontSize="sm" color="inkSoft">
          {best ? 'First choice' : 'What it needs'}
        </Text>
        <Text fontWeight="700" mb={2}>
          {best ? best.title : next.notice.words}
        </Text>
        <Button asChild>
          <Link to={`/colonies/${colony.id}/act`} aria-label={`What to do about ${colony.name}`}>
            What to do
          </Link>
        </Button>
      </Box>
    </li>
  );
}

function Watched({ today }: { readonly today: Day }) {
  const apiary = useApiary();
  const { send, problems } = useSend();
  const watches = openFollowUps(apiary).filter((f) => f.topic === 'watch');
  return (
    <Box as="section" aria-label="Watch list">
      <SectionHeading>Watch list</SectionHeading>
      {watches.length === 0 && (
        <Text color="inkSoft">Nothing is watched. A watch has a test and a date.</Text>
      )}
      <Box as="ul" listStyleType="none" display="grid" gap={3}>
        {watches.map((f) => {
          const verdict = watchVerdict(apiary, f);
          const due = f.window.earliest <= today;
          const settled = verdict?.is === 'stood' || verdict?.is === 'failed';
          const edge = verdict?.is === 'failed' || (due && !settled) ? 'alarm' : 'accent';
          const [colonyId] = f.colonyIds;
          return (
            <Box as="li" key={f.id} borderLeftWidth="5px" borderColor={edge} pl={3}>
              <Text fontWeight="700">
                {f.colonyIds.map((c) => apiary.colony[c]?.name).join(' and ')} · {dayInWords(f.window.likely)}
              </Text>
              {verdict && verdict.is !== 'uncounted' && (
                <Text fontWeight="600">{verdictInWords(verdict)}</Text>
              )}
              <Text>{f.expect}</Text>
              <Flex gap={2} mt={1} wrap="wrap">
                {verdict?.is === 'failed' && (
                  <Button asChild size="sm">
                    <Link to={`/colonies/${colonyId}/act`}>Decide now</Link>
                  </Button>
                )}
                {settled && (
                  <Button
                    size="sm"
                    {...(verdict.is === 'failed' && { variant: 'outline', bg: 'sheet' })}
                    onClick={() => void send({ type: 'closeFollowUp', followUpId: f.id })}
                  >
                    Off the list
                  </Button>
                )}
                {!settled && due && (
                  <Button asChild size="sm">
                    <Link to={`/colonies/${colonyId}/count`}>Count</Link>
                  </Button>
                )}
                {!settled && (
                  <Button asChild size="sm" variant="outline" bg="sheet">
                    <Link to={`/look/${f.id}`}>{due ? 'Record inspection' : 'Open'}</Link>
                  </Button>
                )}
              </Flex>
            </Box>
          );
        })}
      </Box>
      <ProblemList problems={problems} />
    </Box>
  );
}

/** How a watched unit stands, by its count. */
function verdictInWords({ is, day, brood, bees }: Exclude<WatchVerdict, { is: 'uncounted' }>): string {
  const counted = `${one(brood)} frames of brood and ${one(bees)} of bees on ${dayInWords(day)}`;
  if (is === 'stood') return `Stood its test: ${counted}.`;
  return is === 'failed' ? `Failed its test: ${counted}.` : `Not yet: ${counted}.`;
}

function Nucs({ desk }: { readonly desk: WeakDesk }) {
  return (
    <Box as="section" aria-label="Nucs">
      <SectionHeading>Nucs</SectionHeading>
      <Text mb={2}>Reserve: {desk.reserve.words}</Text>
      <Box as="ul" listStyleType="none" display="grid" gap={2}>
        {desk.nucs.map(({ facts, window }) => (
          <Flex as="li" key={facts.colony.id} gap={3} align="center" wrap="wrap">
            <Box flex="1" minW="240px">
              <Text fontWeight="700">
                <Link to={`/colonies/${facts.colony.id}`}>{facts.colony.name}</Link> ·{' '}
                {window.bees.toFixed(1)} of {facts.slots} combs covered
              </Text>
              <Text>{window.words}</Text>
            </Box>
            {window.ready === facts.day && facts.day <= window.last && (
              <Button asChild>
                <Link to={`/plan?goal=hiveUp&colony=${facts.colony.id}`}>Move into a full-size hive</Link>
              </Button>
            )}
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

/** How many colonies are to be expected, and which to unite when there are too many. */
function ComeDown({ desk }: { readonly desk: WeakDesk }) {
  const { all, on } = desk;
  const [wanted, setWanted] = useState(all.length);
  const asked = useDeferredValue(wanted);
  const steps = useMemo(() => unionsDownTo(all, asked, on), [all, asked, on]);
  const expected = useMemo(() => expectedColonies(all, on), [all, on]);
  return (
    <Box as="section" aria-label="How many colonies">
      <SectionHeading>How many colonies</SectionHeading>
      <Text mb={2}>
        {all.length} colonies and nucs now; about {expected.toFixed(0)} colonies with a laying queen and bees
        enough on {dayInWords(on)} if all are left alone.
      </Text>
      <Flex gap={3} align="center" mb={2} className={common.noPrint}>
        <Stepper label="colonies wanted" value={wanted} min={1} max={all.length} onChange={setWanted} />
      </Flex>
      <Box as="ul" listStyleType="none" display="grid" gap={2}>
        {steps.map(({ from, union }) => (
          <li key={from.colony.id}>
            <Link
              className={common.inlineLink}
              to={`/colonies/${from.colony.id}/act/combine?with=${union.partner.colony.id}`}
            >
              Unite {from.colony.name} with {union.partner.colony.name}
            </Link>
          </li>
        ))}
      </Box>
    </Box>
  );
}
