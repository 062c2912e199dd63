import { describe, expect, it } from 'vitest';
import { DEFAULT_HOUSE_RULES } from '../../rules/houseRules.ts';
import { COMBS, FULL_BOX, METHOD_DAY, withCells, withQueen } from '../../testing/methodPlans.ts';
import { TestYard } from '../../testing/builders.ts';
import { findMethods } from './findMethods.ts';
import { optionsFor } from './optionsFor.ts';
import { situationOf, type Situation } from '../base/situation.ts';

const strong: Situation = {
  name: 'Old',
  bees: 16,
  brood: 8,
  stores: 5,
  broodBoxes: 2,
  broodCombs: 10,
  queen: 'not-found',
  cells: 'none',
  cellCount: 0,
  season: 'build-up',
  dronesFly: true,
  secondYard: false,
  matedQueens: 0,
  ripeCells: 0,
  wantsHoney: false,
  day: '2026-05-15',
  hold: null,
  noRaising: null,
  noMated: null,
  lastForWinterBees: '2026-08-19',
  wanted: 1,
};
const advice = (change: Partial<Situation>) => findMethods({ ...strong, ...change }, DEFAULT_HOUSE_RULES);
const best = (change: Partial<Situation>) => advice(change).ranked[0]?.method.id;
const cannot = (change: Partial<Situation>, id: string) =>
  advice(change).ranked.find((r) => r.method.id === id)?.fit.cannot;

describe('the method finder', () => {
  // What suits what: common practice, no source; sections of the methods say why.
  it.each([
    ['a strong colony in two boxes, queen not looked for', {}, 'walk-away-halves'],
    [
      'capped cells and the queen seen',
      { cells: 'capped', cellCount: 6, queen: 'found', season: 'swarm' },
      'queen-to-nuc',
    ],
    ['a mated queen at hand in dearth', { matedQueens: 1, season: 'dearth', queen: 'found' }, 'caged-queen'],
    [
      'six ripe cells for six nucs',
      { ripeCells: 6, wanted: 6, queen: 'found', secondYard: true },
      'assembly-line',
    ],
    ['a queenless part with capped cells', { queen: 'gone', cells: 'capped', cellCount: 6 }, 'spare-cells'],
    [
      'two boxes of few bees in autumn',
      { season: 'autumn', bees: 9, broodBoxes: 2, matedQueens: 1, queen: 'found' },
      'autumn-reduction',
    ],
  ] as const)('for %s', (_what, change, expected) => {
    expect(best(change)).toBe(expected);
  });

  it('with open cells and the queen seen ranks the two swarm methods first', () => {
    const { ranked } = advice({ cells: 'open', cellCount: 4, queen: 'found', season: 'swarm' });
    expect(
      ranked
        .slice(0, 2)
        .map((r) => r.method.id)
        .toSorted(),
    ).toEqual(['queen-to-nuc', 'side-by-side']);
  });

  it('puts several colonies from one to a method that makes several', () => {
    expect(['one-into-several', 'break-up']).toContain(best({ wanted: 3 }));
    expect(best({ wanted: 3, wantsHoney: true })).not.toBe('break-up');
  });

  it('says why a method cannot be used, with its numbers', () => {
    expect(cannot({ bees: 5, brood: 2 }, 'walk-away-halves')).toMatch(
      /frames of bees and .* of brood; Old has 5 and 2/,
    );
    expect(cannot({ matedQueens: 0 }, 'caged-queen')).toMatch(/No mated queen/);
    expect(cannot({ queen: 'gone', cells: 'capped', cellCount: 3 }, 'spare-cells')).toMatch(
      /Four good cells.*there are 3/,
    );
    expect(cannot({ season: 'early', dronesFly: false }, 'queen-to-nuc')).toMatch(/drones/);
  });

  it('gives each a reason for or against, and keeps scores between 0 and 100', () => {
    for (const season of ['early', 'build-up', 'swarm', 'dearth', 'autumn'] as const) {
      for (const { fit } of advice({ season }).ranked) {
        expect(fit.score).toBeGreaterThanOrEqual(0);
        expect(fit.score).toBeLessThanOrEqual(100);
        expect(fit.reasons.length + (fit.cannot ? 1 : 0)).toBeGreaterThan(0);
        expect(fit.score === 0).toBe(fit.cannot !== null);
      }
    }
  });

  it('advises not to split at all, with the numbers that say so', () => {
    const weak = advice({ bees: 4, brood: 1.5, broodBoxes: 1 });
    expect(weak.waitBecause[0]).toMatch(/Old has 4 frames of bees; the smallest split wants/);
    expect(weak.waitBecause[1]).toMatch(/1.5 frames of brood/);
    expect(advice({ season: 'early', dronesFly: false, bees: 7 }).waitBecause.join(' ')).toMatch(/drones/i);
    expect(advice({}).waitBecause).toEqual([]);
  });
});

describe('the situation of a colony', () => {
  it('is read from its counts', () => {
    const yard = new TestYard();
    const swarming = FULL_BOX.map((c, i) =>
      i === 2 ? withCells(c, 'charged', 3) : i === 4 ? withQueen(c) : c,
    );
    const colony = yard.hive('Old', [swarming, FULL_BOX]);
    const now = situationOf(yard.apiary, colony, METHOD_DAY);
    expect(now).toMatchObject({
      name: 'Old',
      broodBoxes: 2,
      queen: 'found',
      cells: 'open',
      cellCount: 3,
      season: 'swarm',
      secondYard: false,
    });
    expect(now.bees).toBeGreaterThan(15);
    expect(now.broodCombs).toBe(14);
  });

  it('takes a queen that was never written down for there while there are eggs', () => {
    const yard = new TestYard();
    const { capped, honey } = COMBS;
    const laying = yard.hive('Old', [FULL_BOX]);
    const hopeless = yard.hive('Other', [[honey, capped, capped]]);
    expect(situationOf(yard.apiary, laying, METHOD_DAY).queen).toBe('not-found');
    expect(situationOf(yard.apiary, hopeless, METHOD_DAY).queen).toBe('gone');
  });

  it('turns the year round in the south', () => {
    const yard = new TestYard();
    const colony = yard.hive('Old', [FULL_BOX], '2026-11-09');
    const operation = Object.values(yard.apiary.operation)[0]!;
    const season = () => situationOf(yard.apiary, colony, '2026-11-10').season;
    expect(season()).toBe('autumn');
    yard.apiary = { ...yard.apiary, operation: { [operation.id]: { ...operation, hemisphere: 'south' } } };
    expect(season()).toBe('build-up');
  });
});

describe('where no colony is wanted', () => {
  const first = (change: Partial<Situation>) => {
    const { ranked } = findMethods({ ...strong, wanted: 0, ...change }, DEFAULT_HOUSE_RULES);
    return ranked.filter((r) => r.fit.cannot === null).map((r) => r.method.id);
  };

  it('ways without increase come first, with honey wished for or not', () => {
    expect(first({ broodBoxes: 2 })[0]).toBe('brood-above');
    expect(first({ broodBoxes: 2, wantsHoney: true })[0]).toBe('brood-above');
    // With cells it is too late for that: a hive beside it is united again.
    expect(first({ cells: 'open', cellCount: 6, season: 'swarm', queen: 'found' })[0]).toBe('side-by-side');
  });

  it('what was said of honey arrives in the plan, where the method asks for it', () => {
    expect(optionsFor('queen-to-nuc', { wantsHoney: true, cells: 'none', season: 'build-up' })).toEqual({
      purpose: 'honey',
    });
    expect(optionsFor('side-by-side', { wantsHoney: true, cells: 'none', season: 'build-up' })).toEqual({});
    expect(optionsFor('caged-queen', { wantsHoney: false, cells: 'none', season: 'dearth' })).toEqual({
      feed: 'always',
    });
  });
});
