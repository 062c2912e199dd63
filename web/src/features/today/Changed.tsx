import { Box, Text } from '@chakra-ui/react';
import { addDays, dayInWords, type Day } from '@incremen/core/basics';
import { happeningsOf } from '@incremen/core/colony';
import type { Apiary } from '@incremen/core/records';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { seenInWords } from '../../shared/evidence/seenInWords.ts';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';
import styles from './HivesToday.module.css';

/** So many lines are shown; the rest stands in the records. */
const MOST = 8;

interface Line {
  readonly key: string;
  readonly colonyId: string;
  readonly day: Day;
  readonly what: string;
  readonly by: string | null;
}

/** What was counted, seen and done since yesterday, by whom. */
export default function Changed() {
  const apiary = useApiary();
  const today = useToday();
  const lines = useMemo(() => changedSince(apiary, addDays(today, -1)), [apiary, today]);
  return (
    <Box as="section" aria-label="Since yesterday" flex="1 1 300px" maxW="34rem">
      <SectionHeading mb={1}>Since yesterday</SectionHeading>
      {lines.length === 0 && <Text color="inkSoft">Nothing was recorded.</Text>}
      <ul className={styles.list}>
        {lines.slice(0, MOST).map((l) => (
          <li key={l.key}>
            <Link to={`/colonies/${l.colonyId}`}>{apiary.colony[l.colonyId]?.name}</Link>
            <span>
              {l.what}
              {l.by !== null && `, by ${l.by}`}
              {l.day !== today && ` (${dayInWords(l.day)})`}
            </span>
          </li>
        ))}
      </ul>
      {lines.length > MOST && (
        <Link to="/records" className={common.inlineLink}>
          and {lines.length - MOST} more
        </Link>
      )}
    </Box>
  );
}

/** What was recorded of days since one, latest first. */
export function changedSince(apiary: Apiary, since: Day): Line[] {
  const visits = Object.values(apiary.visit)
    .filter((v) => v.day >= since)
    .map((v): Line & { readonly at: string } => ({
      key: v.id,
      colonyId: v.colonyId,
      day: v.day,
      at: `${v.day} ${v.time ?? ''}`,
      what: v.purpose === 'count' ? 'counted' : (v.evidence && seenInWords(v.evidence)) || 'inspected',
      by: v.by,
    }));
  const happened = happeningsOf(apiary)
    .filter((h) => h.day >= since && h.colonyIds.length > 0)
    .map((h) => ({
      key: h.id,
      colonyId: h.colonyIds[0] ?? '',
      day: h.day,
      at: h.day,
      what: h.words,
      by: null,
    }));
  return [...visits, ...happened]
    .filter((l) => apiary.colony[l.colonyId] !== undefined)
    .toSorted((a, b) => b.at.localeCompare(a.at));
}
