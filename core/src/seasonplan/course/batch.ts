import { floatAt } from '../../basics/index.ts';
import { DRIVERS, WEEKLY, type Schedule, type SeasonProblem, type Weekly } from './problem.ts';
import { SeasonRun, type SeasonEnd } from './seasonRun.ts';
import type { FamilyStory } from './story.ts';

/** What of each season is kept. */
const ENDS = [
  'colonies',
  'strong',
  'frames',
  'honey',
  'money',
  'hours',
  'sugar',
  'queens',
  'made',
  'asked',
  'drawn',
] as const;
export type End = (typeof ENDS)[number];

/** Seasons that were run, one after another, column by column. */
export interface SeasonBatch {
  readonly seasons: number;
  readonly weeks: number;
  /** Which season each is. */
  readonly numbers: Float64Array;
  readonly ends: Readonly<Record<End, Float64Array>>;
  /** 1 where everything that was wanted came true. */
  readonly met: Uint8Array;
  /** Season by season, week by week. */
  readonly colonies: Float64Array;
  readonly frames: Float64Array;
  readonly honey: Float64Array;
  /** Season by season, what it was lucky in; see {@link DRIVERS}. */
  readonly drivers: Float64Array;
  /** Sums over all seasons, by week. */
  readonly spent: Readonly<Record<Weekly, Float64Array>>;
  /** Sums over all seasons of what each round made, by its place in the schedule. */
  readonly madeBy: Float64Array;
}

/** Whether a season brought all that was wanted. */
export function isMet({ aim }: SeasonProblem, end: SeasonEnd): boolean {
  return (
    end.strong >= aim.colonies &&
    (!aim.atMost || end.colonies <= aim.colonies) &&
    end.honey >= aim.honeyKg &&
    (aim.moneyMost === null || end.money <= aim.moneyMost) &&
    (aim.hoursMost === null || end.hours <= aim.hoursMost)
  );
}

/** Runs so many seasons from one on. The same seed gives the same, however the seasons are shared out. */
export function runSeasons(
  problem: SeasonProblem,
  schedule: Schedule,
  first: number,
  seasons: number,
): SeasonBatch {
  const run = new SeasonRun(problem);
  const weeks = run.length;
  const column = () => new Float64Array(seasons);
  const ends = Object.fromEntries(ENDS.map((k) => [k, column()])) as Record<End, Float64Array>;
  const batch = {
    seasons,
    weeks,
    numbers: Float64Array.from({ length: seasons }, (_, s) => first + s),
    ends,
    met: new Uint8Array(seasons),
    colonies: new Float64Array(seasons * weeks),
    frames: new Float64Array(seasons * weeks),
    honey: new Float64Array(seasons * weeks),
    drivers: new Float64Array(seasons * DRIVERS.length),
    spent: Object.fromEntries(WEEKLY.map((k) => [k, new Float64Array(weeks)])) as Record<
      Weekly,
      Float64Array
    >,
    madeBy: new Float64Array(schedule.length),
  };
  for (let s = 0; s < seasons; s++) {
    const end = run.run(schedule, first + s);
    for (const k of ENDS) ends[k][s] = end[k];
    batch.met[s] = isMet(problem, end) ? 1 : 0;
    batch.colonies.set(run.colonies, s * weeks);
    batch.frames.set(run.frames, s * weeks);
    batch.honey.set(run.honey, s * weeks);
    batch.drivers.set(run.drivers, s * DRIVERS.length);
    for (const k of WEEKLY) {
      const sum = batch.spent[k];
      const one = run.spent[k];
      for (let w = 0; w < weeks; w++) sum[w] = floatAt(sum, w) + floatAt(one, w);
    }
    run.madeBy.forEach((n, i) => (batch.madeBy[i] = floatAt(batch.madeBy, i) + n));
  }
  return batch;
}

/** Batches of one schedule in one, as if they had been run in one go. */
export function joined(parts: readonly SeasonBatch[]): SeasonBatch {
  // Whoever ran them, and whichever came back first: their order is that of their numbers.
  const batches = parts.toSorted((a, b) => floatAt(a.numbers, 0) - floatAt(b.numbers, 0));
  const [first] = batches;
  if (!first) throw new Error('there must be a batch to join');
  if (batches.length === 1) return first;
  const cat = (of: (b: SeasonBatch) => Float64Array) => {
    const all = new Float64Array(batches.reduce((n, b) => n + of(b).length, 0));
    let at = 0;
    for (const b of batches) {
      all.set(of(b), at);
      at += of(b).length;
    }
    return all;
  };
  const sum = (of: (b: SeasonBatch) => Float64Array) => {
    const all = new Float64Array(of(first).length);
    for (const b of batches) of(b).forEach((x, i) => (all[i] = floatAt(all, i) + x));
    return all;
  };
  const met = new Uint8Array(batches.reduce((n, b) => n + b.seasons, 0));
  let at = 0;
  for (const b of batches) {
    met.set(b.met, at);
    at += b.seasons;
  }
  return {
    seasons: met.length,
    weeks: first.weeks,
    numbers: cat((b) => b.numbers),
    ends: Object.fromEntries(ENDS.map((k) => [k, cat((b) => b.ends[k])])) as Record<End, Float64Array>,
    met,
    colonies: cat((b) => b.colonies),
    frames: cat((b) => b.frames),
    honey: cat((b) => b.honey),
    drivers: cat((b) => b.drivers),
    spent: Object.fromEntries(WEEKLY.map((k) => [k, sum((b) => b.spent[k])])) as Record<Weekly, Float64Array>,
    madeBy: sum((b) => b.madeBy),
  };
}

/** The season out of so many that ends nearest to the middle: the one that is drawn. */
export function typicalSeason(
  problem: SeasonProblem,
  schedule: Schedule,
  batch: SeasonBatch,
): readonly FamilyStory[] {
  const middle = (of: Float64Array) => of.toSorted()[of.length >> 1] ?? 0;
  const colonies = middle(batch.ends.colonies);
  const honey = middle(batch.ends.honey);
  const frames = middle(batch.ends.frames);
  let best = 0;
  let least = Infinity;
  for (let s = 0; s < batch.seasons; s++) {
    const off =
      3 * Math.abs(floatAt(batch.ends.colonies, s) - colonies) +
      Math.abs(floatAt(batch.ends.honey, s) - honey) / (10 + honey / 10) +
      Math.abs(floatAt(batch.ends.frames, s) - frames) / (5 + frames / 10);
    if (off < least) {
      least = off;
      best = s;
    }
  }
  const run = new SeasonRun(problem);
  run.run(schedule, floatAt(batch.numbers, best), true);
  return run.story ?? [];
}
