import { describe, expect, it } from 'vitest';
import { framesOfColony } from '../../records/views.ts';
import { allFacts } from '../remedies.ts';
import { eggs } from '../../testing/queenLooks.ts';
import { FULL_OF_BROOD, WEAK_DAY, WeakYard } from '../../testing/weakYard.ts';
import { planAction } from './actions.ts';
import { workOfAction } from './actionPlan.ts';
import { apiaryAfter } from './apiaryAfter.ts';

describe('the apiary after a plan', () => {
  it('shows the queen that stays alone, and changes nothing of the records themselves', () => {
    const yard = new WeakYard(FULL_OF_BROOD);
    yard.queenIn(yard.weak, 2023);
    yard.queenIn(yard.colony('Rowan'), 2026);
    yard.look(yard.weak, { eggs: eggs() });
    const all = allFacts(yard.apiary, WEAK_DAY, { coldNights: false });
    const facts = all.find((f) => f.colony.id === yard.weak.id)!;
    const plan = planAction('combine', facts, all, { partnerId: yard.colony('Rowan').id }, yard.newId)!;
    const before = yard.apiary;
    const { work } = workOfAction(before, plan, WEAK_DAY, yard.newId);
    const after = apiaryAfter(before, work);
    const rowan = after.colony[yard.colony('Rowan').id]!;
    const seenOn = (apiary: typeof before, colony: typeof rowan) =>
      framesOfColony(apiary, colony).filter((f) => f.reading?.body.queenSeen).length;
    expect(seenOn(before, yard.weak)).toBe(1);
    // The comb on which the old queen was seen hangs in Rowan's hive now, without her.
    expect(seenOn(after, rowan)).toBe(seenOn(before, yard.colony('Rowan')));
    expect(yard.apiary).toBe(before);
    expect(seenOn(yard.apiary, yard.weak)).toBe(1);
  });
});
