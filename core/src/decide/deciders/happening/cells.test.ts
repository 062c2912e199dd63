import { describe, expect, it } from 'vitest';
import { framesInStore, framesOfColony } from '../../../records/views.ts';
import { twoHives } from '../../../testing/twoHives.ts';

describe('queen cells', () => {
  const scene = () => {
    const t = twoHives();
    const [comb] = framesOfColony(t.yard.apiary, t.heather).slice(1);
    const [other] = framesOfColony(t.yard.apiary, t.bracken).slice(1);
    const ids = t.ids(2);
    t.yard.run({
      type: 'enterCells',
      cells: ids.map((id) => ({
        id,
        frameId: comb?.frame.id ?? '',
        place: 'side-edge' as const,
        egg: { earliest: '2026-05-01', likely: '2026-05-02', latest: '2026-05-03' },
        datedBy: 'larva' as const,
        notedOn: '2026-05-08',
        quality: null,
        origin: 'swarm' as const,
        reserved: false,
        fromColonyId: null,
        fate: null,
        history: [],
      })),
    });
    const change = (cellIds: string[], what: object) =>
      ({ type: 'changeCells', cellIds, day: '2026-05-16', change: what }) as never;
    return { ...t, comb, other, cells: ids, change };
  };

  it('are cut out onto another comb, and one is broken: both combs show it', () => {
    const { yard, cells, comb, other, change } = scene();
    const [one = '', two = ''] = cells;
    yard.run(change([one], { what: 'cut-out', toFrameId: other?.frame.id }));
    yard.run(change([two], { what: 'fate', how: 'broken' }));
    expect(yard.apiary.cell[one]).toMatchObject({
      frameId: other?.frame.id,
      egg: { likely: '2026-05-02' },
      history: [{ did: 'entered', frameId: comb?.frame.id }, { did: 'cut-out' }],
    });
    expect(yard.apiary.cell[two]?.fate).toEqual({ day: '2026-05-16', how: 'broken' });
    expect(yard.refused(change([two], { what: 'reserve', reserved: true }))).toEqual([
      'cell-gone at cellIds.0',
    ]);
  });

  it('die with a comb that goes to the store, and are not set into one there', () => {
    const { yard, cells, comb, change } = scene();
    yard.stock('drawn', 1);
    const [loose] = framesInStore(yard.apiary);
    expect(yard.refused(change([cells[0] ?? ''], { what: 'cut-out', toFrameId: loose?.id }))).toEqual([
      'not-in-store at change.toFrameId',
    ]);
    yard.run({ type: 'moveFrames', moves: [{ frameId: comb?.frame.id ?? '', to: { place: 'store' } }] });
    expect(yard.apiary.cell[cells[0] ?? '']?.fate?.how).toBe('dead');
  });
});
