import { daysBetween, type Day } from '../basics/index.ts';
import type { FrameSizeId } from '../comb/index.ts';
import { nestOf, operationOf, type Apiary, type Colony, type Reading } from '../records/index.ts';
import { framesBack } from './colonyOn.ts';
import { strengthOf, type Strength } from './strength.ts';

/** What was forecast for the day of a count, from the counts before it, beside what was counted then. */
export interface HeldAgainst {
  readonly day: Day;
  /** Days that the forecast went ahead. */
  readonly ahead: number;
  readonly forecast: Amounts;
  readonly counted: Amounts;
}

/** Frames of bees and brood of the reference size, and kilograms of food. */
export interface Amounts {
  readonly bees: number;
  readonly brood: number;
  readonly foodKg: number;
}

/** Readings this far apart, in days, still make one count. */
const ONE_COUNT_DAYS = 3;
/** A count says something of a forecast when at least so much of the combs was read again. */
const WHOLE_COUNT = 0.8;
/** Nothing can be told of a day or two. */
const LEAST_AHEAD = 3;

/**
 * Every count of a colony held against the forecast that stood before it, oldest first. Counts of a part of its combs,
 * and those of the next day, are left out.
 *
 * @param readings - all readings of the colony's visits
 */
export function heldAgainst(apiary: Apiary, colony: Colony, readings: readonly Reading[]): HeldAgainst[] {
  const { referenceSize } = operationOf(apiary);
  const days = [...new Set(readings.map((r) => r.day))].toSorted();
  return days.flatMap((day, i): HeldAgainst[] => {
    const last = days.slice(0, i).findLast((d) => daysBetween(d, day) > ONE_COUNT_DAYS);
    if (last === undefined) return [];
    const ahead = daysBetween(last, day);
    const then = latestBy(readings, day);
    const fresh = then.filter((r) => daysBetween(r.day, day) <= ONE_COUNT_DAYS);
    if (ahead < LEAST_AHEAD || then.length === 0 || fresh.length / then.length < WHOLE_COUNT) return [];
    // The same combs, so that a comb that came or went makes no error.
    const known = new Set(latestBy(readings, last).map((r) => r.frameId));
    const same = fresh.filter((r) => known.has(r.frameId));
    if (same.length / then.length < WHOLE_COUNT) return [];
    const ids = new Set(same.map((r) => r.frameId));
    const before = readings.filter((r) => r.day <= last && ids.has(r.frameId));
    const now = same.map((r) => ({ ...r, day }));
    return [
      {
        day,
        ahead,
        forecast: amountsOn(apiary, colony, latest(before), day, referenceSize),
        counted: amountsOn(apiary, colony, now, day, referenceSize),
      },
    ];
  });
}

function amountsOn(
  apiary: Apiary,
  colony: Colony,
  readings: readonly Reading[],
  day: Day,
  reference: FrameSizeId,
): Amounts {
  const s: Strength = strengthOf(nestOf(framesBack(apiary, colony, readings, day)), reference);
  return { bees: s.framesOfBees.likely, brood: s.broodFrames.likely, foodKg: s.storesKg.likely };
}

const latestBy = (readings: readonly Reading[], day: Day): Reading[] =>
  latest(readings.filter((r) => r.day <= day));

/** The latest reading of each frame. */
function latest(readings: readonly Reading[]): Reading[] {
  const of = new Map<string, Reading>();
  for (const r of readings) {
    const known = of.get(r.frameId);
    if (!known || known.day <= r.day) of.set(r.frameId, r);
  }
  return [...of.values()];
}

/** How well forecasts have done, over so many counts. */
export interface ForecastScore {
  readonly counts: number;
  /** Counted against forecast, as a factor: above 1 where more was there; with the range that so few counts leave. */
  readonly bees: { readonly low: number; readonly likely: number; readonly high: number };
  /** Half of all counts were off by no more than this share. */
  readonly usuallyWithin: number;
}

/** Before the first count forecasts are taken to be right, as if so many counts had said so. */
const PRIOR_COUNTS = 5;
/** A single count is off by about so much, as a share (common practice, no source). */
const COUNT_ERROR = 0.25;

/**
 * How well forecasts of bees have done. Few counts say little: the factor is drawn towards 1, and its range is wide.
 *
 * @returns null where nothing was counted twice
 */
export function scoreOf(held: readonly HeldAgainst[]): ForecastScore | null {
  const logs = held.flatMap(({ forecast, counted }) =>
    forecast.bees > 0.2 && counted.bees > 0.2 ? [Math.log(counted.bees / forecast.bees)] : [],
  );
  if (logs.length === 0) return null;
  const n = logs.length;
  const mean = logs.reduce((s, l) => s + l, 0) / (n + PRIOR_COUNTS);
  const spread =
    (logs.reduce((s, l) => s + (l - mean) ** 2, 0) + PRIOR_COUNTS * COUNT_ERROR ** 2) / (n + PRIOR_COUNTS);
  // Nine in ten, by the normal distribution of logarithms.
  const width = 1.645 * Math.sqrt(spread / (n + PRIOR_COUNTS));
  const off = logs.map((l) => Math.abs(Math.expm1(l))).toSorted((a, b) => a - b);
  return {
    counts: n,
    bees: { low: Math.exp(mean - width), likely: Math.exp(mean), high: Math.exp(mean + width) },
    usuallyWithin: off[Math.floor(n / 2)] ?? 0,
  };
}

/** What counts say that the forecast should be changed by. */
export interface Lean {
  /** More bees a day than it says, in per cent; fewer where it is negative. One decimal. */
  readonly percentADay: number;
  /** So many counts speak for it that it can be relied on. */
  readonly sure: boolean;
}

/** A rule takes no more than this. */
const MOST_LEAN = 2;

/**
 * By how much a day the forecast of bees was off, drawn towards nothing as long as counts are few.
 *
 * @returns null where nothing was counted twice
 */
export function leanOf(held: readonly HeldAgainst[]): Lean | null {
  const score = scoreOf(held);
  if (!score) return null;
  const rates = held.flatMap(({ forecast, counted, ahead }) =>
    forecast.bees > 0.2 && counted.bees > 0.2 ? [Math.log(counted.bees / forecast.bees) / ahead] : [],
  );
  const mean = rates.reduce((s, r) => s + r, 0) / (rates.length + PRIOR_COUNTS);
  const percent = Math.round(1000 * mean) / 10;
  return {
    percentADay: Math.min(MOST_LEAN, Math.max(-MOST_LEAN, percent)),
    sure: score.bees.low > 1 || score.bees.high < 1,
  };
}
