import { describe, expect, it } from 'vitest';
import { queenOf } from '../../../records/views.ts';
import { honey, twoHives } from '../../../testing/twoHives.ts';

describe('a swarm', () => {
  it('that is lost takes the queen off the records, and what stays raises another', () => {
    const t = twoHives();
    const queenId = t.queen(t.heather, 'Ada');
    t.yard.run({
      type: 'recordSwarm',
      colonyId: t.heather.id,
      day: '2026-05-20',
      hivedId: null,
      newIds: t.ids(1),
    });
    expect(t.yard.apiary.queen[queenId]?.end).toEqual({ day: '2026-05-20', how: 'swarmed' });
    expect(t.yard.colony('Heather').separation).toMatchObject({
      queen: 'elsewhere',
      workId: null,
      emergence: { earliest: '2026-05-21', likely: '2026-05-27' },
    });
  });

  it('that is hived takes her along, and is descended from its mother colony', () => {
    const t = twoHives();
    const queenId = t.queen(t.heather, 'Ada');
    const swarm = t.yard.hive('Swarm', [[honey]]);
    const record = (hivedId: string) =>
      ({
        type: 'recordSwarm',
        colonyId: t.heather.id,
        day: '2026-05-20',
        hivedId,
        newIds: t.ids(1),
      }) as const;
    expect(t.yard.refused(record(t.heather.id))).toEqual(['own-mother at hivedId']);
    t.yard.run(record(swarm.id));
    expect(queenOf(t.yard.apiary, swarm.id)?.id).toBe(queenId);
    expect(t.yard.colony('Swarm').origin).toEqual({ how: 'swarm', fromColonyId: t.heather.id });
    // A ring of descent is refused.
    expect(
      t.yard.refused({
        type: 'setOrigin',
        colonyId: t.heather.id,
        origin: { how: 'made', fromColonyId: swarm.id },
        startedOn: '2026-05-01',
        queenlessSince: null,
        newIds: [],
      }),
    ).toEqual(['own-mother at origin.fromColonyId']);
  });

  it('or a nuc made before it was entered says since when it has no queen', () => {
    const t = twoHives();
    t.yard.run({
      type: 'setOrigin',
      colonyId: t.bracken.id,
      origin: { how: 'made', fromColonyId: t.heather.id },
      startedOn: '2026-05-01',
      queenlessSince: '2026-05-03',
      newIds: [],
    });
    expect(t.yard.colony('Bracken').separation).toMatchObject({
      day: '2026-05-03',
      queen: 'elsewhere',
      emergence: null,
    });
  });
});
