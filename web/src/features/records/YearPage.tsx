import { Box, Button, Text } from '@chakra-ui/react';
import { yearReview, yearsOnRecord } from '@incremen/core/colony';
import { moneyInWords, yearOf } from '@incremen/core/basics';
import { Link, useNavigate, useParams } from 'react-router';
import { useOperation, useToday } from '../../mirror/hooks.ts';
import { useWholeVisits } from '../../mirror/olderVisits.ts';
import { count, mass } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { Select } from '../../ui/Select.tsx';
import { NextYear, YearResults } from './YearResults.tsx';
import { YearSpent } from './YearSpent.tsx';
import styles from './YearPage.module.css';

/** A year in numbers: how many colonies there were, where they came from, how they ended, what it took. */
export function YearPage() {
  const { apiary, older } = useWholeVisits(null);
  const today = useToday();
  const { units, currency } = useOperation();
  const navigate = useNavigate();
  const { year: asked = '' } = useParams();
  const years = yearsOnRecord(apiary);
  const year = /^\d{4}$/.test(asked) ? Number(asked) : yearOf(today);
  const r = yearReview(apiary, year);
  const most = Math.max(r.atStart, r.atEnd, 1);
  const lines: readonly (readonly [string, string])[] = [
    ...(r.entered > 0 ? [['Entered as they stood', String(r.entered)] as const] : []),
    ['Made by splitting', String(r.made)],
    ['Bought', String(r.bought)],
    ['Swarms hived', String(r.swarmsHived)],
    ...r.ended.map((e) => [`Ended: ${e.words}`, String(e.count)] as const),
    ['Young queens on record', String(r.queensBorn)],
    ['Queens gone', String(r.queensGone)],
    ['Visits', String(r.visits)],
    ['Feed taken', mass(r.fedKg, units)],
    ['Honey harvested', r.harvestedKg > 0 ? mass(r.harvestedKg, units) : 'none noted'],
    ['Treatments', String(r.treatments)],
    ['Spent', r.spent > 0 ? moneyInWords(r.spent, currency) : 'none noted'],
  ];
  return (
    <Box maxW="44rem">
      <PageHeader title={`The year ${year}`} aside={year === yearOf(today) ? 'so far' : ''}>
        {years.length > 1 && (
          <Select
            fit
            label="Year"
            value={String(year)}
            options={years.map((y) => [String(y), String(y)])}
            onChange={(y) => void navigate(`/records/year/${y}`)}
          />
        )}
        <Button asChild variant="outline" bg="sheet">
          <Link to="/records">Records</Link>
        </Button>
      </PageHeader>
      <Box mb={6}>
        {(
          [
            ['On 1 January', r.atStart],
            [year === yearOf(today) ? 'Now' : 'On 31 December', r.atEnd],
          ] as const
        ).map(([when, n]) => (
          <div key={when} className={styles.bar}>
            <span>{when}</span>
            <i style={{ width: `${(100 * n) / most}%` }} aria-hidden />
            <b>{count(n, 'colony', 'colonies')}</b>
          </div>
        ))}
      </Box>
      <dl className={styles.lines}>
        {lines.map(([what, n]) => (
          <div key={what}>
            <dt>{what}</dt>
            <dd>{n}</dd>
          </div>
        ))}
      </dl>
      <YearSpent review={r} />
      <YearResults year={year} />
      <NextYear year={year} />
      <Text color="inkSoft" mt={4}>
        From the records alone: what was not entered is not here.
        {older === 'away' && ' Older visits are on the server and are not counted here while it is away.'}
      </Text>
    </Box>
  );
}
