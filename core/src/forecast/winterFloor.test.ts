import { describe, expect, it } from 'vitest';
import { bothSides, type FrameReading } from '../comb/contents.ts';
import { TestYard } from '../testing/builders.ts';
import { planned, problemOf, requestFor } from '../testing/yardRequests.ts';
import { buildProblem } from '../yardplan/problem/buildProblem.ts';
import { evaluate } from '../yardplan/search/evaluate.ts';
import { AT } from '../yardplan/rules/measures.ts';
import type { YardGoal } from '../records/bodies/request.ts';
import { fewerBoxes, winterFloorKg } from './winterFloor.ts';

// A full deep comb holds about 2.5 to 3 kg; 20 kg are wanted for a temperate winter: common practice, no source.

const DAY = '2026-09-05';
const honey = bothSides({ honey: 10 }, 4);
const brood = bothSides({ open: 2, capped: 3, honey: 3, beeBread: 1, drawn: 1 }, 7);
const empty = bothSides({ drawn: 10 }, 1);
const bread = bothSides({ beeBread: 4, honey: 5, drawn: 1 }, 4);

function tall(lower: readonly FrameReading[], upper: readonly FrameReading[]) {
  const yard = new TestYard();
  const colony = yard.hive('Tall', [lower, upper], DAY);
  const goal: YardGoal = { id: 's', kind: 'shrink', colonyId: colony.id, boxes: 1, importance: 3 };
  return { yard, colony, request: requestFor(yard.apiary, [goal], { day: DAY, season: 'dearth' }) };
}

describe('a colony before winter', () => {
  const LOWER = [honey, honey, bread, brood, brood, brood, honey, empty, empty, empty];
  const UPPER = [honey, honey, honey, honey, empty, empty, empty, empty];

  it('brought down to one box keeps its food in kilograms: the full combs of above take the place of empty ones', () => {
    const { yard, colony, request } = tall(LOWER, UPPER);
    const problem = problemOf(yard.apiary, request);
    const { plan } = planned(problem, 4);
    const unit = problem.units.findIndex((u) => u.key === colony.id);
    const after = evaluate(problem, plan);
    expect(after.broken).toEqual([]);
    expect(after.after[unit]?.[AT.frames]).toBeLessThanOrEqual(10);
    const need =
      winterFloorKg(yard.apiary, colony, DAY, problem.units[unit]?.before[AT.bees] ?? 0, true) ?? 0;
    expect(need).toBeGreaterThan(8);
    const left = (after.after[unit]?.[AT.stores] ?? 0) * 2.6;
    const had = (problem.units[unit]?.before[AT.stores] ?? 0) * 2.6;
    expect(left).toBeGreaterThan(Math.min(need, had) - 1.5);
    // All its brood, and its bread.
    expect(after.after[unit]?.[AT.brood]).toBeCloseTo(problem.units[unit]?.before[AT.brood] ?? 0, 6);
  });

  it('is refused with the reason where brood and food need more room, and nothing is taken out', () => {
    const full = [brood, brood, brood, brood, brood, brood, brood, honey, honey, honey];
    const { yard, colony, request } = tall(full, [brood, brood, brood, brood, honey, honey, honey, honey]);
    const refused = buildProblem(yard.apiary, request);
    expect(refused).toMatchObject({ ok: false, problems: [{ code: 'does-not-fit' }] });
    expect(fewerBoxes(yard.apiary, colony, DAY, 1)?.tooMuch).toBe('brood');
    expect(!refused.ok && refused.problems[0]?.remedy).toMatch(/Wait until some of them have emerged/);
  });

  it('whose food alone does not fit hears how many kilograms it needs', () => {
    const thin = bothSides({ honey: 3, drawn: 7 }, 3);
    const { yard, request } = tall(
      [brood, brood, brood, brood, brood, thin, thin, thin, thin, thin],
      [thin, thin, thin, thin, thin, thin, thin],
    );
    const refused = buildProblem(yard.apiary, request);
    expect(!refused.ok && refused.problems[0]?.message).toMatch(/needs about \d+ kg for the winter/);
  });

  it('keeps its winter food from the last matings on, whatever is asked; in May nobody speaks of it', () => {
    const { yard, colony } = tall(LOWER, UPPER);
    expect(winterFloorKg(yard.apiary, colony, '2026-09-05', 8, false)).toBeGreaterThan(8);
    expect(winterFloorKg(yard.apiary, colony, '2026-07-25', 8, false)).toBeNull();
    expect(winterFloorKg(yard.apiary, colony, '2026-07-25', 8, true)).toBeGreaterThan(8);
    expect(winterFloorKg(yard.apiary, colony, '2026-05-15', 8, true)).toBeNull();
  });
});
