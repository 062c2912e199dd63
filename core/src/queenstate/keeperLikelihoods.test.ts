import { describe, expect, it } from 'vitest';
import { BLIND, eggs, LOST, NO, on, queen, read } from '../testing/queenLooks.ts';
import { USUAL_LIKELIHOODS, type KeeperLikelihoods } from './keeperLikelihoods.ts';
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
