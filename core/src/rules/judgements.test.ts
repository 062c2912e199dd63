import { describe, expect, it } from 'vitest';
import { restsOn } from '../testing/restsOn.ts';
import { DEFAULT_HOUSE_RULES as RULES } from './houseRules.ts';
import {
  coversMore,
  isHoneyBound,
  isOutgrown,
  isStrongEnoughToGive,
  isStrongEnoughToPart,
  givesCombs,
} from './judgements.ts';

// Worked by hand from the defaults (common practice, no source).
describe('what a colony is called by', () => {
  it('covered: five frames of bees keep four of brood warm in mild nights, three in cold ones', () => {
    restsOn('coverWarm', 'coverCold');
    expect(coversMore({ bees: 5, brood: 4 }, RULES, 'mild')).toBeCloseTo(0, 9);
    expect(coversMore({ bees: 5, brood: 4 }, RULES, 'cold')).toBeCloseTo(-1, 9);
  });

  it('honey-bound: stores in nearly half of the slots and hardly an empty cell, and neither alone', () => {
    restsOn('honeyBoundStores', 'honeyBoundRoom');
    expect(isHoneyBound({ stores: 5, room: 0.3, slots: 10 }, RULES)).toBe(true);
    expect(isHoneyBound({ stores: 4.4, room: 0.3, slots: 10 }, RULES)).toBe(false);
    expect(isHoneyBound({ stores: 5, room: 1, slots: 10 }, RULES)).toBe(false);
  });

  it('strong enough to give: bees and brood both', () => {
    restsOn('giverBees', 'giverBrood', 'giftKeepShare');
    expect(isStrongEnoughToGive({ bees: 9, brood: 5.5 }, RULES)).toBe(true);
    expect(isStrongEnoughToGive({ bees: 12, brood: 5 }, RULES)).toBe(false);
    expect([6, 7, 13, 14].map((n) => givesCombs(n, RULES))).toEqual([0, 1, 1, 2]);
    expect([8.4, 8.5].map((n) => isStrongEnoughToPart(n, RULES))).toEqual([false, true]);
  });

  it('outgrown: four brood and all bees of five combs; never a full-sized box', () => {
    restsOn('nucFullBees', 'nucFullBrood');
    expect(isOutgrown({ bees: 5, brood: 4, slots: 5 }, RULES)).toBe(true);
    expect(isOutgrown({ bees: 4, brood: 4, slots: 5 }, RULES)).toBe(false);
    expect(isOutgrown({ bees: 10, brood: 8, slots: 10 }, RULES)).toBe(false);
  });
});
