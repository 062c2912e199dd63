import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainProblem } from '../../testing/seasonWorld/plainSeason.ts';
import { joined, runSeasons, typicalSeason } from './batch.ts';
import type { Round } from './problem.ts';
import { SeasonRun } from './seasonRun.ts';

const hive = { frames: 13, brood: 6, kg: 10 };
const twelve = Array.from({ length: 12 }, (_, i) => ({ frames: 7 + (i % 6), brood: 3 + (i % 4), kg: 8 }));
const round = (
  week: number,
  what: Round['what'],
  parts: number,
  queen: Round['queen'] = 'raises',
): Round => ({
  week,
  yard: -1,
  what,
  queen,
  parts,
});

describe('a season', () => {
  it('is the same for the same seed, however the seasons are shared out', () => {
    const problem = plainProblem({ climate: 'temperate', from: '2026-04-25', weeks: 26, colonies: twelve });
    const schedule = [round(3, 'nucs', 6), round(9, 'halves', 2)];
    const whole = runSeasons(problem, schedule, 0, 60);
    // The later part came back first.
    const parts = joined([runSeasons(problem, schedule, 17, 43), runSeasons(problem, schedule, 0, 17)]);
    expect(typicalSeason(problem, schedule, parts)).toEqual(typicalSeason(problem, schedule, whole));
    expect(parts.ends).toEqual(whole.ends);
    expect(parts.met).toEqual(whole.met);
    expect(parts.colonies).toEqual(whole.colonies);
    expect(runSeasons({ ...problem, seed: 2 }, schedule, 0, 60).ends.frames).not.toEqual(whole.ends.frames);
  });

  it('keeps its books: no bee and no kilogram from nowhere, and none lost', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('temperate' as const, 'maritime' as const, 'continental' as const, 'warm' as const),
        fc.integer({ min: 0, max: 330 }),
        fc.integer({ min: 4, max: 60 }),
        fc.array(
          fc.record({
            week: fc.integer({ min: 0, max: 40 }),
            what: fc.constantFrom(
              'nucs' as const,
              'halves' as const,
              'queen-out' as const,
              'level' as const,
              'unite' as const,
              'come-down' as const,
            ),
            parts: fc.integer({ min: 0, max: 9 }),
            queen: fc.constantFrom('raises' as const, 'mated' as const, 'cell' as const),
          }),
          { maxLength: 4 },
        ),
        fc.integer({ min: 0, max: 1e6 }),
        (climate, from, weeks, rounds, seed) => {
          const problem = plainProblem({
            climate,
            from: new Date(Date.UTC(2026, 0, 1 + from)).toISOString().slice(0, 10),
            weeks,
            colonies: twelve,
            seed,
          });
          const run = new SeasonRun(problem);
          const schedule = rounds.map((r): Round => ({ ...r, yard: -1 })).toSorted((a, b) => a.week - b.week);
          // What stands there in week 0, as far off as counts may be, by a run of no week at all.
          const before = sumsBefore(problem, seed % 7);
          run.run(schedule, seed % 7);
          const bees = run.families.slice(0, run.n).reduce((n, f) => n + (f.alive ? f.bees : 0), 0);
          const kg = run.families.slice(0, run.n).reduce((n, f) => n + (f.alive ? f.kg : 0), 0);
          expect(bees + run.books.died + run.outBees.swarms + run.outBees.dead).toBeCloseTo(
            before.bees + run.books.emerged,
            -1,
          );
          expect(
            kg + run.books.eaten + run.end.honey + run.outKg.wax + run.outKg.swarms + run.outKg.dead,
          ).toBeCloseTo(before.kg + run.books.gathered + run.books.fed, 3);
          for (const f of run.families.slice(0, run.n))
            for (const x of [f.b0, f.b1, f.b2, f.h0, f.h1, f.h2, f.field, f.winter, f.kg, f.combs])
              expect(x).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('doubles with each round of halves where nothing is lost: the closed form', () => {
    const sure = {
      chances: {
        raises: { well: 1e9, ill: 1e-3 },
        accepts: { well: 1e9, ill: 1e-3 },
        wintersGrown: { well: 1e9, ill: 1e-3 },
        wintersYoung: { well: 1e9, ill: 1e-3 },
        flow: 1,
        flowSpread: 0,
      },
      // Everybody is strong enough, so that only the arithmetic is left.
      donors: {
        keepsBees: 0,
        keepsBrood: 0,
        strongForNuc: 1,
        strongForHalves: 1,
        nucBees: 1,
        nucBrood: 0.5,
        nucSlots: 5,
        winterBees: 1,
        levelWithin: 0.75,
      },
    };
    const problem = plainProblem({
      climate: 'warm',
      from: '2026-03-10',
      weeks: 30,
      colonies: [hive, hive, hive],
      change: sure,
    });
    const { ends } = runSeasons(problem, [round(0, 'halves', 3), round(17, 'halves', 6)], 0, 40);
    // Swarms leave a colony behind; a queen that fails late may cost one. Twelve of three is the middle and the most.
    const sorted = ends.colonies.toSorted();
    expect(sorted[20]).toBe(12);
    expect(sorted.at(-1)).toBe(12);
  });

  it('makes no colony that the calendar shuts', () => {
    const late = plainProblem({ climate: 'temperate', from: '2026-09-05', weeks: 20, colonies: twelve });
    expect(runSeasons(late, [round(1, 'nucs', 5)], 0, 10).ends.made.every((n) => n === 0)).toBe(true);
    const early = plainProblem({ climate: 'temperate', from: '2026-02-20', weeks: 6, colonies: twelve });
    expect(runSeasons(early, [round(1, 'halves', 5)], 0, 10).ends.made.every((n) => n === 0)).toBe(true);
  });

  it('is the same season half a year later in the south', () => {
    const north = plainProblem({ climate: 'temperate', from: '2026-04-25', weeks: 26, colonies: twelve });
    const south = plainProblem({
      climate: 'temperate',
      hemisphere: 'south',
      // As far after its midwinter, 21 June, as 25 April is after 21 December.
      from: '2026-10-24',
      weeks: 26,
      colonies: twelve,
    });
    const schedule = [round(4, 'nucs', 5)];
    const mean = (a: Float64Array) => a.reduce((n, x) => n + x, 0) / a.length;
    const [a, b] = [runSeasons(north, schedule, 0, 60).ends, runSeasons(south, schedule, 0, 60).ends];
    expect(mean(b.colonies)).toBeCloseTo(mean(a.colonies), 1);
    expect(Math.abs(mean(b.honey) / mean(a.honey) - 1)).toBeLessThan(0.02);
  });

  it('goes on over the turn of the year: winter takes some, young ones sooner', () => {
    const problem = plainProblem({ climate: 'temperate', from: '2026-07-25', weeks: 38, colonies: twelve });
    const { colonies, seasons, weeks } = runSeasons(problem, [round(0, 'nucs', 6, 'mated')], 0, 200);
    const mean = (w: number) => {
      let sum = 0;
      for (let s = 0; s < seasons; s++) sum += colonies[s * weeks + w] ?? 0;
      return sum / seasons;
    };
    const autumn = mean(12);
    const spring = mean(weeks - 1);
    expect(autumn).toBeGreaterThan(15);
    expect(spring).toBeLessThan(0.92 * autumn);
    expect(spring).toBeGreaterThan(0.6 * autumn);
  });

  it('tells a typical season colony by colony', () => {
    const problem = plainProblem({ climate: 'temperate', from: '2026-04-25', weeks: 26, colonies: twelve });
    const schedule = [round(3, 'nucs', 6)];
    const story = typicalSeason(problem, schedule, runSeasons(problem, schedule, 0, 80));
    expect(story.length).toBeGreaterThanOrEqual(17);
    const young = story.filter((f) => f.round === 0);
    expect(young.every((f) => f.parent >= 0 && f.weeks.length > 0)).toBe(true);
    expect(story.every((f) => f.weeks.length <= 26 - f.from)).toBe(true);
  });
});

/** Bees and kilograms as a season begins with them. */
function sumsBefore(problem: ReturnType<typeof plainProblem>, season: number): { bees: number; kg: number } {
  const none = new SeasonRun({ ...problem, weeks: problem.weeks.map(() => []) });
  none.run([], season);
  const all = none.families.slice(0, none.n);
  return { bees: all.reduce((n, f) => n + f.bees, 0), kg: all.reduce((n, f) => n + f.kg, 0) };
}
