import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { colonyState } from '../colony/colonyState.ts';
import { feedRound } from '../feed/feedRound.ts';
import { colonyOn, courseOf } from '../forecast/colonyOn.ts';
import { ACTION_IDS } from '../records/bodies/actionId.ts';
import { METHOD_IDS, type MethodId } from '../records/bodies/methodId.ts';
import type { Apiary } from '../records/records.ts';
import { nestOf } from '../records/views.ts';
import { strengthOf } from '../forecast/strength.ts';
import { COMBS, FULL_BOX, METHOD_DAY, methodPlan, withCells, withQueen } from '../testing/methodPlans.ts';
import { FULL_OF_BROOD, NO_BROOD, NO_NURSES, WEAK_DAY, WeakYard } from '../testing/weakYard.ts';
import { planAction } from './actions/actions.ts';
import { workOfAction } from './actions/actionPlan.ts';
import { promisedBy, SETTLED_DAYS, type Promised } from './promised.ts';
import { allFacts } from './remedies.ts';
import { unitFacts } from './unit/unitFacts.ts';

const MILD = { coldNights: false };

/** What every page shows of a colony on a day: bees, brood and food, to the digit. */
function shownEverywhere(apiary: Apiary, colonyId: string, day: string): [string, number, number, number][] {
  const colony = apiary.colony[colonyId]!;
  const board = colonyState(apiary, colony, day).strength;
  const facts = unitFacts(apiary, colony, day, MILD);
  const clock = strengthOf(nestOf(colonyOn(apiary, colony, day).frames), 'langstroth-deep');
  const fed = feedRound(apiary, Object.keys(apiary.yard)[0] ?? '', day, 'bridge', {
    nightMinC: 12,
  });
  const line = fed.lines.find((l) => l.colonyId === colonyId);
  const brood = board.broodFrames.likely;
  return [
    ['board and colony page', board.framesOfBees.likely, brood, board.storesKg.likely],
    ['desk', facts.unit.bees, facts.state.strength.broodFrames.likely, facts.storesKg],
    ['planner', clock.framesOfBees.likely, clock.broodFrames.likely, clock.storesKg.likely],
    ['feed round', board.framesOfBees.likely, brood, line?.hasKg ?? NaN],
  ];
}

function expectKept(promised: readonly Promised[], apiary: Apiary): void {
  for (const p of promised) {
    for (const [page, bees, brood, food] of shownEverywhere(apiary, p.colonyId, p.day)) {
      expect([page, bees]).toEqual([page, expect.closeTo(p.bees, 9)]);
      expect([page, brood]).toEqual([page, expect.closeTo(p.brood, 9)]);
      expect([page, food]).toEqual([page, expect.closeTo(p.foodKg, 9)]);
    }
  }
}

/** Boxes in which a method can be tried. */
const BOXES: Partial<Record<MethodId, Parameters<typeof methodPlan>[1]>> = {
  'spare-cells': [
    [
      COMBS.honey,
      withCells(COMBS.capped, 'capped', 4),
      COMBS.young,
      withCells(COMBS.capped, 'capped', 4),
      COMBS.capped,
      COMBS.honey,
    ],
  ],
};
/** What leaves no colony behind has nothing to promise. */
const LEAVES_COLONIES = ACTION_IDS.filter(
  // What takes a strong hive, or one of several boxes, has its own tests.
  (a) => !['let-go', 'shake-out', 'shake-out-part', 'drone-comb', 'box-to-super'].includes(a),
);
const WITH_QUEEN = FULL_BOX.map((c, i) => (i === 4 ? withQueen(c) : c));

describe('what a plan promises for a day is what every page shows on that day after the work', () => {
  it.each(METHOD_IDS)('method %s', (methodId) => {
    const boxes = BOXES[methodId] ?? [WITH_QUEEN, FULL_BOX];
    const { yard, command } = methodPlan(methodId, boxes);
    const promised = promisedBy(yard.apiary, command.work);
    yard.run(command);
    for (const step of command.steps) yard.tick(step.id, METHOD_DAY);
    expect(promised.length).toBeGreaterThan(0);
    expectKept(promised, yard.apiary);
  });

  it.each([
    ...LEAVES_COLONIES.map((id) => [id, {}] as const),
    ['boost-nurses', { nurses: 'on-comb' }] as const,
  ])('action %s, %o', (id, choice) => {
    const yard = new WeakYard(id === 'shrink' ? NO_BROOD : id === 'combine' ? FULL_OF_BROOD : NO_NURSES);
    yard.flow(WEAK_DAY);
    const all = allFacts(yard.apiary, WEAK_DAY, MILD);
    const facts = all.find((f) => f.colony.id === yard.weak.id)!;
    const plan = planAction(id, facts, all, choice, yard.newId);
    if (!plan) throw new Error(`${id} cannot be done`);
    const command = workOfAction(yard.apiary, plan, WEAK_DAY, yard.newId);
    const promised = promisedBy(yard.apiary, command.work);
    yard.run(command);
    for (const step of command.steps) yard.tick(step.id, WEAK_DAY);
    expect(promised.length).toBeGreaterThan(0);
    expectKept(promised, yard.apiary);
  });

  it('a split moves the field bees home in two days, and nobody is lost but by age', () => {
    const { yard, command, body } = methodPlan('walk-away-halves', [WITH_QUEEN, FULL_BOX]);
    yard.run(command);
    for (const step of command.steps) yard.tick(step.id, METHOD_DAY);
    const nuc = body.newHives[0]!.colonyId;
    const bees = (days: number) =>
      colonyState(yard.apiary, yard.apiary.colony[nuc]!, addDays(METHOD_DAY, days)).strength.framesOfBees
        .likely;
    expect(bees(1)).toBeLessThan(bees(0));
    expect(bees(SETTLED_DAYS)).toBeLessThan(bees(1));
    // The slump is over then: emerging brood makes up for what dies.
    expect(bees(SETTLED_DAYS) / bees(0)).toBeLessThan(0.9);
    const planned = body.units.find((u) => u.colonyId === nuc)!.after.bees;
    expect(bees(SETTLED_DAYS)).toBeGreaterThan(planned * 0.85);
    expect(bees(SETTLED_DAYS)).toBeLessThan(planned * 1.25);
  });

  it('the course of a colony begins with what the pages show', () => {
    const yard = new WeakYard(NO_NURSES);
    const [first] = courseOf(yard.apiary, yard.weak, WEAK_DAY, 10);
    const { strength } = colonyState(yard.apiary, yard.weak, WEAK_DAY);
    expect(first?.bees).toBeCloseTo(strength.framesOfBees.likely, 6);
    expect(first?.foodKg).toBeCloseTo(strength.storesKg.likely, 6);
  });
});
