import { describe, expect, it } from 'vitest';
import { TestYard } from '../testing/builders.ts';
import { NEST, STRONG_BOX } from '../testing/nests.ts';
import { feedRound } from './feedRound.ts';

const DAY = '2026-05-12';

/** A giver that stayed on its stand, and a unit split from it with so little food. */
function afterSplit() {
  const yard = new TestYard();
  const giver = yard.hive('Donor', [[...STRONG_BOX]], '2026-05-10');
  const unit = yard.hive('Unit', [[NEST.open(8), NEST.capped(8), NEST.empty()]], '2026-05-10');
  yard.hive('Rich', [[NEST.honey(), NEST.honey(), NEST.capped()]], '2026-05-10');
  const apart = yard.apiary.colony[unit.id];
  if (!apart) throw new Error('it is there');
  yard.apiary = {
    ...yard.apiary,
    colony: {
      ...yard.apiary.colony,
      [unit.id]: {
        ...apart,
        origin: { how: 'split', fromColonyId: giver.id, workId: yard.newId() },
        separation: {
          v: 1,
          day: '2026-05-10',
          workId: yard.newId(),
          queen: 'elsewhere',
          partIds: [giver.id, unit.id],
          emergence: null,
        },
      },
    },
  };
  return yard;
}

describe('a feed round', () => {
  it('feeds who has no field bees and little food, and not the donor in a flow (stop-start weather, cold nights)', () => {
    const yard = afterSplit();
    yard.flow(DAY);
    const cold = feedRound(yard.apiary, yard.yardId, DAY, 'bridge', { nightMinC: 6 });
    const of = (name: string) => cold.lines.find((l) => l.name === name);
    expect(of('Donor')).toMatchObject({ what: 'none', kg: 0 });
    expect(of('Donor')?.why).toContain('feeds itself');
    expect(of('Unit')).toMatchObject({ what: 'fondant', litres: 0 });
    expect(of('Unit')?.why).toContain('No field bees');
    expect(cold.fondantKg).toBeGreaterThan(0);
    expect(cold.syrupLitres).toBe(0);
  });

  it('gives 1:1 when it is warm, and says why a rich one gets none', () => {
    const yard = afterSplit();
    const warm = feedRound(yard.apiary, yard.yardId, DAY, 'bridge', { nightMinC: 12 });
    const unit = warm.lines.find((l) => l.name === 'Unit');
    expect(unit?.what).toBe('syrup');
    // 1:1 by weight: 1.63 L a kilogram of sugar.
    expect((unit?.litres ?? 0) / (unit?.kg ?? 1)).toBeCloseTo(1.627, 2);
    expect(warm.lines.find((l) => l.name === 'Rich')?.why).toMatch(/kg of stores last \d+ days/);
    expect(warm.sugarPerWater).toBe(1);
  });

  it('fills up to the winter stores of the house rule with 2:1, in rounds', () => {
    const yard = afterSplit();
    const winter = feedRound(yard.apiary, yard.yardId, '2026-09-10', 'winter', {
      nightMinC: 10,
    });
    const unit = winter.lines.find((l) => l.name === 'Unit');
    // Three combs of bees need half of what a full colony does.
    expect(unit?.needsKg).toBe(10);
    expect(unit?.kg).toBe(5);
    expect(unit?.why).toContain('further rounds');
    expect(winter.sugarPerWater).toBe(2);
  });

  it('does not guess at a hive that nobody has counted', () => {
    const yard = new TestYard();
    const colony = yard.hive('New', [[NEST.honey()]]);
    yard.apiary = {
      ...yard.apiary,
      frame: Object.fromEntries(
        Object.entries(yard.apiary.frame).map(([k, f]) => [k, { ...f, readingId: null }]),
      ),
    };
    const round = feedRound(yard.apiary, yard.yardId, DAY, 'bridge', { nightMinC: 12 });
    expect(round.lines).toEqual([
      expect.objectContaining({ colonyId: colony.id, what: 'count-first', kg: 0 }),
    ]);
  });
});
