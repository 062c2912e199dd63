import { Box } from '@chakra-ui/react';
import { dayInWords, daysBetween, type Day } from '@incremen/core/basics';
import { PHASE_WORDS, type SeasonPhase } from '@incremen/core/season';
import { MAKES, type FamilyStory, type SeasonProblem, type WeekFan } from '@incremen/core/seasonplan';
import type { SeasonRound } from '@incremen/core/records';
import { useMemo } from 'react';
import { count, mass } from '../../ui/format.ts';
import { useOperation } from '../../mirror/hooks.ts';
import { FANS_HIGH, SeasonFans } from './SeasonFans.tsx';
import { colonySpan } from './seasonWords.ts';
import styles from './SeasonPicture.module.css';

/** Room for names at the left and figures at the right, in drawing units. */
const LEFT = 96;
const RIGHT = 56;
const WEEK = 22;
const ROW = 20;
const BAND = 40;
const MONTHS = 16;
/** A hive is drawn every so many weeks. */
const EVERY = 2;
/** A short season is not blown up. */
const MOST_SCALE = 1.35;
/** Frames of bees of a hive that is drawn at its highest. */
const FULL = 18;

const PHASE_FILL: Readonly<Record<SeasonPhase, string>> = {
  winter: 'var(--chakra-colors-line)',
  spring: 'color-mix(in srgb, var(--chakra-colors-receiver2) 25%, transparent)',
  'build-up': 'color-mix(in srgb, var(--chakra-colors-receiver1) 40%, transparent)',
  'main-flow': 'color-mix(in srgb, var(--chakra-colors-near) 45%, transparent)',
  dearth: 'color-mix(in srgb, var(--chakra-colors-ink-soft) 18%, transparent)',
  'autumn-flow': 'color-mix(in srgb, var(--chakra-colors-near) 28%, transparent)',
  autumn: 'color-mix(in srgb, var(--chakra-colors-wood) 22%, transparent)',
};

/**
 * A season on one page: the calendar on top, each colony as small hives that appear, grow and unite week by week, the honey beside
 * the flow, and below how many colonies eight of ten seasons bring.
 */
export function SeasonPicture({
  problem,
  rounds,
  story,
  fans,
}: {
  readonly problem: SeasonProblem;
  readonly rounds: readonly SeasonRound[];
  readonly story: readonly FamilyStory[];
  readonly fans: readonly WeekFan[];
}) {
  const { units } = useOperation();
  const weeks = problem.weeks[0] ?? [];
  const rows = useMemo(() => rowsOf(story), [story]);
  const rowOf = useMemo(() => new Map(rows.map((i, row) => [i, row])), [rows]);
  const width = LEFT + weeks.length * WEEK + RIGHT;
  const top = MONTHS + BAND;
  const lanes = rows.length * ROW;
  const height = top + lanes + FANS_HIGH + 30;
  const x = (week: number) => LEFT + week * WEEK;
  const y = (index: number) => top + (rowOf.get(index) ?? 0) * ROW;
  const last = fans.at(-1);
  const said = last
    ? `${count(problem.starts.length, 'colony', 'colonies')} on ${dayInWords(problem.from)}; at the end ${last.colonies[1]} in the middle season, ${colonySpan(last.colonies)} in eight of ten; honey ${mass(last.honey[1], units)}, ${mass(last.honey[0], units)} to ${mass(last.honey[2], units)}.`
    : '';
  return (
    <Box className={styles.scroll} tabIndex={0} role="group" aria-label="The season, week by week">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className={styles.picture}
        style={{ minWidth: Math.min(width, 620), maxWidth: width * MOST_SCALE }}
        role="img"
        aria-label={said}
      >
        <Phases weeks={weeks} x={x} height={top + lanes} />
        {rounds.map((r) => {
          const week = daysBetween(problem.from, r.day) / 7;
          return (
            <g key={`${r.day}${r.what}`}>
              <line x1={x(week)} x2={x(week)} y1={top - 4} y2={top + lanes} className={styles.round} />
              <circle
                cx={x(week)}
                cy={top - 8}
                r={MAKES.has(r.what) ? 5 : 3.5}
                className={styles.roundMark}
              />
            </g>
          );
        })}
        {rows.map((i) => {
          const f = story[i];
          return f ? <Lane key={i} family={f} index={i} problem={problem} story={story} x={x} y={y} /> : null;
        })}
        <SeasonFans fans={fans} aim={problem.aim.colonies} left={LEFT} top={top + lanes} x={x} />
        <Months weeks={weeks} x={x} y={height - 6} />
      </svg>
    </Box>
  );
}

/** Colonies in the order of their birth, each below the one that it was made of. */
function rowsOf(story: readonly FamilyStory[]): number[] {
  const children = new Map<number, number[]>();
  story.forEach((f, i) => {
    if (f.parent < 0) return;
    const own = children.get(f.parent) ?? [];
    own.push(i);
    children.set(f.parent, own);
  });
  const rows: number[] = [];
  const put = (i: number) => {
    rows.push(i);
    for (const c of children.get(i) ?? []) put(c);
  };
  story.forEach((f, i) => {
    if (f.parent < 0) put(i);
  });
  return rows;
}

function Lane({
  family,
  index,
  problem,
  story,
  x,
  y,
}: {
  readonly family: FamilyStory;
  readonly index: number;
  readonly problem: SeasonProblem;
  readonly story: readonly FamilyStory[];
  readonly x: (week: number) => number;
  readonly y: (index: number) => number;
}) {
  const base = y(index) + ROW - 4;
  const until = family.from + family.weeks.length;
  const start = family.start === null ? undefined : problem.starts[family.start];
  const host = family.end === 'united' ? family.unitedInto : -1;
  return (
    <g>
      <line x1={x(family.from)} x2={x(until)} y1={base} y2={base} className={styles.ground} />
      {start && (
        <text x={LEFT - 6} y={base} textAnchor="end" className={styles.name}>
          {start.name}
        </text>
      )}
      {family.parent >= 0 && (
        <path d={`M${x(family.from)} ${y(family.parent) + ROW - 4}V${base}`} className={styles.birth} />
      )}
      {host >= 0 && story[host] && (
        <path d={`M${x(until)} ${base}V${y(host) + ROW - 4}`} className={styles.union} />
      )}
      {family.end === 'dead' && (
        <path d={`M${x(until) - 4} ${base - 9}l8 8m0 -8l-8 8`} className={styles.dead} />
      )}
      {family.weeks.map((w, k) => {
        const week = family.from + k;
        if ((week % EVERY !== 0 && k !== 0) || week >= until) return null;
        const high = 3 + (11 * Math.min(FULL, w.frames)) / FULL;
        const wide = w.nuc ? 7 : 11;
        const left = x(week) + (WEEK * EVERY - wide) / 2 - (k === 0 && week % EVERY !== 0 ? WEEK / 2 : 0);
        return (
          <g key={k}>
            <rect
              x={left}
              y={base - high}
              width={wide}
              height={high}
              rx={1}
              className={w.lays ? styles.hive : styles.raising}
            />
            <path d={`M${left - 1} ${base - high}h${wide + 2}`} className={styles.roof} />
          </g>
        );
      })}
    </g>
  );
}

function Phases({
  weeks,
  x,
  height,
}: {
  readonly weeks: SeasonProblem['weeks'][number];
  readonly x: (week: number) => number;
  readonly height: number;
}) {
  const spells: { phase: SeasonPhase; from: number; to: number }[] = [];
  weeks.forEach((w, i) => {
    const last = spells.at(-1);
    if (last && last.phase === w.phase) last.to = i + 1;
    else spells.push({ phase: w.phase, from: i, to: i + 1 });
  });
  return (
    <g>
      {spells.map((s) => (
        <g key={s.from}>
          <rect
            x={x(s.from)}
            y={MONTHS}
            width={x(s.to) - x(s.from)}
            height={BAND - 16}
            fill={PHASE_FILL[s.phase]}
          />
          <rect
            x={x(s.from)}
            y={MONTHS + BAND - 16}
            width={x(s.to) - x(s.from)}
            height={height - MONTHS - BAND + 16}
            fill={PHASE_FILL[s.phase]}
            opacity={0.18}
          />
          {/* A spell too short for its name is named by its colour alone. */}
          {x(s.to) - x(s.from) > 7 * PHASE_WORDS[s.phase].length && (
            <text x={(x(s.from) + x(s.to)) / 2} y={MONTHS + 16} textAnchor="middle" className={styles.phase}>
              {PHASE_WORDS[s.phase]}
            </text>
          )}
        </g>
      ))}
      <Months weeks={weeks} x={x} y={11} />
    </g>
  );
}

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' });
const monthOf = (day: Day) => MONTH.format(new Date(`${day}T00:00:00Z`));

function Months({
  weeks,
  x,
  y,
}: {
  readonly weeks: SeasonProblem['weeks'][number];
  readonly x: (week: number) => number;
  readonly y: number;
}) {
  return weeks.map((w, i) => {
    const isFirst =
      i === 0
        ? weeks[1]?.day.slice(5, 7) === w.day.slice(5, 7)
        : weeks[i - 1]?.day.slice(5, 7) !== w.day.slice(5, 7);
    return isFirst ? (
      <text key={w.day} x={x(i) + 2} y={y} className={styles.month}>
        {monthOf(w.day)}
        {w.day.slice(5, 7) === '01' ? ` ${w.day.slice(0, 4)}` : ''}
      </text>
    ) : null;
  });
}
