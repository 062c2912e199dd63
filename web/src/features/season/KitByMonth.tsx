import { Box, Text } from '@chakra-ui/react';
import { moneyInWords, monthNamesIn } from '@incremen/core/basics';
import type { MonthLine, SeasonProblem, Weekly, Outlook } from '@incremen/core/seasonplan';
import { useOperation } from '../../mirror/hooks.ts';
import { count, mass } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './Season.module.css';

const NAMES = monthNamesIn('en-GB', 'long');
const monthOf = (month: string) => `${NAMES[Number(month.slice(5)) - 1]} ${month.slice(0, 4)}`;

/** What the season takes month by month, beyond what the store has; comb that must be drawn, the scarcest of all. */
export function KitByMonth({
  problem,
  outlook,
}: {
  readonly problem: SeasonProblem;
  readonly outlook: Outlook;
}) {
  const { units, currency } = useOperation();
  const rows = outlook.months.filter((m) => COLUMNS.some((c) => m[c.of] >= c.least) || m.hours >= 1);
  const whole = (m: MonthLine, of: Weekly) => (m[of] >= 0.3 ? String(Math.ceil(m[of] - 0.2)) : '–');
  const mostComb = Math.max(0, ...outlook.months.map((m) => m.frames));
  return (
    <Box as="section" aria-label="What it takes" mb={6}>
      <SectionHeading mb={1}>What it takes, beyond your store</SectionHeading>
      <Text mb={2} maxW="48rem">
        {count(Math.round(outlook.means.drawn), 'comb')} to be drawn in all
        {mostComb > 1 && `, at most about ${Math.round(mostComb)} in one month`}: comb is the scarcest of all,
        and bees build it only in a flow or on syrup.{' '}
        {problem.storeCombs > 0 && `Your store has ${count(problem.storeCombs, 'drawn comb')}. `}
        In all {mass(outlook.means.sugar, units)} of sugar,{' '}
        {moneyInWords(outlook.means.money, currency, true)}, {Math.round(outlook.means.hours)} hours.
      </Text>
      <Box overflowX="auto" tabIndex={0} role="group" aria-label="What it takes by month">
        <table className={styles.kit}>
          <thead>
            <tr>
              <th scope="col">Month</th>
              {COLUMNS.map((c) => (
                <th key={c.of} scope="col">
                  {c.name}
                </th>
              ))}
              <th scope="col">Sugar</th>
              <th scope="col">Hours</th>
              <th scope="col">Money</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((m) => (
              <tr key={m.month}>
                <th scope="row">{monthOf(m.month)}</th>
                {COLUMNS.map((c) => (
                  <td key={c.of}>{whole(m, c.of)}</td>
                ))}
                <td>{m.sugarKg >= 0.5 ? mass(m.sugarKg, units) : '–'}</td>
                <td>{Math.round(m.hours)}</td>
                <td>{m.money >= 0.5 ? moneyInWords(m.money, currency, true) : '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      <Text color="inkSoft" fontSize="sm" mt={1}>
        Averages over the seasons; prices are your house rules. A hive is floor, box, cover and roof. Order a
        month ahead.
      </Text>
    </Box>
  );
}

const COLUMNS: readonly { readonly of: Weekly; readonly name: string; readonly least: number }[] = [
  { of: 'nucBoxes', name: 'Nuc boxes', least: 0.3 },
  { of: 'hives', name: 'Hives', least: 0.3 },
  { of: 'frames', name: 'Frames to draw', least: 0.3 },
  { of: 'queens', name: 'Queens', least: 0.3 },
  { of: 'cells', name: 'Ripe cells', least: 0.3 },
];
