import {
  buildProblem,
  evaluate,
  gapOf,
  proofsOf,
  proveYard,
  YardSearch,
  type Solver,
} from '@incremen/core/yardplan';
import { newYardPlanRequest, NUC_RECIPES, type YardGoal, type YardPlanRequest } from '@incremen/core/records';
import loadSolver from 'highs';
import { generatedYards } from '@incremen/core/testing';
import { median } from './statistics.ts';

/** Yards as a sideline keeper has them, and larger: colonies, nucs asked for, yards, and the gap to aim for. */
const SIZES = [
  { colonies: 12, nucs: 3, yards: 1, seconds: 1, gap: 0.005 },
  { colonies: 12, nucs: 6, yards: 1, seconds: 1, gap: 0.005 },
  { colonies: 30, nucs: 8, yards: 1, seconds: 2, gap: 0.02 },
  { colonies: 60, nucs: 15, yards: 1, seconds: 5, gap: 0.03 },
  { colonies: 120, nucs: 30, yards: 6, seconds: 8, gap: 0.03 },
  { colonies: 240, nucs: 60, yards: 12, seconds: 8, gap: 0.03 },
] as const;

const SEEDS = [1, 2, 3] as const;
/** The most nucs are looked for no longer than this. */
const MOST_MS = 40_000;

/** Plans for generated yards: first plan, how soon it is as good as it gets, and how far from the proven bound. */
export async function benchYardPlans(): Promise<void> {
  const solver = await loadSolver();
  console.log('\nPlanner of yards: nucs by the five-frame recipe, own queens (one core)');
  console.log(
    'colonies/nucs   problem  first plan   price first → found by search   by the proof   its gap, median (each), at the end; when it was to be reached, as shown then and by the last bound   within, each   heap',
  );
  for (const size of SIZES) {
    const runs = SEEDS.map((seed) => measure(size, seed, solver));
    const mid = (pick: (r: (typeof runs)[number]) => number) => median(runs.map(pick));
    console.log(
      `${`${size.colonies}/${size.nucs}`.padEnd(12)} ${ms(mid((r) => r.buildMs))} ${ms(mid((r) => r.firstMs))}` +
        `   ${mid((r) => r.firstPrice)
          .toFixed(1)
          .padStart(8)} → ${mid((r) => r.price)
          .toFixed(1)
          .padStart(6)}` +
        ` in ${size.seconds} s` +
        ` → ${mid((r) => r.proven)
          .toFixed(1)
          .padStart(6)} with the proof` +
        `   ${percent(mid((r) => r.gap))} (${runs.map((r) => percent(r.gap).trim()).join(', ')})` +
        ` in ${ms(mid((r) => r.boundMs)).trim()}` +
        `   after ${size.seconds} s shown ${runs.map((r) => percent(r.gapAfter(size.seconds)).trim()).join(', ')}` +
        ` and true ${runs.map((r) => percent(r.planAfter(size.seconds)).trim()).join(', ')}` +
        [...new Set([0.01, 0.03, size.gap])]
          .map(
            (share) => `   ${percent(share).trim()}: ${runs.map((r) => since(r.within(share))).join(', ')}`,
          )
          .join('') +
        `   ${Math.round(mid((r) => r.heapMb))} MB`,
    );
  }
  console.log('as many nucs as possible: found / at most, and when each was known');
  for (const colonies of [6, 12, 30]) {
    const runs = SEEDS.map((seed) => most(colonies, seed, solver));
    console.log(
      `${String(colonies).padEnd(12)} ${runs.map((r) => `${r.made} / ${r.atMost ?? '?'} after ${since(r.madeMs)} / ${since(r.atMostMs)}`).join('   ')}`,
    );
  }
  survive(solver);
}

/** How many nucs a proof comes upon when all that may be are wanted, how many there can be, and when each was known. */
function most(colonies: number, seed: number, solver: Solver) {
  const apiary = generatedYards({ colonies, yards: 1, seed });
  const built = buildProblem(apiary, requestFor(Object.keys(apiary.yard), null));
  if (!built.ok) throw new Error(built.problems[0]?.message);
  const started = performance.now();
  const known = { made: 0, madeMs: 0, atMost: null as number | null, atMostMs: 0 };
  for (const { better, mostNucs } of proofsOf(built.value, solver)) {
    const made = better ? evaluate(built.value, better.plan).nucsMade : 0;
    const now = performance.now() - started;
    if (made !== known.made) Object.assign(known, { made, madeMs: now });
    if (mostNucs !== known.atMost) Object.assign(known, { atMost: mostNucs, atMostMs: now });
    if (made === mostNucs || now > MOST_MS) break;
  }
  return known;
}

const percent = (share: number) => `${(100 * share).toFixed(1).padStart(6)} %`;
const since = (after: number | null) => (after === null ? 'not' : `${(after / 1000).toFixed(1)} s`);
const ms = (n: number) => `${Math.round(n)} ms`.padStart(9);

function requestFor(yardIds: string[], count: number | null, more: YardGoal[] = []): YardPlanRequest {
  const recipe = NUC_RECIPES[0]?.recipe;
  if (!recipe) throw new Error('there must be a recipe');
  return {
    ...newYardPlanRequest(yardIds, '2026-05-15'),
    goals: [{ id: 'n', kind: 'makeNucs', count, recipe, importance: 2 }, ...more],
  };
}

function measure(size: (typeof SIZES)[number], seed: number, solver: Solver) {
  const apiary = generatedYards({ colonies: size.colonies, yards: size.yards, seed });
  const request = requestFor(Object.keys(apiary.yard), size.nucs);
  const t0 = performance.now();
  const built = buildProblem(apiary, request);
  if (!built.ok) throw new Error(built.problems[0]?.message);
  const t1 = performance.now();
  const search = new YardSearch(built.value);
  search.first();
  const t2 = performance.now();
  const firstPrice = search.best().price;
  while (performance.now() - t2 < size.seconds * 1000) search.round();
  const { price, plan, feasible } = search.best();
  const seen = evaluate(built.value, plan);
  if (!feasible || seen.broken.length > 0) throw new Error('a plan that breaks a rule was returned');
  const t3 = performance.now();
  const gaps: [gap: number, at: number][] = [];
  const plans: [price: number, at: number][] = [];
  let last: number | null = null;
  // The proof by itself, with its own plans: in the application it works beside the search.
  let proven = Infinity;
  for (const { bound, better } of proofsOf(built.value, solver)) {
    proven = better?.price ?? proven;
    last = bound;
    plans.push([proven, performance.now() - t3]);
    gaps.push([bound === null || !better ? 1 : gapOf(proven, bound), performance.now() - t3]);
  }
  return {
    buildMs: t1 - t0,
    firstMs: t2 - t1,
    firstPrice,
    price,
    proven,
    gap: gaps.at(-1)?.[0] ?? 1,
    gapAfter: (seconds: number) => gaps.findLast(([, at]) => at <= seconds * 1000)?.[0] ?? 1,
    /** How far the plan of that moment is from the bound that was shown in the end. */
    planAfter: (seconds: number) => {
      const found = plans.findLast(([, at]) => at <= seconds * 1000)?.[0] ?? Infinity;
      return last === null || found === Infinity ? 1 : gapOf(found, last);
    },
    /** When the gap was that small; null when it never was. */
    within: (share: number) => gaps.find(([gap]) => gap <= share)?.[1] ?? null,
    boundMs: gaps.at(-1)?.[1] ?? 0,
    heapMb: process.memoryUsage().rss / 2 ** 20,
  };
}

/** Five hundred proofs in a row with one solver: usual ones, such as have no solution, and such as are cut off. */
function survive(solver: Solver): void {
  const apiary = generatedYards({ colonies: 5, seed: 7 });
  const yardIds = Object.keys(apiary.yard);
  const before = process.memoryUsage().rss;
  const started = performance.now();
  let shown = 0;
  for (let i = 0; i < 500; i++) {
    const built = buildProblem(apiary, requestFor(yardIds, 1 + (i % 5)));
    if (!built.ok) throw new Error(built.problems[0]?.message);
    const { bound } = proveYard(built.value, solver, i % 25 === 0 ? 'thorough' : 'quick');
    if (bound !== null) shown++;
  }
  const grown = (process.memoryUsage().rss - before) / 2 ** 20;
  console.log(
    `500 proofs in a row: ${shown} bounds, ${Math.round((performance.now() - started) / 500)} ms each, memory ${grown >= 0 ? '+' : ''}${Math.round(grown)} MB`,
  );
}
