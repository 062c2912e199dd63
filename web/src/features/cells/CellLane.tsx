import { addDays, dayInWords, daysBetween, type Day } from '@incremen/core/basics';
import type { LedgerLine } from '@incremen/core/cells';

const DAYS = 24;
const BEFORE = 4;
const W = 14;

/** A cell's way: open, capped, emerging, with today marked. */
export function CellLane({ line, today }: { readonly line: LedgerLine; readonly today: Day }) {
  const from = addDays(today, -BEFORE);
  const x = (day: Day) => Math.min(DAYS * W, Math.max(0, daysBetween(from, day) * W));
  const bar = (a: Day, b: Day, fill: string) => (
    <rect x={x(a)} y={8} width={Math.max(0, x(b) - x(a))} height={16} fill={fill} />
  );
  const words = `Capped about ${dayInWords(line.capped.likely)}, out about ${dayInWords(line.emerges.likely)}, from ${dayInWords(line.emerges.earliest)} to ${dayInWords(line.emerges.latest)}`;
  return (
    <svg viewBox={`0 0 ${DAYS * W} 32`} width={DAYS * W} height="32" role="img" style={{ maxWidth: '100%' }}>
      <title>{words}</title>
      <rect x="0" y="8" width={DAYS * W} height="16" fill="var(--chakra-colors-sunk)" />
      {bar(addDays(line.capped.likely, -5), line.capped.likely, 'var(--chakra-colors-cell-open)')}
      {bar(line.capped.likely, line.emerges.earliest, 'var(--chakra-colors-cell-capped)')}
      {bar(line.emerges.earliest, addDays(line.emerges.latest, 1), 'var(--chakra-colors-alarm)')}
      <path d={`M${x(today)} 2v28`} stroke="var(--chakra-colors-ink)" strokeWidth="2.5" />
    </svg>
  );
}
