import { Box, Button, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { placeOf, type Colony } from '@incremen/core/records';
import { pastLast, planBOf, queenLane } from '@incremen/core/followup';
import { remediesFor, usualHorizon, watchOn } from '@incremen/core/remedies';
import { assess } from '@incremen/core/assessment';
import { colonySeason } from '@incremen/core/forecast';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { BoxWork } from '../../shared/colonies/BoxWork.tsx';
import { Causes } from './Causes.tsx';
import { OutsideChoices } from './OutsideChoices.tsx';
import { RemedyList } from './RemedyList.tsx';
import { useOutside } from '../../shared/weather/useOutside.ts';
import { watchOf } from './watchOf.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';

/** What to do about one unit: why it is weak, and every remedy by what it leaves on a day. */
export function ActPage() {
  const apiary = useApiary();
  const { colonyId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  if (!colony) return <RouteError missing />;
  if (colony.endedOn !== null) {
    return (
      <Box>
        <PageHeader title={colony.name} />
        <Text>It ended on {dayInWords(colony.endedOn)}: nothing is to be done.</Text>
      </Box>
    );
  }
  return <Act key={colony.id} colony={colony} />;
}

function Act({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const outside = useOutside();
  const { coldNights } = outside;
  const { yard } = placeOf(apiary, colony);
  const { send, problems } = useSend();
  const [chosen, setChosen] = useState<string | null>(null);
  const season = useMemo(() => colonySeason(apiary, colony, today), [apiary, colony, today]);
  const { next, past } = useMemo(() => {
    const lane = queenLane(apiary, colony, today);
    const b = lane && planBOf(apiary, lane, today);
    return {
      next: assess(apiary, colony, today).needs[0],
      past: lane && b && pastLast(lane, b, today),
    };
  }, [apiary, colony, today]);
  // Losses are cut by what is left before winter.
  const on = chosen ?? (past !== null ? season.frost : usualHorizon({ day: today, season }));
  const found = useMemo(
    () => remediesFor(apiary, colony, today, { coldNights }, on),
    [apiary, colony, today, coldNights, on],
  );
  const watched = watchOf(apiary, colony.id);
  return (
    <Box maxW="60rem">
      <PageHeader title={`What to do about ${colony.name}`} aside={next.notice.words}>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/colonies/${colony.id}`}>{colony.name}</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/colonies/${colony.id}/choices`}>Compare choices</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/weak">All weak colonies</Link>
        </Button>
      </PageHeader>
      <ProblemList problems={problems} />
      {past !== null && (
        <Text fontSize="xl" fontWeight="700" color="alarm" mb={3}>
          {past}
        </Text>
      )}
      <SectionHeading mb={1}>Why</SectionHeading>
      <Causes causes={found.causes} />
      <Text mt={3} mb={4}>
        <b>What it needs next:</b> {next.notice.words}. {next.why}
      </Text>
      <OutsideChoices
        outside={outside}
        yards={yard ? [yard] : []}
        today={today}
        frost={season.frost}
        on={on}
        onDay={setChosen}
      />
      <SectionHeading mb={1}>What can be done</SectionHeading>
      <Text color="inkSoft" mb={3}>
        Left alone: {(100 * found.left.colonies).toFixed(0)} % that it is a colony with a laying queen on{' '}
        {dayInWords(on)}
        {found.left.colonies > 0.05 && `, with about ${found.left.bees.toFixed(1)} frames of bees`}. The rest
        is compared with that, its partners included. Shares of success are our estimate, no published source.
      </Text>
      <RemedyList
        colonyId={colony.id}
        remedies={found.remedies}
        on={on}
        watching={watched !== undefined}
        onWatch={() =>
          void send({ type: 'fileFollowUp', followUp: watchOn(found.facts, crypto.randomUUID()) })
        }
      />
      <SectionHeading mt={6} mb={1}>
        Boxes and combs
      </SectionHeading>
      <BoxWork colony={colony} />
      <Box as="details" mt={4}>
        <summary className={common.summary}>Cells</summary>
        <Box as="ul" listStyleType="none" display="grid" gap={2}>
          <li>
            <Link className={common.inlineLink} to={`/colonies/${colony.id}/act/cut-early-cells`}>
              Day 3: break cells that were capped too early
            </Link>
          </li>
          <li>
            <Link className={common.inlineLink} to={`/colonies/${colony.id}/act/cut-cells`}>
              Days 7 to 9: take the emergency cells out around a chosen one
            </Link>
          </li>
        </Box>
      </Box>
    </Box>
  );
}
