import { Box, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { heldAgainst, scoreOf, type ForecastScore } from '@incremen/core/forecast';
import type { Apiary, Colony, Reading } from '@incremen/core/records';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useOperation } from '../../mirror/hooks.ts';
import { count, one, smallMass } from '../../ui/format.ts';
import common from '../../ui/common.module.css';

/** What the forecast said for the day of each count, beside what was counted. */
export function ForecastHeld({
  colony,
  apiary,
  readings,
}: {
  readonly colony: Colony;
  readonly apiary: Apiary;
  readonly readings: readonly Reading[];
}) {
  const { units } = useOperation();
  const held = useMemo(() => heldAgainst(apiary, colony, readings), [apiary, colony, readings]);
  const score = scoreOf(held);
  if (!score) return null;
  return (
    <Box as="details" mt={3}>
      <summary className={common.summary}>How good the forecast was</summary>
      <Text mt={2} mb={3} maxW="40rem">
        {scoreInWords(score)}{' '}
        <Link className={common.inlineLink} to="/forecasts">
          All colonies
        </Link>
      </Text>
      <table className={common.table}>
        <thead>
          <tr>
            <th scope="col">Counted on</th>
            <th scope="col">Days ahead</th>
            <th scope="col">Bees: forecast, counted</th>
            <th scope="col">Brood</th>
            <th scope="col">Food</th>
          </tr>
        </thead>
        <tbody>
          {held.map((h) => (
            <tr key={h.day}>
              <th scope="row">{dayInWords(h.day)}</th>
              <td>{h.ahead}</td>
              <td>
                {one(h.forecast.bees)}, <b>{one(h.counted.bees)}</b>
              </td>
              <td>
                {one(h.forecast.brood)}, <b>{one(h.counted.brood)}</b>
              </td>
              <td>
                {smallMass(h.forecast.foodKg, units)}, <b>{smallMass(h.counted.foodKg, units)}</b>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Box>
  );
}

/** A factor this near to 1 is no difference. */
const SAME = 0.05;

function scoreInWords({ counts, bees, usuallyWithin }: ForecastScore): string {
  const off = `Half of ${count(counts, 'forecast')} were within ${Math.round(100 * usuallyWithin)} % of the count.`;
  const sure = bees.low > 1 || bees.high < 1;
  const by = Math.round(100 * Math.abs(bees.likely - 1));
  if (Math.abs(bees.likely - 1) < SAME) return `${off} They lean neither way.`;
  const leans = bees.likely > 1 ? 'more' : 'fewer';
  return sure
    ? `${off} There are about ${by} % ${leans} bees here than it says.`
    : `${off} So far ${leans} bees were there than it said; too few counts to rely on that.`;
}
