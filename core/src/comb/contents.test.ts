import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bothSides,
  CONTENT_CLASSES,
  contents,
  frameReading,
  hasLiveCell,
  problemsOfReading,
  shareOf,
  shareOfBees,
  sumOfTenths,
} from './contents.ts';

describe('what was read off a frame', () => {
  it('adds up by hand: half a frame capped, a quarter honey', () => {
    const reading = bothSides({ capped: 5, honey: 2.5, drawn: 2.5 }, 8);
    expect(shareOf(reading, 'capped')).toBe(0.5);
    expect(shareOf(reading, 'capped', 'honey')).toBe(0.75);
    expect(shareOfBees(reading)).toBe(0.8);
  });

  it('keeps two different sides apart', () => {
    const reading = {
      ...bothSides({}, 0),
      sides: [
        { contents: { capped: 10 }, bees: 10 },
        { contents: { honey: 10 }, bees: 0 },
      ] as const,
    };
    expect(shareOf(reading, 'capped')).toBe(0.5);
    expect(shareOfBees(reading)).toBe(0.5);
  });

  it('knows live cells from cups and torn ones', () => {
    const cells = (kind: 'cup' | 'charged' | 'torn' | 'capped') =>
      bothSides({}, 0, { cells: [{ kind, count: 1 }] });
    expect(['cup', 'torn'].map((k) => hasLiveCell(cells(k as 'cup')))).toEqual([false, false]);
    expect(['charged', 'capped'].map((k) => hasLiveCell(cells(k as 'capped')))).toEqual([true, true]);
  });
});

describe('an impossible frame', () => {
  const tenths = fc.integer({ min: 0, max: 12 });
  const anySide = fc.record({
    contents: fc.record(Object.fromEntries(CONTENT_CLASSES.map((c) => [c, tenths])), { requiredKeys: [] }),
    bees: fc.integer({ min: 0, max: 14 }),
  });

  it('is one with a side over ten tenths of comb or of bees, and no other', () => {
    fc.assert(
      fc.property(anySide, anySide, (a, b) => {
        const reading = { ...bothSides({}, 0), sides: [a, b] as const };
        const over =
          [a, b].filter((s) => sumOfTenths(s.contents) > 10).length +
          [a, b].filter((s) => s.bees > 10).length;
        expect(problemsOfReading(reading, [])).toHaveLength(over);
      }),
    );
  });

  it('is named with side, number and remedy, at the path that was asked about', () => {
    const reading = {
      ...bothSides({ capped: 4 }, 4),
      sides: [
        { contents: {}, bees: 0 },
        { contents: { capped: 8, honey: 4.5 }, bees: 0 },
      ] as const,
    };
    expect(problemsOfReading(reading, ['readings', 3, 'body'])).toEqual([
      {
        code: 'side-over-full',
        path: ['readings', 3, 'body', 'sides', 1, 'contents'],
        message: 'The second side holds 12.5 tenths; a side has ten.',
        remedy: 'Take 2.5 tenths off one of its contents.',
      },
    ]);
  });

  it('has no negative amounts, no unknown contents, no hundred cell kinds', () => {
    expect(contents.safeParse({ capped: -1 }).success).toBe(false);
    expect(contents.safeParse({ jam: 1 }).success).toBe(false);
    const reading = bothSides({ capped: 1 }, 1);
    expect(frameReading.safeParse(reading).success).toBe(true);
    expect(frameReading.safeParse({ ...reading, v: 2 }).success).toBe(false);
    expect(frameReading.safeParse({ ...reading, cells: [{ kind: 'open', count: 0 }] }).success).toBe(false);
    expect(frameReading.safeParse({ ...reading, sides: [reading.sides[0]] }).success).toBe(false);
  });
});
