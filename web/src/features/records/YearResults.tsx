import { Box, Button, Text } from '@chakra-ui/react';
import { yearOf } from '@incremen/core/basics';
import { yearResults, type ResultLine, type ResultsBy } from '@incremen/core/colony';
import { useState } from 'react';
import { Link } from 'react-router';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { count } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './YearPage.module.css';

const BY: readonly { readonly id: ResultsBy; readonly label: string }[] = [
  { id: 'method', label: 'By method' },
  { id: 'line', label: 'By line' },
  { id: 'yard', label: 'By yard' },
];
const percent = (p: number) => `${Math.round(100 * p)} %`;

/** How the parts of a year raised their queens, with how sure so few can be. */
export function YearResults({ year }: { readonly year: number }) {
  const apiary = useApiary();
  const today = useToday();
  const [by, setBy] = useState<ResultsBy>('method');
  const lines = yearResults(apiary, year, by, today);
  if (lines.length === 0) return null;
  return (
    <Box as="section" aria-label="How your parts fared" mt={7}>
      <SectionHeading mb={2}>How your parts fared</SectionHeading>
      <Choice label="Told apart" hideLabel value={by} options={BY} onChange={setBy} />
      <dl className={styles.results}>
        {lines.map((l) => (
          <Line key={l.name} line={l} />
        ))}
      </dl>
      <Text color="inkSoft" mt={2}>
        The mark is what to expect next time, the bar how far so few results may be off (eight times in ten).
        They begin from four of five.
      </Text>
    </Box>
  );
}

function Line({ line: { name, raised, failed, open, likely, low, high } }: { readonly line: ResultLine }) {
  const known = raised + failed;
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        {known === 0 ? 'no answer yet' : `${raised} of ${known} raised a queen`}
        {open > 0 && `, ${count(open, 'part')} still open`}
        <span
          className={styles.range}
          role="img"
          aria-label={`${percent(likely)} to be expected, ${percent(low)} to ${percent(high)}`}
        >
          <i style={{ left: `${100 * low}%`, width: `${100 * (high - low)}%` }} />
          <s style={{ left: `${100 * likely}%` }} />
        </span>
      </dd>
    </div>
  );
}

/** What goes over into the next year: the colonies that stand there, and a plan for them. */
export function NextYear({ year }: { readonly year: number }) {
  const apiary = useApiary();
  const today = useToday();
  const { seasonPlan } = useOperation();
  if (year !== yearOf(today)) return null;
  const n = Object.values(apiary.colony).filter((c) => c.endedOn === null && c.hiveId !== null).length;
  const plan = seasonPlan ?? null;
  return (
    <Box as="section" aria-label="What goes over into the next year" mt={7}>
      <SectionHeading mb={1}>What goes over into the next year</SectionHeading>
      <Text mb={3}>
        {count(n, 'colony', 'colonies')} stand there
        {plan &&
          plan.aim.by >= `${year}-01-01` &&
          plan.aim.by < `${year + 1}-01-01` &&
          `; you wanted ${plan.aim.colonies}`}
        . Your own matings, winters and harvests count in the next plan.
      </Text>
      <Button asChild variant="outline" bg="sheet">
        <Link to="/season">Plan the season from here</Link>
      </Button>
    </Box>
  );
}
