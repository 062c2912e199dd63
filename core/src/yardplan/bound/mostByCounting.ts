import { floatAt } from '../../basics/index.ts';
import { mostWorth, type Gift, type GiftRow } from '../columns/hiveGift.ts';
import { INFINITE, LinearModel, solveModel, type Solver } from '../model/linearModel.ts';
import { NucModel } from '../columns/nucModel.ts';
import { PRICES } from '../problem/prices.ts';
import { STORE, type YardProblem } from '../problem/problem.ts';
import { hasBegunNucs, type PoolHunt } from '../columns/wholeNuc.ts';

/** Rounds to lift prices in, at most. */
const LIFTS = 40;
/** More nucs beside each other that cost too little are not a few. */
const FEW = 6;
/** Solvers are a hair off. */
const HAIR = 1e-6;

/**
 * How many nucs can be made at most, by counting: when every nuc takes two shakes at least, and the hives can be shaken
 * 35 times in all, there are seventeen. A relaxation that divides combs and shakes counts many more.
 *
 * Any prices of combs and shakes at which no nuc costs less than one tell such a bound: all that the hives can give,
 * hive by hive and comb by comb whole, at these prices (Lagrangian relaxation: Geoffrion, Mathematical Programming Study
 * 2, 1974). Here one kind of thing is priced, each the same, and the few nucs that would need less of it have other
 * combs lifted in price.
 *
 * @returns null where it says nothing: colonies may receive combs as well, pins have begun nucs, or several goals
 *   share the combs
 */
export function mostByCounting(problem: YardProblem, solver: Solver): number | null {
  const [goal, ...others] = problem.nucGoals;
  if (!goal || others.length > 0 || hasBegunNucs(problem)) return null;
  const whole = new NucModel(problem, PRICES.nucMissing);
  if (whole.ways.some((way) => way.pool === null)) return null;
  const sum = whole.hunts.reduce((most, hunt) => most + new NucCount(whole, hunt).most(solver), 0);
  return Math.min(goal.wanted, sum);
}

/** The nucs of one pool. */
class NucCount {
  private readonly whole: NucModel;
  private readonly hunt: PoolHunt;
  /** Items by the hive that gives them. */
  private readonly givenBy: ReadonlyMap<number, readonly number[]>;
  private readonly rowsOf: ReadonlyMap<number, readonly GiftRow[]>;

  constructor(whole: NucModel, hunt: PoolHunt) {
    this.whole = whole;
    this.hunt = hunt;
    const givenBy = new Map<number, number[]>();
    hunt.ways.forEach(({ frame }, i) => givenBy.set(frame.home, [...(givenBy.get(frame.home) ?? []), i]));
    this.givenBy = givenBy;
    this.rowsOf = new Map(
      [...givenBy].map(([hive, items]) => [hive, hive === STORE ? [] : this.rowsFor(items)]),
    );
  }

  most(solver: Solver): number {
    const { items, kinds } = this.hunt.pricer;
    let most = this.hunt.pool.nucs.length;
    const counted = [...new Set(kinds)].map((kind) =>
      Float64Array.from(items, (it, i) => (!it.isShake && kinds[i] === kind ? 1 : 0)),
    );
    const shakes = Float64Array.from(items, (it) => (it.isShake ? 1 : 0));
    for (const count of [shakes, ...counted]) {
      const least = Math.round(this.cheapest(count));
      if (least === 0) continue;
      const given = this.givenAt(count);
      most = Math.min(most, given / least);
      // A few nucs may need less of it than all others.
      const prices = count.map((n) => n / (least + 1));
      most = this.lifted(solver, prices, given / (least + 1), most);
    }
    return Math.floor(most + HAIR);
  }

  private cheapest(prices: Float64Array): number {
    const { pricer } = this.hunt;
    pricer.setPrices(prices);
    return pricer.floor(pricer.cheapest()?.price ?? Infinity);
  }

  /**
   * Lifts prices of single combs until no nuc costs less than one: with as little as can be, for it is added to what the
   * hives give.
   *
   * @param given - what the hives give at these prices
   * @param most - what is known; given up where it cannot be beaten
   */
  private lifted(solver: Solver, prices: Float64Array, given: number, most: number): number {
    const { pricer } = this.hunt;
    const model = new LinearModel();
    const columns = new Map<number, number>();
    let now = prices;
    let lift = 0;
    for (let n = 0; n < LIFTS && given + lift < most - HAIR; n++) {
      pricer.setPrices(now);
      const nucs = this.cheapBesideEachOther();
      if (nucs.length === 0) return Math.min(most, this.givenAt(now));
      if (nucs.length > FEW) return most;
      for (const items of nucs) {
        const row = model.row(1 - items.reduce((sum, i) => sum + floatAt(prices, i), 0), INFINITE);
        for (const i of items) {
          const column = columns.get(i) ?? model.column(1, 0, 1, false);
          columns.set(i, column);
          model.add(row, column, 1);
        }
      }
      const { values, cost } = solveModel(solver, model, 'relaxed');
      if (!values || cost === null) return most;
      lift = cost;
      now = prices.map((price, i) => price + (values[columns.get(i) ?? -1] ?? 0));
    }
    return most;
  }

  /** Nucs that cost less than one at the prices that were set, and share no combs of hives: one more than a few at most. */
  private cheapBesideEachOther(): number[][] {
    const { pricer } = this.hunt;
    const things = pricer.items.map((it) => (it.home === STORE ? null : it.thing));
    const taken = new Set<number | null>();
    const nucs: number[][] = [];
    pricer.besideEachOther(
      { below: 1 - HAIR },
      FEW + 1,
      (item) => !taken.has(things[item] ?? null),
      (items) => {
        for (const thing of items.map((i) => things[i] ?? null)) if (thing !== null) taken.add(thing);
        nucs.push([...items]);
        return null;
      },
    );
    return nucs;
  }

  /** What all hives and the store can give at such prices, together. */
  private givenAt(prices: Float64Array): number {
    const { whole, hunt } = this;
    let sum = 0;
    for (const [hive, items] of this.givenBy) {
      if (hive === STORE) {
        for (const i of items) sum += floatAt(prices, i) * (hunt.ways[i]?.most as number);
        continue;
      }
      const gifts = items.map((i): Gift => ({
        frame: hunt.ways[i]?.frame.index as number,
        worth: floatAt(prices, i),
        entries: whole.entriesOfItem(hunt, i),
      }));
      sum += mostWorth(gifts, this.rowsOf.get(hive) as readonly GiftRow[]);
    }
    return sum;
  }

  /** The rows of a hive that is opened. */
  private rowsFor(items: readonly number[]): GiftRow[] {
    const rows = new Set(items.flatMap((i) => this.whole.entriesOfItem(this.hunt, i).map(([row]) => row)));
    return [...rows].flatMap((row) => {
      const start = this.whole.roomOf(row);
      if (start === undefined) return [];
      const [least, most] = this.whole.model.rowBounds(row);
      return [{ row, start, least, most }];
    });
  }
}
