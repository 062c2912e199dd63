import { Box, Text } from '@chakra-ui/react';
import {
  LOST_BY_CUTTING,
  oddsOfAny,
  oddsOfPart,
  partsFor,
  partsForSure,
  raisingOdds,
  raisingResults,
} from '@incremen/core/cells';
import { useState } from 'react';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { count } from '../../ui/format.ts';
import styles from './CellOdds.module.css';

const percent = (p: number) => `${Math.round(100 * p)} %`;

/** One queen or several at risk, from one's own results as far as there are any. */
export function CellOdds() {
  const apiary = useApiary();
  const today = useToday();
  const odds = raisingOdds(raisingResults(apiary, today));
  const [wanted, setWanted] = useState(4);
  const [cells, setCells] = useState(1);
  const known = odds.raised + odds.failed;
  const [how, setHow] = useState<'frame' | 'cut'>('frame');
  const part = oddsOfPart(cells, odds.likely, how === 'cut' ? LOST_BY_CUTTING : 0);
  const sure = partsForSure(wanted, part, 0.9);
  return (
    <>
      <Text>
        A part that raises a queen succeeds in <b>{percent(odds.likely)}</b> of cases (between{' '}
        {percent(odds.low)} and {percent(odds.high)}):{' '}
        {known === 0
          ? 'common practice, until your own results are in.'
          : `learned from ${count(odds.raised, 'part')} that did and ${count(odds.failed, 'part')} that did not.`}
      </Text>
      <Stepper label="cells in a part" value={cells} min={1} max={6} onChange={setCells} />
      <Choice
        label="How cells come to it"
        value={how}
        options={[
          { id: 'frame', label: 'with their frame' },
          { id: 'cut', label: `cut out: ${percent(LOST_BY_CUTTING)} are lost` },
        ]}
        onChange={setHow}
      />
      <Box as="ul" listStyleType="none" display="grid" gap={1} aria-label="Odds">
        {[1, 2, 3].map((n) => (
          <li key={n} className={styles.odds}>
            <span>{n === 1 ? 'one part' : `at least one of ${n} parts`}</span>
            <svg viewBox="0 0 100 12" width="100%" height="14" preserveAspectRatio="none" aria-hidden>
              <rect width="100" height="12" rx="3" fill="var(--chakra-colors-sunk)" />
              <rect width={100 * oddsOfAny(n, part)} height="12" rx="3" fill="var(--chakra-colors-accent)" />
            </svg>
            <b>{percent(oddsOfAny(n, part))}</b>
          </li>
        ))}
      </Box>
      <Stepper label="queens wanted" value={wanted} min={1} max={40} onChange={setWanted} />
      <Text>
        Make <b>{count(partsFor(wanted, part), 'part')}</b> to have {wanted} on average
        {sure !== null && (
          <>
            , <b>{sure}</b> to have them in nine cases of ten
          </>
        )}
        .
      </Text>
      <Text color="inkSoft" fontSize="sm">
        More cells in one part insure against a dead cell, not against a lost mating flight. Two parts kept
        apart insure each other; a failed one is reunited.
      </Text>
    </>
  );
}
