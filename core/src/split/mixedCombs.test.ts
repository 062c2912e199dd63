import { describe, expect, it } from 'vitest';
import { seededIds } from '../demo/seededIds.ts';
import { framesInStore, framesOfColony } from '../records/views.ts';
import { TestYard } from '../testing/builders.ts';
import { FULL_BOX, METHOD_DAY, withQueen } from '../testing/methodPlans.ts';
import { STRONG_BOX } from '../testing/nests.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor } from '../testing/yardRequests.ts';
import { makeYardPlan } from '../yardplan/layout/makeYardPlan.ts';
import { METHODS } from './methods/registry.ts';
import { makePlan } from './plan/makePlan.ts';

/** A colony in whose deep boxes every second comb is a medium one. */
function mixedYard(boxes: Parameters<TestYard['hive']>[1], day: string) {
  const yard = new TestYard();
  const colony = yard.hive('Old', boxes, day);
  const mixed = framesOfColony(yard.apiary, colony)
    .filter((f) => f.slot % 2 === 0)
    .map((f) => f.frame.id);
  yard.apiary = {
    ...yard.apiary,
    frame: Object.fromEntries(
      Object.entries(yard.apiary.frame).map(([id, f]) => [
        id,
        mixed.includes(id) ? { ...f, sizeId: 'langstroth-medium' as const } : f,
      ]),
    ),
  };
  return { yard, colony, mixed };
}

const queenSeen = FULL_BOX.map((comb, i) => (i === 2 ? withQueen(comb) : comb));

describe('combs of several sizes in one box', () => {
  it.each(METHODS.map((m) => m.id))(
    'are planned where they hang and worked off by %s, none left over',
    (methodId) => {
      const { yard, colony, mixed } = mixedYard([queenSeen, FULL_BOX], METHOD_DAY);
      const plan = makePlan(
        yard.apiary,
        { colonyId: colony.id, methodId, day: METHOD_DAY, newName: 'New', options: {} },
        seededIds(4),
      );
      if (!plan.ok) throw new Error(plan.problems[0]?.message);
      const { command, parts } = plan.value;
      // Every comb has its slot in one of the two parts.
      const hung = new Set(parts.flatMap((p) => p.slots.map((s) => s.frameId)));
      expect(mixed.filter((id) => !hung.has(id))).toEqual([]);
      yard.run(command);
      for (const step of command.steps) yard.tick(step.id, METHOD_DAY);
      expect(mixed.filter((id) => yard.apiary.frame[id]?.place !== 'box')).toEqual([]);
      const moved = command.work.body.moves.filter((m) => mixed.includes(m.frameId));
      expect(command.work.body.cautions.some((c) => c.startsWith('Other sizes'))).toBe(moved.length > 0);
    },
  );

  it('go into nucs of a plan for the yard, counted by their own area', () => {
    const { yard, mixed } = mixedYard([[...STRONG_BOX], FULL_BOX], '2026-05-14');
    yard.stock('drawn', 10);
    const problem = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(1, fiveFrames())]));
    const inHive = problem.frames.filter((f) => mixed.includes(f.id));
    expect(inHive.some((f) => f.mayGoTo.length > 0)).toBe(true);
    // A medium comb that is as full as a deep one holds two thirds of its bees.
    const at = (slot: number) => problem.frames.find((f) => f.slot === slot)!;
    const share = (slot: number) => at(slot).bees / at(slot).reading.sides[0].bees;
    expect(share(4) / share(5)).toBeCloseTo(585 / 880, 2);
    const { plan } = planned(problem);
    const { work, steps } = makeYardPlan(
      yard.apiary,
      problem,
      plan,
      { names: {}, bound: null, name: 'p' },
      yard.newId,
    );
    yard.run({ type: 'saveWork', work, steps });
    for (const step of steps) yard.tick(step.id, work.day);
    expect(mixed.filter((id) => yard.apiary.frame[id]?.place !== 'box')).toEqual([]);
    expect(framesInStore(yard.apiary).every((f) => f.sizeId === 'langstroth-deep')).toBe(true);
  });
});

describe('a frame feeder', () => {
  it.each(METHODS.map((m) => m.id))('takes its slot: %s hangs no comb there', (methodId) => {
    const yard = new TestYard();
    // Nine combs in each box, and a feeder in the tenth slot.
    const boxes = [queenSeen.slice(0, 9), FULL_BOX.slice(0, 9)];
    const colony = yard.hive('Old', boxes, METHOD_DAY);
    yard.stock('drawn', 20);
    const fed = Object.values(yard.apiary.box);
    for (const box of fed)
      yard.run({ type: 'setInserts', boxId: box.id, inserts: [{ what: 'frame-feeder', slot: 10 }] });
    const plan = makePlan(
      yard.apiary,
      { colonyId: colony.id, methodId, day: METHOD_DAY, newName: 'New', options: {} },
      seededIds(4),
    );
    if (!plan.ok) throw new Error(plan.problems[0]?.message);
    yard.run(plan.value.command);
    for (const step of plan.value.command.steps) yard.tick(step.id, METHOD_DAY);
    const still = fed.filter((b) => (yard.apiary.box[b.id]?.inserts.length ?? 0) === 1);
    expect(still).toHaveLength(fed.length);
  });
});
