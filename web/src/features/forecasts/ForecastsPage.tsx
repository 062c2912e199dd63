import { Box, Button, Text } from '@chakra-ui/react';
import { heldAgainst, leanOf, scoreOf, type HeldAgainst } from '@incremen/core/forecast';
import type { Readings } from '@incremen/contract';
import type { Colony } from '@incremen/core/records';
import { HOUSE_RULES, houseRules } from '@incremen/core/rules';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../server/api.ts';
import { useApiary, useOperation } from '../../mirror/hooks.ts';
import { withVisits } from '../../mirror/olderVisits.ts';
import { useTell } from '../../shared/telling/useTell.ts';
import { useAppSelector } from '../../state/store.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';
import styles from './ForecastsPage.module.css';

interface Held {
  readonly colony: Colony;
  readonly held: readonly HeldAgainst[];
}

/** How good the forecasts of all colonies have been, and what to learn from it. */
export function ForecastsPage() {
  const operation = useOperation();
  const { tell, problems, busy } = useTell();
  const all = useHeldOfAll();
  const rules = houseRules(operation.houseRules.changes);
  const held = useMemo(() => (all ?? []).flatMap((c) => c.held), [all]);
  const score = scoreOf(held);
  const lean = leanOf(held);
  const set = (forecastLean: number, said: string) =>
    void tell(
      { type: 'changeSettings', houseRules: { ...operation.houseRules.changes, forecastLean } },
      said,
    );
  return (
    <Box maxW="52rem">
      <PageHeader title="How good the forecasts are" aside="each count against the forecast before it">
        <Button asChild variant="outline" bg="sheet">
          <Link to="/rules">House rules</Link>
        </Button>
      </PageHeader>
      <ProblemList problems={problems} />
      {all === null ? (
        <Text color="inkSoft">Reading the counts…</Text>
      ) : !score || !lean ? (
        <Text>
          No colony has been counted twice yet. From the second count on, this page says how well it did.
        </Text>
      ) : (
        <>
          <Text fontSize="xl" fontWeight="700">
            Half of {count(score.counts, 'forecast')} were within {Math.round(100 * score.usuallyWithin)} % of
            the count.
          </Text>
          <Text mt={2}>
            {lean.percentADay === 0
              ? 'They lean neither way: nothing to learn.'
              : `Your colonies had ${lean.percentADay > 0 ? 'more' : 'fewer'} bees than it said: about ${Math.abs(lean.percentADay)} % a day.`}{' '}
            {lean.percentADay !== 0 && !lean.sure && 'That is too few counts to rely on.'}
          </Text>
          <Box display="flex" gap={3} flexWrap="wrap" mt={3}>
            {lean.percentADay !== 0 && lean.percentADay !== rules.forecastLean && (
              <Button
                loading={busy}
                disabled={!lean.sure}
                onClick={() => set(lean.percentADay, 'Forecasts follow your counts')}
              >
                Let forecasts follow my counts
              </Button>
            )}
            {rules.forecastLean !== HOUSE_RULES.forecastLean.default && (
              <Button variant="outline" bg="sheet" loading={busy} onClick={() => set(0, 'Learning is off')}>
                Switch it off ({rules.forecastLean} % a day now)
              </Button>
            )}
          </Box>
          <SectionHeading mt={6}>By colony</SectionHeading>
          <ByColony all={all} />
        </>
      )}
    </Box>
  );
}

function ByColony({ all }: { readonly all: readonly Held[] }) {
  const scored = all.flatMap(({ colony, held }) => {
    const score = scoreOf(held);
    return score ? [{ colony, score }] : [];
  });
  return (
    <table className={common.table}>
      <thead>
        <tr>
          <th scope="col">Colony</th>
          <th scope="col">Counts</th>
          <th scope="col">Half within</th>
          <th scope="col">Bees, against the forecast</th>
        </tr>
      </thead>
      <tbody>
        {scored.map(({ colony, score }) => (
          <tr key={colony.id}>
            <th scope="row">
              <Link to={`/colonies/${colony.id}`}>{colony.name}</Link>
            </th>
            <td>{score.counts}</td>
            <td>{Math.round(100 * score.usuallyWithin)} %</td>
            <td>
              <Range low={score.bees.low} likely={score.bees.likely} high={score.bees.high} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The picture reaches from half to twice the forecast. */
const at = (factor: number) => 50 + 50 * Math.max(-1, Math.min(1, Math.log2(factor)));

/** A factor with its range on a line on which the middle is the forecast. */
function Range({
  low,
  likely,
  high,
}: {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}) {
  const percent = Math.round(100 * (likely - 1));
  return (
    <svg viewBox="0 0 100 16" width="180" height="28" role="img" className={styles.range}>
      <title>
        {percent > 0 ? '+' : ''}
        {percent} %
      </title>
      <path d="M50 0v16" className={styles.middle} />
      <path d={`M${at(low)} 8H${at(high)}`} className={styles.band} />
      <circle cx={at(likely)} cy="8" r="3.5" className={styles.dot} />
    </svg>
  );
}

/** All counts of all colonies that live, held against their forecasts; null while they are fetched. */
function useHeldOfAll(): readonly Held[] | null {
  const apiary = useApiary();
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const [readings, setReadings] = useState<ReadonlyMap<string, Readings> | null>(null);
  useEffect(() => {
    let left = false;
    const fetchAll = async () => {
      const found = new Map<string, Readings>();
      for (const colony of Object.values(apiary.colony)) {
        if (colony.endedOn !== null || operationId === null) continue;
        const answer = await api.readingsOfColony(operationId, colony.id).catch(() => null);
        if (left) return;
        if (answer) found.set(colony.id, answer);
      }
      setReadings(found);
    };
    void fetchAll();
    return () => {
      left = true;
    };
    // A change of a rule does not change what was counted.
    // eslint-disable-next-line react/exhaustive-deps
  }, [operationId, apiary.reading]);
  return useMemo(
    () =>
      readings &&
      [...readings].flatMap(([id, { readings: own, visits }]): Held[] => {
        const colony = apiary.colony[id];
        return colony ? [{ colony, held: heldAgainst(withVisits(apiary, visits), colony, own) }] : [];
      }),
    [apiary, readings],
  );
}
