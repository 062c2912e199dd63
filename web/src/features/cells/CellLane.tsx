import { addDays, dayInWords, daysBetween, type Day } from '@incremen/core/basics';
import type { LedgerLine } from '@incremen/core/cells';

const DAYS = 24;
const BEFORE = 4;
const W = 14;
const TOP = 18;
const BAR = 16;

/** Day and month, without the weekday: there is little room. */
const short = (day: Day) => dayInWords(day).slice(4);

/** A cell's way: open, capped, emerging, with its days and today marked. */
export function CellLane({ line, today }: { readonly line: LedgerLine; readonly today: Day }) {
  const from = addDays(today, -BEFORE);
  const x = (day: Day) => Math.min(DAYS * W, Math.max(0, daysBetween(from, day) * W));
  const bar = (a: Day, b: Day, fill: string) => (
    <rect x={x(a)} y={TOP} width={Math.max(0, x(b) - x(a))} height={BAR} fill={fill} />
  );
  const { capped, emerges } = line;
  const words = `Capped about ${dayInWords(capped.likely)}, out about ${dayInWords(emerges.likely)}, from ${dayInWords(emerges.earliest)} to ${dayInWords(emerges.latest)}`;
  // A day outside of the lane, or hard beside another that is named, is only in the words.
  const named = [
    { day: capped.likely, says: `capped ${short(capped.likely)}` },
    { day: emerges.earliest, says: `out ${short(emerges.earliest)}` },
  ].filter(({ day }) => x(day) > 0 && x(day) < DAYS * W);
  const crowded = named.length === 2 && x(emerges.earliest) - x(capped.likely) < 100;
  return (
    <svg viewBox={`0 0 ${DAYS * W} 56`} width={DAYS * W} height="56" role="img" style={{ maxWidth: '100%' }}>
      <title>{words}</title>
      <rect x="0" y={TOP} width={DAYS * W} height={BAR} fill="var(--chakra-colors-sunk)" />
      {bar(addDays(capped.likely, -5), capped.likely, 'var(--chakra-colors-cell-open)')}
      {bar(capped.likely, emerges.earliest, 'var(--chakra-colors-cell-capped)')}
      {bar(emerges.earliest, addDays(emerges.latest, 1), 'var(--chakra-colors-alarm)')}
      {Array.from({ length: DAYS + 1 }, (_, i) => (
        <path
          key={i}
          d={`M${i * W} ${TOP + BAR}v${daysBetween(today, addDays(from, i)) % 7 === 0 ? 6 : 3}`}
          stroke="var(--chakra-colors-ink-soft)"
        />
      ))}
      {named.slice(crowded ? 1 : 0).map(({ day, says }) => (
        <text
          key={says}
          x={x(day)}
          y={TOP + BAR + 18}
          fontSize="13"
          textAnchor={x(day) > DAYS * W - 70 ? 'end' : x(day) < 60 ? 'start' : 'middle'}
          fill="var(--chakra-colors-ink)"
        >
          {says}
        </text>
      ))}
      <text
        x={x(today)}
        y="11"
        fontSize="13"
        fontWeight="700"
        textAnchor="middle"
        fill="var(--chakra-colors-ink)"
      >
        today
      </text>
      <path d={`M${x(today)} ${TOP - 4}v${BAR + 8}`} stroke="var(--chakra-colors-ink)" strokeWidth="2.5" />
    </svg>
  );
}
