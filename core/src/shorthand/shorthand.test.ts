import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bothSides,
  CELL_KINDS,
  CELL_PLACES,
  CONTENT_CLASSES,
  problemsOfReading,
  shareOf,
  type CellFinding,
  type FrameReading,
  type Side,
} from '../comb/contents.ts';
import { completeShorthand } from './completeShorthand.ts';
import type { ShorthandPlace } from './frameScanner.ts';
import { parseShorthand } from './parseShorthand.ts';
import { printFrame, printShorthand } from './printShorthand.ts';

const places = (...boxes: number[]): ShorthandPlace[] =>
  boxes.flatMap((slots, i) =>
    Array.from({ length: slots }, (_, s) => ({ box: i + 1, slot: s + 1, last: null })),
  );
const read = (text: string, ...boxes: number[]) =>
  parseShorthand(text, places(...(boxes.length ? boxes : [10])));
const one = (text: string) => {
  const { readings, problems } = read(text);
  expect(problems).toEqual([]);
  return readings[0]!;
};
const problemOf = (text: string, ...boxes: number[]) => {
  const [first] = read(text, ...boxes).problems;
  return first && { code: first.code, letter: text.slice(first.from, first.to) };
};

/** Any side in half tenths that is full, as the recorder makes them. */
const anySide: fc.Arbitrary<Side> = fc
  .record({
    cuts: fc.array(fc.integer({ min: 0, max: 20 }), {
      minLength: CONTENT_CLASSES.length - 1,
      maxLength: CONTENT_CLASSES.length - 1,
    }),
    bees: fc.integer({ min: 0, max: 20 }),
  })
  .map(({ cuts, bees }) => {
    const at = [0, ...cuts.toSorted((a, b) => a - b), 20];
    const contents = Object.fromEntries(
      CONTENT_CLASSES.flatMap((c, i) => {
        const halves = at[i + 1]! - at[i]!;
        return halves > 0 ? [[c, halves / 2]] : [];
      }),
    );
    return { contents, bees: bees / 2 };
  });

const anyCell: fc.Arbitrary<CellFinding> = fc
  .record({
    kind: fc.constantFrom(...CELL_KINDS),
    count: fc.integer({ min: 1, max: 200 }),
    larvaAgeDays: fc.option(
      fc.integer({ min: 0, max: 12 }).map((n) => n / 2),
      { nil: undefined },
    ),
    place: fc.option(fc.constantFrom(...CELL_PLACES), { nil: undefined }),
  })
  .map(({ kind, count, larvaAgeDays, place }) => ({
    kind,
    count,
    ...(larvaAgeDays === undefined ? {} : { larvaAgeDays }),
    ...(place === undefined ? {} : { place }),
  }));

const anyReading: fc.Arbitrary<FrameReading> = fc.record({
  v: fc.constant(1 as const),
  sides: fc.tuple(anySide, anySide),
  queenSeen: fc.boolean(),
  cells: fc.array(anyCell, { maxLength: 3 }),
  estimated: fc.constant(false),
});

describe('shorthand', () => {
  it('printed and read again is the same, for any count', () => {
    const layout = places(10, 8);
    const anyCount = fc.array(fc.option(anyReading, { nil: null }), { minLength: 18, maxLength: 18 });
    fc.assert(
      fc.property(anyCount, (readings) => {
        const again = parseShorthand(printShorthand(readings, layout), layout);
        expect(again.problems).toEqual([]);
        expect(again.readings).toEqual(readings);
      }),
      { numRuns: 400, seed: 11 },
    );
  });

  it('whatever is typed, it never throws and never gives an impossible frame', () => {
    const letters = fc.string({
      unit: fc.constantFrom(...'hnbgocedxfmyqk*|=";:/-@0123456789. \nzß'.split('')),
      maxLength: 60,
    });
    fc.assert(
      fc.property(letters, (text) => {
        const { readings, problems } = read(text, 3, 3);
        expect(readings.flatMap((r) => (r ? problemsOfReading(r, []) : []))).toEqual([]);
        for (const p of problems) {
          expect(p.from).toBeGreaterThanOrEqual(0);
          expect(p.to).toBeGreaterThan(p.from);
          expect(p.remedy).not.toBe('');
        }
        completeShorthand(text);
      }),
      { numRuns: 2000, seed: 12 },
    );
  });

  it('reads a letter without a number as the rest of the side, and what is not named as empty comb', () => {
    expect(one('h2 c *9')).toEqual(bothSides({ honey: 2, capped: 8 }, 9));
    expect(one('h2 c6 *9')).toEqual(bothSides({ honey: 2, capped: 6, drawn: 2 }, 9));
    expect(one('f *0')).toEqual(bothSides({ foundation: 10 }, 0));
  });

  it('shares mixed brood out 3 : 6 : 12 as the days in each stage', () => {
    const all = one('m*10');
    expect([shareOf(all, 'eggs'), shareOf(all, 'open'), shareOf(all, 'capped')]).toEqual([0.15, 0.3, 0.55]);
  });

  it('parts the sides, takes queen and cells, goes from box to box and to a named slot', () => {
    const { readings, problems } = read(
      'h5 c *8 | x *3 q; - ; 5: k2c-b k1j@2 x*4 // b1 h *6; 1/9: f*0',
      10,
      10,
    );
    expect(problems).toEqual([]);
    expect(readings[0]).toMatchObject({
      queenSeen: true,
      sides: [{ bees: 8 }, { contents: { drawn: 10 }, bees: 3 }],
    });
    expect(readings[1]).toBeNull();
    expect(readings[4]!.cells).toEqual([
      { kind: 'capped', count: 2, place: 'bottom-edge' },
      { kind: 'charged', count: 1, larvaAgeDays: 2 },
    ]);
    expect(readings[10]!.sides[0].contents).toEqual({ beeBread: 1, honey: 9 });
    expect(readings[8]!.sides[0].contents).toEqual({ foundation: 10 });
  });

  it('takes bees from the frame before, the frame before as a whole, and the last time', () => {
    const last = bothSides({ honey: 10 }, 4, { queenSeen: true });
    const layout = places(4).map((p) => (p.slot === 4 ? { ...p, last } : p));
    const { readings, problems } = parseShorthand('c6*8q; h; =; "', layout);
    expect(problems).toEqual([]);
    expect(readings.map((r) => r!.sides[0].bees)).toEqual([8, 8, 8, 4]);
    expect(readings[2]!.sides[0].contents).toEqual({ honey: 10 });
    expect(readings.map((r) => r!.queenSeen)).toEqual([true, false, false, false]);
  });

  it.each<[string, string, string]>([
    ['h2 w6 *8', 'unknown-letter', 'w6'],
    ['h2 ? *8', 'unknown-letter', '?'],
    ['c11 *8', 'over-ten', 'c11'],
    ['c6.3 *8', 'too-fine', 'c6.3'],
    ['h6 c6 *8', 'side-over-full', 'h6 c6 *8'],
    ['h c *8', 'two-rests', 'c'],
    ['h2 h3 *8', 'content-twice', 'h'],
    ['c6', 'bees-missing', '6'],
    ['c6 *', 'number-missing', '*'],
    ['c *8 | x | x', 'third-side', '|'],
    ['kz *8', 'cell-kind', 'kz'],
    ['= *8', 'nothing-to-copy', '='],
    ['" *8', 'nothing-to-copy', '"'],
    ['12: c *8', 'no-such-slot', '12:'],
    ['c *8; 1: h *8', 'frame-twice', ' '],
  ])('%s: %s, shown at its letter', (text, code, letter) => {
    expect(problemOf(text)).toEqual({ code, letter });
  });

  it('a frame too many is said, and the frames before it stand', () => {
    const { readings, problems } = read('x*1; x; x', 2);
    expect(readings.every((r) => r !== null)).toBe(true);
    expect(problems.map((p) => p.code)).toEqual(['beyond-last-frame']);
  });

  it('prints a frame as one would type it', () => {
    expect(printFrame(bothSides({ honey: 2, capped: 8 }, 9, { queenSeen: true }))).toBe('h2 c *9 q');
  });
});

describe('completion', () => {
  const inserts = (text: string) => completeShorthand(text).map((c) => c.insert);

  it('offers what is not there yet, numbers behind a letter, kinds behind a k', () => {
    expect(inserts('')).toContain('=');
    expect(inserts('h2 ')).not.toContain('h');
    expect(inserts('h2 ')[0]).toBe('*8');
    expect(inserts('h2 *8 ')[0]).toBe('; ');
    expect(inserts('h')).toContain('6');
    expect(inserts('h2 k')).toEqual(['u', 'j', 'o', 'c', 'e', 't']);
  });

  it('every completion of a sound beginning can be gone on from without an unknown letter', () => {
    for (const start of ['', 'h2 ', 'h2 *8 ', 'h', '*', 'k', 'h2 | ']) {
      for (const { insert } of completeShorthand(start)) {
        const codes = read(start + insert).problems.map((p) => p.code);
        expect([start + insert, ...codes]).not.toContain('unknown-letter');
      }
    }
  });
});
