import { Box, Text } from '@chakra-ui/react';
import { addDays } from '@incremen/core/basics';
import type { SeasonPlan } from '@incremen/core/records';
import { heldTo } from '@incremen/core/seasonplan';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { placeToPlan, roundInWords } from '../../shared/season/roundWords.ts';
import { onDay } from '../../shared/days/onDay.ts';
import { count } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './HivesToday.module.css';

/** Rounds so many days ahead are told of. */
const DAYS_AHEAD = 21;

/** What the season plan asks for next; fetched only where one is followed. */
export default function SeasonAhead({ plan }: { readonly plan: SeasonPlan }) {
  const apiary = useApiary();
  const today = useToday();
  const held = useMemo(() => heldTo(apiary, plan, today), [apiary, plan, today]);
  const near = held.rounds.filter((r) => r.state !== 'done' && r.round.day <= addDays(today, DAYS_AHEAD));
  const next = held.rounds.find((r) => r.state !== 'done');
  return (
    <Box as="section" aria-label="Your season plan" flex="1 1 300px" maxW="34rem">
      <SectionHeading mb={1}>Your season plan</SectionHeading>
      <Text mb={1}>
        {count(held.colonies, 'colony', 'colonies')} now, {plan.aim.colonies} by {onDay(plan.aim.by, today)}
        {held.verdict === 'behind' ? ': behind the plan. ' : '. '}
        <Link to="/season">See how it goes</Link>
      </Text>
      <ul className={styles.list}>
        {near.map(({ round, state, made }) => (
          <li key={`${round.day}${round.what}`}>
            <Link to={placeToPlan(round, apiary, today)}>{roundInWords(round, apiary)}</Link>
            <span>
              {state === 'late' ? 'overdue since ' : ''}
              {onDay(round.day, today)}
              {made > 0 && `, ${made} made`}
            </span>
          </li>
        ))}
      </ul>
      {near.length === 0 && next && <Text color="inkSoft">Next round: {onDay(next.round.day, today)}.</Text>}
    </Box>
  );
}
