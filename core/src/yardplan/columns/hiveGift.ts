import { floatAt } from '../../basics/index.ts';
import { BROKEN, type Entry } from './hiveRoom.ts';
import { INFINITE } from '../model/linearModel.ts';

/** Something that a hive may give: a comb, or the bees of a comb that stays. */
export interface Gift {
  /** A frame gives one thing at most. */
  readonly frame: number;
  readonly worth: number;
  /** What stands for it in the rows of the hive. */
  readonly entries: readonly Entry[];
}

/** A row of the hive: what stands in it when nothing is given, and within what it has to stay. */
export interface GiftRow {
  readonly row: number;
  readonly start: number;
  readonly least: number;
  readonly most: number;
}

/** So many choices are looked into; where there are more, as much is said as any one row allows. */
const MOST_LOOKED_AT = 20_000;
/** Less than this is no gain. */
const GAIN = 1e-9;

/**
 * What the gifts of one hive are worth together at most, with every comb given whole or not at all and every rule of
 * the hive kept. Exact while a hive has few ways to give; beyond that it may say too much, never too little.
 */
export function mostWorth(gifts: readonly Gift[], rows: readonly GiftRow[]): number {
  return new GiftSearch(gifts, rows).run();
}

class GiftSearch {
  /** By frame; frames that are worth most come first. */
  private readonly frames: readonly (readonly Gift[])[];
  /** By frame: what it and all that follow are worth at most. */
  private readonly still: Float64Array;
  private readonly rows: readonly GiftRow[];
  private readonly place: ReadonlyMap<number, number>;
  /** Nothing given makes up for a row that is over its most, or under its least. */
  private readonly onlyRises: readonly boolean[];
  private readonly onlyFalls: readonly boolean[];
  /** It cannot be more, by any one row. */
  private readonly highest: number;
  private readonly sum: Float64Array;
  private best = 0;
  private looked = 0;

  constructor(gifts: readonly Gift[], rows: readonly GiftRow[]) {
    this.rows = rows;
    this.place = new Map(rows.map(({ row }, n) => [row, n]));
    this.sum = Float64Array.from(rows, ({ start }) => start);
    // What is worth nothing may still make room: a brood comb that goes leaves fewer to cover.
    const helps = ({ entries }: Gift) =>
      entries.some(([r, value]) => {
        const row = rows[this.place.get(r) ?? -1];
        return row !== undefined && (value < 0 ? row.most < INFINITE : row.least > -INFINITE);
      });
    const useful = gifts.filter((gift) => gift.worth > GAIN || helps(gift));
    const byFrame = new Map<number, Gift[]>();
    for (const gift of useful) byFrame.set(gift.frame, [...(byFrame.get(gift.frame) ?? []), gift]);
    const top = (list: readonly Gift[]) => list.reduce((most, { worth }) => Math.max(most, worth), 0);
    this.frames = [...byFrame.values()].sort((a, b) => top(b) - top(a));
    this.still = new Float64Array(this.frames.length + 1);
    for (let n = this.frames.length - 1; n >= 0; n--) {
      this.still[n] = floatAt(this.still, n + 1) + top(this.frames[n] as readonly Gift[]);
    }
    const uses = rows.map(({ row }) => usesOf(row, useful));
    this.onlyRises = uses.map((list) => list.every(({ use }) => use >= 0));
    this.onlyFalls = uses.map((list) => list.every(({ use }) => use <= 0));
    this.highest = rows.reduce(
      (most, row, n) => Math.min(most, highestBy(row, uses[n] as readonly Use[])),
      floatAt(this.still, 0),
    );
  }

  run(): number {
    this.look(0, 0);
    return this.looked > MOST_LOOKED_AT ? this.highest : this.best;
  }

  /** With frames before this one settled. */
  private look(n: number, worth: number): void {
    if (++this.looked > MOST_LOOKED_AT || this.best >= this.highest - GAIN) return;
    if (worth > this.best && this.isKept(true)) this.best = worth;
    if (n === this.frames.length || worth + floatAt(this.still, n) <= this.best + GAIN) return;
    for (const gift of this.frames[n] as readonly Gift[]) {
      this.add(gift.entries, 1);
      if (this.isKept(false)) this.look(n + 1, worth + gift.worth);
      this.add(gift.entries, -1);
    }
    this.look(n + 1, worth);
  }

  private add(entries: readonly Entry[], times: 1 | -1): void {
    for (const [row, value] of entries) {
      const n = this.place.get(row);
      if (n !== undefined) this.sum[n] = floatAt(this.sum, n) + times * value;
    }
  }

  /** @param isAll - nothing more is given; otherwise only rows count that nothing can make good again */
  private isKept(isAll: boolean): boolean {
    return this.rows.every(({ least, most }, n) => {
      const sum = floatAt(this.sum, n);
      if (sum > most + BROKEN && (isAll || this.onlyRises[n])) return false;
      return !(sum < least - BROKEN && (isAll || this.onlyFalls[n]));
    });
  }
}

/** What a gift is worth, and what it adds to a row. */
interface Use {
  readonly worth: number;
  readonly use: number;
}

const usesOf = (row: number, gifts: readonly Gift[]): Use[] =>
  gifts.map(({ worth, entries }) => ({
    worth,
    use: entries.reduce((sum, [r, value]) => (r === row ? sum + value : sum), 0),
  }));

/** What gifts are worth together at most, as one row allows, when all that makes room in it is given. */
function highestBy({ start, least, most }: GiftRow, uses: readonly Use[]): number {
  const falls = uses.map(({ worth, use }) => ({ worth, use: -use }));
  return Math.min(
    most < INFINITE ? mostIn(most - start, uses) : Infinity,
    least > -INFINITE ? mostIn(start - least, falls) : Infinity,
  );
}

/** As much worth as fits into a room, the last of it in part. */
function mostIn(room: number, uses: readonly Use[]): number {
  let left = room + BROKEN;
  let sum = 0;
  for (const { worth, use } of uses) {
    if (use > 0) continue;
    left -= use;
    sum += worth;
  }
  const dear = uses.filter(({ use, worth }) => use > 0 && worth > 0);
  dear.sort((a, b) => b.worth / b.use - a.worth / a.use);
  for (const { worth, use } of dear) {
    if (left <= 0) break;
    sum += Math.min(1, left / use) * worth;
    left -= use;
  }
  return sum;
}
