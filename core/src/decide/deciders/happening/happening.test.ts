import { describe, expect, it } from 'vitest';
import { bothSides } from '../../../comb/contents.ts';
import { newQueen } from '../../../records/kinds/queen.ts';
import type { Colony } from '../../../records/records.ts';
import {
  coloniesOfHive,
  coloniesOfYard,
  eventsOf,
  framesApart,
  framesInStore,
  framesOfColony,
  openFollowUps,
  placeOf,
  queenOf,
  queensOf,
} from '../../../records/views.ts';
import { TestYard } from '../../../testing/builders.ts';

const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 2, beeBread: 1 }, 8);
const honey = bothSides({ honey: 8, beeBread: 1, drawn: 1 }, 5);

function twoHives() {
  const yard = new TestYard();
  const heather = yard.hive('Heather', [[honey, brood, brood, honey]]);
  const bracken = yard.hive('Bracken', [[honey, brood, honey]]);
  const ids = (n: number) => Array.from({ length: n }, yard.newId);
  const away = yard.newId();
  yard.run({ type: 'addYard', yard: { id: away, name: 'Away', note: '' } });
  const queen = (colony: Colony, name: string) => {
    const id = yard.newId();
    yard.run({
      type: 'putQueen',
      queen: newQueen({ id, name, mating: 'mated', whereabouts: { known: 'colony', colonyId: colony.id } }),
    });
    return id;
  };
  return { yard, heather, bracken, ids, away, queen };
}

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
    });
    expect(t.yard.colony('Bracken').separation).toMatchObject({
      day: '2026-05-03',
      queen: 'elsewhere',
      emergence: null,
    });
  });
});

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
