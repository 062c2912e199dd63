import { describe, expect, it } from 'vitest';
import { HiveRoom } from './hiveRoom.ts';
import { INFINITE, LinearModel } from '../model/linearModel.ts';

describe('the room in hives that are opened', () => {
  it('is used up nuc by nuc, in rows of both senses', () => {
    const model = new LinearModel();
    const shakes = model.row(-INFINITE, 0); // shakes - 3 opened <= 0
    const brood = model.row(0, INFINITE); // 2.5 opened - brood taken >= 0
    const room = new HiveRoom(
      model,
      new Map([
        [shakes, -3],
        [brood, 2.5],
      ]),
    );
    expect(room.isRoomFor([[shakes, 3]])).toBe(true);
    expect(
      room.isRoomFor([
        [shakes, 2],
        [shakes, 2],
      ]),
    ).toBe(false);
    room.take([
      [shakes, 2],
      [brood, -1.5],
    ]);
    expect(room.isRoomFor([[shakes, 1]])).toBe(true);
    expect(room.isRoomFor([[shakes, 2]])).toBe(false);
    expect(room.isRoomFor([[brood, -1]])).toBe(true);
    expect(room.isRoomFor([[brood, -1.1]])).toBe(false);
  });

  it('is taken up by several things, or by none when they are too much together', () => {
    const model = new LinearModel();
    const shakes = model.row(-INFINITE, 0);
    const combsInStore = model.row(-INFINITE, 2);
    const room = new HiveRoom(
      model,
      new Map([
        [shakes, -3],
        [combsInStore, 0],
      ]),
    );
    const one = (row: number) => [[row, 1] as const];
    expect(room.takeAll([shakes, shakes, combsInStore], one)).toBeNull();
    expect(room.takeAll([combsInStore, shakes, combsInStore, shakes], one)).toBe(combsInStore);
    // Nothing was taken then: one of each is left.
    expect(room.takeAll([shakes, combsInStore], one)).toBeNull();
    expect(room.isRoomFor(one(shakes))).toBe(false);
    expect(room.isRoomFor(one(combsInStore))).toBe(false);
  });

  it('asks nothing of rows that belong to no hive', () => {
    const model = new LinearModel();
    const nucs = model.row(-INFINITE, 1);
    const room = new HiveRoom(model, new Map());
    room.take([[nucs, 100]]);
    expect(room.isRoomFor([[nucs, 100]])).toBe(true);
  });
});
