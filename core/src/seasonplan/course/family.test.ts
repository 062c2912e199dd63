import { describe, expect, it } from 'vitest';
import { addDays, daysBetween, type Day } from '../../basics/index.ts';
import { ColonyModel, CombSide } from '../../clock/index.ts';
import { calendarOf, CLIMATES, midwinterBefore, pullOf, type Climate } from '../../season/index.ts';
import { seasonWeeks } from '../year/seasonWeek.ts';
import { Family, FRAME_OF_BEES, FRAME_OF_CELLS } from './family.ts';

const RULES = { layingMost: 1500, coverWarm: 0.8, coverCold: 0.6, appetite: 1 };

/** A colony for the clock: brood in the middle, food outside, empty comb besides. */
function clockColony(bees: number, brood: number, kg: number, combs: number): ColonyModel {
  const model = new ColonyModel(RULES);
  const broodCombs = Math.ceil(brood / 0.8);
  const sides = Array.from({ length: combs }, (_, i) => {
    const own = Math.min(0.8, Math.max(0, brood - i * 0.8));
    const honey = i < broodCombs ? 0 : Math.min(0.9, Math.max(0, kg / 2.95 - (i - broodCombs) * 0.9));
    const bread = i === broodCombs ? 1 : 0;
    const drawn = 10 - 10 * own - 10 * honey - bread;
    const contents = {
      eggs: (own * 30) / 21,
      open: (own * 60) / 21,
      capped: (own * 120) / 21,
      honey: 10 * honey,
      beeBread: bread,
      drawn,
    };
    const side = { bees: Math.min(10, (10 * bees) / combs), contents };
    return [CombSide.of(side, 'langstroth-deep', true), CombSide.of(side, 'langstroth-deep', true)];
  }).flat();
  model.rate = (brood * FRAME_OF_CELLS) / 21;
  model.lays = true;
  model.join(sides, 0);
  return model;
}

/** Twenty weeks of one colony by the clock, day by day, and by the weeks of a season plan: frames of bees every fourth week. */
function sideBySide(climate: Climate, from: Day, bees: number, brood: number, kg: number, combs: number) {
  const calendar = calendarOf(climate);
  const at = (day: Day) => daysBetween(midwinterBefore(day, 'north'), day);
  const model = clockColony(bees, brood, kg, combs);
  const f = new Family();
  f.b0 = f.b1 = f.b2 = (brood * FRAME_OF_CELLS) / 3;
  f.h0 = f.h1 = f.h2 = model.adults.inHouse / 3;
  f.field = model.adults.field;
  f.kg = model.foodKg;
  f.combs = f.places = combs;
  f.lays = true;
  f.pace = Math.min(1.2, Math.max(0.25, model.rate / (1500 * pullOf(calendar, at(from)).laying)));
  const books = { emerged: 0, died: 0, gathered: 0, fed: 0, eaten: 0 };
  const seen: { clock: number; weeks: number; kgClock: number; kgWeeks: number }[] = [];
  seasonWeeks(calendar, 'north', from, 20).forEach((week, w) => {
    if (w % 4 === 0)
      seen.push({ clock: model.framesOfBees, weeks: f.frames, kgClock: model.foodKg, kgWeeks: f.kg });
    for (let d = 0; d < 7; d++) {
      if (model.foodKg < 2) model.feed(2);
      model.pass({
        ...pullOf(calendar, at(addDays(week.day, d))),
        flow: week.flowKg > 0,
        gathersKg: week.flowKg,
      });
    }
    f.pass(week, RULES, 1, books);
    if (f.kg < 2) f.kg += 2;
  });
  return seen;
}

describe('a colony by weeks', () => {
  it.each(CLIMATES)('grows and shrinks as the daily clock has it (%s)', (climate) => {
    for (const [from, bees, brood, kg] of [
      ['2026-04-20', 8, 4, 10],
      ['2026-05-20', 14, 6, 10],
      ['2026-07-20', 10, 4, 10],
    ] as const)
      for (const { clock, weeks, kgClock, kgWeeks } of sideBySide(climate, from, bees, brood, kg, 20)) {
        expect(Math.abs(weeks - clock), `${from} ${clock} ${weeks}`).toBeLessThan(0.16 * clock + 0.4);
        expect(Math.abs(kgWeeks - kgClock)).toBeLessThan(0.1 * kgClock + 2);
      }
  });

  it('lets three frames of bees fill a ten-frame box in six to nine weeks (common practice: six to eight)', () => {
    const course = sideBySide('temperate', '2026-05-15', 3, 1.2, 8, 20);
    expect(course[1]?.weeks).toBeGreaterThan(4.5);
    expect(course[2]?.weeks).toBeGreaterThan(8);
    expect(course[2]?.weeks).toBeLessThan(16);
  });

  it('dwindles from half a frame of bees', () => {
    const f = new Family();
    f.h0 = f.h1 = f.h2 = (0.5 * FRAME_OF_BEES) / 3;
    f.lays = true;
    f.combs = f.places = 5;
    f.kg = 4;
    const books = { emerged: 0, died: 0, gathered: 0, fed: 0, eaten: 0 };
    for (const week of seasonWeeks(calendarOf('temperate'), 'north', '2026-05-15', 8))
      f.pass(week, RULES, 1, books);
    expect(f.frames).toBeLessThan(0.6);
  });
});
