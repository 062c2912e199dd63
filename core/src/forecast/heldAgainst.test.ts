import { describe, expect, it } from 'vitest';
import { bothSides, type FrameReading } from '../comb/contents.ts';
import type { Reading } from '../records/records.ts';
import { framesOfColony } from '../records/views.ts';
import { TestYard } from '../testing/builders.ts';
import { colonyOn } from './colonyOn.ts';
import { heldAgainst, leanOf, scoreOf, type HeldAgainst } from './heldAgainst.ts';

const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 3 }, 7);
const honey = bothSides({ honey: 8, drawn: 2 }, 4);

function counted(
  again: (yard: TestYard) => readonly { day: string; slots?: readonly number[]; body: FrameReading }[],
) {
  const yard = new TestYard();
  const colony = yard.hive('A', [[honey, brood, brood, honey]], '2026-05-09');
  const readings: Reading[] = Object.values(yard.apiary.reading);
  for (const { day, slots, body } of again(yard)) {
    yard.run({
      type: 'recordCount',
      visitId: yard.newId(),
      colonyId: colony.id,
      day,
      note: '',
      readings: framesOfColony(yard.apiary, colony)
        .filter((f) => !slots || slots.includes(f.slot))
        .map((f) => ({ id: yard.newId(), frameId: f.frame.id, body: body as never })),
    });
    for (const r of Object.values(yard.apiary.reading))
      if (!readings.some((k) => k.id === r.id)) readings.push(r);
  }
  return { yard, colony, readings };
}

describe('a count held against the forecast before it', () => {
  it('shows both, and the forecast is what the clock said for that day', () => {
    const before = counted(() => []);
    const said = colonyOn(before.yard.apiary, before.colony, '2026-05-21').model?.framesOfBees ?? NaN;
    const { yard, colony, readings } = counted(() => [{ day: '2026-05-21', body: brood }]);
    const [held, ...more] = heldAgainst(yard.apiary, colony, readings);
    expect(more).toEqual([]);
    expect(held).toMatchObject({ day: '2026-05-21', ahead: 12 });
    expect(held?.forecast.bees).toBeCloseTo(Math.min(said, 4), 1);
    expect(held?.counted.bees).toBeCloseTo(2.8, 9);
  });

  it('leaves out a count of a few combs, and one of the next days', () => {
    const { yard, colony, readings } = counted(() => [
      { day: '2026-05-10', body: brood },
      { day: '2026-05-25', slots: [2], body: brood },
    ]);
    expect(heldAgainst(yard.apiary, colony, readings)).toEqual([]);
  });
});

describe('how well forecasts have done', () => {
  const held = (ratio: number, n: number): HeldAgainst[] =>
    Array.from({ length: n }, (_, i) => ({
      day: `2026-05-${10 + i}`,
      ahead: 7,
      forecast: { bees: 10, brood: 4, foodKg: 5 },
      counted: { bees: 10 * ratio, brood: 4, foodKg: 5 },
    }));

  it('is not known before anything was counted twice', () => {
    expect(scoreOf([])).toBeNull();
  });

  it('says by how much a day to change it, and whether that can be relied on', () => {
    expect(leanOf([])).toBeNull();
    expect(leanOf(held(0.8, 1))).toMatchObject({ sure: false });
    const many = leanOf(held(0.8, 20))!;
    expect(many.sure).toBe(true);
    // ln 0.8 over seven days is 3.2 % a day; a rule takes 2 at most.
    expect(many.percentADay).toBe(-2);
    expect(leanOf(held(0.95, 30))?.percentADay).toBeCloseTo(-0.6, 1);
  });

  it('is believed slowly: few counts move it little and leave it wide, many bring it home', () => {
    const one = scoreOf(held(0.7, 1))!;
    const many = scoreOf(held(0.7, 30))!;
    expect(one.bees.likely).toBeGreaterThan(0.9);
    expect(many.bees.likely).toBeLessThan(0.76);
    expect(many.bees.likely).toBeGreaterThan(0.7);
    expect(one.bees.high - one.bees.low).toBeGreaterThan(many.bees.high - many.bees.low);
    expect(one.usuallyWithin).toBeCloseTo(0.3, 9);
  });
});
