import { floatAt } from '../../basics/index.ts';
import { DRIVERS, WEEKLY, type Driver, type SeasonProblem, type Weekly } from '../course/problem.ts';
import type { End, SeasonBatch } from '../course/batch.ts';

/** One of ten seasons is below, half are, and one of ten is above. */
export type Band = readonly [number, number, number];

/** What the weeks of a season may look like. */
export interface WeekFan {
  readonly colonies: Band;
  readonly frames: Band;
  readonly honey: Band;
}

const SHARES = [0.1, 0.5, 0.9] as const;

/** Bands of a column. */
function bandOf(values: Float64Array): Band {
  const sorted = values.toSorted();
  const at = (share: number) =>
    floatAt(sorted, Math.min(sorted.length - 1, Math.floor(share * sorted.length)));
  return [at(SHARES[0]), at(SHARES[1]), at(SHARES[2])];
}

/** Fans week by week over all seasons that were run. */
export function fansOf(batch: SeasonBatch): WeekFan[] {
  const { seasons, weeks } = batch;
  const column = new Float64Array(seasons);
  const band = (of: Float64Array, w: number) => {
    for (let s = 0; s < seasons; s++) column[s] = floatAt(of, s * weeks + w);
    return bandOf(column);
  };
  return Array.from({ length: weeks }, (_, w) => ({
    colonies: band(batch.colonies, w),
    frames: band(batch.frames, w),
    honey: band(batch.honey, w),
  }));
}

/** The share of seasons that brought all that was wanted, and how far so few seasons may be off it (a normal approximation, one spread). */
export function oddsOf(batch: SeasonBatch): { readonly odds: number; readonly off: number } {
  let met = 0;
  for (const m of batch.met) met += m;
  const odds = met / batch.seasons;
  return { odds, off: Math.sqrt((odds * (1 - odds)) / batch.seasons) };
}

export const meanEnd = (batch: SeasonBatch, end: End): number => {
  let sum = 0;
  for (const x of batch.ends[end]) sum += x;
  return sum / batch.seasons;
};

/** What the odds rest on: how they are in the worst fifth of seasons by one uncertainty, and in the best. */
export interface Rests {
  readonly driver: Driver;
  readonly low: number;
  readonly high: number;
}

const FIFTH = 0.2;
/** Less than this is chance. */
const TELLS = 0.03;

/** The uncertainties that the odds rest on most, the largest first. */
export function restsOn(batch: SeasonBatch, most = 5): Rests[] {
  const { seasons, drivers, met } = batch;
  const few = Math.max(1, Math.floor(FIFTH * seasons));
  return DRIVERS.map((driver, d): Rests => {
    const order = Array.from({ length: seasons }, (_, s) => s).toSorted(
      (a, b) => floatAt(drivers, a * DRIVERS.length + d) - floatAt(drivers, b * DRIVERS.length + d) || a - b,
    );
    const share = (some: readonly number[]) => some.reduce((n, s) => n + (met[s] ?? 0), 0) / some.length;
    return { driver, low: share(order.slice(0, few)), high: share(order.slice(-few)) };
  })
    .filter((r) => Math.abs(r.high - r.low) >= TELLS)
    .toSorted((a, b) => Math.abs(b.high - b.low) - Math.abs(a.high - a.low))
    .slice(0, most);
}

/** Sums by the month of their week, as `2026-05`, in the mean of all seasons. */
export interface MonthLine extends Readonly<Record<Weekly, number>> {
  readonly month: string;
}

/** What the season takes, month by month. */
export function byMonth(problem: SeasonProblem, batch: SeasonBatch): MonthLine[] {
  const lines = new Map<string, Record<Weekly, number>>();
  (problem.weeks[0] ?? []).forEach((week, w) => {
    const month = week.day.slice(0, 7);
    const line =
      lines.get(month) ?? (Object.fromEntries(WEEKLY.map((k) => [k, 0])) as Record<Weekly, number>);
    for (const k of WEEKLY) line[k] += floatAt(batch.spent[k], w) / batch.seasons;
    lines.set(month, line);
  });
  return [...lines].map(([month, line]) => ({ month, ...line }));
}
