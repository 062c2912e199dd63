import { INFINITE, type LinearModel } from './linearModel.ts';

/** What stands in a row for something that is taken. */
export type Entry = readonly [row: number, value: number];

/** Rows are broken by more than this. */
export const BROKEN = 1e-6;

/** What hives that are opened can still give while nuc after nuc is taken from them. */
export class HiveRoom {
  private readonly model: LinearModel;
  private readonly rooms: ReadonlyMap<number, number>;
  /** By row. */
  private readonly asked: Float64Array;

  /** @param rooms - rows of single hives, with what stands in them for the hive that is opened */
  constructor(model: LinearModel, rooms: ReadonlyMap<number, number>) {
    this.model = model;
    this.rooms = rooms;
    this.asked = new Float64Array(model.rows);
  }

  take(entries: readonly Entry[], times = 1): void {
    for (const [row, value] of entries) this.asked[row] = (this.asked[row] as number) + times * value;
  }

  isRoomFor(entries: readonly Entry[]): boolean {
    this.take(entries);
    const isRoom = entries.every(([row]) => this.isKept(row));
    this.take(entries, -1);
    return isRoom;
  }

  private isKept(row: number): boolean {
    const room = this.rooms.get(row);
    if (room === undefined) return true;
    const sum = (this.asked[row] as number) + room;
    const [, most] = this.model.rowBounds(row);
    return most < INFINITE ? sum <= BROKEN : sum >= -BROKEN;
  }
}
