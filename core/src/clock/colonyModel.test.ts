import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTENT_CLASSES, sumOfTenths, type ContentClass, type Contents } from '../comb/contents.ts';
import { framesOfBeesFromCapped } from '../comb/densities.ts';
import { pullOf } from '../season/colonyYear.ts';
import { calendarOf } from '../season/season.ts';
import { after, broodFrames, comb, FLOW, modelOf, SUMMER, WINTER } from '../testing/modelOf.ts';
import type { ColonyModel, DayConditions } from './colonyModel.ts';

const times = <T>(n: number, x: T): T[] => Array.from({ length: n }, () => x);
const share = (model: ColonyModel, what: ContentClass) =>
  model.sides.reduce((n, s) => n + (s.read().contents[what] ?? 0), 0) / 20;

/** A nuc of so many frames of bees on five combs with brood of all ages in proportion, in a ten-frame box of drawn comb. */
const nucOf = (frames: number, eggsPerDay: number | null, brood = 0.5) => {
  const covered = Math.min(10, (10 * frames) / 5);
  const [eggs, open, capped] = [3, 6, 12].map((d) => (brood * frames * 10 * d) / 21 / 5);
  return modelOf(
    [
      ...times(
        5,
        comb(
          {
            eggs: eggs!,
            open: open!,
            capped: capped!,
            honey: 2,
            beeBread: 0.5,
            drawn: 7.5 - brood * frames * 2,
          },
          covered,
        ),
      ),
      ...times(5, comb({ drawn: 10 }, 0)),
    ],
    eggsPerDay,
  );
};

describe('brood (stages of Winston 1987, The Biology of the Honey Bee, as remembered)', () => {
  const brood = comb({ eggs: 1, open: 2, capped: 4, honey: 3 }, 10);

  it('without a queen is gone by its days: no eggs on day 3, no open brood on day 9, nothing capped on day 21', () => {
    const at = (days: number) => after(modelOf([brood], null), days, FLOW);
    expect(share(at(2), 'eggs')).toBeGreaterThan(0);
    expect(share(at(3), 'eggs')).toBeCloseTo(0, 9);
    expect(share(at(8), 'open')).toBeGreaterThan(0);
    expect(share(at(9), 'open')).toBeCloseTo(0, 9);
    expect(share(at(20), 'capped')).toBeGreaterThan(0);
    expect(share(at(21), 'capped')).toBeCloseTo(0, 9);
  });

  it('of drones is gone by day 24 after it was laid: capped brood of any age within 14 days', () => {
    const at = (days: number) => after(modelOf([comb({ drone: 5, drawn: 5 }, 10)], null), days, FLOW);
    expect(share(at(13), 'drone')).toBeGreaterThan(0);
    expect(share(at(14), 'drone')).toBeCloseTo(0, 9);
  });

  it('emerges evenly over twelve days when its age is not known', () => {
    for (const days of [3, 6, 9]) {
      const model = after(
        modelOf([comb({ capped: 6, drawn: 4 }, 10), ...times(4, comb({ drawn: 10 }, 10))], null),
        days,
        FLOW,
      );
      expect(share(model, 'capped')).toBeCloseTo(0.6 * (1 - days / 12), 9);
    }
  });

  it('a full frame of it becomes two to three frames of bees (arithmetic of densities; common practice says two)', () => {
    const nest = [comb({ capped: 10 }, 10), ...times(4, comb({ drawn: 10 }, 10))];
    const bare = [comb({ drawn: 10 }, 10), ...times(4, comb({ drawn: 10 }, 10))];
    // Bees of one age, so that only what emerges makes the difference.
    const bees = (combs: typeof nest) =>
      after(modelOf(combs, null, { winterShare: 1 }), 12, FLOW).framesOfBees;
    const gained = bees(nest) - bees(bare);
    expect(gained).toBeGreaterThan(2);
    expect(gained).toBeLessThan(framesOfBeesFromCapped('langstroth-deep').high);
  });

  it('stands as 3 : 6 : 12 under a queen that lays at a steady rate', () => {
    const model = modelOf(times(10, comb({ drawn: 10 }, 10)), 1000, {
      rules: { layingMost: 1000, coverWarm: 1.2, coverCold: 1.2, appetite: 1 },
    });
    after(model, 21, FLOW);
    expect(share(model, 'open') / share(model, 'eggs')).toBeCloseTo(2, 6);
    expect(share(model, 'capped') / share(model, 'eggs')).toBeCloseTo(4, 6);
    expect(model.broodCells).toBeCloseTo(21_000, 3);
  });

  it('that bees cannot cover dries out, the youngest as well, and what is about to emerge last', () => {
    const model = modelOf(times(4, comb({ eggs: 2, open: 3, capped: 5 }, 1)), null);
    const before = model.broodCells;
    after(model, 1, FLOW);
    expect(model.broodCells).toBeLessThan(before * 0.95);
    after(model, 6, FLOW);
    expect(model.ledger.lost).toBeGreaterThan(0.3 * before);
  });
});

describe('adult bees', () => {
  it('a colony without brood loses about a fifth in a week (common practice, no source)', () => {
    const left = after(modelOf(times(5, comb({ drawn: 10 }, 10)), null), 7, FLOW).framesOfBees / 5;
    expect(left).toBeGreaterThan(0.78);
    expect(left).toBeLessThan(0.88);
  });

  it('of summer are gone within about ten weeks, winter bees live through five months (Winston 1987)', () => {
    const summer = after(modelOf(times(5, comb({ drawn: 10 }, 10)), null), 70, FLOW).framesOfBees / 5;
    expect(summer).toBeLessThan(0.1);
    const winter = after(
      modelOf(times(8, comb({ honey: 9, drawn: 1 }, 10)), null, { winterShare: 1 }),
      150,
      WINTER,
    ).framesOfBees;
    expect(winter / 8).toBeGreaterThan(0.5);
    expect(winter / 8).toBeLessThan(0.75);
  });
});

describe('what counts have shown', () => {
  it('lets more or fewer live on, a little each day, and books still balance', () => {
    const after14 = (lean: number) => {
      const model = modelOf(times(5, comb({ drawn: 10 }, 10)), null, {
        rules: { layingMost: 1500, coverWarm: 0.8, coverCold: 0.6, appetite: 1, lean },
      });
      after(model, 14, FLOW);
      const { joined, emerged, died, left } = model.ledger;
      expect(model.adults.total).toBeCloseTo(joined + emerged - died - left, 6);
      return model.framesOfBees;
    };
    expect(after14(0.01) / after14(0)).toBeCloseTo(Math.exp(0.14), 1);
    expect(after14(-0.01)).toBeLessThan(after14(0));
  });
});

describe('units of several sizes, eight weeks in mild weather with a laying queen and food (common practice, no source)', () => {
  const grown = (frames: number, days: number, on: DayConditions = FLOW, brood = 0.5) =>
    after(nucOf(frames, 600, brood), days, on).framesOfBees;

  it('three frames fill a ten-frame box in six to eight weeks', () => {
    expect(grown(3, 35)).toBeLessThan(9.5);
    expect(grown(3, 56)).toBeGreaterThan(9.5);
  });

  it('one and a half to two build slowly', () => {
    for (const frames of [1.5, 2]) {
      expect(grown(frames, 42)).toBeGreaterThan(frames);
      expect(grown(frames, 42)).toBeLessThan(8);
    }
    expect(grown(2, 42)).toBeLessThan(grown(3, 42));
    expect(grown(1.5, 42)).toBeLessThan(grown(2, 42));
  });

  it('half a frame dwindles', () => {
    expect(grown(0.5, 42, FLOW, 0.2)).toBeLessThan(0.45);
  });

  it('below two with cold nights dwindle', () => {
    const cold = { ...FLOW, coldNights: true };
    expect(grown(1.5, 42, cold, 0.3)).toBeLessThan(1.5);
  });
});

describe('food (figures of common practice, order of magnitude)', () => {
  const eaten = (model: ColonyModel, days: number, on: DayConditions) => {
    after(model, days, on);
    return model.ledger.eaten;
  };

  it('five frames of bees with two of brood use about 0.1 kg a day in mild weather, up to 0.25 in the cold', () => {
    const unit = () =>
      modelOf(
        [...times(4, comb({ eggs: 0.7, open: 1.4, capped: 2.9, honey: 5 }, 10)), comb({ honey: 10 }, 10)],
        600,
        { rules: { layingMost: 600, coverWarm: 0.8, coverCold: 0.6, appetite: 1 } },
      );
    const mild = unit().eatsPerDay(SUMMER);
    expect(mild).toBeGreaterThan(0.08);
    expect(mild).toBeLessThan(0.12);
    expect(unit().eatsPerDay({ ...SUMMER, coldNights: true })).toBeLessThanOrEqual(0.25);
  });

  it('twelve to twenty frames of bees use 1.5 to 3 kg a week in a spring dearth', () => {
    for (const [frames, brood] of [
      [12, 5],
      [20, 8],
    ] as const) {
      const combs = times(
        frames,
        comb(
          {
            eggs: (10 * brood * 3) / 21 / frames,
            open: (10 * brood * 6) / 21 / frames,
            capped: (10 * brood * 12) / 21 / frames,
            honey: 5,
          },
          10,
        ),
      );
      const week = eaten(modelOf(combs, 1200), 7, SUMMER);
      expect(week).toBeGreaterThan(1.4);
      expect(week).toBeLessThan(3.2);
    }
  });

  it('a winter month without brood costs a small colony 0.6 to 1.2 kg and a full one 1 to 2', () => {
    const month = (frames: number) =>
      eaten(modelOf(times(10, comb({ honey: 9, drawn: 1 }, frames)), null, { winterShare: 1 }), 30, WINTER);
    expect(month(4)).toBeGreaterThan(0.5);
    expect(month(4)).toBeLessThan(1.2);
    expect(month(9)).toBeGreaterThan(1);
    expect(month(9)).toBeLessThan(2);
  });

  it('a full comb of brood takes about half a kilogram to raise', () => {
    const on = { ...SUMMER, laying: 0 };
    const raise = modelOf([comb({ eggs: 10 }, 10), ...times(5, comb({ honey: 10 }, 10))], null);
    const none = modelOf([comb({ drawn: 10 }, 10), ...times(5, comb({ honey: 10 }, 10))], null);
    const more = eaten(raise, 21, on) - eaten(none, 21, on);
    // 7,000 larvae at 0.08 g, and what those bees eat that emerge near the end.
    expect(more).toBeGreaterThan(0.45);
    expect(more).toBeLessThan(0.75);
  });

  it('fed is stored as comb is free, and goes on while bees eat; a flow stops the loss', () => {
    const hungry = () => modelOf(times(5, comb({ honey: 1, drawn: 9 }, 10)), null);
    const fed = hungry();
    const before = fed.foodKg;
    fed.feed(3);
    after(fed, 10, SUMMER);
    expect(fed.feederKg).toBeLessThan(0.8);
    expect(fed.foodKg).toBeCloseTo(before + 3 - fed.ledger.eaten, 9);
    const flow = hungry();
    after(flow, 10, FLOW);
    expect(flow.foodKg).toBeCloseTo(before, 9);
  });

  it('without food she stops to lay, larvae are given up, and bees starve', () => {
    const model = modelOf(times(5, comb({ eggs: 1, open: 2, capped: 3, drawn: 4 }, 10)), 800);
    after(model, 3, SUMMER);
    expect(model.ledger.laid).toBe(0);
    expect(model.framesOfBees).toBeLessThan(4.5);
  });

  it('gains in a weighed flow by its field bees, and stops where its combs are full', () => {
    const gained = (frames: number, kgPerDay: number, room: number) => {
      const model = modelOf(times(frames, comb({ honey: 10 - room, drawn: room }, 10)), null);
      const before = model.foodKg;
      return after(model, 7, { ...FLOW, gathersKg: kgPerDay }).foodKg - before;
    };
    // Ten frames of bees gain about what was weighed for ten; five about half of it.
    expect(gained(10, 1, 8)).toBeGreaterThan(5.5);
    expect(gained(10, 1, 8)).toBeLessThan(9);
    expect(gained(5, 1, 8) / gained(10, 1, 8)).toBeCloseTo(0.5, 1);
    expect(gained(10, 1, 0.5)).toBeLessThan(2);
    expect(gained(10, 0, 8)).toBeCloseTo(0, 9);
  });

  it('without field bees lives on its stores for days, though nectar comes in', () => {
    const combs = times(5, comb({ open: 3, capped: 3, honey: 2, drawn: 2 }, 8));
    const whole = modelOf(combs, 900);
    const split = modelOf(combs, 900);
    split.lose(split.adults.field, 'field-first');
    const before = split.foodKg;
    after(whole, 5, FLOW);
    after(split, 5, FLOW);
    expect(whole.foodKg).toBeCloseTo(before, 1);
    expect(split.foodKg).toBeLessThan(whole.foodKg - 0.01);
  });

  it('a wintering colony of full size lives on 18 to 20 kg from frost to spring, and on 8 kg it does not', () => {
    const calendar = calendarOf('temperate');
    const winter = (kg: number) => {
      const full = kg / (10 * 2.95);
      const model = modelOf(times(10, comb({ honey: 10 * full, drawn: 10 - 10 * full }, 8)), 100, {
        winterShare: 1,
      });
      // From the first frost to the first flow, over midwinter.
      for (let at = 297; at < 365 + 120; at++)
        model.pass({ ...pullOf(calendar, at % 365), flow: false, gathersKg: 0 });
      return model;
    };
    expect(winter(19).foodKg).toBeGreaterThan(2);
    expect(winter(19).framesOfBees).toBeGreaterThan(3);
    expect(winter(8).foodKg).toBeLessThan(0.5);
  });
});

describe('nothing comes from nowhere', () => {
  const anyContents = fc
    .array(fc.integer({ min: 0, max: 4 }), { minLength: 8, maxLength: 8 })
    .map(([honey, beeBread, eggs, open, capped, emerging, drone, nectar]) => {
      const named: Contents = { honey, beeBread, eggs, open, capped, emerging, drone, nectar };
      const sum = sumOfTenths(named);
      const scaled = Object.fromEntries(
        Object.entries(named).map(([k, v]) => [k, sum > 10 ? ((v ?? 0) * 10) / sum : v]),
      ) as Contents;
      return { ...scaled, drawn: Math.max(0, 10 - sum) } satisfies Contents;
    });
  const deed = fc.oneof(
    fc.record({
      what: fc.constant('pass' as const),
      on: fc.constantFrom(SUMMER, FLOW, WINTER),
      days: fc.integer({ min: 1, max: 12 }),
    }),
    fc.record({ what: fc.constant('feed' as const), kg: fc.double({ min: 0, max: 5, noNaN: true }) }),
    fc.record({
      what: fc.constant('lose' as const),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
      all: fc.boolean(),
    }),
    fc.record({ what: fc.constant('gain' as const), bees: fc.integer({ min: 0, max: 8000 }) }),
    fc.record({ what: fc.constant('queen' as const), lays: fc.boolean() }),
    fc.record({ what: fc.constant('food' as const), kg: fc.double({ min: 0, max: 20, noNaN: true }) }),
  );

  it('no bee, no brood cell, no kilogram and no comb, whatever happens', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(anyContents, fc.integer({ min: 0, max: 10 })), { minLength: 1, maxLength: 8 }),
        fc.array(deed, { minLength: 1, maxLength: 12 }),
        (combs, deeds) => {
          const model = modelOf(
            combs.map(([c, bees]) => comb(c, bees)),
            900,
          );
          const start = { cells: model.broodCells + model.droneCells, kg: model.foodKg };
          for (const d of deeds) {
            if (d.what === 'pass') after(model, d.days, d.on);
            else if (d.what === 'feed') model.feed(d.kg);
            else if (d.what === 'lose')
              model.lose(model.adults.total * d.share, d.all ? 'all' : 'field-first');
            else if (d.what === 'gain') model.gain(d.bees, 'house');
            else if (d.what === 'food') model.correctFood(d.kg);
            else model.lays = d.lays;
            const { ledger } = model;
            expect(model.adults.total).toBeCloseTo(
              ledger.joined + ledger.emerged - ledger.died - ledger.left,
              3,
            );
            expect(model.broodCells + model.droneCells).toBeCloseTo(
              start.cells + ledger.laid - ledger.opened - ledger.lost,
              3,
            );
            expect(model.foodKg).toBeCloseTo(start.kg + ledger.fed + ledger.gathered - ledger.eaten, 6);
            for (const s of model.sides) {
              const side = s.read();
              expect(sumOfTenths(side.contents)).toBeCloseTo(10, 6);
              expect(side.bees).toBeLessThanOrEqual(10 + 1e-9);
              for (const c of CONTENT_CLASSES) expect(side.contents[c] ?? 0).toBeGreaterThanOrEqual(0);
            }
          }
        },
      ),
      { numRuns: 150, seed: 9 },
    );
  });

  it('brood is laid only where the queen can be', () => {
    const model = modelOf(times(4, comb({ drawn: 10 }, 10)), 1000);
    const shut = model.sides.slice(4).map((s) => Object.assign(s, { open: false }));
    after(model, 10, FLOW);
    expect(broodFrames(model)).toBeGreaterThan(0.5);
    expect(shut.every((s) => s.worker.total === 0)).toBe(true);
  });
});
