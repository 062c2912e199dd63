import { describe, expect, it } from 'vitest';
import type { Colony } from '../../../records/records.ts';
import { coloniesOfHive, framesOfColony, placeOf } from '../../../records/views.ts';
import { twoHives } from '../../../testing/twoHives.ts';

describe('two families in one stack', () => {
  it('keep their boxes and frames, and are parted again', () => {
    const t = twoHives();
    const before = framesOfColony(t.yard.apiary, t.bracken).map((f) => f.frame.id);
    t.yard.run({
      type: 'stackHives',
      upperHiveId: t.bracken.hiveId ?? '',
      lowerHiveId: t.heather.hiveId ?? '',
      parting: 'sheet',
      day: '2026-05-15',
      newIds: t.ids(2),
    });
    const bracken = t.yard.colony('Bracken');
    expect(coloniesOfHive(t.yard.apiary, t.heather.hiveId ?? '').map((c) => c.name)).toEqual([
      'Heather',
      'Bracken',
    ]);
    expect(framesOfColony(t.yard.apiary, bracken).map((f) => f.frame.id)).toEqual(before);
    expect(framesOfColony(t.yard.apiary, bracken)[0]?.box).toMatchObject({
      position: 1,
      sheetBelow: 'sheet',
    });
    expect(t.yard.apiary.hive[t.bracken.hiveId ?? '']?.standId).toBeNull();

    const take = (colony: Colony) =>
      ({
        type: 'unstackHive',
        colonyId: colony.id,
        day: '2026-06-01',
        to: { standId: t.yard.newId(), fresh: { yardId: t.yard.yardId, name: 'Hedge' } },
        hiveId: t.yard.newId(),
        newIds: t.ids(2),
      }) as const;
    t.yard.run(take(bracken));
    const parted = t.yard.colony('Bracken');
    expect(placeOf(t.yard.apiary, parted).stand?.name).toBe('Hedge');
    expect(framesOfColony(t.yard.apiary, parted).map((f) => f.frame.id)).toEqual(before);
    expect(framesOfColony(t.yard.apiary, parted)[0]?.box).toMatchObject({ position: 0, sheetBelow: null });
    expect(t.yard.refused(take(parted))).toEqual(['box-shared at colonyId']);
  });

  it('are not set together over two yards, nor one on itself', () => {
    const t = twoHives();
    const stack = (upperHiveId: string, lowerHiveId: string) =>
      t.yard.refused({
        type: 'stackHives',
        upperHiveId,
        lowerHiveId,
        parting: 'paper',
        day: '2026-05-15',
        newIds: t.ids(2),
      });
    expect(stack(t.heather.hiveId ?? '', t.heather.hiveId ?? '')).toEqual([
      'unite-with-itself at lowerHiveId',
    ]);
    t.yard.run({
      type: 'moveHive',
      hiveId: t.bracken.hiveId ?? '',
      day: '2026-05-15',
      hour: 'day',
      to: { standId: t.yard.newId(), fresh: { yardId: t.away, name: 'A' } },
      entrance: 'open',
      obstacleUntil: null,
      newIds: t.ids(2),
    });
    expect(stack(t.bracken.hiveId ?? '', t.heather.hiveId ?? '')).toEqual(['yards-apart at lowerHiveId']);
  });
});
