import { describe, expect, it } from 'vitest';
import { TestYard } from '../testing/builders.ts';
import { FULL_BOX } from '../testing/methodPlans.ts';
import type { NucQueen } from '../records/bodies/request.ts';
import { makePlan } from '../split/plan/makePlan.ts';
import { outOfSeason } from '../yardplan/howMany.ts';
import { buildProblem } from '../yardplan/problem/buildProblem.ts';
import { colonyState } from '../colony/colonyState.ts';
import { situationOf } from '../split/base/situation.ts';
import { findMethods } from '../split/methods/findMethods.ts';
import { houseRules } from '../rules/houseRules.ts';
import { operationOf } from '../records/records.ts';
import { fiveFrames, nucs, requestFor } from '../testing/yardRequests.ts';
import { addDays, type Day } from '../basics/day.ts';
import { increaseGate, openingGate } from './seasonGate.ts';

// The calendar of a temperate yard (our estimate): brood 5 Feb, drones 20 Apr, last mating 25 Aug, last opening 1 Oct,
// hard frost 14 Oct. No part raises a queen after the last mating; a mated queen until six weeks before the frost: common
// practice, no source.

const gates = (day: Day, queen: NucQueen, sooner = false) => {
  const y = new TestYard();
  return increaseGate(y.apiary, Object.values(y.apiary.yard)[0], day, queen, sooner);
};

describe('what the time of the year allows', () => {
  it.each([
    ['2026-03-20', 'raises', false],
    ['2026-05-01', 'raises', true],
    ['2026-08-10', 'raises', true],
    ['2026-08-20', 'raises', false],
    ['2026-08-20', 'cell', true],
    ['2026-08-28', 'mated', true],
    ['2026-09-20', 'mated', false],
    ['2026-08-20', 'old-queen', false],
    ['2026-11-20', 'mated', false],
    ['2027-01-10', 'raises', false],
  ] as const)('on %s with a queen that is %s: %s', (day, queen, may) => {
    expect(gates(day, queen) === null).toBe(may);
  });

  it('swarm cells, or drones that were seen, come before the calendar', () => {
    expect(gates('2026-04-05', 'raises')).not.toBeNull();
    expect(gates('2026-04-05', 'raises', true)).toBeNull();
    // Not in winter.
    expect(gates('2026-01-20', 'raises', true)).not.toBeNull();
  });

  it('says from when on, with its year where that is another', () => {
    const late = gates('2026-11-20', 'raises');
    expect(late?.next).toBe('2027-04-20');
    expect(late?.why).toContain('2027');
    expect(gates('2026-03-20', 'raises')?.why).not.toContain('2026');
  });

  it('in the south the months are the other ones', () => {
    const y = new TestYard();
    const operation = operationOf(y.apiary);
    const south = {
      ...y.apiary,
      operation: { [operation.id]: { ...operation, hemisphere: 'south' as const } },
    };
    const [place] = Object.values(south.yard);
    expect(increaseGate(south, place, '2026-11-10', 'raises')).toBeNull();
    expect(increaseGate(south, place, '2026-05-20', 'raises')).not.toBeNull();
    expect(openingGate(south, place, '2026-06-20')?.why).toMatch(/^Winter/);
  });
});

describe('a strong colony in November, as the counts have it', () => {
  const NOVEMBER = '2026-11-12';
  const strong = (day: Day) => {
    const y = new TestYard();
    const colony = y.hive('Strong', [FULL_BOX, FULL_BOX], addDays(day, -1));
    y.stock('drawn', 10);
    return { y, colony };
  };

  it('is neither split, nor made nucs of, nor offered for it, and the chart of days is empty with its reason', () => {
    const { y, colony } = strong(NOVEMBER);
    const plan = makePlan(
      y.apiary,
      { colonyId: colony.id, methodId: 'walk-away-halves', day: NOVEMBER, newName: 'New', options: {} },
      y.newId,
    );
    expect(plan).toMatchObject({ ok: false, problems: [{ code: 'season' }] });
    const request = requestFor(y.apiary, [nucs(1)], { day: NOVEMBER });
    const problem = buildProblem(y.apiary, request);
    expect(problem).toMatchObject({ ok: false, problems: [{ code: 'season' }] });
    const days = Array.from({ length: 43 }, (_, i) => addDays(NOVEMBER, i));
    expect(outOfSeason(y.apiary, request, fiveFrames(), days)).toMatch(/2027/);
    expect(colonyState(y.apiary, colony, NOVEMBER).notice.id).not.toBe('can-split');
    const advice = findMethods(
      situationOf(y.apiary, colony, NOVEMBER),
      houseRules(operationOf(y.apiary).houseRules.changes),
    );
    expect(advice.waitBecause.length).toBeGreaterThan(0);
    expect(advice.ranked.filter((r) => r.fit.cannot === null)).toEqual([]);
  });

  it('in May all of that is open', () => {
    const { y, colony } = strong('2026-05-15');
    const plan = makePlan(
      y.apiary,
      { colonyId: colony.id, methodId: 'walk-away-halves', day: '2026-05-15', newName: 'New', options: {} },
      y.newId,
    );
    expect(plan.ok).toBe(true);
    const request = requestFor(y.apiary, [nucs(1)]);
    expect(buildProblem(y.apiary, request).ok).toBe(true);
    expect(outOfSeason(y.apiary, request, fiveFrames(), ['2026-05-15'])).toBeNull();
  });
});
