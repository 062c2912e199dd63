import { floatAt } from '../../basics/index.ts';
import type { LinearModel } from '../model/linearModel.ts';

/** What stands in a row for something that is taken. */
export type Entry = readonly [row: number, value: number];

/** Rows are broken by more than this. */
export const BROKEN = 1e-6;

/** What hives that are opened, and the store, can still give while nuc after nuc is taken from them. */
export class HiveRoom {
  private readonly model: LinearModel;
  private readonly rooms: ReadonlyMap<number, number>;
  /** By row. */
  private readonly asked: Float64Array;

  /** @param rooms - rows of single hives and of the store, with what stands in them for the hive that is opened */
  constructor(model: LinearModel, rooms: ReadonlyMap<number, number>) {
    this.model = model;
    this.rooms = rooms;
    this.asked = new Float64Array(model.rows);
  }

  take(entries: readonly Entry[], times = 1): void {
    for (const [row, value] of entries) this.asked[row] = floatAt(this.asked, row) + times * value;
  }

  /** Takes several things, or nothing when they are too much. @returns the first that is; null when all are taken */
  takeAll<T>(things: readonly T[], entriesOf: (thing: T) => readonly Entry[]): T | null {
    for (const [n, thing] of things.entries()) {
      if (this.isRoomFor(entriesOf(thing))) {
        this.take(entriesOf(thing));
        continue;
      }
      for (const taken of things.slice(0, n)) this.take(entriesOf(taken), -1);
      return thing;
    }
    return null;
  }

  isRoomFor(entries: readonly Entry[]): boolean {
    this.take(entries);
    let isRoom = true;
    for (const [row] of entries) isRoom &&= this.isKept(row);
    this.take(entries, -1);
    return isRoom;
  }

  /** Rows that are broken: what is taken may make room for other things, which are too much without it. */
  broken(): number[] {
    return [...this.rooms.keys()].filter((row) => !this.isKept(row));
  }

  private isKept(row: number): boolean {
    const room = this.rooms.get(row);
    if (room === undefined) return true;
    const sum = floatAt(this.asked, row) + room;
    const [least, most] = this.model.rowBounds(row);
    return sum >= least - BROKEN && sum <= most + BROKEN;
  }
}
