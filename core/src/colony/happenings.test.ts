import { describe, expect, it } from 'vitest';
import { demoScenario } from '../demo/scenario.ts';
import { FULL_BOX, METHOD_DAY, methodPlan } from '../testing/methodPlans.ts';
import { happeningsOf } from './happenings.ts';

describe('what happened beside counts and inspections', () => {
  it('is feed, treatments, moves and work, the latest first, in words', () => {
    const { apiary } = demoScenario();
    const all = happeningsOf(apiary);
    expect(all.map((h) => h.day)).toEqual(all.map((h) => h.day).toSorted((a, b) => b.localeCompare(a)));
    const of = (name: string) =>
      all
        .filter((h) => h.colonyIds.some((id) => apiary.colony[id]?.name === name))
        .map((h) => `${h.day} ${h.words}`);
    expect(of('Teasel')).toContain('2026-05-10 1.5 kg of thin syrup (1 to 1)');
    expect(
      of('Campion').some((w) => /^2026-05-08 even walk-away halves: Campion → Campion II$/.test(w)),
    ).toBe(true);
  });

  it('has work once for all its colonies, on the day on which it was done', () => {
    const { yard, command } = methodPlan('walk-away-halves', [FULL_BOX, FULL_BOX]);
    yard.run(command);
    expect(happeningsOf(yard.apiary)).toEqual([]);
    for (const s of command.steps) yard.tick(s.id, METHOD_DAY);
    const [work] = happeningsOf(yard.apiary);
    expect(work).toMatchObject({ day: METHOD_DAY });
    expect(work?.colonyIds).toHaveLength(2);
  });
});
