import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { DEFAULT_HOUSE_RULES, stayShares } from '../../rules/houseRules.ts';
import type { Donor } from '../base/method.ts';
import { METHODS } from '../methods/registry.ts';
import { measureParts, planFrame } from '../base/measure.ts';
import { priceOf } from '../base/rules.ts';
import { searchChoice, searchExhaustively, type SearchSpace } from './search.ts';

const shares = stayShares(DEFAULT_HOUSE_RULES);

/** A frame of a random colony: any mixture that a comb can hold. */
const anyFrame = fc
  .record({
    eggs: fc.integer({ min: 0, max: 3 }),
    open: fc.integer({ min: 0, max: 3 }),
    capped: fc.integer({ min: 0, max: 5 }),
    honey: fc.integer({ min: 0, max: 6 }),
    beeBread: fc.integer({ min: 0, max: 2 }),
    bees: fc.integer({ min: 1, max: 10 }),
    cell: fc.integer({ min: 0, max: 5 }),
  })
  .map(({ bees, cell, ...c }) => {
    const sum = c.eggs + c.open + c.capped + c.honey + c.beeBread;
    const fit = sum > 10 ? 10 / sum : 1;
    const contents = Object.fromEntries(Object.entries(c).map(([k, v]) => [k, v * fit]));
    return bothSides({ ...contents, drawn: 10 - sum * fit }, bees, {
      cells: cell === 5 ? [{ kind: 'charged', count: 1 }] : [],
    });
  });

function donorOf(readings: readonly ReturnType<typeof bothSides>[], boxes: 1 | 2): Donor {
  const perBox = Math.ceil(readings.length / boxes);
  const ids = ['lower', 'upper'].slice(0, boxes);
  return {
    colonyId: 'c',
    name: 'A',
    boxes: ids.map((id) => ({
      id,
      name: id,
      sizeId: 'langstroth-deep',
      slots: perBox,
      combSlots: Array.from({ length: perBox }, (_, i) => i + 1),
      role: 'brood',
      excluderBelow: false,
    })),
    frames: readings.map((reading, i) => {
      const boxId = ids[Math.floor(i / perBox)] as string;
      const slot = (i % perBox) + 1;
      return planFrame(
        {
          id: String(i),
          label: `${boxId} ${slot}`,
          size: 'langstroth-deep',
          boxId,
          slot,
          reading: { ...reading, queenSeen: i === 1 },
        },
        'langstroth-deep',
        shares,
      );
    }),
    cells: [],
    countedOn: '2026-05-09',
  };
}

function spaceOf(
  methodAt: 0 | 1,
  donor: Donor,
): { space: SearchSpace; start: Parameters<typeof searchChoice>[1] } {
  const setup = METHODS[methodAt]!.setUp({
    donor,
    day: '2026-05-09',
    options: {},
    rules: DEFAULT_HOUSE_RULES,
    newName: 'B',
  });
  return {
    start: setup.start,
    space: {
      size: donor.frames.length,
      movable: setup.movable,
      shakable: setup.shakable,
      maxShakes: setup.maxShakes,
      newPart: setup.newPart,
      price: (choice) => {
        const [stay, fresh] = measureParts(donor.frames, choice, setup.distance, shares);
        return priceOf(setup.rules, stay, fresh) + setup.wish(stay, fresh, choice);
      },
    },
  };
}

describe('frame choice against trying every choice', () => {
  // Measured on these 120 colonies: the search found the optimum in all but a few; what it misses by is
  // bounded here, so that a weaker search fails.
  it.each([
    ['even walk-away halves', 0, 2],
    ['queen moved out to a nuc', 1, 1],
  ] as const)(
    '%s: within 1 %% of the optimum, and the optimum itself nearly always',
    (_name, method, boxes) => {
      let optimal = 0;
      let runs = 0;
      fc.assert(
        fc.property(fc.array(anyFrame, { minLength: 6, maxLength: 8 }), (readings) => {
          const { space, start } = spaceOf(method, donorOf(readings, boxes));
          const found = searchChoice(space, start);
          const best = searchExhaustively(space, start);
          runs++;
          if (found.price <= best.price + 1e-6) optimal++;
          expect(found.price).toBeGreaterThanOrEqual(best.price - 1e-6);
          expect(found.price).toBeLessThanOrEqual(best.price * 1.01 + 1e-6);
        }),
        { numRuns: 60, seed: 2026 },
      );
      expect(optimal / runs).toBeGreaterThanOrEqual(0.95);
    },
  );

  it('is the same for the same input', () => {
    const [readings] = fc.sample(fc.array(anyFrame, { minLength: 18, maxLength: 20 }), {
      numRuns: 1,
      seed: 5,
    });
    const { space, start } = spaceOf(0, donorOf(readings ?? [], 2));
    expect(searchChoice(space, start)).toEqual(searchChoice(space, start));
  });

  it('refuses to try more choices than can be tried', () => {
    const space = {
      size: 30,
      movable: Array.from({ length: 30 }, (_, i) => i),
      shakable: [],
      maxShakes: 0,
      newPart: { min: 0, max: 30 },
      price: () => 0,
    };
    expect(() => searchExhaustively(space, { part: [], shaken: [] })).toThrow(RangeError);
  });
});
