import { describe, expect, it } from 'vitest';
import { bothSides, type FrameReading } from '../../comb/contents.ts';
import { FULL_BOX, methodPlan } from '../../testing/methodPlans.ts';

const honey = bothSides({ honey: 8, beeBread: 1, drawn: 1 }, 10);
const young = bothSides({ eggs: 2, open: 4, beeBread: 1, honey: 1, drawn: 2 }, 10);
const capped = bothSides({ capped: 6, beeBread: 1, honey: 2, drawn: 1 }, 10);
const drawn = bothSides({ drawn: 9, nectar: 1 }, 7);
/** Five combs of brood in a box of bees: what flies home leaves them covered. */
const HALF = [honey, drawn, capped, young, young, young, capped, drawn, honey, honey];
/** The same without an egg. */
const NO_EGGS = HALF.map((c) => (c === young ? capped : c));
const spread = (box: readonly FrameReading[]): FrameReading[] => box.map((f) => ({ ...f, estimated: true }));

const carried = (p: ReturnType<typeof methodPlan>) =>
  p.body.moves.filter((m) => m.from !== null && m.from.boxId !== m.to?.boxId);
const check = (p: ReturnType<typeof methodPlan>) =>
  p.command.steps.find((s) => s.text === 'See eggs in both before you close');

// One lifted box and, where a half has none, one comb with eggs: common practice, no source.
describe('walk-away halves of two boxes', () => {
  it('are one lifted box where both have eggs: no comb is carried, and the eggs are seen, comb by comb', () => {
    const p = methodPlan('walk-away-halves', [HALF, HALF]);
    expect(p.broken).toEqual([]);
    expect(carried(p)).toEqual([]);
    expect(p.body.newHives[0]?.boxes).toMatchObject([{ from: 'old-hive' }]);
    expect(check(p)?.detail).toMatch(
      /Old: on lower box, frame \d+ and \d more; New: on upper box, frame \d+ and \d more/,
    );
  });

  it('get one comb with eggs across where a half has none, and not six', () => {
    const p = methodPlan('walk-away-halves', [NO_EGGS, HALF]);
    expect(p.broken).toEqual([]);
    const eggs = carried(p).filter((m) => m.toKey !== 'new');
    expect(eggs).toHaveLength(1);
    expect(carried(p).length).toBeLessThanOrEqual(2);
    expect(p.stay.measure.eggsTenths).toBeGreaterThanOrEqual(1);
  });

  it('go by boxes where the count was eight numbers, spread as a typical nest: no comb is named that nobody has read', () => {
    const p = methodPlan('walk-away-halves', [spread(HALF), spread(HALF)], { frames: 'even' });
    expect(carried(p)).toEqual([]);
    expect(check(p)?.detail).toMatch(/Old: in the middle combs; New: in the middle combs/);
  });

  it('carry brood off a half whose bees would not cover it once field bees are home, and say so', () => {
    const p = methodPlan('walk-away-halves', [FULL_BOX, FULL_BOX]);
    expect(p.broken).toEqual([]);
    expect(carried(p).length).toBeGreaterThan(0);
    expect(carried(p).some((m) => /brood to bees|bees left/.test(m.reason))).toBe(true);
    expect(methodPlan('walk-away-halves', [FULL_BOX, FULL_BOX], { distance: 'away' }).body.moves).toEqual([]);
  });

  it('of one box are shared out comb by comb', () => {
    const ten = [...FULL_BOX.slice(0, 9), bothSides({ honey: 9, drawn: 1 }, 8)];
    const p = methodPlan('walk-away-halves', [ten]);
    expect(carried(p).length).toBeGreaterThanOrEqual(4);
    expect(p.body.newHives[0]?.boxes).toMatchObject([{ from: 'kit' }]);
  });

  it('are four combs into a nuc when that is asked, the queen wherever she is: not eight of ten', () => {
    for (const boxes of [[FULL_BOX], [FULL_BOX, FULL_BOX]]) {
      const p = methodPlan('walk-away-halves', boxes, { size: 'four' });
      expect(p.fresh.queen).toBe('unknown');
      const from = carried(p).filter((m) => m.toKey === 'new');
      expect(from.length).toBeGreaterThanOrEqual(3);
      expect(from.length).toBeLessThanOrEqual(4);
      expect(p.fresh.measure.eggsTenths).toBeGreaterThanOrEqual(1);
      expect(p.stay.measure.eggsTenths).toBeGreaterThanOrEqual(1);
      expect(p.looks.map(([topic]) => topic)).toContain('which-part');
      expect(p.body.kit.map((k) => k.what)[0]).toMatch(/^nuc box/);
    }
  });
});
