import { floatAt, numberAt } from '../../basics/index.ts';
import type { HiveChoice } from './hiveChoice.ts';
import { HiveRoom, type Entry } from './hiveRoom.ts';
import { addCommonRows, roomInHives, rowsOfYards } from './hiveRows.ts';
import { INFINITE, type LinearModel, type Solver } from '../model/linearModel.ts';
import { pooledModel, type GoalRow, type NucPool, type Way } from '../model/pooledModel.ts';
import { nucsWanted, type YardProblem } from '../problem/problem.ts';
import { huntOf, type PoolHunt, type WholeNuc } from './wholeNuc.ts';

/** What each row is worth, at the prices of the moment. */
export type Worth = Float64Array;

/**
 * The model of a problem in which nucs are taken whole: what stands in which row for every nuc that might be made,
 * what nucs cost when rows are worth so much, and what follows for all plans.
 */
export class NucModel {
  readonly model: LinearModel;
  readonly ways: readonly Way[];
  readonly hunts: readonly PoolHunt[];
  /** By unit: the column that opens it; below zero for a nuc. */
  readonly opened: readonly number[];
  /** By yard: the row that counts hives opened. */
  readonly hivesIn: ReadonlyMap<string, number>;
  /** Rows of single hives, with what stands in them for the hive that is opened. */
  readonly roomIn: ReadonlyMap<number, number>;
  /** The same, and the rows of the store and of hives that have nothing to give. */
  private readonly rooms: ReadonlyMap<number, number>;
  private readonly problem: YardProblem;
  private nucMissing: number;
  private readonly goals: readonly GoalRow[];
  private readonly entries: readonly (readonly Entry[])[];
  /** Rules of nucs, which a whole nuc keeps by itself. */
  private readonly kept: ReadonlySet<number>;
  /** Hives that pins have opened. */
  private readonly isPinnedOpen: ReadonlySet<number>;

  /** @param nucMissing - what a nuc that is not made costs */
  constructor(problem: YardProblem, nucMissing: number) {
    this.problem = problem;
    this.nucMissing = nucMissing;
    const { model, pools, ways, ruleRows, goalRows, opened, storeRows } = pooledModel(problem, {
      nucMissing,
    });
    this.model = model;
    this.ways = ways;
    this.goals = goalRows;
    this.opened = opened;
    this.isPinnedOpen = new Set(
      opened.flatMap((c, unit) => (c >= 0 && model.bounds(c)[0] > 0 ? [unit] : [])),
    );
    this.roomIn = roomInHives(model, opened);
    const ofHives = ruleRows.flatMap((r) => (r.pool || !r.rule.hard ? [] : [r.row]));
    this.rooms = new Map([...[...storeRows, ...ofHives].map((row) => [row, 0] as const), ...this.roomIn]);
    addCommonRows(model, ruleRows, opened);
    // What a whole nuc is wished to have is still added up.
    this.kept = new Set(ruleRows.filter((r) => r.pool && r.rule.hard).map((r) => r.row));
    this.entries = model.entriesByColumn().map((column) => column.filter(([row]) => !this.kept.has(row)));
    this.hivesIn = rowsOfYards(problem, model, opened);
    this.hunts = pools.map((pool) => {
      const row = model.row(0, 0);
      model.add(row, pool.made, -1);
      return huntOf(pool, ways, row);
    });
  }

  /** From now on a nuc that is not made costs so much. */
  setNucMissing(price: number): void {
    for (const { pool } of this.hunts) this.model.setCost(pool.made, -price);
    this.model.offset += (price - this.nucMissing) * nucsWanted(this.problem);
    this.nucMissing = price;
  }

  /** Opens certain hives, leaves others shut, and limits their number in yards. */
  restrict(choice: HiveChoice): void {
    const { model } = this;
    this.opened.forEach((column, unit) => {
      if (column < 0) return;
      const isOpen = choice.opened.has(unit) || this.isPinnedOpen.has(unit);
      model.setBounds(column, isOpen ? 1 : 0, choice.closed.has(unit) ? 0 : 1);
    });
    for (const [yardId, row] of this.hivesIn) {
      const [least, most] = choice.count.get(yardId) ?? [0, this.opened.length];
      model.setRowBounds(row, least, most);
    }
  }

  /**
   * Has nucs taken whole from now on: the ways that fill them are no columns of their own any more.
   *
   * @param isShort - it is not known that all nucs that are asked for can be made. Then combs are priced as if more were
   *   asked for than there can be: while shared combs suffice, it does not show which are scarce
   * @returns what rows are worth when nucs share their combs as one pool: where the search for prices begins; and what
   *   columns are there
   */
  takeWhole(solver: Solver, isShort: boolean): { readonly worth: Worth; readonly values: Float64Array } {
    const { model } = this;
    for (const { row } of this.hunts) model.freeRow(row);
    const { rowDual, colValue } = solver.withModel(model.data(true), (pool) => {
      if (isShort) {
        for (const { row } of this.goals) pool.changeRowBounds(row, -INFINITE, INFINITE);
        for (const hunt of this.hunts) pool.changeColBounds(hunt.pool.made, 0, INFINITE);
      }
      pool.options.set({ output_flag: false, solver: 'ipm', run_crossover: 'off' });
      pool.run();
      return pool.getSolution();
    });
    for (const { row } of this.hunts) model.setRowBounds(row, 0, 0);
    for (const row of this.kept) model.freeRow(row);
    for (const w of this.ways) if (w.pool) model.setBounds(w.column, 0, 0);
    // No more are made than are asked for, all the same.
    for (const { pools, wanted } of this.goals) {
      const made = pools.reduce((sum, pool) => sum + floatAt(colValue, pool.made), 0);
      const share = made > wanted ? wanted / made : 1;
      for (const pool of pools) colValue[pool.made] = share * floatAt(colValue, pool.made);
    }
    const worth = new Float64Array(model.rows);
    rowDual.forEach((w, row) => (worth[row] = w));
    return { worth: this.signed(worth), values: colValue };
  }

  /** Hives by index of the unit, in how far a solution opens them. */
  openingIn(values: Float64Array): Map<number, number> {
    return new Map(
      this.opened.flatMap((column, unit) => (column < 0 ? [] : [[unit, floatAt(values, column)] as const])),
    );
  }

  /** How many nucs of each pool a solution makes. */
  madeIn(values: Float64Array): Map<PoolHunt, number> {
    return new Map(this.hunts.map((hunt) => [hunt, floatAt(values, hunt.pool.made)]));
  }

  /** Solvers are a hair off, and free rows are worth nothing; a bound needs the signs right. */
  signed(worth: Worth): Worth {
    return worth.map((w, r) => {
      const [lower, upper] = this.model.rowBounds(r);
      return !Number.isFinite(w) || (w > 0 && lower <= -INFINITE) || (w < 0 && upper >= INFINITE) ? 0 : w;
    });
  }

  /** Prices the items of a pool at what rows are worth. */
  pricesOf(hunt: PoolHunt, worth: Worth): Float64Array {
    return Float64Array.from(hunt.ways, ({ column }) => {
      let price = this.model.costOf(column);
      for (const [row, value] of this.entries[column] ?? []) price -= floatAt(worth, row) * value;
      return price;
    });
  }

  costOf({ hunt, items }: WholeNuc): number {
    return items.reduce((cost, i) => cost + this.model.costOf((hunt.ways[i] as Way).column), 0);
  }

  costOfOpening(hive: number): number {
    return this.isPinnedOpen.has(hive) ? 0 : this.model.costOf(numberAt(this.opened, hive));
  }

  costOfMissing({ pool }: PoolHunt): number {
    return -this.model.costOf(pool.made);
  }

  /** What stands in the rows for a nuc, item by item. */
  entriesOf({ hunt, items }: WholeNuc): Entry[] {
    return items.flatMap((i) => this.entriesOfItem(hunt, i));
  }

  entriesOfItem(hunt: PoolHunt, item: number): readonly Entry[] {
    return this.entries[(hunt.ways[item] as Way).column] ?? [];
  }

  /** What stands in a row of a single hive or of the store when the hive is opened; nothing for other rows. */
  roomOf(row: number): number | undefined {
    return this.rooms.get(row);
  }

  /** What hives that are opened, and the store, have left beside certain nucs. */
  roomBeside(nucs: readonly WholeNuc[]): HiveRoom {
    const room = new HiveRoom(this.model, this.rooms);
    for (const nuc of nucs) room.take(this.entriesOf(nuc));
    return room;
  }

  /** What every plan costs at least at these prices, when the cheapest nuc of each pool costs so much. */
  boundWith(worth: Worth, cheapest: ReadonlyMap<NucPool, number>): number {
    const free = worth.slice();
    // How many nucs are made in all, and where, is settled below and needs no price.
    for (const hunt of this.hunts) free[hunt.row] = 0;
    for (const goal of this.goals) free[goal.row] = 0;
    const { sum, reduced } = this.model.boundAt(free, new Set(this.hunts.map((h) => h.pool.made)));
    return this.goals.reduce((bound, goal) => {
      let left = goal.wanted;
      const nucs = goal.pools
        .map((pool) => ({
          pool,
          price: floatAt(reduced, pool.made) + (cheapest.get(pool) ?? Infinity),
        }))
        .toSorted((a, b) => a.price - b.price);
      let price = 0;
      for (const { pool, price: each } of nucs) {
        if (each >= 0) break;
        const made = Math.min(left, pool.nucs.length);
        left -= made;
        price += made * each;
      }
      return bound + price;
    }, sum);
  }
}
