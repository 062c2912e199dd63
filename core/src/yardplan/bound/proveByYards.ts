import { seededRandom } from '../../basics/index.ts';
import { evaluate } from '../search/evaluate.ts';
import { HiveTree, keepCheapest, type FoundPlan } from './hiveTree.ts';
import { solveModel, type Solver } from '../model/linearModel.ts';
import { ANY_HIVES, mostlyOpened, PART } from '../columns/hiveChoice.ts';
import { NucColumns } from '../columns/nucColumns.ts';
import { pooledModel } from '../model/pooledModel.ts';
import { PRICES } from '../problem/prices.ts';
import { nothingMoved, nucsWanted, type Assignment, type YardProblem } from '../problem/problem.ts';
import { planOfPart, planOfParts, type YardPart } from './yardPart.ts';

/** Rounds for each yard at the first price of a nuc, and at each that follows. */
const FIRST_ROUNDS = 5;
const MORE_ROUNDS = 6;
/** Rounds for each yard to settle the best bound of those prices, and at a price that it knows. */
const SETTLING_ROUNDS = 12;
const FEW_ROUNDS = 4;
/** Rounds for all yards at the price that is settled on, but for each no fewer than so many. */
const LAST_ROUNDS = 600;
const FEWEST_ROUNDS = 40;
/** Rounds for each yard to find plans to choose from. */
const ROUNDS_OF_CHOICE = 25;
/** The price is so much higher where a yard makes no nuc at all. */
const ONE_AT_LEAST = 1.1;
/** The price of a nuc that is tried first, as a share of what one costs at least when nucs share their combs. */
const FIRST = 1.12;
/** Prices that are tried. */
const TRIES = 4;
/** The next lies no lower than this share of the last, and is found by halving so often. */
const LOWEST = 0.8;
const HALVINGS = 12;
/** Solvers are a hair off: so much less than a nuc is none. */
const NONE = 1e-6;
/** So many hives more than the proof opens are there to pack nucs into. */
const SPARE_HIVES = [0, 1] as const;

/** How much is packed to have plans to choose from. */
interface Packing {
  /** So many nucs more or fewer than are expected of a yard. */
  readonly numbers: readonly number[];
  /** How often others are packed. */
  readonly tries: number;
}

/** While prices are tried, and at the one that is settled on. */
const FEW_PLANS: Packing = { numbers: [0, -1, 1], tries: 4 };
const MANY_PLANS: Packing = { numbers: [0, -1, 1, -2, 2], tries: 10 };

/** What is shown of all yards together. */
export interface ProofByYards {
  /** No plan costs less. */
  readonly bound: number;
  readonly better: FoundPlan | null;
}

/** A yard while it is proven. */
interface Yard {
  readonly part: YardPart;
  /** Null where no nuc can be made. */
  readonly columns: NucColumns | null;
  /** Nucs that could be asked of it. */
  readonly wanted: number;
  /** No plan of the yard costs less at the price of the moment, each nuc that it makes counted off. */
  bound: number;
  readonly plans: Map<number, FoundPlan>;
}

/**
 * Proves several yards one by one. What ties them together is how many nucs each makes; at one price for every
 * nuc each yard answers for itself, and the sum bounds the whole (Lagrangian relaxation: Geoffrion, Mathematical
 * Programming Study 2, 1974). The best plans of the yards, by the number of nucs, are then put together as is
 * cheapest.
 *
 * @param start - a plan that makes all nucs
 * @param bound - no plan costs less
 * @yields the best bound so far, and the best plan that can be put together at the time
 */
export function* proveByYards(
  problem: YardProblem,
  parts: readonly YardPart[],
  solver: Solver,
  start: FoundPlan,
  bound: number,
): Generator<ProofByYards> {
  const wanted = nucsWanted(problem);
  const highest = start.price / wanted;
  let price = Math.min(highest, (FIRST * Math.max(0, bound)) / wanted || highest);
  const yards = parts.map((part) => yardOf(part, solver, start, price));
  const sum = (of: (yard: Yard) => number) => yards.reduce((n, y) => n + of(y), 0);
  const lastRounds = Math.max(FEWEST_ROUNDS, Math.round(LAST_ROUNDS / yards.length));
  const random = seededRandom(1);
  const packAll = () => {
    const made = sum((y) => y.columns?.made ?? 0);
    for (const yard of yards) packYard(yard, random, FEW_PLANS, wanted / made);
    return putTogether(problem, yards, wanted);
  };
  try {
    // What combs are worth when nucs share them is enough to begin with.
    yield { bound, better: packAll() };
    let best = -Infinity;
    let bestPrice = price;
    for (let n = 0; n < TRIES; n++) {
      for (const yard of yards) reprice(yard, price, n === 0 ? FIRST_ROUNDS : MORE_ROUNDS);
      const now = sum((y) => y.bound) + price * wanted;
      if (now > best) [best, bestPrice] = [now, price];
      yield { bound: best, better: null };
      yield { bound: best, better: packAll() };
      price = priceForAll(yards, wanted, price, highest);
    }
    // At the price of the best bound yards may make too few nucs; where they make enough, there are plans to choose from.
    for (const yard of yards) {
      reprice(yard, price, MORE_ROUNDS);
      // A yard that makes none may be the one to make the last.
      if (yard.columns?.made === 0) reprice(yard, price * ONE_AT_LEAST, MORE_ROUNDS);
      packYard(yard, random, MANY_PLANS);
    }
    const chosen = putTogether(problem, yards, wanted);
    yield { bound: best, better: chosen };
    for (const yard of yards) reprice(yard, bestPrice, SETTLING_ROUNDS);
    best = Math.max(best, sum((y) => y.bound) + bestPrice * wanted);
    yield { bound: best, better: null };
    // Where yards are small whole nucs cost more than such as share combs: for less none would be made.
    const whole = Math.max(price, chosen ? chosen.price / wanted : 0);
    for (const yard of yards) {
      reprice(yard, whole, FEW_ROUNDS);
      workOut(yard, solver, start, whole, ROUNDS_OF_CHOICE);
      yield { bound: best, better: putTogether(problem, yards, wanted) };
    }
    for (const yard of yards) reprice(yard, bestPrice, FEW_ROUNDS);
    for (const yard of yards) {
      workOut(yard, solver, start, bestPrice, lastRounds);
      best = Math.max(best, sum((y) => y.bound) + bestPrice * wanted);
      yield { bound: best, better: null };
    }
    yield { bound: best, better: putTogether(problem, yards, wanted) };
  } finally {
    for (const { columns } of yards) columns?.dispose();
  }
}

function yardOf(part: YardPart, solver: Solver, start: FoundPlan, price: number): Yard {
  const { problem } = part;
  const columns = NucColumns.of(problem, solver, planOfPart(part, start.plan), price);
  const wanted = nucsWanted(problem);
  const plans = new Map<number, FoundPlan>();
  for (const plan of [nothingMoved(problem), planOfPart(part, start.plan)]) {
    const { cost, broken, nucsMade } = evaluate(problem, plan);
    if (broken.length === 0) keepCheapest(plans, nucsMade, { plan, price: cost });
  }
  if (columns) return { part, columns, wanted, bound: columns.bound - price * wanted, plans };
  // A yard that can make no nuc has its wishes all the same.
  const { bound } = solveModel(solver, pooledModel(problem).model, 'relaxed');
  return { part, columns, wanted, bound: bound ?? -Infinity, plans };
}

/**
 * The price at which all yards together make as many nucs as are wanted, of those that they know. With more nucs known
 * it falls; a price for which far more or far fewer are made says little.
 */
function priceForAll(yards: readonly Yard[], wanted: number, last: number, highest: number): number {
  let low = LOWEST * last;
  let high = highest;
  for (let n = 0; n < HALVINGS; n++) {
    const middle = (low + high) / 2;
    const made = yards.reduce((sum, { columns }) => sum + (columns?.madeAt(middle) ?? 0), 0);
    if (made >= wanted - NONE) high = middle;
    else low = middle;
  }
  return high;
}

/** Bounds a yard at a price of a nuc. */
function reprice(yard: Yard, price: number, rounds: number): void {
  const { columns } = yard;
  if (!columns) return;
  columns.setNucMissing(price);
  columns.restrict(ANY_HIVES, columns.steady);
  for (let r = 0; r < rounds && columns.round(); r++);
  yard.bound = columns.bound - price * yard.wanted;
}

/** Takes the hives of a yard whole, and notes its plans. */
function workOut(yard: Yard, solver: Solver, start: FoundPlan, price: number, rounds: number): void {
  const { problem } = yard.part;
  if (!yard.columns) return;
  const tree = new HiveTree(problem, solver, yard.columns, price, planOfPart(yard.part, start.plan));
  tree.work(rounds);
  yard.bound = Math.max(yard.bound, tree.bound - price * yard.wanted);
  for (const found of tree.plans.values()) notePlans(yard, found);
}

/**
 * Packs nucs into the hives that are opened for the most part: plans to choose from at once.
 *
 * @param share - of the nucs that the model of the moment makes: where all yards together make too many at a price, or
 *   too few, so many are expected of this one
 */
function packYard(yard: Yard, random: () => number, { numbers, tries }: Packing, share = 1): void {
  const { columns, part } = yard;
  if (!columns || columns.made === 0) return;
  const opened = mostlyOpened(columns.opening).hives.size;
  const whole = (made: number) => Math.ceil(made - PART);
  const expected = whole(share * columns.made) - whole(columns.made);
  for (const number of numbers) {
    const more = expected + number;
    // As many nucs from each hive as the model of the moment makes.
    const needed = Math.ceil(opened * Math.max(0, 1 + more / columns.made)) - opened;
    for (const spare of SPARE_HIVES) {
      const { hives } = mostlyOpened(columns.opening, needed + spare);
      if (hives.size === 0) continue;
      const plan = columns.packed(hives, tries, random, more);
      const { cost, broken } = evaluate(part.problem, plan);
      if (broken.length === 0) notePlans(yard, { plan, price: cost });
    }
  }
}

/** Notes a plan of a yard, and those that make fewer nucs, for which it stands as well. */
function notePlans(yard: Yard, found: FoundPlan): void {
  const { problem } = yard.part;
  let plan: FoundPlan | null = found;
  while (plan) {
    keepCheapest(yard.plans, evaluate(problem, plan.plan).nucsMade, plan);
    plan = withoutOne(problem, plan.plan);
  }
}

/** The cheapest plan that leaves one of the nucs away; null when there are none, or a rule would break. */
function withoutOne(problem: YardProblem, plan: Assignment): FoundPlan | null {
  let best: FoundPlan | null = null;
  for (const nuc of new Set(plan.to)) {
    if (problem.units[nuc]?.kind !== 'nuc') continue;
    const fewer = {
      to: plan.to.map((to, f) => (to === nuc ? (problem.frames[f]?.home as number) : to)),
      shakenFor: plan.shakenFor.map((unit) => (unit === nuc ? null : unit)),
    };
    const { cost, broken } = evaluate(problem, fewer);
    if (broken.length === 0 && (!best || cost < best.price)) best = { plan: fewer, price: cost };
  }
  return best;
}

/** The cheapest way to make so many nucs of the plans of all yards, yard by yard. */
function putTogether(problem: YardProblem, yards: readonly Yard[], wanted: number): FoundPlan | null {
  // By number of nucs so far: what they cost, and the plan of each yard.
  let ways = new Map<number, { cost: number; plans: FoundPlan[] }>([[0, { cost: 0, plans: [] }]]);
  for (const yard of yards) {
    const next: typeof ways = new Map();
    for (const [made, way] of ways) {
      for (const [count, found] of yard.plans) {
        const sum = made + count;
        const cost = way.cost + found.price - PRICES.nucMissing * (yard.wanted - count);
        if (sum > wanted || cost >= (next.get(sum)?.cost ?? Infinity)) continue;
        next.set(sum, { cost, plans: [...way.plans, found] });
      }
    }
    ways = next;
  }
  const most = Math.max(...ways.keys());
  const way = ways.get(most);
  const plan =
    way &&
    planOfParts(
      problem,
      yards.map(({ part }, y) => ({ part, plan: (way.plans[y] as FoundPlan).plan })),
    );
  if (!plan) return null;
  const seen = evaluate(problem, plan);
  return seen.broken.length === 0 ? { plan, price: seen.cost } : null;
}
