import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { makePlan } from '../split/plan/makePlan.ts';
import { TestYard } from '../testing/builders.ts';
import { FULL_BOX, METHOD_DAY, withCells, withQueen } from '../testing/methodPlans.ts';
import { assess } from './assess.ts';
import { orderOfDay } from './dayOrder.ts';
import { hivesToday } from './hivesToday.ts';

/** Two hives that mean to swarm, each with a plan for today; the names are against the order of their cells. */
function twoJobs() {
  const yard = new TestYard();
  const nest = (larvaAgeDays: number) =>
    FULL_BOX.map((c, i) =>
      i === 3
        ? withQueen(c)
        : i === 5
          ? { ...withCells(c, 'charged', 3), cells: [{ kind: 'charged' as const, count: 3, larvaAgeDays }] }
          : c,
    );
  const early = yard.hive('Alder', [nest(1), FULL_BOX], METHOD_DAY);
  const ripe = yard.hive('Willow', [nest(4), FULL_BOX], METHOD_DAY);
  for (const [n, colony] of [early, ripe].entries()) {
    const plan = makePlan(
      yard.apiary,
      { colonyId: colony.id, methodId: 'queen-to-nuc', day: METHOD_DAY, newName: `New ${n}`, options: {} },
      yard.newId,
    );
    if (!plan.ok) throw new Error(plan.problems[0]?.message);
    yard.run(plan.value.command);
  }
  return { yard, early, ripe };
}

// The prime swarm goes about when the first cells are sealed: common practice, no source.
describe('two hives to make swarms of, rain in 75 minutes', () => {
  it('the one with the most advanced cells comes first; the other has a day before its first cell is sealed', () => {
    const { yard, early, ripe } = twoJobs();
    const { must } = hivesToday(yard.apiary, METHOD_DAY);
    expect(must.map((h) => h.colony.name)).toEqual(['Willow', 'Alder']);
    const tomorrow = addDays(METHOD_DAY, 1);
    const order = orderOfDay(must, 75, tomorrow);
    expect(order.now.map((h) => h.colony.id)).toEqual([ripe.id]);
    expect(order.later.map((h) => h.colony.id)).toEqual([early.id]);
    // A larva of one day is sealed when it is five: in four days (development clock of Winston 1987, as remembered).
    const by = assess(yard.apiary, early, METHOD_DAY).needs[0].by;
    expect(order.later[0]?.by).toBe(by);
    expect(by !== null && by > METHOD_DAY && by <= addDays(METHOD_DAY, 4)).toBe(true);
    expect(order.tooLate).toEqual([]);
  });

  it('says who cannot wait for the next dry day', () => {
    const { yard, early } = twoJobs();
    const { must } = hivesToday(yard.apiary, METHOD_DAY);
    expect(orderOfDay(must, 75, addDays(METHOD_DAY, 9)).tooLate.map((h) => h.colony.id)).toEqual([early.id]);
    expect(orderOfDay(must, 75, null).tooLate).toHaveLength(1);
    expect(orderOfDay(must, 240, null)).toMatchObject({ later: [], tooLate: [] });
    expect(orderOfDay(must, 0, null).now).toEqual([]);
  });
});
