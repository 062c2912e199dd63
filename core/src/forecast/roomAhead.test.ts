import { describe, expect, it } from 'vitest';
import { bothSides, type FrameReading } from '../comb/contents.ts';
import { TestYard } from '../testing/builders.ts';
import { roomAhead } from './roomAhead.ts';

const DAY = '2026-05-09';
const rising = bothSides({ eggs: 1, open: 2, capped: 5, honey: 2 }, 7);
const still = bothSides({ drawn: 6, honey: 4 }, 3);

const roomOf = (combs: readonly FrameReading[], coldUntil: string | null = null, day = DAY) => {
  const yard = new TestYard();
  const colony = yard.hive('A', [combs], DAY);
  return roomAhead(yard.apiary, colony, day, coldUntil);
};
const times = (n: number, r: FrameReading) => Array.from({ length: n }, () => r);

describe('the room that a colony will want', () => {
  it('a box before it is full, on top in mild nights', () => {
    const room = roomOf(times(10, rising));
    expect(room.full).not.toBeNull();
    expect(room.full! > DAY).toBe(true);
    expect(room.boxBy! <= room.full!).toBe(true);
    expect(room).toMatchObject({ where: 'above', waitUntil: null });
  });

  it('none where bees do not come', () => {
    expect(roomOf(times(10, still))).toMatchObject({ full: null, boxBy: null });
  });

  it('a cold week is waited for when there is time, and otherwise the box goes under the nest', () => {
    const soon = roomOf(times(10, rising)).full!;
    const short = roomOf(times(10, rising), DAY);
    expect(short).toMatchObject({ waitUntil: DAY, boxBy: '2026-05-10', where: 'above' });
    const long = roomOf(times(10, rising), '2026-06-20');
    expect(long).toMatchObject({ full: soon, waitUntil: null, where: 'under' });
  });

  it.each(['2026-10-10', '2026-11-28', '2027-01-15'])(
    'none on %s, however full it is: it shrinks, and an empty box cools it',
    (day) => {
      const yard = new TestYard();
      const colony = yard.hive('A', [times(10, bothSides({ honey: 8, drawn: 2 }, 10))], day);
      expect(roomAhead(yard.apiary, colony, day)).toMatchObject({ boxBy: null, shrinks: true });
    },
  );

  it('drone combs with the day on which their drones are out', () => {
    const drones = bothSides({ drone: 5, drawn: 5 }, 6);
    expect(roomOf([rising, drones, rising]).drones).toEqual([{ slot: 2, until: '2026-05-23' }]);
  });
});
