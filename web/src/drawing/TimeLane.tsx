import { addDays, dayInWords, daysBetween, type Day } from '@incremen/core/basics';
import type { FollowUp } from '@incremen/core/records';
import { followUpInShort } from '@incremen/core/followup';

/** The days that a lane shows, and how wide a day is. */
export interface LaneScale {
  readonly from: Day;
  readonly days: number;
  readonly dayWidth: number;
}

const ROW = 26;

/** The scale above the lanes: weeks by their Mondays' dates, and today. */
export function LaneAxis({ scale, today }: { readonly scale: LaneScale; readonly today: Day }) {
  const width = scale.days * scale.dayWidth;
  const ticks = Array.from({ length: Math.ceil(scale.days / 7) }, (_, i) => i * 7);
  const at = daysBetween(scale.from, today) * scale.dayWidth + scale.dayWidth / 2;
  return (
    <svg width={width} height={36} role="presentation" style={{ display: 'block' }}>
      {ticks.map((d) => (
        <text key={d} x={d * scale.dayWidth + 2} y={14} fontSize={13} fill="var(--chakra-colors-ink-soft)">
          {dayInWords(addDays(scale.from, d)).slice(4)}
        </text>
      ))}
      <rect x={at - 22} y={18} width={44} height={18} rx={9} fill="var(--chakra-colors-accent)" />
      <text
        x={at}
        y={31.5}
        fontSize={13}
        fontWeight={700}
        textAnchor="middle"
        fill="var(--chakra-colors-paper)"
      >
        today
      </text>
    </svg>
  );
}

/** The follow-ups of one colony as a lane: hands-off days as a shaded band, looks as flags in their window. */
export function TimeLane({
  followUps,
  scale,
  today,
  label,
}: {
  readonly followUps: readonly FollowUp[];
  readonly scale: LaneScale;
  readonly today: Day;
  readonly label: string;
}) {
  const width = scale.days * scale.dayWidth;
  const x = (day: Day) => daysBetween(scale.from, day) * scale.dayWidth;
  const end = (day: Day) => x(day) + scale.dayWidth;
  const looks = followUps.filter((f) => f.kind === 'look');
  const height = ROW + 14;
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${label}: ${followUps.map(inWords).join('; ') || 'nothing due'}`}
      style={{ display: 'block' }}
    >
      {Array.from({ length: Math.ceil(scale.days / 7) }, (_, i) => (
        <path
          key={i}
          d={`M${i * 7 * scale.dayWidth} 0v${height}`}
          stroke="var(--chakra-colors-line)"
          strokeWidth={1}
        />
      ))}
      {followUps
        .filter((f) => f.kind === 'hands-off')
        .map((f) => {
          const from = Math.max(0, x(f.window.earliest));
          const to = Math.min(width, end(f.window.latest));
          return (
            <g key={f.id}>
              <rect
                x={from}
                y={8}
                width={Math.max(0, to - from)}
                height={ROW}
                rx={5}
                fill="var(--chakra-colors-rest-soft)"
                stroke="var(--chakra-colors-rest)"
                strokeWidth={1.2}
              />
              {to - from > 76 && (
                <text x={from + 8} y={26} fontSize={13} fill="var(--chakra-colors-rest)" fontWeight={600}>
                  hands off
                </text>
              )}
            </g>
          );
        })}
      {looks.map((f) => {
        const late = f.window.latest < today;
        const colour =
          late || f.window.likely <= today ? 'var(--chakra-colors-alarm)' : 'var(--chakra-colors-accent)';
        const at = x(f.window.likely) + scale.dayWidth / 2;
        return (
          <g key={f.id}>
            <rect
              x={Math.max(0, x(f.window.earliest))}
              y={ROW + 9}
              width={Math.max(6, end(f.window.latest) - Math.max(0, x(f.window.earliest)))}
              height={4}
              rx={2}
              fill={colour}
              opacity={0.55}
            />
            <path d={`M${at} ${ROW + 12}V7`} stroke={colour} strokeWidth={2} />
            <path d={`M${at} 6h15l-4 5.500l4 5.500h-15z`} fill={colour} />
            <title>{inWords(f)}</title>
          </g>
        );
      })}
      <path
        d={`M${x(today) + scale.dayWidth / 2} 0v${height}`}
        stroke="var(--chakra-colors-accent)"
        strokeWidth={1.6}
        strokeDasharray="3 3"
      />
    </svg>
  );
}

function inWords(f: FollowUp): string {
  return f.kind === 'hands-off'
    ? `hands off from ${dayInWords(f.window.earliest)} to ${dayInWords(f.window.latest)}`
    : `${followUpInShort(f)}, ${dayInWords(f.window.earliest)} to ${dayInWords(f.window.latest)}, best ${dayInWords(f.window.likely)}`;
}
