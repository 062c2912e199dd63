import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTENT_CLASSES, sumOfTenths } from './contents.ts';
import { paintTenth, STAMP_KINDS, stampContents, stripsOf, type Quarters } from './stamps.ts';

const kind = fc.constantFrom(...STAMP_KINDS);
const quarters = fc.constantFrom<Quarters>(1, 2, 3, 4);

describe('stamps', () => {
  it('always come to ten tenths, in half tenths', () => {
    fc.assert(
      fc.property(kind, quarters, (k, q) => {
        const c = stampContents(k, q);
        expect(sumOfTenths(c)).toBe(10);
        for (const name of CONTENT_CLASSES) expect(((c[name] ?? 0) * 2) % 1).toBe(0);
      }),
    );
  });

  it('share mixed brood out as 3 : 6 : 12 (by arithmetic from the days in each stage)', () => {
    expect(stampContents('mixed', 4)).toEqual({ eggs: 1.5, open: 3, capped: 5.5 });
    expect(stampContents('young', 2)).toMatchObject({ eggs: 1.5, open: 3.5 });
  });

  it('take comb that is built in part for foundation elsewhere', () => {
    expect(stampContents('drawn', 2)).toEqual({ drawn: 5, foundation: 5 });
  });
});

describe('painting by tenths', () => {
  it('changes one tenth, and keeps the sum', () => {
    fc.assert(
      fc.property(
        kind,
        quarters,
        fc.integer({ min: 0, max: 9 }),
        fc.constantFrom(...CONTENT_CLASSES),
        (k, q, strip, brush) => {
          const before = stampContents(k, q);
          const after = paintTenth(before, strip, brush);
          expect(sumOfTenths(after)).toBeCloseTo(10, 9);
          const gained = (after[brush] ?? 0) - (before[brush] ?? 0);
          expect(gained).toBeLessThanOrEqual(1);
          expect(gained).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('lays strips in the order of real comb', () => {
    expect(stripsOf({ capped: 5, honey: 2, drawn: 3 })).toEqual([
      'honey',
      'honey',
      'capped',
      'capped',
      'capped',
      'capped',
      'capped',
      'drawn',
      'drawn',
      'drawn',
    ]);
    expect(stripsOf(paintTenth({ capped: 5, honey: 2, drawn: 3 }, 9, 'beeBread'))[2]).toBe('beeBread');
  });
});
