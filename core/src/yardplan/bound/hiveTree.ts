import { seededRandom } from '../../basics/index.ts';
import { evaluate } from '../search/evaluate.ts';
import type { Solver } from '../model/linearModel.ts';
import { ANY_HIVES, mostlyOpened, onlyHives, PART, type HiveChoice } from '../columns/hiveChoice.ts';
import { NucColumns } from '../columns/nucColumns.ts';
import type { Worth } from '../columns/nucModel.ts';
import { PRICES } from '../problem/prices.ts';
import { nucsWanted, STORE, type Assignment, type YardProblem } from '../problem/problem.ts';

/** A plan that breaks no rule, and what it costs. */
export interface FoundPlan {
  readonly plan: Assignment;
  readonly price: number;
}

/** Notes a plan that makes so many nucs, when none that is known for them is cheaper. */
export function keepCheapest(plans: Map<number, FoundPlan>, count: number, found: FoundPlan): void {
  if (found.price < (plans.get(count)?.price ?? Infinity)) plans.set(count, found);
}

/** A choice of hives that has yet to be looked into. */
interface Branch {
  readonly choice: HiveChoice;
  readonly worth: Worth;
  readonly bound: number;
  /** Rounds of pricing that it has had. */
  readonly rounds: number;
}

/** Hives from which a plan may be put together, and the one that follows when they do not suffice. */
interface Candidates {
  readonly hives: ReadonlySet<number>;
  readonly next: number | null;
}

/** Rounds of pricing for one choice before it is divided: by the number of hives soon, by a single hive late. */
const ROUNDS_OF_ANY = 25;
const ROUNDS = 60;
/** Rounds of pricing for hives that are known. */
const ROUNDS_OF_SET = 8;
/** To put a plan together takes as long as so many rounds for each nuc, among the same hives. */
const ROUNDS_OF_NUC = 2;
/** Hives that are opened for the most part are tried after so many rounds. */
const AT_ONCE = 5;
/** So many hives more than the proof opens are there to pack nucs into, and so often others are packed. */
const SPARE_HIVES = [0, 2] as const;
const PACKINGS = 20;
/** So many packings until plans are put together, which are better: packings are there for a plan at once. */
const FIRST_PACKINGS = 4;
/** While a nuc more might be made, others are packed so often, into the same hives again, but not for ever. */
const PACKINGS_FOR_MORE = 100;
const TIMES_FOR_MORE = 20;
/** A nuc more saves what a missing one costs, less the work for it: at least such a share. */
const NUC_MORE = 0.9;
/** A plan this near to the bound is not packed better any more. */
const WELL_PACKED = 0.01;
/**
 * Plans are put together when prices know which combs are scarce: after so many rounds, sooner where there are few
 * hives, and after so many again.
 */
const pauseFor = (hives: number) => Math.max(5, Math.min(12, hives / 3));
/** Where a missing nuc costs what it does, packing once more finds more of them in the same time. */
const LONG_PAUSE = 30;
/** Bound and price within this share of each other are as good as one. */
const NEAR = 1e-3;
/** Hives are not tried for a plan that is better by less, nor for one that is further from what they allow. */
const WORTH_TRYING = 1e-3;
const FAR = 0.02;

/**
 * Looks for the best choice of hives to open, and shows that no other is better.
 *
 * What is left between the bound by whole nucs and the best plan are hives that are opened in part. So either more
 * of them are opened or fewer, either this one or not: branch and price (Barnhart and others, Operations Research
 * 46, 1998).
 */
export class HiveTree {
  /** The best plan for each number of nucs. */
  readonly plans = new Map<number, FoundPlan>();
  private readonly problem: YardProblem;
  private readonly solver: Solver;
  private readonly nucMissing: number;
  private readonly wanted: number;
  /** Colonies that might be opened. */
  private readonly hives: number;
  private readonly columns: NucColumns;
  private open: Branch[];
  /** The least bound of choices that are settled. */
  private settled = Infinity;
  /** What the best plan costs, were a nuc that is not made to cost no more than {@link nucMissing}. */
  private best = Infinity;
  /** Nucs that the best plan makes. */
  private made = 0;
  private readonly packed = new Set<string>();
  /** So often nucs were packed for one more. */
  private timesForMore = 0;
  private readonly tried = new Set<string>();
  /** Rounds that are left, and that have been in all. */
  private left = 0;
  private rounds = 0;
  /** Hives to put plans together from; the last, which were noted at the best prices, come first. */
  private readonly toTry: Candidates[] = [];
  private readonly pause: number;
  private tryAfter: number;
  private readonly random = seededRandom(1);

  /**
   * @param columns - whole nucs of the problem, at the same price of one that is not made
   * @param nucMissing - what a nuc that is not made costs at least: the less, the sooner the bound is good
   * @param start - a plan to begin with
   */
  constructor(
    problem: YardProblem,
    solver: Solver,
    columns: NucColumns,
    nucMissing: number,
    start: Assignment | null,
  ) {
    this.problem = problem;
    this.solver = solver;
    this.columns = columns;
    this.nucMissing = nucMissing;
    this.wanted = nucsWanted(problem);
    this.hives =
      new Set(problem.frames.flatMap((f) => (f.mayGoTo.length > 0 && f.home !== STORE ? [f.home] : [])))
        .size || 1;
    this.pause = nucMissing >= PRICES.nucMissing ? LONG_PAUSE : pauseFor(this.hives);
    this.tryAfter = this.pause;
    this.open = [{ choice: ANY_HIVES, worth: columns.steady, bound: columns.bound, rounds: 0 }];
    this.take(start);
    this.noteSets(columns.opening, columns.bound);
  }

  /** The cheapest plan of all; null while there is none. */
  get cheapest(): FoundPlan | null {
    return [...this.plans.values()].toSorted((a, b) => a.price - b.price)[0] ?? null;
  }

  /** No plan costs less, were a nuc that is not made to cost no more than was said. */
  get bound(): number {
    const open = this.open.reduce((least, b) => Math.min(least, b.bound), Infinity);
    return Math.min(open, this.settled, this.best);
  }

  /** Looks further, through so many rounds of pricing at most. @returns false when nothing is left to look into */
  work(rounds: number): boolean {
    this.left = rounds;
    // The first prices, of nucs that share their combs, tell best what is scarce.
    if (this.rounds === 0 && this.mayMakeMore(this.columns.bound)) this.packMore(this.columns.opening);
    // Once all choices are settled as no better than the best plan, no hives are worth a try.
    const mayTry = () => this.toTry.length > 0 && !this.isDone(this.settled);
    while (this.left > 0 && (this.open.length > 0 || mayTry())) {
      const isTime = this.rounds >= this.tryAfter || this.open.length === 0;
      const candidates = isTime ? this.toTry.pop() : null;
      if (candidates) {
        this.trySet(candidates);
        this.tryAfter = this.rounds + this.pause;
      } else {
        this.step();
      }
    }
    return this.open.length > 0;
  }

  /** Looks into the choice with the lowest bound. */
  private step(): void {
    this.open.sort((a, b) => b.bound - a.bound);
    const branch = this.open.pop() as Branch;
    if (this.isDone(branch.bound)) {
      this.settled = Math.min(this.settled, branch.bound);
      return;
    }
    const { columns } = this;
    columns.restrict(branch.choice, branch.worth);
    const before = this.left;
    const isOver = this.price(columns, AT_ONCE);
    const rounds = branch.rounds + Math.ceil(before - this.left);
    const bound = Math.max(branch.bound, columns.bound);
    const now = { choice: branch.choice, worth: columns.steady, bound, rounds };
    if (!this.isDone(bound)) this.noteSets(columns.opening, bound);
    const choices = this.isDone(bound) ? [] : this.parts(branch.choice, columns.opening);
    const isCount = choices.some((c) => c.count !== branch.choice.count);
    if (!isOver && rounds < (isCount ? ROUNDS_OF_ANY : ROUNDS)) {
      this.open.push(now);
      return;
    }
    for (const choice of choices) this.open.push({ ...now, choice, rounds: 0 });
    if (choices.length > 0) return;
    if (isOver) this.settled = Math.min(this.settled, bound);
    else this.open.push({ ...now, rounds: 0 });
  }

  /**
   * @param cost - what a round counts for; less where there are fewer hives
   * @returns whether no cheaper nuc is left, or none that matters
   */
  private price(columns: NucColumns, rounds: number, cost = 1): boolean {
    for (let r = 0; r < rounds && this.left > 0; r++) {
      this.left -= cost;
      this.rounds += cost;
      if (!columns.round() || columns.price - columns.bound < NEAR * Math.abs(columns.price)) return true;
      if (this.isDone(columns.bound)) return true;
    }
    return false;
  }

  private isDone(bound: number): boolean {
    return bound >= this.best - NEAR * Math.abs(this.best);
  }

  /** Divides a choice in two: fewer hives of a yard or more, one hive or not. */
  private parts(choice: HiveChoice, opening: ReadonlyMap<number, number>): HiveChoice[] {
    const sums = new Map<string, number>();
    for (const [unit, part] of opening) {
      const yardId = this.problem.units[unit]?.yardId ?? '';
      sums.set(yardId, (sums.get(yardId) ?? 0) + part);
    }
    const yard = mostInPart(sums);
    if (yard !== null) {
      const sum = sums.get(yard) as number;
      const [least, most] = choice.count.get(yard) ?? [0, this.problem.units.length];
      const withCount = (range: readonly [number, number]) => ({
        ...choice,
        count: new Map([...choice.count, [yard, range] as const]),
      });
      return [withCount([least, Math.floor(sum)]), withCount([Math.ceil(sum), most])];
    }
    const hive = mostInPart(opening);
    if (hive === null) return [];
    return [
      { ...choice, opened: new Set([...choice.opened, hive]) },
      { ...choice, closed: new Set([...choice.closed, hive]) },
    ];
  }

  /** Packs nucs into the hives that are opened for the most part, and notes them for better plans. */
  private noteSets(opening: ReadonlyMap<number, number>, bound: number): void {
    const candidates = mostlyOpened(opening);
    if (candidates.hives.size === 0) return;
    const isPacked = this.best <= bound + WELL_PACKED * Math.abs(bound);
    if (this.mayMakeMore(bound)) {
      this.packMore(opening);
    } else if (!isPacked && this.packed.size < FIRST_PACKINGS) {
      for (const spare of SPARE_HIVES) this.pack(mostlyOpened(opening, spare).hives);
    }
    this.toTry.push(candidates);
  }

  /** Whether a nuc more is not ruled out. Where a missing one costs what it does, that outweighs all else. */
  private mayMakeMore(bound: number): boolean {
    const { nucMissing, timesForMore } = this;
    if (nucMissing < PRICES.nucMissing || timesForMore >= TIMES_FOR_MORE) return false;
    return this.made < this.wanted && this.best - bound > NUC_MORE * nucMissing;
  }

  /** Packs nucs into all hives that may be opened, for one nuc more. */
  private packMore(opening: ReadonlyMap<number, number>): void {
    // The first plan is not to be waited for.
    const tries = this.timesForMore === 0 ? PACKINGS : PACKINGS_FOR_MORE;
    this.timesForMore++;
    this.take(this.columns.packed(mostlyOpened(opening, this.hives).hives, tries, this.random));
    this.left--;
  }

  /** Packs nucs into certain hives: a plan at once. */
  private pack(hives: ReadonlySet<number>): void {
    const key = keyOf(hives);
    if (this.packed.has(key)) return;
    this.packed.add(key);
    this.take(this.columns.packed(hives, PACKINGS, this.random));
    this.left--;
  }

  /** The best plan for certain hives: with these settled, little is left to choose. */
  private trySet({ hives, next }: Candidates): void {
    const key = keyOf(hives);
    if (this.tried.has(key)) return;
    this.tried.add(key);
    const columns = this.columnsOf(hives);
    if (!columns) return;
    this.columns.takeOver(columns);
    const { bound } = columns;
    if (this.best === Infinity || bound < this.best - WORTH_TRYING * Math.abs(this.best)) {
      this.left -= (ROUNDS_OF_NUC * columns.made * hives.size) / this.hives;
      this.take(columns.plan(Math.min(this.best, bound + FAR * Math.abs(bound))));
    }
    columns.dispose();
    // With what is opened in part one hive more may be needed to make whole nucs.
    if (next !== null && columns.made < this.wanted - PART) {
      this.trySet({ hives: new Set([...hives, next]), next: null });
    }
  }

  /** Nucs for certain hives that are opened while all others are left shut. */
  private columnsOf(hives: ReadonlySet<number>): NucColumns | null {
    const part = onlyHives(this.problem, hives);
    const shut = part.units.flatMap((u) => (u.kind === 'colony' && !hives.has(u.index) ? [u.index] : []));
    const choice = { opened: hives, closed: new Set(shut), count: new Map() };
    const columns = NucColumns.of(part, this.solver, null, this.nucMissing, choice);
    if (!columns) return null;
    columns.takeOver(this.columns);
    this.price(columns, ROUNDS_OF_SET, hives.size / this.hives);
    return columns;
  }

  /** Notes a plan, when it breaks no rule. */
  private take(plan: Assignment | null): void {
    if (!plan) return;
    const seen = evaluate(this.problem, plan);
    if (seen.broken.length > 0) return;
    const missing = this.wanted - seen.nucsMade;
    const cost = seen.cost - (PRICES.nucMissing - this.nucMissing) * missing;
    if (cost < this.best) [this.best, this.made] = [cost, seen.nucsMade];
    keepCheapest(this.plans, seen.nucsMade, { plan, price: seen.cost });
  }
}

const keyOf = (hives: ReadonlySet<number>) => [...hives].toSorted((a, b) => a - b).join();

/** The key whose number is nearest to a half; null when all are whole. */
function mostInPart<K>(numbers: ReadonlyMap<K, number>): K | null {
  let found: K | null = null;
  let nearest = 0.5 - PART;
  for (const [key, x] of numbers) {
    const off = Math.abs(x - Math.floor(x) - 0.5);
    if (off >= nearest) continue;
    nearest = off;
    found = key;
  }
  return found;
}
