import { seededRandom } from '../plan/search.ts';
import { INFINITE, type LinearModel, type Solver } from './linearModel.ts';
import type { PricedNuc } from './nucPricer.ts';
import { pooledModel, type GoalRow, type NucPool, type Way } from './pooledModel.ts';
import type { Assignment, YardProblem } from './problem.ts';
import { huntOf, nucsOfPlan, planOfNucs, type PoolHunt, type WholeNuc } from './wholeNuc.ts';

/** Hives whose combs are tried two by two. */
const PAIRED = 8;
/** Hives whose combs are tried together, when no one or two give a cheaper nuc. */
const GROUP = 7;
const GROUPINGS = 3;
/** Nucs taken in at most in one round, for each pool. */
const TAKEN = 25;
/** Nucs are looked for to within so much in trials, and to within a share of what is open in proofs. */
const TRIAL_WITHIN = 0.05;
const PROOF_WITHIN = 0.25;
/** Rounds that take in fewer nucs than this are followed by a proof, and so is every so manyth. */
const FEW = 1;
const ROUNDS_TO_PROOF = 12;
/** So much dearer may nucs be that are taken in for plans, and so many of them for each pool. */
const WIDER = 1;
const WIDELY_TAKEN = 150;
/** Nucs that are left, at most, while a plan is put together. */
const MOST_LEFT = 30;
/** A tree is searched to within this share of the best, and through no more nodes. */
const NEAR = 5e-4;
const MOST_NODES = 3000;
const UNLIMITED = 1e6;
/** Less than this is no gain. */
const GAIN = 1e-3;

/** What each row is worth, at the prices of the moment. */
type Worth = Float64Array;

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
  private readonly model: LinearModel;
  private readonly ways: readonly Way[];
  private readonly goals: readonly GoalRow[];
  private readonly master: ReturnType<Solver['createModel']>;
  private readonly hunts: readonly PoolHunt[];
  private readonly nucs: WholeNuc[] = [];
  private readonly entries: readonly (readonly (readonly [row: number, value: number])[])[];
  private readonly random: () => number;
  private sinceProof = 0;
  private precision = PROOF_WITHIN;

  private readonly problem: YardProblem;

  private constructor(problem: YardProblem, solver: Solver) {
    this.problem = problem;
    const { model, pools, ways, ruleRows, goalRows } = pooledModel(problem);
    this.goals = goalRows;
    this.model = model;
    this.ways = ways;
    this.random = seededRandom(problem.frames.length * 31 + 11);
    // A whole nuc keeps its rules by itself; what it is wished to have is still added up.
    const kept = new Set(ruleRows.filter((r) => r.pool && r.rule.hard).map((r) => r.row));
    this.entries = model.entriesByColumn().map((column) => column.filter(([row]) => !kept.has(row)));
    this.bound = solver.withModel(model.data(true), (pool) => {
      pool.options.set('output_flag', false);
      pool.run();
      return pool.getObjectiveValue();
    });
    for (const row of kept) model.freeRow(row);
    const rows = pools.map((pool) => {
      const row = model.row(0, 0);
      model.add(row, pool.made, -1);
      return row;
    });
    for (const w of ways) if (w.pool) model.setBounds(w.column, 0, 0);
    this.hunts = pools.map((pool, p) => huntOf(pool, ways, rows[p] as number));
    this.master = solver.createModel(model.data(true));
    // Of all prices that fit, those of the interior point are moderate, and need fewer rounds.
    this.master.options.set({ output_flag: false, solver: 'ipm', run_crossover: 'off' });
  }

  /**
   * @param start - a plan whose nucs are taken in from the beginning
   * @returns null where nucs cannot be taken whole: pins have begun some, or none are asked for
   */
  static of(problem: YardProblem, solver: Solver, start: Assignment | null): NucColumns | null {
    const isNuc = (u: number | null) => u !== null && problem.units[u]?.kind === 'nuc';
    if (
      problem.frames.some((f) => isNuc(f.pinnedTo) || isNuc(f.shakenAlready)) ||
      !problem.units.some((u) => isNuc(u.index))
    ) {
      return null;
    }
    const columns = new NucColumns(problem, solver);
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

  /**
   * Looks for cheaper nucs once.
   *
   * @returns false when there are none left to find
   */
  round(): boolean {
    const worth = this.solve();
    if (!worth) return false;
    let taken = 0;
    for (const hunt of this.hunts) taken += this.tryHives(hunt, worth, -GAIN, TAKEN);
    this.sinceProof++;
    if (taken >= FEW && this.sinceProof < ROUNDS_TO_PROOF) return true;
    this.sinceProof = 0;
    return this.prove(worth) || taken > 0;
  }

  /**
   * A plan put together from the nucs so far: the one that is taken for the most part is taken wholly, the model
   * solved again, and so on until nothing is in parts. A nuc that makes the rest impossible or too dear is left.
   *
   * @param below - only a plan cheaper than this is of interest
   */
  plan(below: number): Assignment | null {
    const { master, model } = this;
    const first = model.columns;
    const fixed: number[] = [];
    const left: number[] = [];
    let plan: Assignment | null = null;
    master.options.set({ solver: 'simplex' });
    master.clearSolver();
    while (left.length <= MOST_LEFT) {
      master.run();
      const isSolved = Number(master.info.get('primal_solution_status')) === FEASIBLE;
      if (!isSolved || master.getObjectiveValue() >= below - GAIN) {
        const last = fixed.pop();
        if (last === undefined) break;
        master.changeColBounds(first + last, 0, 0);
        left.push(last);
        continue;
      }
      const values = master.getSolution().colValue;
      const next = mostlyTaken(values, first, this.nucs.length);
      if (next === null) {
        if (this.ways.every((w) => w.pool !== null || isWhole(values[w.column] ?? 0))) {
          plan = this.assignmentOf(values);
        }
        break;
      }
      master.changeColBounds(first + next, 1, INFINITE);
      fixed.push(next);
    }
    for (const n of [...fixed, ...left]) master.changeColBounds(first + n, 0, INFINITE);
    master.options.set({ solver: 'ipm' });
    return plan;
  }

  /**
   * The best plan that can be put together from the nucs so far, by a search through a tree: for small yards.
   *
   * @returns null when none was found in time
   */
  bestPlan(seconds: number): Assignment | null {
    const { master, model } = this;
    const count = model.columns + this.nucs.length;
    const whole = Int32Array.from({ length: count }, (_, c) =>
      c >= model.columns || model.isWhole(c) ? 1 : 0,
    );
    master.changeColsIntegrality({ kind: 'range', from: 0, to: count - 1 }, whole);
    master.options.set({
      solver: 'choose',
      time_limit: seconds,
      mip_rel_gap: NEAR,
      mip_max_nodes: MOST_NODES,
    });
    master.zeroAllClocks();
    master.run();
    const isFound = Number(master.info.get('primal_solution_status')) === FEASIBLE;
    const values = isFound ? master.getSolution().colValue : null;
    master.clearIntegrality();
    master.options.set({ solver: 'ipm', time_limit: UNLIMITED });
    return values && this.assignmentOf(values);
  }

  /**
   * Takes in nucs that are somewhat dearer than the model would take: what is best in parts is not what is best
   * in wholes.
   */
  widen(): void {
    const worth = this.solve();
    if (!worth) return;
    for (const dearer of [WIDER / 4, WIDER]) {
      for (const hunt of this.hunts) this.tryHives(hunt, worth, dearer, WIDELY_TAKEN);
    }
  }

  private solve(): Worth | null {
    const { master, model } = this;
    master.clearSolver();
    master.run();
    const worth = Float64Array.from(master.getSolution().rowDual);
    if (worth.length < model.rows || worth.some((w) => !Number.isFinite(w))) return null;
    this.price = master.getObjectiveValue();
    // Interior points are a hair off; a bound needs the signs right.
    for (let r = 0; r < worth.length; r++) {
      const [lower, upper] = model.rowBounds(r);
      const w = worth[r] as number;
      if ((w > 0 && lower <= -INFINITE) || (w < 0 && upper >= INFINITE)) worth[r] = 0;
    }
    return worth;
  }

  /** Prices the items of a pool at what rows are worth. */
  private pricesOf(hunt: PoolHunt, worth: Worth): Float64Array {
    return Float64Array.from(hunt.ways, ({ column }) => {
      let price = this.model.costOf(column);
      for (const [row, value] of this.entries[column] ?? []) price -= (worth[row] as number) * value;
      return price;
    });
  }

  /** Looks for nucs in one hive, in two, and in a few by chance. @returns how many were taken in */
  private tryHives(hunt: PoolHunt, worth: Worth, dearer: number, most: number): number {
    const { pricer, hives } = hunt;
    const prices = this.pricesOf(hunt, worth);
    pricer.setPrices(prices);
    const below = (worth[hunt.row] as number) + dearer;
    const look = (only: readonly number[], under = below) =>
      pricer.everCheaper({ only: new Set(only), within: TRIAL_WITHIN, below: under });
    const alone = hives.map((hive) => ({ hive, nucs: look([hive], below + 2) }));
    const lowest = (nucs: readonly PricedNuc[]) => nucs.at(-1)?.price ?? Infinity;
    const inOrder = alone.toSorted((a, b) => lowest(a.nucs) - lowest(b.nucs) || a.hive - b.hive);
    const best = inOrder.slice(0, PAIRED).map((a) => a.hive);
    const pairs = best.flatMap((a, i) => best.slice(i + 1).map((b) => look([a, b])));
    const found = [...alone.map((a) => a.nucs), ...pairs]
      .flat()
      .filter((nuc) => nuc.price < below)
      .toSorted((a, b) => a.price - b.price)
      .slice(0, most);
    let taken = 0;
    for (const nuc of found) if (this.takeIn(hunt, nuc.items)) taken++;
    for (let g = 0; taken === 0 && hives.length > GROUP && g < GROUPINGS; g++) {
      const mixed = hives
        .map((hive) => [this.random(), hive] as const)
        .sort((a, b) => a[0] - b[0])
        .map(([, hive]) => hive);
      for (let i = 0; i < mixed.length; i += GROUP) {
        const nuc = look(mixed.slice(i, i + GROUP)).at(-1);
        if (nuc && this.takeIn(hunt, nuc.items)) taken++;
      }
    }
    return taken;
  }

  /** Looks in all hives at once, and improves the bound. @returns whether a cheaper nuc was taken in */
  private prove(worth: Worth): boolean {
    const open = this.price - this.bound;
    const made = this.goals.reduce((n, g) => n + g.wanted, 0);
    const within = (this.precision * Math.max(0, open)) / made;
    let taken = 0;
    const cheapest = new Map<NucPool, number>();
    for (const hunt of this.hunts) {
      const prices = this.pricesOf(hunt, worth);
      hunt.pricer.setPrices(prices);
      const known = this.cheapestKnown(hunt, prices);
      const nucs = hunt.pricer.everCheaper({ below: known, within });
      cheapest.set(hunt.pool, hunt.pricer.floor(nucs.at(-1)?.price ?? known, within));
      for (const { items } of nucs.slice(-TAKEN)) if (this.takeIn(hunt, items)) taken++;
    }
    this.bound = Math.max(this.bound, this.boundWith(worth, cheapest));
    if (taken > 0) return true;
    // Nothing there, within so much: look closer, until that says nothing any more.
    this.precision /= 4;
    return within > GAIN / made;
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

  private cheapestKnown(hunt: PoolHunt, prices: Float64Array): number {
    let least = Infinity;
    for (const nuc of this.nucs) {
      if (nuc.hunt !== hunt) continue;
      least = Math.min(
        least,
        nuc.items.reduce((sum, i) => sum + Math.max(0, prices[i] as number), 0),
      );
    }
    return least;
  }

  /** @returns false when it is known already */
  private takeIn(hunt: PoolHunt, items: readonly number[]): boolean {
    const key = items.toSorted((a, b) => a - b).join();
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
    this.nucs.push({ hunt, items });
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

const isWhole = (x: number) => Math.abs(x - Math.round(x)) < 1e-6;

/** The nuc taken for the largest part of one, of those that are in parts; null when none is. */
function mostlyTaken(values: Float64Array, first: number, count: number): number | null {
  let most = 0;
  let found: number | null = null;
  for (let n = 0; n < count; n++) {
    const x = values[first + n] as number;
    if (isWhole(x)) continue;
    const part = x - Math.floor(x);
    if (part > most) {
      most = part;
      found = n;
    }
  }
  return found;
}

/** Status code of the solver for a solution that keeps all rows. */
const FEASIBLE = 2;
