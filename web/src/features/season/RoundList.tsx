import { Box, Button, Text } from '@chakra-ui/react';
import { listInWords, lowerFirst } from '@incremen/core/basics';
import { colonyState, isAboutToSwarm } from '@incremen/core/colony';
import type { SeasonRound } from '@incremen/core/records';
import {
  MAKES,
  type HeldTo,
  type RoundState,
  type RoundTrial,
  type SeasonProblem,
} from '@incremen/core/seasonplan';
import { Fragment, useMemo } from 'react';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { count, one } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';
import { queensToOrder } from './seasonWords.ts';
import { onDay } from '../../shared/days/onDay.ts';
import { placeToPlan, roundInWords } from '../../shared/season/roundWords.ts';
import styles from './Season.module.css';

const STATES: Readonly<Record<RoundState['state'], string>> = {
  done: 'done',
  part: 'done in part',
  due: 'due',
  late: 'late',
  ahead: 'ahead',
};

/** What is done when: the rounds of a plan, and the last sensible dates around them. */
export function RoundList({
  problem,
  rounds,
  trials,
  held,
  madeBy,
}: {
  readonly problem: SeasonProblem;
  readonly rounds: readonly SeasonRound[];
  readonly trials: readonly RoundTrial[] | null;
  readonly held: HeldTo | null;
  readonly madeBy: readonly number[] | null;
}) {
  const apiary = useApiary();
  const today = useToday();
  const [weeks = []] = problem.weeks;
  const last = (of: (w: (typeof weeks)[number]) => boolean) => weeks.findLast(of);
  const lastRaise = last((w) => w.raises);
  const lastMated = last((w) => w.mated);
  const harvests = weeks.filter((w) => w.harvest !== null);
  const feeds = weeks.find((w) => w.feedForWinter);
  return (
    <Box as="section" aria-label="What is done when" mb={6}>
      <SectionHeading mb={1}>What is done when</SectionHeading>
      <SwarmsFirst />
      {rounds.length === 0 && <Text>No round is needed: look after what stands there.</Text>}
      <ol className={styles.rounds}>
        {rounds.map((round, i) => {
          const trial = trials?.[i];
          const state = held?.rounds[i];
          const order = queensToOrder(round, today);
          const makes = MAKES.has(round.what);
          return (
            // Two yards may have the same round on one day.
            <li key={i}>
              <time dateTime={round.day}>{onDay(round.day, today)}</time>
              <div>
                <Text fontWeight="600">{roundInWords(round, apiary)}</Text>
                {state && (
                  <Text>
                    <span className={styles.state} data-state={state.state}>
                      {STATES[state.state]}
                    </span>
                    {makes && `: ${state.made} of ${round.parts} made`}
                  </Text>
                )}
                {trial && makes && (
                  <Text color="inkSoft">
                    The planner of that day makes {trial.possible >= round.parts ? 'them' : trial.possible}
                    {trial.donors.length > 0 &&
                      `, as it looks today from ${listInWords(trial.donors.map((d) => `${listInWords(d.names)}${trial.donors.length > 1 ? ` in ${d.yard}` : ''}`))}`}
                    . The counts of that week decide who gives.
                    {trial.uncounted.length > 0 &&
                      ` Never counted, so this rests on a guess: ${listInWords(trial.uncounted)}.`}
                  </Text>
                )}
                {madeBy && makes && madeBy[i] !== undefined && madeBy[i] < round.parts - 0.3 && (
                  <Text color="inkSoft">
                    In the average season {one(madeBy[i])} come of it: rain, or too few bees by then.
                  </Text>
                )}
                {order && <Text color="inkSoft">{order}</Text>}
              </div>
              <Button
                asChild
                variant={state?.state === 'due' || state?.state === 'late' ? 'solid' : 'outline'}
                {...(state?.state === 'due' || state?.state === 'late' ? {} : { bg: 'sheet' })}
                size="sm"
                className={common.noPrint}
              >
                <Link to={placeToPlan(round, apiary, today)}>Plan this day</Link>
              </Button>
            </li>
          );
        })}
      </ol>
      <Text mt={3} maxW="48rem">
        {lastRaise && `Last sensible week to let a part raise its queen: ${onDay(lastRaise.day, today)}. `}
        {lastMated && `With mated queens: ${onDay(lastMated.day, today)}. `}
        {harvests.length > 0 &&
          `Honey comes off about ${harvests.map((h) => onDay(h.day, today)).join(' and ')}; that is also when treatments can begin: the label and local rules set the date. `}
        {feeds && `Feed for winter from ${onDay(feeds.day, today)}. `}
        Look in on each part on day 7 and when its first eggs are due; {count(3, 'week')} after a round its
        donors have caught up.
      </Text>
    </Box>
  );
}

/** Colonies that do not wait for a round: what is done about their swarm cells comes before the plan, which takes them for undivided. */
function SwarmsFirst() {
  const apiary = useApiary();
  const today = useToday();
  const going = useMemo(
    () =>
      Object.values(apiary.colony)
        .filter((c) => c.endedOn === null)
        .map((c) => colonyState(apiary, c, today))
        .filter(isAboutToSwarm),
    [apiary, today],
  );
  if (going.length === 0) return null;
  return (
    <Text mb={2} maxW="48rem">
      <b>First of all:</b>{' '}
      {going.map(({ colony, notice }, i) => (
        <Fragment key={colony.id}>
          {i > 0 && '; '}
          <Link to={`/colonies/${colony.id}/plan`}>{colony.name}</Link>, {lowerFirst(notice.words)}
        </Fragment>
      ))}
      . A swarm does not wait for a round; the season takes {going.length === 1 ? 'it' : 'them'} for
      undivided, and is planned anew afterwards.
    </Text>
  );
}
