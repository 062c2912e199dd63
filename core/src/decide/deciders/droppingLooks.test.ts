import { describe, expect, it } from 'vitest';
import { makePlan } from '../../split/plan/makePlan.ts';
import { TestYard } from '../../testing/builders.ts';
import { FULL_BOX } from '../../testing/methodPlans.ts';
import { openFollowUps } from '../../records/views.ts';

/** Halves "Old" as planned. */
function halve(yard: TestYard, day: string, newName: string): void {
  const colonyId = yard.colony('Old').id;
  const asked = { colonyId, methodId: 'walk-away-halves', day, newName, options: {} } as const;
  const plan = makePlan(yard.apiary, asked, yard.newId);
  if (!plan.ok) throw new Error(plan.problems.map((p) => p.message).join('; '));
  yard.run(plan.value.command);
  for (const s of plan.value.command.steps) yard.tick(s.id, day);
}

describe('looks of an earlier split', () => {
  it('are dropped for the colony that is divided again, and stay for the other part', () => {
    const yard = new TestYard();
    yard.hive('Old', [FULL_BOX, FULL_BOX], '2026-05-09');
    halve(yard, '2026-05-09', 'First');
    const first = yard.colony('First').id;
    const old = yard.colony('Old').id;
    expect(openFollowUps(yard.apiary).filter((f) => f.colonyIds.includes(old)).length).toBeGreaterThan(2);
    halve(yard, '2026-05-30', 'Second');
    const of = (id: string) => openFollowUps(yard.apiary).filter((f) => f.colonyIds.includes(id));
    expect(of(old).map((f) => f.window.earliest >= '2026-05-30')).not.toContain(false);
    expect(
      of(old)
        .map((f) => f.topic)
        .filter((t) => t === 'eggs-due'),
    ).toHaveLength(1);
    expect(of(first).map((f) => f.topic)).toContain('eggs-due');
    expect(of(first).every((f) => !f.colonyIds.includes(old))).toBe(true);
  });
});
