import { floatAt, numberAt } from '../../basics/index.ts';
import { ANY_HIVES, PART, type HiveChoice } from './hiveChoice.ts';
import { BROKEN } from './hiveRoom.ts';
import { INFINITE, type Solver } from '../model/linearModel.ts';
import { NucModel, type Worth } from './nucModel.ts';
import { PRICES } from '../problem/prices.ts';
import type { NucPool, Way } from '../model/pooledModel.ts';
import type { Assignment, YardProblem } from '../problem/problem.ts';
import { packNucs, wholeCounts } from './packNucs.ts';
import { hasPoint, isWhole, roundedNucs } from './roundNucs.ts';
import { withWishes } from '../search/searchYard.ts';
import { hasBegunNucs, nucsOfPlan, planOfNucs, type PoolHunt, type WholeNuc } from './wholeNuc.ts';

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
/** So many more of them than the model makes, but no more than so many at once. */
const SPARE = 2;
const MOST_BESIDE = 9;

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
  opening: ReadonlyMap<number, number>;
  /** How many nucs the model of the moment makes, by pool. */
  private madeOf: ReadonlyMap<PoolHunt, number>;
  private readonly problem: YardProblem;
  private readonly whole: NucModel;
  /** The model as the solver holds it, with a column for every nuc so far. */
  private readonly master: ReturnType<Solver['createModel']>;
  private readonly nucs: (WholeNuc & { readonly homes: readonly number[] })[] = [];
  /** Rows that are left out as long as no solution breaks them. */
  private readonly waiting: Set<number>;
  /** The last solution broke rows that it did not know. */
  private isLax = false;
  private choice: HiveChoice;
  /** Hives that may be opened; null for all. */
  private allowed: ReadonlySet<number> | null;

  private constructor(problem: YardProblem, solver: Solver, nucMissing: number, choice: HiveChoice) {
    this.problem = problem;
    this.whole = new NucModel(problem, nucMissing);
    this.choice = choice;
    this.allowed = allowedBy(problem, choice);
    this.whole.restrict(choice);
    const { worth, values } = this.whole.takeWhole(solver, nucMissing >= PRICES.nucMissing);
    this.steady = worth;
    this.opening = this.whole.openingIn(values);
    this.madeOf = this.whole.madeIn(values);
    this.waiting = new Set(this.whole.roomIn.keys());
    this.master = solver.createModel(this.whole.model.data(true));
    this.master.options.set({ output_flag: false, solver: 'simplex', presolve: 'off' });
    for (const row of this.waiting) this.master.changeRowBounds(row, -INFINITE, INFINITE);
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
      for (const hunt of columns.whole.hunts) {
        for (const items of nucsOfPlan(problem, hunt, start)) columns.takeIn(hunt, items);
      }
    }
    return columns;
  }

  dispose(): void {
    this.master.dispose();
  }

  /** How many nucs the model of the moment makes. */
  get made(): number {
    return [...this.madeOf.values()].reduce((sum, made) => sum + made, 0);
  }

  /** How many nucs the model would make of those so far at another price. {@link setNucMissing} has to follow. */
  madeAt(price: number): number {
    const { whole, master } = this;
    for (const { pool } of whole.hunts) master.changeColCost(pool.made, -price);
    master.run();
    if (!hasPoint(master)) return 0;
    const { colValue } = master.getSolution();
    return whole.hunts.reduce((sum, hunt) => sum + floatAt(colValue, hunt.pool.made), 0);
  }

  /** From now on a nuc that is not made costs so much. The bound holds no longer: {@link restrict} begins anew. */
  setNucMissing(price: number): void {
    const { whole, master } = this;
    whole.setNucMissing(price);
    for (const { pool } of whole.hunts) master.changeColCost(pool.made, -price);
    master.changeObjectiveOffset(whole.model.offset);
  }

  /**
   * Has only plans looked at that open certain hives and leave others shut. The bound and the price hold for these
   * from now on.
   *
   * @param worth - what rows are worth, to begin with
   */
  restrict(choice: HiveChoice, worth: Worth): void {
    const { whole, master, problem } = this;
    this.choice = choice;
    whole.restrict(choice);
    for (const column of whole.opened) {
      if (column >= 0) master.changeColBounds(column, ...whole.model.bounds(column));
    }
    for (const row of whole.hivesIn.values()) master.changeRowBounds(row, ...whole.model.rowBounds(row));
    this.nucs.forEach((nuc, n) => {
      const isShut = nuc.homes.some((h) => choice.closed.has(h));
      master.changeColBounds(whole.model.columns + n, 0, isShut ? 0 : INFINITE);
    });
    this.allowed = allowedBy(problem, choice);
    this.price = Infinity;
    this.bound = -Infinity;
    this.opening = new Map();
    this.look(whole.signed(worth));
  }

  /** Takes in the nucs that others have found for the same yard, as far as its hives may be opened here. */
  takeOver(others: NucColumns): void {
    others.whole.hunts.forEach((theirs, h) => {
      const hunt = this.whole.hunts[h] as PoolHunt;
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
      const between = worth.map((w, r) => share * floatAt(this.steady, r) + (1 - share) * w);
      const { taken, isCheaper, cheapest } = this.look(between, worth);
      const more = this.takeBesideEachOther(cheapest);
      if (isCheaper || share === 0) return taken + more > 0 || this.isLax;
    }
  }

  /**
   * Takes in nucs that can be made beside each other from the hives that the model of the moment opens. The cheapest
   * nucs all want the same few combs; the model needs such as fit together. They are priced as {@link cheaper} did.
   *
   * @param cheapest - what the cheapest nuc of each pool costs
   * @param fixed - nucs that are made in any case
   * @returns how many were taken in
   */
  private takeBesideEachOther(cheapest: ReadonlyMap<NucPool, number>, fixed: readonly number[] = []): number {
    const room = this.roomBeside(fixed);
    const { whole } = this;
    const only = new Set([...this.opening].flatMap(([unit, part]) => (part > PART ? [unit] : [])));
    let taken = 0;
    for (const hunt of whole.hunts) {
      const below = (cheapest.get(hunt.pool) as number) + DEARER;
      hunt.pricer.besideEachOther(
        { only, below },
        Math.min(
          MOST_BESIDE,
          Math.min(hunt.pool.nucs.length, Math.ceil(this.madeOf.get(hunt) ?? 0) + SPARE) -
            fixed.filter((n) => this.nucs[n]?.hunt === hunt).length,
        ),
        (item) => room.isRoomFor(whole.entriesOfItem(hunt, item)),
        (items) => {
          const over = room.takeAll(items, (item) => whole.entriesOfItem(hunt, item));
          if (over === null && this.takeIn(hunt, items)) taken++;
          return over;
        },
      );
    }
    return taken;
  }

  private roomBeside(fixed: readonly number[]) {
    return this.whole.roomBeside(fixed.map((n) => this.nucs[n] as WholeNuc));
  }

  /**
   * A plan at once: nucs packed into certain hives at the prices that gave the best bound.
   *
   * @param tries - how often to try another packing
   * @param more - so many nucs more than the model of the moment makes, or fewer
   */
  packed(hives: ReadonlySet<number>, tries: number, random: () => number, more = 0): Assignment {
    const { whole, steady: worth, madeOf } = this;
    const counts = wholeCounts(madeOf, more);
    const { nucs } = packNucs({ whole, worth, hives, counts, tries, random });
    for (const { hunt, items } of nucs) this.takeIn(hunt, items);
    const made = nucs.map((nuc) => ({ nuc, times: 1 }));
    return withWishes(this.problem, planOfNucs(this.problem, [], made));
  }

  /**
   * A plan put together from the nucs so far, slowly and well.
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
      return taken + this.takeBesideEachOther(cheapest, fixed) > 0;
    };
    const fitting = (fixed: readonly number[]) => {
      const room = this.roomBeside(fixed);
      return (n: number) => room.isRoomFor(this.whole.entriesOf(this.nucs[n] as WholeNuc));
    };
    const values = roundedNucs(this.master, this.whole.model.columns, below - GAIN, { refill, fitting });
    this.price = price;
    const isPlan =
      values && this.whole.ways.every((w) => w.pool !== null || isWhole(floatAt(values, w.column)));
    return isPlan ? this.assignmentOf(values) : null;
  }

  /** Drops the nucs that are far from being taken. They are found again should they be needed. */
  private forget(worth: Worth): void {
    const { nucs, whole, master } = this;
    const prices = new Map(whole.hunts.map((hunt) => [hunt, whole.pricesOf(hunt, worth)]));
    const dear = nucs.map(({ hunt, items }) => {
      const own = prices.get(hunt) as Float64Array;
      return items.reduce((sum, i) => sum + floatAt(own, i), -floatAt(worth, hunt.row));
    });
    const limit = Math.max(
      GAIN,
      numberAt(
        dear.toSorted((a, b) => a - b),
        KEPT,
      ),
    );
    const kept = nucs.filter((_, n) => numberAt(dear, n) < limit);
    const drop = nucs.flatMap((_, n) => (numberAt(dear, n) < limit ? [] : [whole.model.columns + n]));
    if (drop.length === 0) return;
    master.deleteCols({ kind: 'set', indices: Int32Array.from(drop) });
    for (const { hunt, items } of nucs.splice(0, nucs.length, ...kept)) hunt.known.delete(keyOf(items));
    for (const { hunt, items } of kept) hunt.known.add(keyOf(items));
  }

  private solve(): Worth | null {
    const { master, whole } = this;
    master.run();
    if (!hasPoint(master)) return null;
    const { rowDual, colValue, rowValue } = master.getSolution();
    const price = master.getObjectiveValue();
    if (rowDual.length < whole.model.rows || rowDual.some((w) => !Number.isFinite(w))) return null;
    this.madeOf = whole.madeIn(colValue);
    this.opening = whole.openingIn(colValue);
    this.isLax = this.callIn(rowValue);
    if (!this.isLax) this.price = price;
    return whole.signed(rowDual);
  }

  /** All rows hold, as they have to for a plan. */
  private callInAll(): void {
    for (const row of this.waiting) this.master.changeRowBounds(row, ...this.whole.model.rowBounds(row));
    this.waiting.clear();
  }

  /** From now on the rows hold that a solution breaks. @returns whether there are any */
  private callIn(rowValue: Float64Array): boolean {
    const before = this.waiting.size;
    for (const row of this.waiting) {
      const [lower, upper] = this.whole.model.rowBounds(row);
      const value = floatAt(rowValue, row);
      if (value >= lower - BROKEN && value <= upper + BROKEN) continue;
      this.waiting.delete(row);
      this.master.changeRowBounds(row, lower, upper);
    }
    return this.waiting.size < before;
  }

  /** Looks for nucs as {@link cheaper} does, and improves the bound. */
  private look(worth: Worth, now: Worth = worth) {
    const { taken, isCheaper, cheapest } = this.cheaper(worth, now);
    const bound = this.whole.boundWith(worth, cheapest);
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
    for (const hunt of this.whole.hunts) {
      const prices = this.whole.pricesOf(hunt, worth);
      hunt.pricer.setPrices(prices);
      const { known, ofEach } = this.cheapestKnown(hunt, prices);
      const nucs = hunt.pricer.cheaper({ below: known, ofEach, only: this.allowed });
      cheapest.set(hunt.pool, hunt.pricer.floor(nucs.at(-1)?.price ?? known));
      const pricesNow = this.whole.pricesOf(hunt, now);
      for (const { items } of nucs.slice(-TAKEN)) {
        const price = items.reduce((sum, i) => sum + floatAt(pricesNow, i), 0);
        if (price < floatAt(now, hunt.row) - GAIN) isCheaper = true;
        if (this.takeIn(hunt, items)) taken++;
      }
    }
    return { taken, isCheaper, cheapest };
  }

  /** The cheapest of the nucs so far at such prices, and of each item. */
  private cheapestKnown(hunt: PoolHunt, prices: Float64Array): { known: number; ofEach: Float64Array } {
    let known = Infinity;
    const ofEach = new Float64Array(prices.length).fill(Infinity);
    for (const nuc of this.nucs) {
      if (nuc.hunt !== hunt || nuc.homes.some((h) => this.choice.closed.has(h))) continue;
      const price = nuc.items.reduce((sum, i) => sum + Math.max(0, floatAt(prices, i)), 0);
      known = Math.min(known, price);
      for (const i of nuc.items) if (price < floatAt(ofEach, i)) ofEach[i] = price;
    }
    return { known, ofEach };
  }

  /** @returns false when it is known already */
  private takeIn(hunt: PoolHunt, items: readonly number[]): boolean {
    const key = keyOf(items);
    if (hunt.known.has(key)) return false;
    hunt.known.add(key);
    const rows = new Map<number, number>([[hunt.row, 1]]);
    for (const [row, value] of this.whole.entriesOf({ hunt, items })) {
      rows.set(row, (rows.get(row) ?? 0) + value);
    }
    const entries = [...rows].filter(([, value]) => value !== 0);
    this.master.addCol(this.whole.costOf({ hunt, items }), 0, INFINITE, {
      indices: Int32Array.from(entries, ([row]) => row),
      values: Float64Array.from(entries, ([, value]) => value),
    });
    const homes = [...new Set(items.map((i) => (hunt.ways[i] as Way).frame.home))];
    this.nucs.push({ hunt, items, homes });
    return true;
  }

  private assignmentOf(values: Float64Array): Assignment {
    const { model, ways } = this.whole;
    const first = model.columns;
    return planOfNucs(
      this.problem,
      ways.map((way) => ({ way, times: way.pool ? 0 : Math.round(values[way.column] ?? 0) })),
      this.nucs.map((nuc, n) => ({ nuc, times: Math.round(values[first + n] ?? 0) })),
    );
  }
}

/** Units whose combs may be taken; null for all. */
function allowedBy(problem: YardProblem, { closed }: HiveChoice): Set<number> | null {
  if (closed.size === 0) return null;
  return new Set(problem.units.flatMap((u) => (closed.has(u.index) ? [] : [u.index])));
}

const keyOf = (items: readonly number[]) => items.toSorted((a, b) => a - b).join();
