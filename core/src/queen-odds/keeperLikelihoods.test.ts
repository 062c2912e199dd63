import { describe, expect, it } from 'vitest';
import { BLIND, eggs, LOST, NO, on, queen, read } from '../testing/queenLooks.ts';
import { operationOf } from '../records/records.ts';
import {
  CAPPED_BROOD,
  LEAST_LIKELIHOOD,
  LIKELIHOOD_IDS,
  likelihoodChanges,
  MOST_LIKELIHOOD,
  type LikelihoodChanges,
} from '../rules/likelihoodIds.ts';
import { TestYard } from '../testing/builders.ts';
import { keeperLikelihoods, USUAL_LIKELIHOODS, type KeeperLikelihoods } from './keeperLikelihoods.ts';
import { USUAL_TABLE } from './likelihoodTable.ts';
import { queenBelief } from './queenOdds.ts';

const chances = (keeper: Partial<KeeperLikelihoods>, said: Parameters<typeof read>[0], d = 7) =>
  queenBelief(
    { separatedOn: LOST, emergence: null, queenHere: BLIND },
    [{ day: on(d), seen: read(said) }],
    on(d),
    { ...USUAL_LIKELIHOODS, ...keeper },
  ).odds;

describe('likelihoods as house rules', () => {
  it('who misses eggs often believes less of not finding any', () => {
    const usual = chances({}, { eggs: NO });
    const poor = chances({ findsEggs: 0.5 }, { eggs: NO });
    expect(poor.laying).toBeGreaterThan(3 * usual.laying);
  });

  it('who finds nearly every queen believes more of not finding her', () => {
    const usual = chances({}, { queen: NO });
    const keen = chances({ findsQueen: 0.95 }, { queen: NO });
    expect(keen.laying).toBeLessThan(usual.laying * 0.6);
    expect(chances({ findsQueen: 0.95 }, { queen: queen('long'), eggs: eggs() }).laying).toBeGreaterThan(0.9);
  });

  it('where few virgins come back, more parts end without a queen', () => {
    const late = (matesOfVirgins: number) => chances({ matesOfVirgins }, { pollen: NO }, 40);
    expect(late(0.5).hopeless + late(0.5)['laying-workers']).toBeGreaterThan(
      late(0.86).hopeless + late(0.86)['laying-workers'],
    );
  });

  it('chances are always one together', () => {
    for (const findsEggs of [0.4, 0.7, 0.99]) {
      const sum = Object.values(chances({ findsEggs }, { eggs: NO, cells: NO })).reduce((a, b) => a + b, 0);
      expect(sum).toBeCloseTo(1, 9);
    }
  });
});

describe('the table of chances', () => {
  it('is the usual one until something is changed, and then in that place alone', () => {
    expect(keeperLikelihoods(operation()).table).toBe(USUAL_TABLE);
    const changed = withTable({ 'pollen.hopeless': 0.1, 'found.larvae': 0.6, 'fate.lost': 0.2 }).table;
    expect(changed.signs.pollen).toEqual({ ...USUAL_TABLE.signs.pollen, hopeless: 0.1 });
    expect(changed.found).toEqual({ ...USUAL_TABLE.found, larvae: 0.6 });
    expect(changed.fates.lost).toBe(0.2);
    expect(changed.caps).toEqual(USUAL_TABLE.caps);
  });

  it('names every place of it, and nothing else', () => {
    const { signs, found, mistaken, caps, fates } = USUAL_TABLE;
    const places = [
      ...Object.entries({ ...signs, ...caps, found, mistaken, fate: fates }).flatMap(([row, values]) =>
        Object.keys(values).map((column) => `${row}.${column}`),
      ),
    ];
    expect([...LIKELIHOOD_IDS].toSorted((a, b) => a.localeCompare(b))).toEqual(
      places.toSorted((a, b) => a.localeCompare(b)),
    );
  });

  it('holds chances alone, caps of one kind of brood coming to one', () => {
    const { signs, caps } = USUAL_TABLE;
    for (const row of Object.values(signs)) {
      for (const p of Object.values(row)) expect(p).toBeGreaterThanOrEqual(LEAST_LIKELIHOOD);
    }
    for (const brood of CAPPED_BROOD) {
      expect(caps.flat[brood] + caps.domed[brood] + caps.both[brood]).toBeCloseTo(1, 9);
    }
  });

  it('changes what is believed', () => {
    const noPollen = (keeper: KeeperLikelihoods) => chances(keeper, { pollen: NO }, 30).hopeless;
    // Where all bees carry pollen, none coming in tells more.
    expect(noPollen(withTable({ 'pollen.laying': 0.99 }))).toBeGreaterThan(
      noPollen(withTable({ 'pollen.laying': 0.5 })),
    );
    // A column of caps that does not come to one is made to.
    const sums = Object.values(
      chances(withTable({ 'flat.workers': 0.999, 'both.workers': 0.999 }), {
        cappedBrood: { look: 'found', cappings: 'both', patch: 'unsure' },
      }),
    );
    expect(sums.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
  });

  it('caps that nobody looked at closely speak neither for flat ones nor for domed ones', () => {
    const layers = (cappings: 'flat' | 'unsure' | 'domed') => {
      const seen = { cappedBrood: { look: 'found', cappings, patch: 'unsure' } } as const;
      return chances(withTable({}), seen, 40)['drone-layer'];
    };
    expect(layers('unsure')).toBeGreaterThan(layers('flat'));
    expect(layers('unsure')).toBeLessThan(layers('domed'));
  });

  it('never makes a chance below nothing, however often things are said to happen', () => {
    const all = withTable(Object.fromEntries(LIKELIHOOD_IDS.map((id) => [id, MOST_LIKELIHOOD])));
    for (const p of Object.values(chances(all, { eggs: NO }, 20))) expect(p).toBeGreaterThanOrEqual(0);
  });

  it('refuses what rules out or makes certain', () => {
    expect(likelihoodChanges.safeParse({ 'pollen.laying': 0 }).error?.issues[0]?.message).toBe(
      'A chance is at least 0.1 %: nothing is ruled out by one look.',
    );
    expect(likelihoodChanges.safeParse({ 'pollen.laying': 1 }).success).toBe(false);
    expect(likelihoodChanges.safeParse({ 'pollen.nobody': 0.5 }).success).toBe(false);
  });
});

const operation = () => operationOf(new TestYard().apiary);
const withTable = (likelihoods: LikelihoodChanges) => {
  const yard = new TestYard();
  yard.run({ type: 'changeSettings', likelihoods });
  return keeperLikelihoods(operationOf(yard.apiary));
};
