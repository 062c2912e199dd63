import { describe, expect, it } from 'vitest';
import { newQueen } from '../../../records/kinds/queen.ts';
import { openFollowUps, queenOf, queensOf } from '../../../records/views.ts';
import { twoHives } from '../../../testing/twoHives.ts';

describe('a queen', () => {
  it('goes from stock into a cage, is released, lays and is marked, each noted with its day', () => {
    const t = twoHives();
    const id = t.yard.newId();
    t.yard.run({
      type: 'putQueen',
      queen: newQueen({
        id,
        name: 'Bee',
        mating: 'mated',
        breeder: 'B. Reeder',
        whereabouts: { known: 'stock' },
      }),
    });
    const note = (did: 'released' | 'laying', day: string) =>
      t.yard.run({ type: 'noteQueen', queenId: id, day, did, newIds: t.ids(2) });
    t.yard.run({
      type: 'noteQueen',
      queenId: id,
      day: '2026-05-15',
      did: 'put-in',
      into: { colonyId: t.heather.id, caged: true, beside: false },
      newIds: t.ids(2),
    });
    expect(queenOf(t.yard.apiary, t.heather.id)).toMatchObject({ name: 'Bee', cagedSince: '2026-05-15' });
    expect(openFollowUps(t.yard.apiary).map((f) => [f.topic, f.window.earliest])).toEqual([
      ['cage', '2026-05-18'],
      ['eggs-due', '2026-05-22'],
    ]);
    note('released', '2026-05-19');
    note('laying', '2026-05-24');
    t.yard.run({
      type: 'noteQueen',
      queenId: id,
      day: '2026-05-24',
      did: 'marked',
      mark: { dot: 'white', number: '17' },
      newIds: t.ids(1),
    });
    expect(t.yard.apiary.queen[id]).toMatchObject({
      cagedSince: null,
      layingSince: '2026-05-24',
      dot: 'white',
      number: '17',
      breeder: 'B. Reeder',
      history: [{ did: 'put-in' }, { did: 'released' }, { did: 'laying' }, { did: 'marked' }],
    });
  });

  it('is not put where another lives, unless both are meant; lost, she leaves the colony queenless', () => {
    const t = twoHives();
    const ada = t.queen(t.heather, 'Ada');
    const bea = t.queen(t.bracken, 'Bea');
    const into = (beside: boolean) =>
      ({
        type: 'noteQueen',
        queenId: bea,
        day: '2026-05-15',
        did: 'put-in',
        into: { colonyId: t.heather.id, caged: false, beside },
        newIds: t.ids(2),
      }) as const;
    expect(t.yard.refused(into(false))).toEqual(['two-queens at into.colonyId']);
    t.yard.run(into(true));
    expect(new Set(queensOf(t.yard.apiary, t.heather.id).map((q) => q.name))).toEqual(
      new Set(['Ada', 'Bea']),
    );
    expect(t.yard.colony('Bracken').separation).toMatchObject({ day: '2026-05-15', queen: 'elsewhere' });
    const gone = (queenId: string) =>
      ({ type: 'noteQueen', queenId, day: '2026-05-20', did: 'killed', newIds: t.ids(1) }) as const;
    t.yard.run(gone(ada));
    expect(t.yard.colony('Heather').separation).toBeNull();
    expect(t.yard.refused(gone(ada))).toEqual(['queen-gone at queenId']);
  });

  it('keeps what is known of her when an old form enters her again', () => {
    const t = twoHives();
    const id = t.queen(t.heather, 'Ada');
    t.yard.run({
      type: 'noteQueen',
      queenId: id,
      day: '2026-05-15',
      did: 'clipped',
      newIds: t.ids(1),
    });
    t.yard.run({
      type: 'putQueen',
      queen: {
        id,
        name: 'Ada',
        birthYear: 2025,
        dot: 'blue',
        mating: 'mated',
        whereabouts: { known: 'colony', colonyId: t.heather.id },
      },
    });
    expect(t.yard.apiary.queen[id]).toMatchObject({ clipped: true, birthYear: 2025 });
  });
});
