import { describe, expect, it } from 'vitest';
import type { Colony } from '../../../records/records.ts';
import { eventsOf, openFollowUps, placeOf } from '../../../records/views.ts';
import { twoHives } from '../../../testing/twoHives.ts';

describe('a hive that moves', () => {
  const move = (t: ReturnType<typeof twoHives>, more: object = {}) =>
    ({
      type: 'moveHive',
      hiveId: t.heather.hiveId ?? '',
      day: '2026-05-15',
      hour: 'dusk',
      to: { standId: t.yard.newId(), fresh: { yardId: t.away, name: 'By the gate' } },
      entrance: 'shut',
      obstacleUntil: null,
      newIds: t.ids(4),
      ...more,
    }) as const;

  it('planned ahead stays where it is, is in the agenda with its place, and is done when it has been moved', () => {
    const t = twoHives();
    const to = { standId: t.yard.newId(), fresh: { yardId: t.away, name: 'By the gate' } };
    const plan = (day: string) =>
      ({
        type: 'planMove',
        followUpId: t.yard.newId(),
        hiveId: t.heather.hiveId ?? '',
        day,
        hour: 'dusk',
        to,
      }) as const;
    t.yard.run(plan('2026-05-18'));
    t.yard.run(plan('2026-05-20'));
    expect(placeOf(t.yard.apiary, t.heather).yard?.name).not.toBe('Away');
    expect(openFollowUps(t.yard.apiary)).toMatchObject([
      {
        topic: 'carry',
        window: { likely: '2026-05-20' },
        move: { to, hour: 'dusk' },
        expect: expect.stringMatching(/^At dusk, carry .* to By the gate in Away: .*shut.*opened/) as string,
      },
    ]);
    t.yard.run(move(t, { to, day: '2026-05-20', entrance: 'open' }));
    expect(openFollowUps(t.yard.apiary)).toEqual([]);
  });

  it('is not planned to a yard that is closed', () => {
    const t = twoHives();
    t.yard.run({ type: 'editYard', yardId: t.away, closedOn: '2026-05-01' });
    expect(
      t.yard.refused({
        type: 'planMove',
        followUpId: t.yard.newId(),
        hiveId: t.heather.hiveId ?? '',
        day: '2026-05-18',
        hour: 'day',
        to: { standId: t.yard.newId(), fresh: { yardId: t.away, name: 'X' } },
      }),
    ).toEqual(['yard-closed at to']);
  });

  it('to another yard at dusk, shut, stands there, and its entrance waits to be opened', () => {
    const t = twoHives();
    t.yard.run(move(t));
    const { apiary } = t.yard;
    expect(placeOf(apiary, t.heather)).toMatchObject({
      yard: { name: 'Away' },
      stand: { name: 'By the gate' },
      hive: { entrance: { state: 'shut', since: '2026-05-15' } },
    });
    expect(eventsOf(apiary, t.heather.id)).toMatchObject([{ body: { what: 'moved', hour: 'dusk' } }]);
    expect(openFollowUps(apiary).map((f) => f.topic)).toEqual(['entrance']);
    t.yard.run({
      type: 'setEntrance',
      hiveId: t.heather.hiveId ?? '',
      day: '2026-05-15',
      state: 'open',
      newIds: t.ids(2),
    });
    expect(openFollowUps(t.yard.apiary)).toEqual([]);
    expect(t.yard.apiary.hive[t.heather.hiveId ?? '']?.entrance).toEqual({ state: 'open', since: null });
  });

  it('within the yard leaves a day on which the obstacle goes', () => {
    const t = twoHives();
    const to = { standId: t.yard.newId(), fresh: { yardId: t.yard.yardId, name: 'Hedge' } };
    t.yard.run(move(t, { to, entrance: 'open', obstacleUntil: '2026-05-18' }));
    expect(openFollowUps(t.yard.apiary)).toMatchObject([
      { topic: 'take-off', window: { likely: '2026-05-18' } },
    ]);
    expect(t.yard.apiary.hive[t.heather.hiveId ?? '']?.wears).toEqual([
      { what: 'obstacle', since: '2026-05-15', until: '2026-05-18' },
    ]);
  });

  it('is refused a stand that is taken, its own, a closed yard, and a day before it was there', () => {
    const t = twoHives();
    const standOf = (c: Colony) => placeOf(t.yard.apiary, c).stand?.id ?? '';
    const onto = (standId: string) => t.yard.refused(move(t, { to: { standId, fresh: null } }));
    expect(onto(standOf(t.bracken))).toEqual(['stand-taken at to.standId']);
    expect(onto(standOf(t.heather))).toEqual(['stand-taken at to.standId']);
    expect(t.yard.refused(move(t, { day: '2026-04-01' }))).toEqual(['before-colony at day']);
    t.yard.run({ type: 'editYard', yardId: t.away, closedOn: '2026-05-10' });
    expect(t.yard.refused(move(t))).toEqual(['yard-closed at to.fresh.yardId']);
  });
});
