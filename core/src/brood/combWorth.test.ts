import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { methodPlan, FULL_BOX } from '../testing/methodPlans.ts';
import { TestYard } from '../testing/builders.ts';
import { NEST, STRONG_BOX } from '../testing/nests.ts';
import { fiveFrames, nucs, problemOf, requestFor } from '../testing/yardRequests.ts';
import { isDroneComb, warmedShare } from './combWorth.ts';

// What a comb is good for: common practice, no source.

describe('emerging brood', () => {
  it('is bees tomorrow: bees cover three times as much of it', () => {
    expect(warmedShare(bothSides({ capped: 6 }, 5))).toBeCloseTo(0.6, 9);
    expect(warmedShare(bothSides({ emerging: 6 }, 5))).toBeCloseTo(0.2, 9);
    expect(warmedShare(bothSides({ emerging: 3, open: 3, drone: 1 }, 5))).toBeCloseTo(0.5, 9);
  });

  it('lets a nuc of few bees take a comb that it could not cover if it were young', () => {
    const hatching = bothSides({ emerging: 8, honey: 1, beeBread: 1 }, 5);
    const capped = bothSides({ capped: 8, honey: 1, beeBread: 1 }, 5);
    const cover = (comb: typeof hatching) => {
      const box = [NEST.honey(6), comb, comb, NEST.open(), NEST.open(), comb, NEST.capped(), NEST.bread()];
      const { body } = methodPlan('caged-queen', [box]);
      return body.ledger.find((l) => l.id === 'cover-fresh')?.value ?? 9;
    };
    expect(cover(hatching)).toBeLessThan(cover(capped));
  });
});

describe('a drone comb', () => {
  const drones = bothSides({ drone: 5, capped: 2, honey: 2, drawn: 1 }, 8);

  it('begins at three tenths', () => {
    expect(isDroneComb(bothSides({ drone: 3, capped: 5 }, 5))).toBe(true);
    expect(isDroneComb(bothSides({ drone: 2, capped: 6 }, 5))).toBe(false);
  });

  it('stays with the donor, whatever way it is split', () => {
    const box = [...FULL_BOX.slice(0, 4), drones, ...FULL_BOX.slice(5)];
    for (const method of ['queen-to-nuc', 'caged-queen', 'open-brood-goes', 'side-by-side'] as const) {
      const { moved } = methodPlan(method, [box, FULL_BOX]);
      expect(moved.filter((f) => isDroneComb(f.reading))).toEqual([]);
    }
  });

  const UPPER = [NEST.honey(6), NEST.open(8), NEST.capped(8), NEST.open(8), NEST.capped(8), NEST.bread()];

  it('goes into no nuc and to no weak neighbour', () => {
    const yard = new TestYard();
    yard.hive('Strong', [[...STRONG_BOX.slice(0, 6), drones, ...STRONG_BOX.slice(7)], UPPER], '2026-05-14');
    yard.hive('Weak', [[NEST.honey(3), NEST.open(3, 5), NEST.empty(2)]], '2026-05-14');
    const goals = [nucs(1, fiveFrames()), { id: 'l', kind: 'level', by: 'brood', importance: 2 } as const];
    const problem = problemOf(yard.apiary, requestFor(yard.apiary, goals));
    const droney = problem.frames.filter((f) => f.home >= 0 && isDroneComb(f.reading));
    expect(droney.map((f) => f.mayGoTo)).toEqual([[]]);
    expect(problem.frames.some((f) => f.brood > 0.5 && f.mayGoTo.length > 0)).toBe(true);
  });
});
