import { describe, expect, it } from 'vitest';
import { demoScenario, DEMO_DAY } from '../demo/scenario.ts';
import { NO_NURSES, WEAK_DAY, WeakYard } from '../testing/weakYard.ts';
import { eggs } from '../testing/queenLooks.ts';
import { unionsDownTo, expectedColonies } from './unionsDownTo.ts';
import { allFacts } from './remedies.ts';

const MILD = { coldNights: false };

describe('coming down to a number of colonies', () => {
  it('unites the weakest first, none twice, and stops at the number', () => {
    const { apiary } = demoScenario();
    const all = allFacts(apiary, DEMO_DAY, MILD);
    const steps = unionsDownTo(all, all.length - 3, '2026-06-26');
    expect(steps).toHaveLength(3);
    const named = steps.flatMap((s) => [s.from.colony.id, s.union.partner.colony.id]);
    expect(new Set(named).size).toBe(6);
    for (const s of steps) expect(s.union.partner.yardId).toBe(s.from.yardId);
    expect(unionsDownTo(all, all.length, '2026-06-26')).toEqual([]);
  });

  it('leaves a colony with swarm cells out: it would swarm with the bees of the other', () => {
    const { apiary } = demoScenario();
    const all = allFacts(apiary, DEMO_DAY, MILD);
    const steps = unionsDownTo(all, 1, '2026-06-26');
    const named = steps.flatMap((s) => [s.from.colony.name, s.union.partner.colony.name]);
    expect(named.length).toBeGreaterThan(6);
    expect(named).not.toContain('Sorrel');
  });

  it('expects no more colonies than there are', () => {
    const yard = new WeakYard(NO_NURSES);
    yard.look(yard.weak, { eggs: eggs() });
    const all = allFacts(yard.apiary, WEAK_DAY, MILD);
    const expected = expectedColonies(all, '2026-06-26');
    expect(expected).toBeGreaterThan(1.5);
    expect(expected).toBeLessThanOrEqual(3);
    expect(unionsDownTo(all, 2, '2026-06-26')[0]?.from.colony.name).toBe('Nettle');
  });
});
