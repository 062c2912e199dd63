import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bothSides, type Contents } from '../../comb/contents.ts';
import { DEFAULT_HOUSE_RULES, stayShares } from '../../rules/houseRules.ts';
import { arrangeNest, takeIn } from './arrange.ts';
import { planFrame } from '../base/measure.ts';

const frame = (id: string, contents: Contents) =>
  planFrame(
    { id, label: id, size: 'langstroth-deep', boxId: 'b', slot: 1, reading: bothSides(contents, 5) },
    'langstroth-deep',
    stayShares(DEFAULT_HOUSE_RULES),
  );
const brood = (id: string, tenths = 6) => frame(id, { capped: tenths, drawn: 10 - tenths });
const honey = (id: string) => frame(id, { honey: 9, drawn: 1 });
const empty = (id: string) => frame(id, { drawn: 10 });
const ids = (list: readonly { readonly id: string }[]) => list.map((f) => f.id).join(' ');
const slotted = (list: ReturnType<typeof takeIn>) => list.map((s) => `${s.slot}${s.frame.id}`).join(' ');

describe('the order of a nest (common practice, no source)', () => {
  it('has brood in the middle, the fullest innermost, empty comb beside it, stores at the walls', () => {
    expect(ids(arrangeNest([honey('h1'), brood('b1', 3), empty('e'), brood('b2', 8), honey('h2')]))).toBe(
      'h1 b1 b2 e h2',
    );
  });

  it('takes brood in beside the brood; what hangs between slides over', () => {
    const present = [
      { frame: honey('h'), slot: 2 },
      { frame: brood('x'), slot: 3 },
      { frame: brood('y'), slot: 4 },
      { frame: honey('i'), slot: 5 },
    ];
    expect(slotted(takeIn(present, [brood('new')], [1], 5))).toBe('1h 2new 3x 4y 5i');
    expect(slotted(takeIn(present, [honey('new')], [1], 5))).toBe('1new 2h 3x 4y 5i');
  });

  it('hangs every frame in a slot of its own and keeps the order of those that were there', () => {
    const kind = fc.constantFrom(brood, honey, empty);
    fc.assert(
      fc.property(
        fc.array(kind, { minLength: 1, maxLength: 7 }),
        fc.array(kind, { minLength: 1, maxLength: 3 }),
        (there, come) => {
          const present = there.map((make, i) => ({ frame: make(`p${i}`), slot: i + 2 }));
          const arrivals = come.map((make, i) => make(`a${i}`));
          const used = new Set(present.map((p) => p.slot));
          const free = Array.from({ length: 12 }, (_, i) => i + 1).filter((s) => !used.has(s));
          const after = takeIn(present, arrivals, free, 12);
          expect(new Set(after.map((s) => s.slot)).size).toBe(there.length + come.length);
          expect(ids(after.map((s) => s.frame).filter((f) => f.id.startsWith('p')))).toBe(
            ids(present.map((p) => p.frame)),
          );
        },
      ),
    );
  });
});
