import { describe, expect, it } from 'vitest';
import { demoScenario } from '../../demo/index.ts';
import { seededIds } from '../../demo/seededIds.ts';
import type { SeasonRound } from '../../records/index.ts';
import { TestYard } from '../../testing/builders.ts';
import { brood, honey } from '../../testing/scene.ts';
import { plainAim } from '../../testing/seasonWorld/plainSeason.ts';
import { runSeasons, typicalSeason } from '../course/batch.ts';
import { roundOf, seasonProblem, storedRound } from '../start/seasonProblem.ts';
import { triedPlan } from './triedPlan.ts';
import { tryRounds } from './tryRounds.ts';

const DAY = '2026-05-15';
const NEST_OF_TEN = [honey, honey, brood, brood, brood, brood, brood, brood, honey, honey];
const aim = plainAim({ colonies: 18, by: '2026-10-10', strongFrames: 5, honeyKg: 60, weekendsOnly: true });
const { apiary } = demoScenario();
const problem = seasonProblem(apiary, aim, DAY, 1);
const round = (
  day: string,
  what: SeasonRound['what'],
  parts: number,
  queen: SeasonRound['queen'] = 'raises',
): SeasonRound => ({
  day,
  yardId: null,
  what,
  queen,
  parts,
});

function tried(rounds: readonly SeasonRound[]) {
  const schedule = rounds.map((r) => roundOf(problem, r));
  const story = typicalSeason(problem, schedule, runSeasons(problem, schedule, 0, 80));
  return tryRounds(apiary, problem, rounds, story, seededIds(5), null);
}

describe('rounds tried in the planner of a day', () => {
  it('begins from the colonies as the clock has them', () => {
    const tansy = problem.starts.find((s) => s.name === 'Tansy');
    expect(problem.starts.length).toBe(Object.values(apiary.colony).filter((c) => c.endedOn === null).length);
    expect((tansy?.field ?? 0) + (tansy?.house.reduce((n, h) => n + h, 0) ?? 0)).toBeGreaterThan(15 * 2288);
    // Who raises a queen is waited for.
    expect(problem.starts.some((s) => !s.lays && s.wait > 0)).toBe(true);
  });

  it('makes what the colonies can give, soon and later, and says what they cannot', () => {
    const [soon, later] = tried([round('2026-05-16', 'nucs', 5), round('2026-06-27', 'nucs', 4, 'mated')]);
    expect(soon?.possible).toBe(5);
    expect(soon?.donors[0]?.names.length).toBeGreaterThan(0);
    expect(soon?.donors[0]?.yard).toBe('Sallow Bank');
    expect(later?.possible).toBeGreaterThan(1);
    const [tooMany] = tried([round('2026-05-16', 'nucs', 60)]);
    expect(tooMany?.possible).toBeLessThan(60);
    expect(tooMany?.why).not.toBeNull();
    const [late] = tried([round('2026-09-12', 'nucs', 2)]);
    expect(late?.possible).toBe(0);
    expect(late?.why).toContain('Too late to raise a queen');
  });

  it('plans with a guess where nobody has counted, and says so', () => {
    const yard = new TestYard(3);
    for (const name of ['A', 'B', 'C', 'D']) yard.hive(name, [NEST_OF_TEN, NEST_OF_TEN], '2026-05-14');
    // The same hives before anything was read.
    const bare = {
      ...yard.apiary,
      visit: {},
      reading: {},
      frame: Object.fromEntries(
        Object.entries(yard.apiary.frame).map(([id, f]) => [id, { ...f, readingId: null }]),
      ),
    };
    const guess = seasonProblem(bare, { ...aim, colonies: 6 }, DAY, 1);
    expect(guess.starts.every((s) => s.doubt > 0.3 && s.lays)).toBe(true);
    const schedule = [roundOf(guess, round('2026-05-23', 'nucs', 2))];
    const story = typicalSeason(guess, schedule, runSeasons(guess, schedule, 0, 60));
    const [trial] = tryRounds(bare, guess, [round('2026-05-23', 'nucs', 2)], story, seededIds(5), null);
    expect(trial?.possible).toBe(2);
    expect(trial?.uncounted).toEqual(['A', 'B', 'C', 'D']);
  });

  it('halves the strongest, and lets old queens go into nucs', () => {
    const [halves, queens] = tried([
      round('2026-05-30', 'halves', 3),
      round('2026-07-04', 'queen-out', 2, 'old-queen'),
    ]);
    expect(halves?.possible).toBeGreaterThanOrEqual(2);
    expect(queens?.possible).toBeGreaterThanOrEqual(1);
  });

  it('takes off a plan what no plan of its day makes, so that nothing that is shown breaks a rule', () => {
    const schedule = [
      round('2026-05-16', 'nucs', 40),
      round('2026-09-12', 'halves', 3),
      round('2026-08-22', 'unite', 0),
    ].map((r) => roundOf(problem, r));
    const plan = triedPlan(apiary, problem, schedule, 60, seededIds(9), null);
    expect(plan.takenOff).toBeGreaterThan(0);
    expect(plan.rounds.some((r) => r.what === 'halves')).toBe(false);
    for (const t of plan.trials)
      expect(t.possible).toBeGreaterThanOrEqual(t.round.what === 'unite' ? 1 : t.round.parts);
    expect(plan.rounds.map((r) => storedRound(problem, roundOf(problem, r)))).toEqual(plan.rounds);
  });
});
