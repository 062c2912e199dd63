import { describe, expect, it } from 'vitest';
import { coloniesOfYard, placeOf } from '../../../records/views.ts';
import { twoHives } from '../../../testing/twoHives.ts';

describe('a yard', () => {
  it('is renamed and placed, and closed only when nobody lives there', () => {
    const t = twoHives();
    t.yard.run({
      type: 'editYard',
      yardId: t.yard.yardId,
      name: 'Orchard',
      position: { latitude: 52, longitude: -1 },
    });
    expect(t.yard.apiary.yard[t.yard.yardId]).toMatchObject({ name: 'Orchard', position: { latitude: 52 } });
    expect(t.yard.refused({ type: 'editYard', yardId: t.yard.yardId, name: 'Away' })).toEqual([
      'name-taken at name',
    ]);
    expect(t.yard.refused({ type: 'editYard', yardId: t.yard.yardId, closedOn: '2026-06-01' })).toEqual([
      'yard-in-use at closedOn',
    ]);
  });

  it('has its stands in an order and in a plan; those of another yard are not arranged with them', () => {
    const t = twoHives();
    const [heather, bracken] = [t.heather, t.bracken].map((c) => placeOf(t.yard.apiary, c).stand?.id ?? '');
    t.yard.run({
      type: 'arrangeStands',
      yardId: t.yard.yardId,
      stands: [
        { id: bracken ?? '', order: 0, spot: { x: 10, y: 20 }, name: 'Gate' },
        { id: heather ?? '', order: 1, spot: null },
      ],
    });
    expect(coloniesOfYard(t.yard.apiary, t.yard.yardId).map((c) => c.name)).toEqual(['Bracken', 'Heather']);
    expect(
      t.yard.refused({
        type: 'arrangeStands',
        yardId: t.away,
        stands: [{ id: heather ?? '', order: 0, spot: null }],
      }),
    ).toEqual(['other-yard at stands.0.id']);
  });
});
