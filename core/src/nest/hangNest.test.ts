import { describe, expect, it } from 'vitest';
import { bothSides, type FrameReading } from '../comb/contents.ts';
import { planFrame } from '../split/base/measure.ts';
import { DEFAULT_HOUSE_RULES, stayShares } from '../rules/houseRules.ts';
import { hangNest, costOfNest, type OrderSchool, type ToHang } from './hangNest.ts';

// Brood together in the middle, bee bread next, honey outside, empties beside brood: common practice, no source.

let n = 0;
const frame = (reading: FrameReading, slot: number | null): ToHang => ({
  slot,
  frame: planFrame(
    { id: `f${n++}`, label: '', size: 'langstroth-deep', boxId: 'b', slot: slot ?? 0, reading },
    'langstroth-deep',
    stayShares(DEFAULT_HOUSE_RULES),
  ),
});
const brood = (tenths: number, slot: number | null = null) => frame(bothSides({ capped: tenths }, 8), slot);
const honey = (slot: number | null = null) => frame(bothSides({ honey: 9 }, 4), slot);
const bread = (slot: number | null = null) => frame(bothSides({ beeBread: 4, drawn: 6 }, 4), slot);
const empty = (slot: number | null = null) => frame(bothSides({ drawn: 10 }, 2), slot);

/** What hangs in each slot, in one letter: the box as a word. */
function arranged(frames: readonly ToHang[], slots: number, school: OrderSchool = 'nest'): string {
  const where = hangNest(frames, range(slots), school, 8);
  const letters = Array.from({ length: slots }, () => '.');
  for (const { frame: f } of frames) {
    const at = (where.get(f.id) ?? 0) - 1;
    letters[at] = f.brood > 0.1 ? 'B' : f.beeBread > 0.2 ? 'P' : f.stores > 0.2 ? 'H' : 'e';
  }
  return letters.join('');
}
const range = (to: number) => Array.from({ length: to }, (_, i) => i + 1);

/** All orders of frames and gaps. */
function* orders<T>(items: readonly T[]): Generator<T[]> {
  if (items.length <= 1) {
    yield [...items];
    return;
  }
  for (let i = 0; i < items.length; i++) {
    for (const rest of orders([...items.slice(0, i), ...items.slice(i + 1)])) yield [items[i] as T, ...rest];
  }
}

describe('the order of frames in a box', () => {
  it('of a new nuc is a nest: brood together, bread beside it, honey at the walls', () => {
    const order = arranged([honey(), brood(4), brood(8), bread(), honey()], 5);
    expect(order).toMatch(/^H?P?BBP?H?H?$/);
    expect(order).toContain('BB');
    expect(order.startsWith('H') || order.endsWith('H')).toBe(true);
    expect(order).toMatch(/PB|BP/);
  });

  it('hangs an arrival beside the brood and leaves the others where they are', () => {
    const there = [honey(1), brood(7, 3), brood(7, 4), honey(5)];
    const coming = brood(8);
    const where = hangNest([...there, coming], range(5), 'nest', 8);
    expect(where.get(coming.frame.id)).toBe(2);
    for (const f of there) expect(where.get(f.frame.id)).toBe(f.slot);
  });

  it('puts empty comb beside brood, not into it', () => {
    expect(arranged([honey(1), brood(7, 2), brood(7, 3), brood(7, 4), empty(), honey(6)], 6)).toBe('HBBBeH');
  });

  it('keeps the order when it is told to, and moves more freely when strong and warm', () => {
    const there = () => [brood(6, 1), honey(2), brood(8, 3), bread(4)];
    expect(arranged(there(), 4, 'keep')).toBe('BHBP');
    expect(arranged(there(), 4, 'nest')).toContain('BB');
  });

  it('in a small unit in the cool an empty comb goes outside, so that food touches brood and nothing parts it', () => {
    const there = [honey(1), honey(2), empty(3), brood(7, 4), brood(7, 5)];
    const coming = brood(7);
    const where = hangNest([...there, coming], range(6), 'keep', 3);
    const at = (f: ToHang) => where.get(f.frame.id) ?? 0;
    const [h1, h2, e, b1, b2] = there.map(at) as [number, number, number, number, number];
    // Full combs keep their order; no empty comb is left between brood, or between brood and food.
    expect([h1, h2, b1, b2].toSorted((x, y) => x - y)).toEqual([h1, h2, b1, b2]);
    expect(e).toBeGreaterThan(Math.max(b1, b2, at(coming)));
    // An empty comb that the bees have between their brood is left there.
    const asMade = [honey(1), brood(7, 2), empty(3), brood(7, 4), honey(5)];
    const kept = hangNest(asMade, range(5), 'keep', 8);
    for (const f of asMade) expect(kept.get(f.frame.id)).toBe(f.slot);
  });

  it('is as good as the best of all orders for boxes of up to six', () => {
    const boxes: ToHang[][] = [
      [honey(1), brood(5, 2), empty(3), brood(7, 4), honey(5), bread()],
      [brood(3), brood(8), honey(), empty(), bread()],
      [empty(1), brood(7, 2), honey(3), brood(2, 5)],
      [honey(), honey(), brood(9), brood(9)],
    ];
    for (const frames of boxes) {
      for (const school of ['keep', 'nest'] as const) {
        const slots = range(6);
        const where = hangNest(frames, slots, school, 8);
        const found = slots.map((s) => frames.find((f) => where.get(f.frame.id) === s) ?? null);
        const gaps = Array.from({ length: 6 - frames.length }, () => null);
        let best = Infinity;
        for (const order of orders<ToHang | null>([...frames, ...gaps])) {
          best = Math.min(best, costOfNest(order, slots, school, false));
        }
        // Within a fifth of what one slide costs.
        expect(costOfNest(found, slots, school, false)).toBeLessThan(best + 0.14);
      }
    }
  });
});
