import { describe, expect, it } from 'vitest';
import { addDays } from '../../basics/day.ts';
import { TestYard } from '../../testing/builders.ts';
import { COMBS, FULL_BOX, METHOD_DAY, withCells } from '../../testing/methodPlans.ts';
import { prepareDonor } from './donor.ts';

function prepared(day = METHOD_DAY, combs = FULL_BOX) {
  const yard = new TestYard();
  const colony = yard.hive('Old', [combs]);
  return prepareDonor(yard.apiary, colony, day);
}

describe('a colony brought to the day of the work', () => {
  it('is as it was counted on the day of the count', () => {
    const result = prepared();
    if (!result.ok) throw new Error('not prepared');
    const { donor, projectedDays } = result.value;
    expect(projectedDays).toBe(0);
    expect(donor).toMatchObject({ name: 'Old', countedOn: METHOD_DAY });
    expect(donor.frames.map((f) => f.label)[0]).toMatch(/frame 1$/);
    // By hand: four young combs of 0.6 and four capped of 0.6, both sides alike.
    expect(donor.frames.reduce((n, f) => n + f.brood, 0)).toBeCloseTo(
      FULL_BOX.filter((c) => c !== COMBS.honey).length * 0.6,
      6,
    );
  });

  it('has older brood a week later: what was open is capped', () => {
    const young = [COMBS.honey, COMBS.young, COMBS.young, COMBS.young];
    const now = prepared(METHOD_DAY, young);
    const later = prepared(addDays(METHOD_DAY, 7), young);
    if (!now.ok || !later.ok) throw new Error('not prepared');
    const sum = (r: typeof now, of: 'open' | 'capped') => r.value.donor.frames.reduce((n, f) => n + f[of], 0);
    expect(later.value.projectedDays).toBe(7);
    expect(sum(later, 'capped')).toBeGreaterThan(sum(now, 'capped'));
  });

  it('carries its cells along for dating', () => {
    const result = prepared(
      METHOD_DAY,
      FULL_BOX.map((c, i) => (i === 3 ? withCells(c, 'capped', 2) : c)),
    );
    if (!result.ok) throw new Error('not prepared');
    expect(result.value.donor.cells).toMatchObject([{ kind: 'capped', count: 2, stage: 'tender' }]);
  });

  it('is refused before its count, with the remedy', () => {
    const result = prepared(addDays(METHOD_DAY, -1));
    expect(result).toMatchObject({
      ok: false,
      problems: [{ code: 'before-count', remedy: 'Choose the day of the count or a later one.' }],
    });
  });

  it('is refused when it was never counted', () => {
    const yard = new TestYard();
    const colony = yard.hive('Old', [FULL_BOX]);
    const result = prepareDonor({ ...yard.apiary, reading: {}, visit: {} }, colony, METHOD_DAY);
    expect(result).toMatchObject({ ok: false, problems: [{ code: 'not-counted', path: ['colonyId'] }] });
  });

  it('is refused when most of it was never read, and taken when half was', () => {
    const yard = new TestYard();
    const colony = yard.hive('Old', [FULL_BOX]);
    const readings = Object.values(yard.apiary.reading);
    const keep = (n: number) => ({
      ...yard.apiary,
      reading: Object.fromEntries(readings.slice(0, n).map((r) => [r.id, r])),
    });
    expect(prepareDonor(keep(4), colony, METHOD_DAY)).toMatchObject({
      ok: false,
      problems: [{ code: 'mostly-unread', message: '6 of 10 frames of Old were never read.' }],
    });
    expect(prepareDonor(keep(5), colony, METHOD_DAY).ok).toBe(true);
  });
});
