import { describe, expect, it } from 'vitest';
import type { Day } from '../../basics/index.ts';
import { demoScenario } from '../../demo/index.ts';
import { seededIds } from '../../demo/seededIds.ts';
import { plainAim } from '../../testing/seasonWorld/plainSeason.ts';
import type { SeasonProblem } from '../course/problem.ts';
import { whatHelps } from '../search/whatHelps.ts';
import { roundOf, seasonProblem } from '../start/seasonProblem.ts';
import { helpsThatHold } from './helpsThatHold.ts';
import { triedPlan } from './triedPlan.ts';

const { apiary } = demoScenario();
const held = (...of: Parameters<typeof helpsThatHold>) => [...helpsThatHold(...of)].at(-1) ?? [];
const nucs = (problem: SeasonProblem, day: Day, parts: number) =>
  roundOf(problem, { day, yardId: null, what: 'nucs', queen: 'raises', parts });

describe('what would raise the odds', () => {
  it('is what the planner of the day can do: none tells to make more where it has made the most', () => {
    const aim = plainAim({ colonies: 24, by: '2026-10-10', strongFrames: 4, weekendsOnly: true });
    const problem = seasonProblem(apiary, aim, '2026-05-15', 1);
    const asked = nucs(problem, '2026-05-16', 30);
    const { schedule, takenOff } = triedPlan(apiary, problem, [asked], 40, seededIds(5), null);
    expect(takenOff).toBeGreaterThan(0);
    const more = (changes: ReturnType<typeof held>) =>
      changes.filter(({ what }) => what.kind === 'parts' && what.by > 0);
    expect(more(whatHelps(problem, schedule, 40, 9)).length).toBeGreaterThan(0);
    expect(more(held(apiary, problem, schedule, 40, seededIds(6)))).toEqual([]);
  }, 60_000);

  it('tells to make one more where there is one to be had', () => {
    const aim = plainAim({ colonies: 17, by: '2026-10-10', strongFrames: 4 });
    const problem = seasonProblem(apiary, aim, '2026-05-15', 1);
    const one = nucs(problem, '2026-05-23', 1);
    expect(
      held(apiary, problem, [one], 40, seededIds(6)).some(({ what }) => what.kind === 'parts' && what.by > 0),
    ).toBe(true);
  }, 60_000);
});
