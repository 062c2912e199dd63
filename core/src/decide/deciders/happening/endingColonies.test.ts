import { describe, expect, it } from 'vitest';
import { framesApart, framesInStore, framesOfColony } from '../../../records/views.ts';
import { twoHives } from '../../../testing/twoHives.ts';

describe('the end of a colony', () => {
  const end = (t: ReturnType<typeof twoHives>, more: object) =>
    ({
      type: 'endColony',
      colonyId: t.heather.id,
      day: '2026-05-20',
      how: 'dead',
      cause: 'unknown',
      words: '',
      combs: 'apart',
      ...more,
    }) as const;

  it('of unknown cause keeps its combs apart: not in the store, and not to be hung anywhere', () => {
    const t = twoHives();
    const queenId = t.queen(t.heather, 'Ada');
    t.yard.run(end(t, {}));
    const { apiary } = t.yard;
    expect(apiary.colony[t.heather.id]).toMatchObject({
      endedOn: '2026-05-20',
      end: { how: 'dead', cause: 'unknown' },
    });
    expect(apiary.queen[queenId]).toMatchObject({
      whereabouts: { known: 'gone' },
      end: { how: 'died', day: '2026-05-20' },
    });
    const apart = framesApart(apiary);
    expect(apart).toHaveLength(4);
    t.yard.run({
      type: 'moveFrames',
      moves: apart.map((f) => ({ frameId: f.id, to: { place: 'store' as const } })),
    });
    expect(framesInStore(t.yard.apiary)).toEqual([]);
    const box = framesOfColony(t.yard.apiary, t.bracken)[0]?.box;
    const hang = {
      type: 'moveFrames' as const,
      moves: [{ frameId: apart[0]?.id ?? '', to: { place: 'box' as const, boxId: box?.id ?? '', slot: 9 } }],
    };
    expect(t.yard.refused(hang)).toEqual(['comb-apart at moves.0.frameId']);
    t.yard.run({
      type: 'careForCombs',
      frameIds: apart.map((f) => f.id),
      day: '2026-06-01',
      change: { what: 'release' },
    });
    expect(framesInStore(t.yard.apiary)).toHaveLength(4);
    t.yard.run(hang);
  });

  it.each(['unknown', 'infectious'] as const)('of %s cause does not give its combs to the store', (cause) => {
    const t = twoHives();
    expect(t.yard.refused(end(t, { cause, combs: 'store' }))).toEqual(['comb-apart at combs']);
  });

  it('that is known and not infectious gives them, and its stand is free', () => {
    const t = twoHives();
    t.yard.run(end(t, { cause: 'not-infectious', combs: 'store' }));
    expect(framesInStore(t.yard.apiary)).toHaveLength(4);
    expect(t.yard.apiary.hive[t.heather.hiveId ?? '']?.standId).toBeNull();
  });

  it('leaves a hive of nobody on its stand until it is taken to the store', () => {
    const t = twoHives();
    const hiveId = t.heather.hiveId ?? '';
    expect(t.yard.refused({ type: 'clearHive', hiveId })).toEqual(['yard-in-use at hiveId']);
    t.yard.run(end(t, {}));
    expect(t.yard.apiary.hive[hiveId]?.standId).not.toBeNull();
    t.yard.run({ type: 'clearHive', hiveId });
    expect(t.yard.apiary.hive[hiveId]?.standId).toBeNull();
    // Kept apart all the same.
    expect(framesApart(t.yard.apiary)).toHaveLength(4);
    expect(framesInStore(t.yard.apiary)).toEqual([]);
  });

  it('sold goes with its combs, and can be undone by nobody twice', () => {
    const t = twoHives();
    t.yard.run(end(t, { how: 'sold', cause: null, words: 'a neighbour', combs: 'gone' }));
    expect(Object.values(t.yard.apiary.frame).filter((f) => f.place === 'gone')).toHaveLength(4);
    expect(t.yard.refused(end(t, {}))).toEqual(['colony-ended at colonyId']);
  });
});
