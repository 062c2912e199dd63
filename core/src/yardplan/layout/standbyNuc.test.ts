import { describe, expect, it } from 'vitest';
import { seededIds } from '../../demo/seededIds.ts';
import { NEST, withQueen } from '../../testing/nests.ts';
import { replaySteps } from '../../testing/replaySteps.ts';
import { TestYard } from '../../testing/builders.ts';
import { planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { buildProblem } from '../problem/buildProblem.ts';
import { makeYardPlan } from './makeYardPlan.ts';
import { boxesOfColony, framesOfColony, readingOf } from '../../records/views.ts';
import { roleOf, combOf } from '../../nest/nestComb.ts';
import type { YardGoalOf } from '../../records/bodies/request.ts';

// A standby nuc of two storeys, five over five, into full boxes: worked out by hand (common practice, no source).

const { capped, open, honey, bread } = NEST;
/** Bread, three of brood, honey; honey, two of brood, bread, honey. */
const LOWER = [bread(8), open(7, 9), withQueen(open(7, 9)), capped(7, 9), honey(8)];
const UPPER = [honey(8), capped(7, 9), capped(6, 9), bread(8), honey(7)];

function moved(change: Partial<YardGoalOf<'hiveUp'>>, drawn = 12, foundation = 12) {
  const yard = new TestYard();
  const sorrel = yard.hive('Sorrel', [LOWER, UPPER], '2026-05-14', 5);
  if (drawn > 0) yard.stock('drawn', drawn);
  if (foundation > 0) yard.stock('foundation', foundation);
  const goal = { id: 'h', kind: 'hiveUp' as const, colonyId: sorrel.id, slots: 10, importance: 2, ...change };
  const problem = problemOf(yard.apiary, requestFor(yard.apiary, [goal]));
  const { plan } = planned(problem);
  const before = yard.apiary;
  const made = makeYardPlan(before, problem, plan, { names: {}, bound: null, name: 'p' }, seededIds(7));
  yard.run(made);
  for (const step of made.steps) yard.tick(step.id, '2026-05-15');
  const after = yard.apiary.colony[sorrel.id]!;
  const old = new Map(
    framesOfColony(before, sorrel).map((f) => [f.frame.id, `${f.box.position === 0 ? 'L' : 'U'}${f.slot}`]),
  );
  const boxes = boxesOfColony(yard.apiary, after).map((b) => {
    const here = framesOfColony(yard.apiary, after)
      .filter((f) => f.box.id === b.id)
      .toSorted((a, c) => a.slot - c.slot);
    return {
      role: b.role,
      slots: b.slots,
      excluder: b.excluderBelow,
      names: here.map((f) => old.get(f.frame.id) ?? 'new').join(' '),
      roles: here.map((f) => roleOf(combOf('', readingOf(f)))),
    };
  });
  return { before, made, boxes, texts: made.steps.map((s) => s.text) };
}

describe('a nuc of two storeys moves', () => {
  it('into a box of twelve with a drone comb at the edge of its nest, cut out three weeks on', () => {
    const { before, made, boxes, texts } = moved({ slots: 12, above: 'super', droneComb: true });
    expect(replaySteps(before, made.work, made.steps)).toEqual([]);
    expect(boxes[0]?.names).toBe('U1 L1 new L2 L3 L4 U2 U3 U4 L5 U5 new');
    expect(texts.filter((t) => t.startsWith('Hang the drone frame'))).toHaveLength(1);
    const look = made.work.body.looks.find((l) => l.topic === 'drone-comb');
    expect(look?.window).toEqual({ earliest: '2026-06-02', likely: '2026-06-05', latest: '2026-06-07' });
    // The drone frame is set before the super goes on.
    expect(texts.findIndex((t) => t.startsWith('Hang the drone'))).toBeLessThan(
      texts.findIndex((t) => t.startsWith('Excluder and the super')),
    );
  });

  it('refuses a drone comb where no slot is left, and says where none of its size is in the store', () => {
    const sorrel = new TestYard();
    const nuc = sorrel.hive('Sorrel', [LOWER, UPPER], '2026-05-14', 5);
    const goal = { id: 'h', kind: 'hiveUp' as const, colonyId: nuc.id, slots: 10, importance: 2 };
    const built = buildProblem(sorrel.apiary, requestFor(sorrel.apiary, [{ ...goal, droneComb: true }]));
    expect(built.ok ? '' : built.problems[0]?.code).toBe('no-slot-for-drones');
    const bare = moved({ slots: 12, droneComb: true }, 0, 0);
    expect(JSON.stringify(bare.made.work.body.asked)).toContain('the store has no frame of its size');
    expect(bare.texts.some((t) => t.startsWith('Hang the drone'))).toBe(false);
  });

  it('raises no drones while it is weak', () => {
    const yard = new TestYard();
    const weak = yard.hive(
      'Sorrel',
      [[honey(8), capped(3, 3), withQueen(open(3, 4)), bread(4)]],
      '2026-05-14',
      5,
    );
    const goal = {
      id: 'h',
      kind: 'hiveUp' as const,
      colonyId: weak.id,
      slots: 10,
      importance: 2,
      droneComb: true as const,
    };
    const built = buildProblem(yard.apiary, requestFor(yard.apiary, [goal]));
    expect(built.ok ? [] : built.problems.map((p) => p.code)).toEqual(['too-weak-for-drones']);
  });

  it('into one box of ten: the brood of both in the middle, bread next, honey to the walls', () => {
    const { before, made, boxes, texts } = moved({});
    expect(boxes).toHaveLength(1);
    expect(boxes[0]).toMatchObject({ role: 'brood', slots: 10, names: 'U1 L1 L2 L3 L4 U2 U3 U4 L5 U5' });
    expect(replaySteps(before, made.work, made.steps)).toEqual([]);
    // From the top: the upper storey is emptied and off before a comb of the lower one is lifted.
    const at = (re: RegExp) => texts.findIndex((t) => re.test(t));
    expect(at(/5 frames of the upper box/)).toBeLessThan(at(/Take the upper box off/));
    expect(at(/Take the upper box off/)).toBeLessThan(at(/5 frames of the lower box/));
  });

  it('into two boxes of ten: each storey in a box of its own, its order kept, comb of the store outside', () => {
    const { before, made, boxes } = moved({ above: 'brood' }, 4);
    expect(boxes.map((b) => [b.role, b.slots])).toEqual([
      ['brood', 10],
      ['brood', 10],
    ]);
    expect(boxes[0]?.names).toMatch(/L1 L2 L3 L4 L5/);
    expect(boxes[1]?.names).toMatch(/U1 U2 U3 U4 U5/);
    expect(replaySteps(before, made.work, made.steps)).toEqual([]);
    for (const { roles } of boxes) {
      const first = roles.indexOf('brood');
      expect(roles.slice(first, roles.lastIndexOf('brood') + 1).every((r) => r === 'brood')).toBe(true);
    }
  });

  it('with excluder and super in the same job: nine combs in the super, the excluder under it, both in the kit', () => {
    const { before, made, boxes, texts } = moved({ above: 'super' });
    expect(boxes.map((b) => [b.role, b.excluder])).toEqual([
      ['brood', false],
      ['super', true],
    ]);
    expect(boxes[1]?.roles).toHaveLength(9);
    expect(made.work.body.kit.map((k) => k.what)).toEqual(
      expect.arrayContaining(['queen excluder', 'box of 10, as a super']),
    );
    expect(texts.indexOf('Excluder and the super on Sorrel')).toBeLessThan(
      texts.findIndex((t) => t.startsWith('Fill the super')),
    );
    expect(replaySteps(before, made.work, made.steps)).toEqual([]);
  });
});
