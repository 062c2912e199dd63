import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { problemsOfReading, shareOf, shareOfBees, sumOfTenths, type FrameReading } from '../comb/contents.ts';
import {
  framesThere,
  namedFrames,
  problemsOfQuickCount,
  spreadColony,
  type QuickCount,
  type SpreadBox,
} from './spreadColony.ts';

const nothing: QuickCount = {
  bees: 0,
  capped: 0,
  open: 0,
  eggsSeen: null,
  stores: 0,
  beeBread: 0,
  drawn: 0,
  foundation: 0,
};
const usual: QuickCount = {
  ...nothing,
  bees: 14,
  capped: 4,
  open: 2,
  eggsSeen: true,
  stores: 5,
  beeBread: 1.5,
  drawn: 4,
};
const deep: SpreadBox = { sizeId: 'langstroth-deep', combs: 10, brood: true };
const supered: SpreadBox = { sizeId: 'langstroth-medium', combs: 10, brood: false };
const sum = (boxes: readonly (readonly FrameReading[])[], pick: (r: FrameReading) => number) =>
  boxes.flat().reduce((n, r) => n + pick(r), 0);

describe('a quick count spread over the boxes', () => {
  it('gives its totals back to within half a frame, eggs being half the open brood', () => {
    const spread = spreadColony(usual, [deep, deep]);
    const off = (pick: (r: FrameReading) => number, wanted: number) =>
      expect(Math.abs(sum(spread, pick) - wanted)).toBeLessThan(0.5);
    off(shareOfBees, 14);
    off((r) => shareOf(r, 'capped'), 4);
    off((r) => shareOf(r, 'open'), 2);
    off((r) => shareOf(r, 'eggs'), 1);
    off((r) => shareOf(r, 'honey'), 5);
    off((r) => shareOf(r, 'beeBread'), 1.5);
  });

  it('keeps brood out of supers and puts stores there first', () => {
    const [below, above] = spreadColony(usual, [deep, supered]) as [FrameReading[], FrameReading[]];
    expect(sum([above], (r) => shareOf(r, 'capped', 'open', 'eggs'))).toBe(0);
    expect(sum([above], (r) => shareOf(r, 'honey'))).toBeGreaterThan(6);
    expect(sum([below], (r) => shareOf(r, 'honey'))).toBeLessThan(0.5);
  });

  it('says nothing of eggs when nobody looked, and marks every frame as estimated', () => {
    const spread = spreadColony({ ...usual, eggsSeen: null }, [deep, deep]);
    expect(sum(spread, (r) => shareOf(r, 'eggs'))).toBe(0);
    expect(spread.flat().every((r) => r.estimated)).toBe(true);
  });

  it('hangs foundation as whole sheets in the top box', () => {
    const [below, above] = spreadColony({ ...usual, foundation: 3, drawn: 0 }, [deep, deep]) as [
      FrameReading[],
      FrameReading[],
    ];
    expect(below.some((r) => shareOf(r, 'foundation') > 0)).toBe(false);
    expect(above.filter((r) => shareOf(r, 'foundation') === 1)).toHaveLength(3);
  });

  it('counts in frames of the lowest box: a medium super holds 6.6 deep frames', () => {
    expect(framesThere([deep, supered])).toBeCloseTo(10 + (10 * 585) / 880, 6);
    expect(namedFrames(usual)).toBeCloseTo(17.5, 6);
  });

  it('more than there is comb for is said with its number and what to do', () => {
    const wrong = (change: Partial<QuickCount>) =>
      problemsOfQuickCount({ ...usual, ...change }, [deep, deep]).map(
        (p) => `${p.path.join('.')}: ${p.message}`,
      );
    expect(wrong({})).toEqual([]);
    expect(wrong({ bees: 23 })).toEqual(['quick.bees: 23 frames of bees; there is room for 20.']);
    expect(wrong({ capped: 15, drawn: 0 })[0]).toBe(
      'quick.capped: 18 frames of brood with its eggs; there is room for 16.',
    );
    expect(wrong({ stores: 10 })).toEqual(['quick.stores: 22.5 frames are named; there is room for 20.']);
  });

  it('never makes an impossible frame, whatever is said of whatever boxes', () => {
    const amount = fc.integer({ min: 0, max: 24 }).map((n) => n / 2);
    const box = fc.record({
      sizeId: fc.constantFrom(
        'langstroth-deep' as const,
        'langstroth-medium' as const,
        'national-deep' as const,
        'own:300x300' as const,
      ),
      combs: fc.integer({ min: 0, max: 12 }),
      brood: fc.boolean(),
    });
    const count = fc.record({
      bees: amount,
      capped: amount,
      open: amount,
      stores: amount,
      beeBread: amount,
      drawn: amount,
      foundation: amount,
      eggsSeen: fc.constantFrom(true, false, null),
    });
    fc.assert(
      fc.property(count, fc.array(box, { minLength: 1, maxLength: 4 }), (said, boxes) => {
        const spread = spreadColony(said, boxes);
        expect(spread.map((b) => b.length)).toEqual(boxes.map((b) => b.combs));
        for (const r of spread.flat()) {
          expect(problemsOfReading(r, [])).toEqual([]);
          expect(sumOfTenths(r.sides[0].contents)).toBeCloseTo(10, 9);
        }
        const never = boxes.flatMap((b, i) => (b.brood ? [] : (spread[i] ?? [])));
        expect(never.every((r) => shareOf(r, 'eggs', 'open', 'capped') === 0)).toBe(true);
      }),
      { numRuns: 300, seed: 5 },
    );
  });
});
