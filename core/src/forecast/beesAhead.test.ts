import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/index.ts';
import { framesOfBeesFromCapped } from '../comb/densities.ts';
import { NEST } from '../testing/nests.ts';
import { TestYard } from '../testing/builders.ts';
import { beesAhead } from './beesAhead.ts';
import { colonyOn } from './colonyOn.ts';

const DAY = '2026-05-15';

function yardWith() {
  const yard = new TestYard();
  const nest = [NEST.honey(6), NEST.open(6, 9), NEST.capped(7, 9), NEST.capped(7, 9), NEST.honey(6)];
  const colony = yard.hive('A', [nest], DAY);
  return { yard, colony };
}

describe('bees on a later day', () => {
  it('are the same as every page shows on that day', () => {
    const { yard, colony } = yardWith();
    const to = addDays(DAY, 21);
    const shown = colonyOn(yard.apiary, colony, to).model;
    const ahead = beesAhead(yard.apiary, colony, DAY, to);
    expect(ahead?.alone).toBeCloseTo(shown?.framesOfBees ?? 0, 6);
  });

  it('a frame of bees that comes dwindles, a frame of capped brood becomes two to three (arithmetic of densities)', () => {
    const { yard, colony } = yardWith();
    const after = (days: number) => beesAhead(yard.apiary, colony, DAY, addDays(DAY, days))!;
    expect(after(0)).toMatchObject({ ofBees: expect.closeTo(1, 9), ofCapped: expect.closeTo(0, 9) });
    expect(after(12).ofBees).toBeLessThan(1);
    expect(after(12).ofBees).toBeGreaterThan(0.6);
    expect(after(40).ofBees).toBeLessThan(0.35);
    const most = framesOfBeesFromCapped('langstroth-deep').likely;
    expect(after(13).ofCapped).toBeGreaterThan(0.7 * most);
    expect(after(13).ofCapped).toBeLessThan(most);
    expect(after(5).ofCapped).toBeLessThan(after(12).ofCapped);
  });

  it('are unknown where nothing was counted', () => {
    const { yard, colony } = yardWith();
    const uncounted = Object.fromEntries(
      Object.entries(yard.apiary.frame).map(([id, f]) => [id, { ...f, readingId: null }]),
    );
    expect(beesAhead({ ...yard.apiary, frame: uncounted }, colony, DAY, addDays(DAY, 9))).toBeNull();
  });
});
