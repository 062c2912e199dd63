import { Box, Text } from '@chakra-ui/react';
import type { Apiary } from '@incremen/core/records';
import type { Scored, SeasonProblem, TriedPlan } from '@incremen/core/seasonplan';
import { useState } from 'react';
import { useOperation } from '../../mirror/hooks.ts';
import { mass, one } from '../../ui/format.ts';
import common from '../../ui/common.module.css';
import { seasonSearcher } from '../../workers/seasonPool.ts';
import styles from './Frontier.module.css';

const WIDE = 460;
const HIGH = 170;
const PAD = { left: 52, right: 16, top: 12, bottom: 34 };
/** More points than this cannot be told apart with a finger. */
const MOST = 14;

/** Between more colonies and more honey: each point is a plan, and one tap shows its weeks. */
export function Frontier({
  apiary,
  problem,
  points,
  chosen,
  onChoose,
}: {
  readonly apiary: Apiary;
  readonly problem: SeasonProblem;
  readonly points: readonly Scored[];
  readonly chosen: Scored | null;
  readonly onChoose: (plan: TriedPlan) => void;
}) {
  const { units } = useOperation();
  const [busy, setBusy] = useState<number | null>(null);
  const every = Math.max(1, Math.ceil(points.length / MOST));
  const shown = points.filter((_p, i) => i % every === 0 || i === points.length - 1);
  const colonies = shown.map((p) => p.colonies);
  const honey = shown.map((p) => p.honey);
  const [fewest, mostColonies] = [Math.min(...colonies), Math.max(...colonies)];
  const [least, mostHoney] = [Math.min(...honey), Math.max(...honey)];
  const x = (n: number) =>
    PAD.left + ((WIDE - PAD.left - PAD.right) * (n - fewest)) / Math.max(0.1, mostColonies - fewest);
  const y = (kg: number) =>
    HIGH - PAD.bottom - ((HIGH - PAD.top - PAD.bottom) * (kg - least)) / Math.max(0.1, mostHoney - least);
  const choose = async (i: number) => {
    const point = shown[i];
    if (!point) return;
    setBusy(i);
    const tried = await seasonSearcher().tried(apiary, problem, point.schedule);
    setBusy(null);
    onChoose({ ...tried, scored: { ...tried.scored, schedule: point.schedule } });
  };
  return (
    <Box as="details" mb={5} className={common.noPrint}>
      <summary className={common.summary}>More colonies or more honey: what goes together</summary>
      <Text mb={2} maxW="40rem">
        Each point is a plan that no other beats in both. Tap one to see its weeks.
      </Text>
      <Box position="relative" maxW={`${WIDE}px`}>
        <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className={styles.chart} aria-hidden>
          <polyline
            points={shown.map((p) => `${x(p.colonies)},${y(p.honey)}`).join(' ')}
            className={styles.line}
          />
          <text x={WIDE - PAD.right} y={HIGH - 6} textAnchor="end" className={styles.label}>
            {one(mostColonies)} colonies
          </text>
          <text x={PAD.left} y={HIGH - 6} className={styles.label}>
            {one(fewest)}
          </text>
          <text x={PAD.left - 6} y={PAD.top + 6} textAnchor="end" className={styles.label}>
            {mass(mostHoney, units)}
          </text>
          <text x={PAD.left - 6} y={HIGH - PAD.bottom + 4} textAnchor="end" className={styles.label}>
            {mass(least, units)}
          </text>
        </svg>
        {shown.map((p, i) => (
          <button
            key={`${p.colonies} ${p.honey}`}
            type="button"
            className={styles.point}
            style={{ left: `${(100 * x(p.colonies)) / WIDE}%`, top: `${(100 * y(p.honey)) / HIGH}%` }}
            aria-label={`${one(p.colonies)} colonies and ${mass(p.honey, units)} of honey`}
            aria-pressed={p.schedule === chosen?.schedule}
            data-busy={busy === i || undefined}
            onClick={() => void choose(i)}
          />
        ))}
      </Box>
    </Box>
  );
}
