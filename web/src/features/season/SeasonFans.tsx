import type { Band, WeekFan } from '@incremen/core/seasonplan';
import { useOperation } from '../../mirror/hooks.ts';
import { mass } from '../../ui/format.ts';
import styles from './SeasonPicture.module.css';

/** Room above each fan for its name, and how high each is, in drawing units. */
const HEAD = 24;
const HIGH = { colonies: 96, bees: 56, honey: 56 } as const;

/** So high all fans are together. */
export const FANS_HIGH = 3 * HEAD + HIGH.colonies + HIGH.bees + HIGH.honey;

/** How many colonies, bees and kilograms eight of ten seasons bring, week by week, with the middle one as a line. */
export function SeasonFans({
  fans,
  aim,
  left,
  top,
  x,
}: {
  readonly fans: readonly WeekFan[];
  /** Colonies that are wanted. */
  readonly aim: number;
  readonly left: number;
  readonly top: number;
  /** Where a week ends. */
  readonly x: (week: number) => number;
}) {
  const { units } = useOperation();
  const place = { fans, left, x };
  const bees = top + HEAD + HIGH.colonies;
  const honey = bees + HEAD + HIGH.bees;
  return (
    <>
      <Fan
        {...place}
        name="Colonies"
        top={top + HEAD}
        high={HIGH.colonies}
        of={(f) => f.colonies}
        aim={aim}
        words={String}
        kind="plain"
      />
      <Fan
        {...place}
        name="Frames of bees"
        top={bees + HEAD}
        high={HIGH.bees}
        of={(f) => f.frames}
        words={(n) => String(Math.round(n))}
        kind="plain"
      />
      <Fan
        {...place}
        name="Honey"
        top={honey + HEAD}
        high={HIGH.honey}
        of={(f) => f.honey}
        words={(kg) => mass(kg, units)}
        kind="honey"
      />
    </>
  );
}

function Fan({
  fans,
  left,
  x,
  name,
  top,
  high,
  of,
  aim,
  words,
  kind,
}: {
  readonly fans: readonly WeekFan[];
  readonly left: number;
  readonly x: (week: number) => number;
  readonly name: string;
  readonly top: number;
  readonly high: number;
  readonly of: (f: WeekFan) => Band;
  readonly aim?: number;
  readonly words: (n: number) => string;
  readonly kind: 'plain' | 'honey';
}) {
  const most = 1.05 * Math.max(1, aim ?? 0, ...fans.map((f) => of(f)[2]));
  const y = (n: number) => top + high - (high * n) / most;
  const points = (pick: (b: Band) => number) => fans.map((f, w) => `${x(w + 1)},${y(pick(of(f)))}`);
  const end = fans.at(-1);
  const right = x(fans.length);
  const [low = 0, middle = 0, best = 0] = end ? of(end) : [];
  return (
    <g>
      <text x={4} y={top - 8} className={styles.head}>
        {name}
      </text>
      <line x1={left} x2={right} y1={y(0)} y2={y(0)} className={styles.ground} />
      <polygon
        points={[...points((b) => b[2]), ...points((b) => b[0]).toReversed()].join(' ')}
        className={kind === 'honey' ? styles.honeyFan : styles.fan}
      />
      <polyline
        points={points((b) => b[1]).join(' ')}
        className={kind === 'honey' ? styles.honeyLine : styles.fanLine}
      />
      {aim !== undefined && (
        <>
          <line x1={left} x2={right} y1={y(aim)} y2={y(aim)} className={styles.aim} />
          <text x={left - 6} y={y(aim) + 4} textAnchor="end" className={styles.name}>
            aim {aim}
          </text>
        </>
      )}
      {end && (
        <text
          x={right + 5}
          y={Math.max(top + 10, Math.min(top + high, y(middle) + 4))}
          className={kind === 'honey' ? styles.honeyFigure : styles.figure}
        >
          {kind === 'honey'
            ? words(middle)
            : words(low) === words(best)
              ? words(low)
              : `${words(low)}–${words(best)}`}
        </text>
      )}
    </g>
  );
}
