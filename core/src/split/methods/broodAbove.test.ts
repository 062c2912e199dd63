import { describe, expect, it } from 'vitest';
import { boxesOfColony, framesOfColony, openFollowUps, queenOf } from '../../records/views.ts';
import { houseRules } from '../../rules/houseRules.ts';
import { COMBS, FULL_BOX, METHOD_DAY, methodPlan, withCells, withQueen } from '../../testing/methodPlans.ts';
import { broodAbove } from './broodAbove.ts';
import { findMethods } from './findMethods.ts';
import { situationOf } from '../base/situation.ts';

const { young, capped, honey } = COMBS;
const WITH_QUEEN = [honey, capped, withQueen(young), young, capped, young, capped, capped, honey, honey];

describe('brood moved above', () => {
  it('takes about half the capped brood up, without eggs or cells, and leaves the queen below', () => {
    const { fresh, stay, moved } = methodPlan('brood-above', [WITH_QUEEN, FULL_BOX]);
    const all = stay.measure.cappedFrames + fresh.measure.cappedFrames;
    expect(fresh.measure.cappedFrames / all).toBeCloseTo(0.5, 1);
    expect(fresh.measure.eggsTenths).toBe(0);
    expect(moved.every((f) => !f.hasQueen && f.liveCells === 0)).toBe(true);
    expect([stay.queen, fresh.queen]).toEqual(['here', 'elsewhere']);
  });

  it('loses no bees: all stay in one hive', () => {
    const { fresh, stay } = methodPlan('brood-above', [WITH_QUEEN, FULL_BOX]);
    expect(fresh.measure.framesOfBeesAfterDrift).toBeCloseTo(fresh.measure.framesOfBeesNow, 9);
    expect(stay.measure.framesOfBeesAfterDrift).toBeCloseTo(stay.measure.framesOfBeesNow, 9);
  });

  it('nearly all brood, when told to: one comb stays with her', () => {
    const { stay, fresh } = methodPlan('brood-above', [WITH_QUEEN], { much: 'nearly-all' });
    expect(stay.measure.broodFrames).toBeLessThan(1.3);
    expect(fresh.measure.broodFrames).toBeGreaterThan(3);
  });

  it('looks for cells above on days 6 to 9, and when all has hatched on days 19 to 24', () => {
    // Worked by hand from 9 May: a worker capped on day 9 hatches on day 21.
    const { looks } = methodPlan('brood-above', [WITH_QUEEN, FULL_BOX]);
    expect(METHOD_DAY).toBe('2026-05-09');
    expect(looks).toEqual([
      ['surplus-cells', '2026-05-15', '2026-05-18'],
      ['rhythm', '2026-05-28', '2026-06-02'],
    ]);
  });

  it('makes no colony: a box more stands on the same hive, over an excluder', () => {
    const { yard, command, moved } = methodPlan('brood-above', [WITH_QUEEN, FULL_BOX]);
    const [before] = Object.values(yard.apiary.colony);
    yard.run(command);
    for (const s of command.steps) {
      yard.tick(s.id, METHOD_DAY);
    }
    expect(Object.keys(yard.apiary.colony)).toEqual([before?.id]);
    const colony = yard.apiary.colony[before?.id ?? ''];
    if (!colony) throw new Error('it stays');
    const boxes = boxesOfColony(yard.apiary, colony);
    expect(boxes.map((b) => [b.role, b.excluderBelow])).toEqual([
      ['brood', false],
      ['brood', false],
      ['super', true],
    ]);
    const above = framesOfColony(yard.apiary, colony).filter((p) => p.box.id === boxes[2]?.id);
    expect(above.map((p) => p.frame.id).toSorted()).toEqual(moved.map((f) => f.id).toSorted());
    expect(colony.separation).toBeNull();
    expect(queenOf(yard.apiary, colony.id)?.whereabouts.known ?? 'colony').toBe('colony');
    expect(openFollowUps(yard.apiary).every((f) => f.colonyIds.join() === colony.id)).toBe(true);
  });

  it('says what to beware of: cells above, drones above, weight', () => {
    const { body } = methodPlan('brood-above', [WITH_QUEEN, FULL_BOX]);
    expect(broodAbove.goesWrong.map((g) => g.what)).toEqual([
      'Cells above on day 7',
      'Drones above cannot get out',
      'Eggs above the excluder',
    ]);
    expect(body.cautions.join('\n')).toMatch(/Lifting: \d+ times, about \d+ kg/);
  });

  it('is the way when no new colony is wanted, and not the way when one is, or when cells hang', () => {
    const { yard } = methodPlan('brood-above', [WITH_QUEEN, FULL_BOX]);
    const [colony] = Object.values(yard.apiary.colony);
    if (!colony) throw new Error('it is there');
    const now = situationOf(yard.apiary, colony, METHOD_DAY);
    const rules = houseRules({});
    const rank = (change: Partial<typeof now>) =>
      findMethods({ ...now, ...change }, rules).ranked.findIndex((r) => r.method.id === 'brood-above');
    expect(rank({ wanted: 0, wantsHoney: true })).toBe(0);
    expect(rank({ wanted: 1 })).toBeGreaterThan(3);
    expect(rank({ wanted: 0, cells: 'open', cellCount: 3 })).toBeGreaterThan(0);
    expect(rank({ wanted: 0, season: 'autumn' })).toBeGreaterThan(3);
  });

  it('leaves combs with cells where they are', () => {
    const cells = withCells(capped, 'capped', 2);
    const { moved } = methodPlan('brood-above', [[honey, cells, ...WITH_QUEEN.slice(2)], FULL_BOX]);
    expect(moved.every((f) => f.liveCells === 0)).toBe(true);
  });
});
