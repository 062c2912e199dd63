import { describe, expect, it } from 'vitest';
import { DEFAULT_HOUSE_RULES as RULES } from '../../rules/houseRules.ts';
import { fiveFrames, twoAndTwo } from '../../testing/yardRequests.ts';
import { AT, noMeasures, type Measure, type Measured } from './measures.ts';
import { lineOf, missingOf, sumOf, type UnitRule } from './unitRule.ts';
import { colonyRules, nucRules } from './unitRules.ts';

const measured = (of: Partial<Record<Measure, number>>): Measured => {
  const m = noMeasures();
  for (const [measure, n] of Object.entries(of)) m[AT[measure as Measure]] = n;
  // None of it emerging, unless that is said.
  m[AT.warmed] = of.warmed ?? of.brood ?? 0;
  return m;
};
const named = (rules: readonly UnitRule[], end: string): UnitRule => {
  const rule = rules.find((r) => r.id.endsWith(`/${end}`));
  if (!rule) throw new Error(`no rule ${end}`);
  return rule;
};
const broken = (rules: readonly UnitRule[], m: Measured) =>
  rules.filter((r) => missingOf(r, m) > 0).map((r) => r.id.slice(r.id.indexOf('/') + 1));

const strong = measured({
  bees: 14,
  brood: 7,
  capped: 4,
  stores: 5,
  beeBread: 1,
  broodCombs: 7,
  frames: 18,
  queens: 1,
  eggsTenths: 12,
});
const mild = { nights: 'mild', season: 'build-up' } as const;

describe('what a colony must keep', () => {
  it('breaks nothing when nothing is done to it', () => {
    for (const season of ['build-up', 'dearth'] as const) {
      for (const nights of ['mild', 'cold'] as const) {
        expect(broken(colonyRules('a', RULES, { season, nights }, strong, 20), strong)).toEqual([]);
      }
    }
  });

  it('leaves two frames of brood in build-up and three in dearth', () => {
    const floor = (season: 'build-up' | 'dearth') =>
      named(colonyRules('a', RULES, { season, nights: 'mild' }, strong, 20), 'floor').threshold;
    expect(floor('build-up')).toBe(RULES.donorFloorBrood);
    expect(floor('dearth')).toBe(RULES.donorFloorDearth);
  });

  it('lets one brood comb of seven go to others, and none of five', () => {
    const given = (broodCombs: number) =>
      named(colonyRules('a', RULES, mild, measured({ bees: 12, brood: 4, broodCombs }), 20), 'given')
        .threshold;
    expect([5, 6, 7, 10, 14].map(given)).toEqual([0, 0, 1, 1, 2]);
  });

  it('where it is under a floor already, must only not get worse', () => {
    const poor = measured({ bees: 3, brood: 1, stores: 0.1, beeBread: 0, broodCombs: 2, frames: 5 });
    const rules = colonyRules('a', RULES, mild, poor, 10);
    expect(broken(rules, poor)).toEqual([]);
    expect(broken(rules, measured({ bees: 3, brood: 0.8, stores: 0.1, broodCombs: 2, frames: 5 }))).toEqual([
      'floor',
    ]);
    expect(broken(rules, measured({ bees: 2.9, brood: 1, stores: 0.1, broodCombs: 2, frames: 5 }))).toEqual([
      'bees',
    ]);
  });

  it('keeps its brood covered: 0.8 a frame of bees, 0.6 before cold nights', () => {
    const before = measured({ bees: 10, brood: 4, frames: 10 });
    const cover = (nights: 'mild' | 'cold', brood: number) =>
      missingOf(
        named(colonyRules('a', RULES, { season: 'build-up', nights }, before, 20), 'cover'),
        measured({ bees: 10, brood, frames: 10 }),
      );
    expect(cover('mild', 7.9)).toBe(0);
    expect(cover('mild', 8.2)).toBeGreaterThan(0);
    expect(cover('cold', 5.9)).toBe(0);
    expect(cover('cold', 6.2)).toBeGreaterThan(0);
  });

  it('without its queen needs eggs, or a cell', () => {
    const rules = colonyRules('a', RULES, mild, strong, 20);
    const gone = (rest: Partial<Record<Measure, number>>) =>
      missingOf(named(rules, 'queen'), measured({ ...rest, queens: 0 }));
    expect(gone({ eggsTenths: 0, cells: 0 })).toBeGreaterThan(0);
    expect(gone({ eggsTenths: RULES.minEggsTenths })).toBe(0);
    expect(gone({ cells: 1 })).toBe(0);
  });

  it('has no more frames than slots', () => {
    const rule = named(colonyRules('a', RULES, mild, strong, 20), 'slots');
    expect(missingOf(rule, measured({ frames: 20 }))).toBe(0);
    expect(missingOf(rule, measured({ frames: 21 }))).toBe(1);
  });
});

describe('what a nuc must have', () => {
  const good = measured({
    bees: 3,
    brood: 1.4,
    broodCombs: 2,
    storesCombs: 1,
    stores: 1.2,
    beeBread: 0.3,
    emptyCombs: 1,
    eggsTenths: 2,
    frames: 4,
  });

  it('is met by a good one, whatever way it gets its queen but the old', () => {
    for (const queen of ['raises', 'cell', 'mated'] as const) {
      expect(broken(nucRules('n', RULES, mild, fiveFrames({ queen })), good)).toEqual([]);
    }
    expect(broken(nucRules('n', RULES, mild, fiveFrames({ queen: 'old-queen' })), good)).toEqual(['queen']);
  });

  it('names each thing that is short', () => {
    const rules = nucRules('n', RULES, mild, fiveFrames());
    const without = (change: Partial<Record<Measure, number>>) => {
      const m = Float64Array.from(good);
      for (const [measure, n] of Object.entries(change)) m[AT[measure as Measure]] = n;
      return broken(rules, m);
    };
    expect(without({ bees: 2.2 })).toEqual(['bees']);
    expect(without({ brood: 1.1 })).toEqual(['brood']);
    expect(without({ broodCombs: 1 })).toEqual(['brood-combs-least']);
    expect(without({ broodCombs: 3 })).toEqual(['brood-combs-most']);
    expect(without({ storesCombs: 0 })).toEqual(['stores-combs']);
    expect(without({ stores: 0.8 })).toEqual(['stores']);
    expect(without({ beeBread: 0.1 })).toEqual(['bread']);
    expect(without({ emptyCombs: 0 })).toEqual(['empty']);
    expect(without({ eggsTenths: 0 })).toEqual(['eggs']);
    expect(without({ queens: 1 })).toEqual(['queen']);
    expect(without({ frames: 6 })).toEqual(['slots']);
  });

  it('needs no eggs where it is given a cell, and other combs by another recipe', () => {
    const noEggs = Float64Array.from(good);
    noEggs[AT.eggsTenths] = 0;
    expect(broken(nucRules('n', RULES, mild, fiveFrames({ queen: 'cell' })), noEggs)).toEqual([]);
    expect(broken(nucRules('n', RULES, mild, twoAndTwo()), good)).toEqual(['stores-combs']);
  });

  it('takes no more than one old queen', () => {
    const two = Float64Array.from(good);
    two[AT.queens] = 2;
    expect(broken(nucRules('n', RULES, mild, fiveFrames({ queen: 'old-queen' })), two)).toEqual([
      'one-queen',
    ]);
  });
});

describe('a line of the ledger', () => {
  const rules = nucRules('n', RULES, mild, fiveFrames());

  it('shows the number, the threshold and what would mend it', () => {
    const line = lineOf(named(rules, 'bees'), measured({ bees: 1.9 }), 'Nuc 1');
    expect(line).toMatchObject({
      label: 'Bees after drift · Nuc 1',
      state: 'broken',
      value: 1.9,
      threshold: 2.5,
      sense: 'atLeast',
      mend: 'Short by 0.6 frames of bees: shake in nurses, or carry it beyond 3 km (2 miles).',
    });
  });

  it('is near close to the threshold, met beyond, and without a remedy then', () => {
    const state = (bees: number) => lineOf(named(rules, 'bees'), measured({ bees }), 'Nuc 1').state;
    expect([2.6, 3.5].map(state)).toEqual(['near', 'met']);
    expect(lineOf(named(rules, 'bees'), measured({ bees: 3 }), 'Nuc 1').mend).toBe('');
  });

  it('shows cover as brood a frame of bees, though it is reckoned as a sum', () => {
    const cover = named(rules, 'cover');
    const m = measured({ bees: 4, brood: 2 });
    expect(sumOf(cover, m)).toBeCloseTo(2 - 0.8 * 4, 9);
    expect(lineOf(cover, m, 'Nuc 1')).toMatchObject({ value: 0.5, threshold: 0.8, state: 'met' });
  });

  it('of a wish that is missed is near, never broken', () => {
    const wish: UnitRule = { ...named(rules, 'bees'), hard: false, goalId: 'g' };
    expect(lineOf(wish, measured({ bees: 1 }), 'A').state).toBe('near');
    expect(lineOf(wish, measured({ bees: 2.6 }), 'A').state).toBe('met');
  });
});
