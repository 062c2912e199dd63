import { ANY_HIVES, type HiveChoice } from './hiveChoice.ts';
import { HiveRoom, type Entry } from './hiveRoom.ts';
import { addCommonRows, roomInHives, rowsOfYards } from './hiveRows.ts';
import { INFINITE, type LinearModel, type Solver } from './linearModel.ts';
import { PRICES } from './prices.ts';
import { pooledModel, type GoalRow, type NucPool, type Way } from './pooledModel.ts';
import { nucsWanted, type Assignment, type YardProblem } from './problem.ts';
import { bestWholes, hasPoint, isWhole, roundedNucs } from './roundNucs.ts';
import { hasBegunNucs, huntOf, nucsOfPlan, planOfNucs, type PoolHunt, type WholeNuc } from './wholeNuc.ts';

/** Nucs taken in at most in one round, for each pool. */
const TAKEN = 40;
/** Nucs are priced between the prices of the moment and those that gave the best bound, so near to the latter. */
const STEADINESS = 0.85;
const LEAST_STEADY = 0.3;
/** More nucs than this are thinned out to so many. */
const MOST_KEPT = 900;
const KEPT = 450;
/** Less than this is no gain. */
const GAIN = 1e-3;
/** Nucs that fit together may be dearer than the cheapest by so much. */
const DEARER = 0.7;
/** So many more of them than the model makes. */
const SPARE = 2;
/** Hives that are opened by less than this are as good as shut. */
const BARELY = 0.02;
/** A row is broken by more than this. */
const BROKEN = 1e-6;

/** What each row is worth, at the prices of the moment. */
export type Worth = Float64Array;

/**
 * Bounds the price of every plan, with nucs taken whole: a nuc that is half one thing and half another does not
 * exist, so that little is left between the bound and the best plan.
 *
 * There are far too many nucs to write down. A model with some of them tells what each comb and each shake is
 * worth; at those prices cheaper nucs are looked for and taken in, until there are none: column generation
 * (Dantzig and Wolfe, Operations Research 8, 1960). At any time the prices give a proven bound: all rows at what
 * they are worth, and every nuc at the price of the cheapest.
 *
 * Holds native memory: call {@link dispose}.
 */
export class NucColumns {
  /** No plan costs less. */
  bound = -Infinity;
  /** What the nucs so far cost when they may be taken in part. */
  price = Infinity;
  /** What rows are worth where the bound is best. */
  steady: Worth;
  /** Hives by index of the unit, in how far the model of the moment opens them. */
  opening: ReadonlyMap<number, number> = new Map();
  /** How many nucs the model of the moment makes. */
  made = 0;
  private readonly problem: YardProblem;
  private nucMissing: number;
  private readonly model: LinearModel;
  /** The model as the solver holds it, with a column for every nuc so far. */
  private readonly master: ReturnType<Solver['createModel']>;
  private readonly ways: readonly Way[];
  private readonly entries: readonly (readonly Entry[])[];
  private readonly goals: readonly GoalRow[];
  private readonly hunts: readonly PoolHunt[];
  private readonly nucs: (WholeNuc & { readonly homes: readonly number[] })[] = [];
  /** By unit: the column that opens it. */
  private readonly opened: readonly number[];
  /** By yard: the row that counts hives opened. */
  private readonly hivesIn: ReadonlyMap<string, number>;
  /** Rows of single hives, with what stands in them for the hive that is opened. */
  private readonly roomIn: ReadonlyMap<number, number>;
  /** Rows that are left out as long as no solution breaks them. */
  private readonly waiting: Set<number>;
  /** The last solution broke rows that it did not know. */
  private isLax = false;
  private choice: HiveChoice;
  /** Hives that may be opened; null for all. */
  private allowed: ReadonlySet<number> | null;

  private constructor(problem: YardProblem, solver: Solver, nucMissing: number, choice: HiveChoice) {
    this.problem = problem;
    this.nucMissing = nucMissing;
    const { model, pools, ways, ruleRows, goalRows, opened } = pooledModel(problem, { nucMissing });
    this.opened = opened;
    this.choice = choice;
    this.allowed = allowedBy(problem, choice);
    opened.forEach((column, unit) => {
      if (column >= 0) model.setBounds(column, ...openingBy(choice, unit));
    });
    this.roomIn = roomInHives(model, opened);
    this.waiting = new Set(this.roomIn.keys());
    addCommonRows(model, ruleRows, opened);
    this.goals = goalRows;
    this.model = model;
    this.ways = ways;
    // A whole nuc keeps its rules by itself; what it is wished to have is still added up.
    const kept = new Set(ruleRows.filter((r) => r.pool && r.rule.hard).map((r) => r.row));
    this.entries = model.entriesByColumn().map((column) => column.filter(([row]) => !kept.has(row)));
    // What rows are worth with all nucs of a recipe as one pool is where the search for prices begins.
    const pooled = solver.withModel(model.data(true), (pool) => {
      pool.options.set({ output_flag: false, solver: 'ipm', run_crossover: 'off' });
      pool.run();
      return Float64Array.from(pool.getSolution().rowDual);
    });
    for (const row of kept) model.freeRow(row);
    const rows = pools.map((pool) => {
      const row = model.row(0, 0);
      model.add(row, pool.made, -1);
      return row;
    });
    for (const w of ways) if (w.pool) model.setBounds(w.column, 0, 0);
    this.hivesIn = rowsOfYards(problem, model, opened);
    this.hunts = pools.map((pool, p) => huntOf(pool, ways, rows[p] as number));
    this.master = solver.createModel(model.data(true));
    this.master.options.set({ output_flag: false, solver: 'simplex', presolve: 'off' });
    for (const row of this.waiting) this.master.changeRowBounds(row, -INFINITE, INFINITE);
    this.steady = new Float64Array(model.rows);
    pooled.forEach((w, row) => (this.steady[row] = kept.has(row) ? 0 : w));
    this.signed(this.steady);
    this.look(this.steady);
  }

  /**
   * @param start - a plan whose nucs are taken in from the beginning
   * @param nucMissing - what a nuc that is not made costs at least: the less, the sooner the bound is good
   * @param choice - hives that are opened or left shut from the beginning
   * @returns null where nucs cannot be taken whole: pins have begun some, or none are asked for
   */
  static of(
    problem: YardProblem,
    solver: Solver,
    start: Assignment | null,
    nucMissing: number = PRICES.nucMissing,
    choice: HiveChoice = ANY_HIVES,
  ): NucColumns | null {
    if (hasBegunNucs(problem) || !problem.units.some((u) => u.kind === 'nuc')) return null;
    const columns = new NucColumns(problem, solver, nucMissing, choice);
    if (start) {
      for (const hunt of columns.hunts) {
        for (const items of nucsOfPlan(problem, hunt, start)) columns.takeIn(hunt, items);
      }
    }
    return columns;
  }

  dispose(): void {
    this.master.dispose();
  }

  /** From now on a nuc that is not made costs so much. The bound holds no longer: {@link restrict} begins anew. */
  setNucMissing(price: number): void {
    const { model, master } = this;
    for (const { pool } of this.hunts) {
      model.setCost(pool.made, -price);
      master.changeColCost(pool.made, -price);
    }
    model.offset += (price - this.nucMissing) * nucsWanted(this.problem);
    master.changeObjectiveOffset(model.offset);
    this.nucMissing = price;
  }

  /**
   * Has only plans looked at that open certain hives and leave others shut. The bound and the price hold for these
   * from now on.
   *
   * @param worth - what rows are worth, to begin with
   */
  restrict(choice: HiveChoice, worth: Worth): void {
    const { model, master, problem } = this;
    this.choice = choice;
    this.opened.forEach((column, unit) => {
      if (column < 0) return;
      const [least, most] = openingBy(choice, unit);
      model.setBounds(column, least, most);
      master.changeColBounds(column, least, most);
    });
    for (const [yardId, row] of this.hivesIn) {
      const [least, most] = choice.count.get(yardId) ?? [0, this.opened.length];
      model.setRowBounds(row, least, most);
      master.changeRowBounds(row, least, most);
    }
    this.nucs.forEach((nuc, n) => {
      const isShut = nuc.homes.some((h) => choice.closed.has(h));
      master.changeColBounds(model.columns + n, 0, isShut ? 0 : INFINITE);
    });
    this.allowed = allowedBy(problem, choice);
    this.price = Infinity;
    this.bound = -Infinity;
    this.opening = new Map();
    const rows = worth.slice();
    this.signed(rows);
    this.look(rows);
  }

  /** Takes in the nucs that others have found for the same yard, as far as its hives may be opened here. */
  takeOver(others: NucColumns): void {
    others.hunts.forEach((theirs, h) => {
      const hunt = this.hunts[h] as PoolHunt;
      const nameOf = ({ frame, isShake }: Way) => `${frame.index}/${isShake}`;
      const number = new Map(hunt.ways.map((way, i) => [nameOf(way), i]));
      for (const nuc of others.nucs) {
        if (nuc.hunt !== theirs) continue;
        const items = nuc.items.map((i) => number.get(nameOf(theirs.ways[i] as Way)));
        if (items.every((i) => i !== undefined)) this.takeIn(hunt, items);
      }
    });
  }

  /**
   * Looks for cheaper nucs once.
   *
   * @returns false when there are none left to find
   */
  round(): boolean {
    const worth = this.solve();
    if (!worth) return false;
    if (this.nucs.length > MOST_KEPT) this.forget(worth);
    // Prices of the moment jump about; near those that gave the best bound fewer rounds are needed
    // (Wentges, International Transactions in Operational Research 4, 1997).
    for (let share = STEADINESS; ; share = share > LEAST_STEADY ? share / 2 : 0) {
      const between = worth.map((w, r) => share * (this.steady[r] as number) + (1 - share) * w);
      const { taken, isCheaper, cheapest } = this.look(between, worth);
      const more = this.takeBesideEachOther(between, cheapest);
      if (isCheaper || share === 0) return taken + more > 0 || this.isLax;
    }
  }

  /**
   * Takes in nucs that can be made beside each other from the hives that the model of the moment opens. The cheapest
   * nucs all want the same few combs; the model needs such as fit together.
   *
   * @param cheapest - what the cheapest nuc of each pool costs
   * @param fixed - nucs that are made in any case
   * @returns how many were taken in
   */
  private takeBesideEachOther(
    worth: Worth,
    cheapest: ReadonlyMap<NucPool, number>,
    fixed: readonly number[] = [],
  ): number {
    const room = this.roomBeside(fixed);
    const only = new Set([...this.opening].flatMap(([unit, part]) => (part > BARELY ? [unit] : [])));
    let taken = 0;
    for (const hunt of this.hunts) {
      hunt.pricer.setPrices(this.pricesOf(hunt, worth));
      const below = (cheapest.get(hunt.pool) as number) + DEARER;
      hunt.pricer.besideEachOther(
        { only, below },
        Math.min(hunt.pool.nucs.length, Math.ceil(this.made) + SPARE) -
          fixed.filter((n) => this.nucs[n]?.hunt === hunt).length,
        (item) => room.isRoomFor(this.entriesOf({ hunt, items: [item] })),
        (items) => {
          if (this.takeIn(hunt, items)) taken++;
          room.take(this.entriesOf({ hunt, items }));
        },
      );
    }
    return taken;
  }

  /** What hives have left beside certain nucs. */
  private roomBeside(fixed: readonly number[]): HiveRoom {
    const room = new HiveRoom(this.model, this.roomIn);
    for (const n of fixed) room.take(this.entriesOf(this.nucs[n] as WholeNuc));
    return room;
  }

  private entriesOf({ hunt, items }: WholeNuc): Entry[] {
    return items.flatMap((item) => this.entries[(hunt.ways[item] as Way).column] ?? []);
  }

  /** Takes in nucs that are dearer by so much: what is best in parts is not what is best in wholes. */
  widen(by: number): void {
    for (const hunt of this.hunts) {
      const prices = this.pricesOf(hunt, this.steady);
      hunt.pricer.setPrices(prices);
      const below = this.cheapestKnown(hunt, prices).known + by;
      const ofEach = new Float64Array(hunt.ways.length).fill(Infinity);
      const nucs = hunt.pricer.cheaper({ below, ofEach, only: this.allowed });
      for (const { items } of nucs) this.takeIn(hunt, items);
    }
  }

  /**
   * A plan put together from the nucs so far, quickly.
   *
   * @param below - only a plan cheaper than this is of interest
   */
  plan(below: number): Assignment | null {
    const { price } = this;
    this.callInAll();
    const refill = (fixed: readonly number[]) => {
      const worth = this.solve();
      if (!worth) return false;
      const { taken, cheapest } = this.cheaper(worth, worth);
      return taken + this.takeBesideEachOther(worth, cheapest, fixed) > 0;
    };
    const fitting = (fixed: readonly number[]) => {
      const room = this.roomBeside(fixed);
      return (n: number) => room.isRoomFor(this.entriesOf(this.nucs[n] as WholeNuc));
    };
    const values = roundedNucs(this.master, this.model.columns, below - GAIN, { refill, fitting });
    this.price = price;
    const isPlan = values && this.ways.every((w) => w.pool !== null || isWhole(values[w.column] as number));
    return isPlan ? this.assignmentOf(values) : null;
  }

  /** The best plan that can be put together from the nucs so far: for few hives. Null when none was found in time. */
  bestPlan(): Assignment | null {
    const { model, nucs } = this;
    this.callInAll();
    const isWholeColumn = (c: number) => c >= model.columns || model.isWhole(c);
    const values = bestWholes(this.master, model.columns + nucs.length, isWholeColumn);
    return values && this.assignmentOf(values);
  }

  /** Drops the nucs that are far from being taken. They are found again should they be needed. */
  private forget(worth: Worth): void {
    const { nucs, model, master } = this;
    const prices = new Map(this.hunts.map((hunt) => [hunt, this.pricesOf(hunt, worth)]));
    const dear = nucs.map(({ hunt, items }) => {
      const own = prices.get(hunt) as Float64Array;
      return items.reduce((sum, i) => sum + (own[i] as number), -(worth[hunt.row] as number));
    });
    const limit = Math.max(GAIN, dear.toSorted((a, b) => a - b)[KEPT] as number);
    const kept = nucs.filter((_, n) => (dear[n] as number) < limit);
    const drop = nucs.flatMap((_, n) => ((dear[n] as number) < limit ? [] : [model.columns + n]));
    if (drop.length === 0) return;
    master.deleteCols({ kind: 'set', indices: Int32Array.from(drop) });
    for (const { hunt, items } of nucs.splice(0, nucs.length, ...kept)) hunt.known.delete(keyOf(items));
    for (const { hunt, items } of kept) hunt.known.add(keyOf(items));
  }

  private solve(): Worth | null {
    const { master, model } = this;
    master.run();
    if (!hasPoint(master)) return null;
    const { rowDual, colValue, rowValue } = master.getSolution();
    const price = master.getObjectiveValue();
    const worth = Float64Array.from(rowDual);
    if (worth.length < model.rows || worth.some((w) => !Number.isFinite(w))) return null;
    this.made = this.hunts.reduce((n, { pool }) => n + (colValue[pool.made] as number), 0);
    this.opening = new Map(
      this.opened.flatMap((column, unit) => (column < 0 ? [] : [[unit, colValue[column] as number]])),
    );
    this.isLax = this.callIn(rowValue);
    if (!this.isLax) this.price = price;
    this.signed(worth);
    return worth;
  }

  /** All rows hold, as they have to for a plan. */
  private callInAll(): void {
    for (const row of this.waiting) this.master.changeRowBounds(row, ...this.model.rowBounds(row));
    this.waiting.clear();
  }

  /** From now on the rows hold that a solution breaks. @returns whether there are any */
  private callIn(rowValue: Float64Array): boolean {
    const before = this.waiting.size;
    for (const row of this.waiting) {
      const [lower, upper] = this.model.rowBounds(row);
      const value = rowValue[row] as number;
      if (value >= lower - BROKEN && value <= upper + BROKEN) continue;
      this.waiting.delete(row);
      this.master.changeRowBounds(row, lower, upper);
    }
    return this.waiting.size < before;
  }

  /** Solvers are a hair off; a bound needs the signs right. */
  private signed(worth: Worth): void {
    for (let r = 0; r < worth.length; r++) {
      const [lower, upper] = this.model.rowBounds(r);
      const w = worth[r] as number;
      if ((w > 0 && lower <= -INFINITE) || (w < 0 && upper >= INFINITE)) worth[r] = 0;
    }
  }

  /** Looks for nucs as {@link cheaper} does, and improves the bound. */
  private look(worth: Worth, now: Worth = worth) {
    const { taken, isCheaper, cheapest } = this.cheaper(worth, now);
    const bound = this.boundWith(worth, cheapest);
    if (bound > this.bound) {
      this.bound = bound;
      this.steady = worth;
    }
    return { taken, isCheaper, cheapest };
  }

  /**
   * Takes in the cheapest nucs at what rows are worth.
   *
   * @param now - what rows are worth at the moment
   * @returns how many were taken in, whether one is cheaper than the model knows, and what the cheapest costs
   */
  private cheaper(worth: Worth, now: Worth) {
    const cheapest = new Map<NucPool, number>();
    let taken = 0;
    let isCheaper = false;
    for (const hunt of this.hunts) {
      const prices = this.pricesOf(hunt, worth);
      hunt.pricer.setPrices(prices);
      const { known, ofEach } = this.cheapestKnown(hunt, prices);
      const nucs = hunt.pricer.cheaper({ below: known, ofEach, only: this.allowed });
      cheapest.set(hunt.pool, hunt.pricer.floor(nucs.at(-1)?.price ?? known));
      const pricesNow = this.pricesOf(hunt, now);
      for (const { items } of nucs.slice(-TAKEN)) {
        const price = items.reduce((sum, i) => sum + (pricesNow[i] as number), 0);
        if (price < (now[hunt.row] as number) - GAIN) isCheaper = true;
        if (this.takeIn(hunt, items)) taken++;
      }
    }
    return { taken, isCheaper, cheapest };
  }

  /** Prices the items of a pool at what rows are worth. */
  private pricesOf(hunt: PoolHunt, worth: Worth): Float64Array {
    return Float64Array.from(hunt.ways, ({ column }) => {
      let price = this.model.costOf(column);
      for (const [row, value] of this.entries[column] ?? []) price -= (worth[row] as number) * value;
      return price;
    });
  }

  /** What every plan costs at least at these prices, when the cheapest nuc of each pool costs so much. */
  private boundWith(worth: Worth, cheapest: ReadonlyMap<NucPool, number>): number {
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
          price: (reduced[pool.made] as number) + (cheapest.get(pool) ?? Infinity),
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

  /** The cheapest of the nucs so far at such prices, and of each item. */
  private cheapestKnown(hunt: PoolHunt, prices: Float64Array): { known: number; ofEach: Float64Array } {
    let known = Infinity;
    const ofEach = new Float64Array(prices.length).fill(Infinity);
    for (const nuc of this.nucs) {
      if (nuc.hunt !== hunt || nuc.homes.some((h) => this.choice.closed.has(h))) continue;
      const price = nuc.items.reduce((sum, i) => sum + Math.max(0, prices[i] as number), 0);
      known = Math.min(known, price);
      for (const i of nuc.items) if (price < (ofEach[i] as number)) ofEach[i] = price;
    }
    return { known, ofEach };
  }

  /** @returns false when it is known already */
  private takeIn(hunt: PoolHunt, items: readonly number[]): boolean {
    const key = keyOf(items);
    if (hunt.known.has(key)) return false;
    hunt.known.add(key);
    const rows = new Map<number, number>([[hunt.row, 1]]);
    let cost = 0;
    for (const i of items) {
      const { column } = hunt.ways[i] as Way;
      cost += this.model.costOf(column);
      for (const [row, value] of this.entries[column] ?? []) rows.set(row, (rows.get(row) ?? 0) + value);
    }
    const entries = [...rows].filter(([, value]) => value !== 0);
    this.master.addCol(cost, 0, INFINITE, {
      indices: Int32Array.from(entries, ([row]) => row),
      values: Float64Array.from(entries, ([, value]) => value),
    });
    const homes = [...new Set(items.map((i) => (hunt.ways[i] as Way).frame.home))];
    this.nucs.push({ hunt, items, homes });
    return true;
  }

  private assignmentOf(values: Float64Array): Assignment {
    const first = this.model.columns;
    return planOfNucs(
      this.problem,
      this.ways.map((way) => ({ way, times: way.pool ? 0 : Math.round(values[way.column] ?? 0) })),
      this.nucs.map((nuc, n) => ({ nuc, times: Math.round(values[first + n] ?? 0) })),
    );
  }
}

/** Hives in how far they are opened, at least and at most. */
const openingBy = (choice: HiveChoice, unit: number): [least: number, most: number] => [
  choice.opened.has(unit) ? 1 : 0,
  choice.closed.has(unit) ? 0 : 1,
];

/** Units whose combs may be taken; null for all. */
function allowedBy(problem: YardProblem, { closed }: HiveChoice): Set<number> | null {
  if (closed.size === 0) return null;
  return new Set(problem.units.flatMap((u) => (closed.has(u.index) ? [] : [u.index])));
}

const keyOf = (items: readonly number[]) => items.toSorted((a, b) => a - b).join();
