import { describe, expect, it } from 'vitest';
import type { Apiary } from '../records/records.ts';
import { addDays } from '../basics/day.ts';
import { DEMO_DAY, demoScenario } from '../demo/scenario.ts';
import { COMBS, FULL_BOX, METHOD_DAY, methodPlan, withCells } from '../testing/methodPlans.ts';
import { TestYard } from '../testing/builders.ts';
import { hivesToday } from './hivesToday.ts';

const names = (hives: readonly { readonly colony: { readonly name: string } }[]) =>
  hives.map((h) => h.colony.name);

describe('the hives of a day', () => {
  it('are each in one list, and ended colonies in none', () => {
    const { apiary } = demoScenario();
    const { must, may, mustNot } = hivesToday(apiary, DEMO_DAY);
    const all = [...names(must), ...names(may), ...names(mustNot)];
    expect(new Set(all).size).toBe(all.length);
    const alive = Object.values(apiary.colony).filter((c) => c.endedOn === null && c.hiveId !== null);
    expect(all).toHaveLength(alive.length);
    for (const h of must) expect(h.to).not.toBeNull();
    for (const h of mustNot) expect(h.to).toBeNull();
  });

  it('must be opened when a look is due, and not while a virgin flies', () => {
    const { yard, command } = methodPlan('walk-away-halves', [FULL_BOX, FULL_BOX]);
    yard.run(command);
    for (const s of command.steps) {
      yard.tick(s.id, METHOD_DAY);
    }
    const on = (days: number) => hivesToday(yard.apiary, addDays(METHOD_DAY, days));
    // The lid of the new part is lifted, to see whether enough bees have stayed.
    expect(on(2).must.map((h) => [h.colony.name, h.to])).toEqual([
      ['New', `/colonies/${on(2).must[0]?.colony.id}`],
    ]);
    expect(on(2).must[0]?.why).toMatch(/enough bees have stayed.*Lid only/);
    expect(names(on(7).must).toSorted()).toEqual(['New', 'Old']);
    // By hand: the queen is out on day 12 likely; rest until 14 days later.
    for (const day of [12, 20, 26]) expect(names(on(day).mustNot).toSorted()).toEqual(['New', 'Old']);
    const rest = on(14).mustNot[0];
    expect(rest?.why).toMatch(/virgin emerges.*Until Thu 4 Jun/);
    expect(names(on(27).must)).toHaveLength(2);
    expect(on(40).must[0]?.why).toMatch(/Overdue since/);
  });

  it('with the most advanced cells come first', () => {
    const yard = new TestYard();
    yard.hive('Open', [FULL_BOX.map((c, i) => (i === 2 ? withCells(c, 'charged', 2) : c))]);
    yard.hive('Capped', [FULL_BOX.map((c, i) => (i === 2 ? withCells(c, 'capped', 2) : c))]);
    yard.hive('None', [FULL_BOX]);
    expect(names(hivesToday(yard.apiary, METHOD_DAY).must)).toEqual(['Capped', 'Open']);
    expect(names(hivesToday(yard.apiary, METHOD_DAY).may)).toEqual(['None']);
  });

  it('where sickness is suspected come last, whatever else there is', () => {
    const yard = new TestYard();
    const sick = yard.hive('A sick one', [FULL_BOX.map((c, i) => (i === 2 ? withCells(c, 'capped', 2) : c))]);
    yard.hive('Swarming', [FULL_BOX.map((c, i) => (i === 2 ? withCells(c, 'charged', 2) : c))]);
    const { apiary: demo } = demoScenario();
    const seen = Object.values(demo.visit).find((v) => v.evidence)?.evidence;
    const visitId = yard.newId();
    const found = { ...seen, diseaseSigns: { look: 'found', signs: [] } };
    yard.apiary = {
      ...yard.apiary,
      visit: {
        ...yard.apiary.visit,
        [visitId]: {
          ...Object.values(yard.apiary.visit)[0],
          id: visitId,
          colonyId: sick.id,
          day: METHOD_DAY,
          evidence: found,
        } as never,
      },
    } satisfies Apiary;
    expect(names(hivesToday(yard.apiary, METHOD_DAY).must)).toEqual(['Swarming', 'A sick one']);
  });

  it('may wait when nothing is due, and say when they were counted', () => {
    const yard = new TestYard();
    yard.hive('Old', [[COMBS.honey, COMBS.capped, COMBS.young]]);
    const on = (days: number) => hivesToday(yard.apiary, addDays(METHOD_DAY, days)).may[0];
    expect(on(1)).toMatchObject({ why: 'Nothing is due; it can wait.', to: null });
    expect(on(20)?.why).toBe('Last counted 20 days ago.');
    expect(on(20)?.to).toMatch(/count$/);
  });
});
