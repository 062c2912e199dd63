import { describe, expect, it } from 'vitest';
import { TestYard } from '../../testing/builders.ts';
import { FULL_BOX, METHOD_DAY, withQueen } from '../../testing/methodPlans.ts';
import { planned, problemOf } from '../../testing/yardRequests.ts';
import { evaluate } from '../../yardplan/search/evaluate.ts';
import { layOutYard } from '../../yardplan/layout/layOutYard.ts';
import { STORE } from '../../yardplan/problem/problem.ts';
import { yardLooks } from '../../yardplan/layout/yardLooks.ts';
import { yardPlanRequest } from '../../records/bodies/request.ts';
import { boxesCovered } from './autumnReduction.ts';
import { YARD_METHODS, yardMethodById } from './registry.ts';
import { situationOf, type Situation } from '../base/situation.ts';

const seen = FULL_BOX.map((c, i) => (i === 3 ? withQueen(c) : c));

function asked(id: (typeof YARD_METHODS)[number]['id'], change: Partial<Situation>) {
  const yard = new TestYard();
  const colony = yard.hive('Old', [seen, FULL_BOX]);
  const other = yard.hive('Other', [seen]);
  yard.run({
    type: 'addToStore',
    frames: Array.from({ length: 12 }, () => ({
      id: yard.newId(),
      sizeId: 'langstroth-deep' as const,
      blank: 'drawn' as const,
      combYear: null,
    })),
  });
  const now = { ...situationOf(yard.apiary, colony, METHOD_DAY), ...change };
  const request = yardMethodById(id).ask({
    colonyId: colony.id,
    yardId: yard.yardId,
    otherIds: [other.id],
    sizeId: 'langstroth-deep',
    day: METHOD_DAY,
    now,
  });
  return { yard, request, other };
}

/** What is asked for, worked out. */
function worked(...asks: Parameters<typeof asked>) {
  const { yard, request, other } = asked(...asks);
  const problem = problemOf(yard.apiary, request);
  const { plan } = planned(problem, 2);
  const store = Object.values(yard.apiary.frame).filter((f) => f.place === 'store');
  return { request, problem, plan, seen: evaluate(problem, plan), other, store };
}

describe.each(YARD_METHODS.map((m) => [m.name, m] as const))('%s', (_name, method) => {
  it('is described, and asks for something that the planner understands', () => {
    for (const text of [method.aim, method.season, method.needs, method.shares, method.skips]) {
      expect(text.length).toBeGreaterThan(20);
    }
    expect(method.goesWrong.length).toBeGreaterThan(1);
    const { request } = asked(method.id, { matedQueens: 1, season: 'autumn', wanted: 2 });
    expect(yardPlanRequest.parse(request)).toEqual(request);
    expect(request.goals.length).toBeGreaterThan(0);
  });

  it('finds a plan that breaks no rule', () => {
    const { seen: outcome } = worked(method.id, { matedQueens: 3, wanted: 2 });
    expect(outcome.broken).toEqual([]);
  });
});

describe('yard methods', () => {
  it('one into several shares one colony out and leaves the others alone', () => {
    const { seen: outcome, problem, other } = worked('one-into-several', { wanted: 2 });
    expect(outcome.nucsMade).toBe(2);
    expect(problem.leftOut.map((l) => l.colonyId)).toContain(other.id);
  });

  it('an assembly line makes no more than there are cells or queens, and gives each one', () => {
    const { request } = asked('assembly-line', { ripeCells: 2, wanted: 6, secondYard: true });
    expect(request.goals).toMatchObject([{ count: 2, recipe: { queen: 'cell', distance: 'away' } }]);
    const mated = worked('assembly-line', { matedQueens: 1, wanted: 1 });
    expect(mated.request.goals).toMatchObject([
      { count: 1, recipe: { queen: 'mated', distance: 'same-yard' } },
    ]);
    expect(mated.seen.nucsMade).toBe(1);
  });

  // Common practice, no source: off the stand at dusk, with nothing left to fly home to, near is as good as far.
  it.each([false, true])(
    'a total break-up makes four units at least of twenty combs, its own with them (second yard: %s)',
    (far) => {
      const { request, seen: outcome, problem, plan } = worked('break-up', { wanted: 4, secondYard: far });
      expect(request.goals).toMatchObject([
        { count: null, wholeOfId: problem.units[0]?.key, recipe: { distance: far ? 'away' : 'same-yard' } },
      ]);
      expect(outcome.nucsMade).toBeGreaterThanOrEqual(3);
      // What stays with the old queen hangs in one more box of the recipe.
      const old = problem.units.findIndex((u) => u.name === 'Old');
      expect(plan.to.filter((to) => to === old).length).toBeLessThanOrEqual(5);
      expect(outcome.shortfalls).toEqual([]);
    },
  );

  // Common practice, no source: in damp cold eight frames of bees cover a box of ten.
  it('shrinking for winter keeps as many boxes as bees cover', () => {
    expect([6, 9, 13, 17].map((bees) => boxesCovered(bees))).toEqual([1, 1, 2, 2]);
    const { request } = asked('autumn-reduction', { season: 'autumn', bees: 9, matedQueens: 1 });
    expect(request).toMatchObject({
      nights: 'cold',
      season: 'dearth',
      goals: [
        { kind: 'shrink', boxes: 1 },
        { kind: 'makeNucs', recipe: { queen: 'mated' } },
      ],
    });
    expect(asked('autumn-reduction', { season: 'autumn', bees: 9 }).request.goals).toHaveLength(1);
  });

  it('its late nuc raises its own queen as long as she lays in time, with a look on day 3', () => {
    const summer = { season: 'dearth', bees: 9, dronesFly: true, lastForWinterBees: '2026-08-19' } as const;
    const inTime = worked('autumn-reduction', { ...summer, day: '2026-07-24' });
    expect(inTime.request.goals).toMatchObject([
      { kind: 'shrink' },
      { kind: 'makeNucs', recipe: { queen: 'raises' } },
    ]);
    const looks = yardLooks(
      inTime.problem,
      inTime.seen,
      { moves: [] },
      (u) => u.key,
      (u) => u.name,
    ).map((l) => l.topic);
    expect(inTime.seen.nucsMade).toBe(1);
    expect(looks).toContain('early-capped');
    expect(asked('autumn-reduction', { ...summer, day: '2026-07-25' }).request.goals).toHaveLength(1);
  });

  it('brings no comb of the store into a colony that is to have fewer', () => {
    const { problem, plan, seen: outcome, store } = worked('autumn-reduction', { season: 'dearth', bees: 9 });
    const old = problem.units.find((u) => u.name === 'Old');
    const laid = layOutYard(problem, plan, outcome, store);
    const into = laid.moves.filter((m) => m.fromUnit === STORE && m.toUnit === old?.index);
    expect(store).toHaveLength(12);
    expect(into).toEqual([]);
  });
});
