import { Box } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { stepsOfWork } from '@incremen/core/records';
import { useState } from 'react';
import { Link } from 'react-router';
import { coloniesWithDraft } from '../../shared/counting/keptDraft.ts';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './HivesToday.module.css';

/** Counts that were begun on this device and not saved, and work that was begun or is planned for today. */
export function Unfinished() {
  const apiary = useApiary();
  const today = useToday();
  const [drafts] = useState(coloniesWithDraft);
  const counts = drafts.flatMap((id) => {
    const colony = apiary.colony[id];
    return colony && colony.endedOn === null ? [colony] : [];
  });
  const works = Object.values(apiary.work).filter(
    (w) => w.status === 'working' || (w.status === 'draft' && w.day <= today),
  );
  if (counts.length + works.length === 0) return null;
  return (
    <Box as="section" aria-label="Unfinished" flex="1 1 300px" maxW="34rem">
      <SectionHeading mb={1}>Unfinished</SectionHeading>
      <ul className={styles.list}>
        {works.map((w) => {
          const steps = stepsOfWork(apiary, w.id);
          const done = steps.filter((s) => s.doneOn !== null).length;
          return (
            <li key={w.id}>
              <Link to={`/worksheet/${w.id}`}>{w.name}</Link>
              <span>
                {w.status === 'working'
                  ? `${done} of ${steps.length} steps done`
                  : `planned for ${dayInWords(w.day)}`}
              </span>
            </li>
          );
        })}
        {counts.map((c) => (
          <li key={c.id}>
            <Link to={`/colonies/${c.id}/count`}>{c.name}</Link>
            <span>A count is not saved yet.</span>
          </li>
        ))}
      </ul>
    </Box>
  );
}
