import { Box, Text } from '@chakra-ui/react';
import { addDays, dayInWords, type Day } from '@incremen/core/basics';
import { agendaOf } from '@incremen/core/assessment';
import { followUpInShort, isJob } from '@incremen/core/followup';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './HivesToday.module.css';

/** So many days ahead are shown; the rest stands with the inspections. */
const DAYS_AHEAD = 7;

/** What is due in the days to come, each with the last day that it can wait. */
export function ComingUp() {
  const apiary = useApiary();
  const today = useToday();
  const lines = useMemo(() => {
    const until = addDays(today, DAYS_AHEAD);
    return agendaOf(apiary, today)
      .filter((a) => a.day > today && a.day <= until)
      .flatMap((a) => a.followUps)
      .toSorted((a, b) => a.window.latest.localeCompare(b.window.latest));
  }, [apiary, today]);
  return (
    <Box as="section" aria-label="In the next seven days" flex="1 1 300px" maxW="34rem">
      <SectionHeading mb={1}>In the next seven days</SectionHeading>
      {lines.length === 0 && <Text color="inkSoft">Nothing is due.</Text>}
      <ul className={styles.list}>
        {lines.map((f) => (
          <li key={f.id}>
            <Link to={isJob(f) ? `/colonies/${f.colonyIds[0]}` : `/look/${f.id}`}>
              {f.colonyIds.flatMap((id) => apiary.colony[id]?.name ?? []).join(' · ')}
            </Link>
            <span>
              {followUpInShort(f)}, best {when(f.window.likely, today)}
              {f.window.latest !== f.window.likely && `, at the latest ${when(f.window.latest, today)}`}
            </span>
          </li>
        ))}
      </ul>
    </Box>
  );
}

/** Tomorrow by its name: it is what one loads the car for. */
const when = (day: Day, today: Day): string => (day === addDays(today, 1) ? 'tomorrow' : dayInWords(day));
