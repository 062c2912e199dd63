import { describe, expect, it } from 'vitest';
import { framesInStore, framesOfColony, openFollowUps } from '../../../records/views.ts';
import { honey, twoHives } from '../../../testing/twoHives.ts';

describe('combs, equipment and what is given', () => {
  it('loose combs are counted in the store, but not with a queen on them', () => {
    const t = twoHives();
    t.yard.stock('drawn', 1);
    const [loose] = framesInStore(t.yard.apiary);
    const read = (body: object) =>
      ({
        type: 'readLoose',
        day: '2026-05-15',
        readings: [{ id: t.yard.newId(), frameId: loose?.id ?? '', body }],
      }) as never;
    t.yard.run(read(honey));
    const kept = framesInStore(t.yard.apiary)[0];
    expect(t.yard.apiary.reading[kept?.readingId ?? '']).toMatchObject({ visitId: null, boxId: null });
    expect(t.yard.refused(read({ ...honey, queenSeen: true }))).toEqual(['queen-twice at readings.0.body']);
    const hanging = framesOfColony(t.yard.apiary, t.heather)[0];
    expect(
      t.yard.refused({
        type: 'careForCombs',
        frameIds: [hanging?.frame.id ?? ''],
        day: '2026-05-15',
        change: { what: 'melt' },
      }),
    ).toEqual(['not-in-store at frameIds.0']);
  });

  it('a feeder takes a slot that is free', () => {
    const t = twoHives();
    const box = framesOfColony(t.yard.apiary, t.heather)[0]?.box.id ?? '';
    const put = (slot: number) => ({
      type: 'setInserts' as const,
      boxId: box,
      inserts: [{ what: 'frame-feeder' as const, slot }],
    });
    expect(t.yard.refused(put(2))).toEqual(['slot-taken at inserts.0.slot']);
    expect(t.yard.refused(put(11))).toEqual(['no-such-slot at inserts.0.slot']);
    t.yard.run(put(9));
    // And no comb is hung there afterwards.
    t.yard.stock('drawn', 1);
    const [loose] = framesInStore(t.yard.apiary);
    expect(
      t.yard.refused({
        type: 'moveFrames',
        moves: [{ frameId: loose?.id ?? '', to: { place: 'box', boxId: box, slot: 9 } }],
      }),
    ).toEqual([`slot-taken at frames.${loose?.id}.slot`]);
  });

  it('strips come out by the day of their label, and combs remember sugar', () => {
    const t = twoHives();
    const given = (body: object, day = '2026-05-15') =>
      ({
        type: 'give',
        given: { id: t.yard.newId(), colonyId: t.heather.id, day, body, outOn: null, note: '' },
        newIds: t.ids(1),
      }) as never;
    t.yard.run(given({ kind: 'treatment', what: 'Strips', outBy: '2026-06-26', pieces: 2 }));
    expect(openFollowUps(t.yard.apiary)).toMatchObject([
      { topic: 'take-out', window: { likely: '2026-06-26' } },
    ]);
    const [strips] = Object.values(t.yard.apiary.given);
    t.yard.run({ type: 'takeOut', givenId: strips?.id ?? '', day: '2026-06-25', leftKg: null });
    expect(openFollowUps(t.yard.apiary)).toEqual([]);
    t.yard.run(given({ kind: 'feed', what: 'syrup-thick', kg: 2, purpose: 'winter', leftKg: null }));
    const fed = Object.values(t.yard.apiary.given).find((g) => g.body.kind === 'feed');
    expect(t.yard.refused({ type: 'takeOut', givenId: fed?.id ?? '', day: '2026-05-20', leftKg: 3 })).toEqual(
      ['amounts at leftKg'],
    );
    expect(framesOfColony(t.yard.apiary, t.heather)[0]?.frame.care).toMatchObject({
      fedOn: '2026-05-15',
      treatedOn: '2026-05-15',
    });
    expect(
      t.yard.refused(given({ kind: 'treatment', what: 'Strips', outBy: '2026-05-01', pieces: 2 })),
    ).toEqual(['window-reversed at given.outOn']);
  });

  it('a visit is corrected, its day too, unless another count lies in between', () => {
    const t = twoHives();
    const visit = Object.values(t.yard.apiary.visit).find((v) => v.colonyId === t.heather.id);
    const correct = (day: string) =>
      ({
        type: 'correctVisit',
        visitId: visit?.id ?? '',
        day,
        time: '14:05',
        note: 'A day earlier, in truth.',
      }) as const;
    t.yard.run(correct('2026-05-08'));
    expect(t.yard.apiary.visit[visit?.id ?? '']).toMatchObject({ day: '2026-05-08', time: '14:05' });
    expect(framesOfColony(t.yard.apiary, t.heather)[0]?.reading?.day).toBe('2026-05-08');
    t.yard.run({
      type: 'recordCount',
      visitId: t.yard.newId(),
      colonyId: t.heather.id,
      day: '2026-05-12',
      note: '',
      readings: [
        {
          id: t.yard.newId(),
          frameId: framesOfColony(t.yard.apiary, t.heather)[0]?.frame.id ?? '',
          body: honey as never,
        },
      ],
    });
    expect(t.yard.refused(correct('2026-05-14'))).toEqual(['counts-between at day']);
    expect(t.yard.refused(correct('2026-04-14'))).toEqual(['before-colony at day']);
  });
});
