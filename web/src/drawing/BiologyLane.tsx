import { addDays, dayInWords, daysBetween, type Day } from '@incremen/core/basics';
import type { QueenLane } from '@incremen/core/followup';
import type { LaneScale } from './TimeLane.tsx';

const ROW = 22;
const TOP = 18;

/** In fewer pixels its words are too small to read: it is scrolled. */
const LEAST_WIDTH = 560;

/** Events that are drawn, each in a row of its own: a bar from earliest to latest, a drop on the likely day. */
const DRAWN = ['capped', 'emerges', 'flies', 'eggs', 'cappings'] as const;

/** The biology of one part over the days: what is to be expected when, the days of rest, and the day of decision. */
export function BiologyLane({
  lane,
  decideBy,
  scale,
  today,
}: {
  readonly lane: QueenLane;
  readonly decideBy: Day;
  readonly scale: LaneScale;
  readonly today: Day;
}) {
  const width = scale.days * scale.dayWidth;
  const height = TOP + DRAWN.length * ROW + 4;
  const x = (day: Day) => Math.min(width, Math.max(0, daysBetween(scale.from, day) * scale.dayWidth));
  const end = (day: Day) => x(addDays(day, 1));
  const events = DRAWN.flatMap((id) => lane.events.find((e) => e.id === id) ?? []);
  const restFrom = x(lane.handsOff.from);
  const restTo = end(lane.handsOff.to);
  const decide = x(decideBy) + scale.dayWidth / 2;
  const now = x(today) + scale.dayWidth / 2;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${lane.name}: ${events.map((e) => `${e.words} ${dayInWords(e.window.likely)}`).join(', ')}; decide by ${dayInWords(decideBy)}`}
      style={{ display: 'block', width: '100%', minWidth: Math.min(width, LEAST_WIDTH), maxWidth: width }}
    >
      {Array.from({ length: Math.ceil(scale.days / 7) }, (_, i) => (
        <g key={i}>
          <path d={`M${i * 7 * scale.dayWidth} ${TOP}V${height}`} stroke="var(--chakra-colors-line)" />
          <text x={i * 7 * scale.dayWidth + 2} y={13} fontSize={13} fill="var(--chakra-colors-ink-soft)">
            {dayInWords(addDays(scale.from, i * 7)).slice(4)}
          </text>
        </g>
      ))}
      {restTo > restFrom && (
        <rect
          x={restFrom}
          y={TOP}
          width={restTo - restFrom}
          height={height - TOP}
          fill="var(--chakra-colors-rest-soft)"
          opacity={0.8}
        />
      )}
      {events.map((e, i) => {
        const y = TOP + i * ROW + ROW / 2;
        const from = x(e.window.earliest);
        const to = Math.max(from + 4, end(e.window.latest));
        const likely = x(e.window.likely) + scale.dayWidth / 2;
        const left = to + 8 + e.words.length * 7.2 > width;
        return (
          <g key={e.id}>
            <rect
              x={from}
              y={y - 4}
              width={to - from}
              height={8}
              rx={4}
              fill="var(--chakra-colors-accent)"
              opacity={0.35}
            />
            <circle cx={likely} cy={y} r={5.5} fill="var(--chakra-colors-accent)" />
            <text
              x={left ? from - 8 : to + 8}
              y={y + 4.5}
              fontSize={13}
              textAnchor={left ? 'end' : 'start'}
              fill="var(--chakra-colors-ink)"
            >
              {e.words}
            </text>
            <title>{`${e.words}: ${dayInWords(e.window.earliest)} to ${dayInWords(e.window.latest)}, likely ${dayInWords(e.window.likely)}`}</title>
          </g>
        );
      })}
      {decide < width && (
        <path d={`M${decide} ${TOP}V${height}`} stroke="var(--chakra-colors-alarm)" strokeWidth={2.5} />
      )}
      <path
        d={`M${now} ${TOP}V${height}`}
        stroke="var(--chakra-colors-accent)"
        strokeWidth={1.6}
        strokeDasharray="3 3"
      />
    </svg>
  );
}
