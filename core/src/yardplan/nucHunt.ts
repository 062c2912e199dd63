import type { NucPricer, PricedNuc } from './nucPricer.ts';
import type { ShakeSteps } from './shakeSteps.ts';

/** All that a hunt for the cheapest nuc goes by. */
export interface HuntGround {
  readonly pricer: NucPricer;
  /** By item; shakes cost nothing at least. */
  readonly prices: Float64Array;
  /** By item: its price less what it is worth to the rules. */
  readonly net: Float64Array;
  /** What the rules are worth together; with it net prices add up to no more than prices. */
  readonly owed: number;
  /** Combs by kind, by net price. */
  readonly byKind: readonly (readonly number[])[];
  /** Shakes, by price of their bees. */
  readonly shakes: readonly number[];
  readonly steps: ShakeSteps;
  readonly below: number;
  readonly within: number;
}

/** Prices closer than this are the same. */
const SAME = 1e-9;
/** Sums of floats carry noise: a rule missed by less is kept. */
const KEPT = 1e-7;

/**
 * Hunts for the cheapest nuc depth first: combs kind by kind, then shakes for the bees that are missing.
 *
 * @returns the nucs that were the cheapest in their turn; the last is the cheapest
 */
export function huntNuc(ground: HuntGround): PricedNuc[] {
  return new NucHunt(ground).run();
}

class NucHunt {
  private best: number;
  private readonly found: PricedNuc[] = [];
  private readonly picked: number[] = [];
  private combs = 0;
  private readonly sum: Float64Array;
  /** Room for the sums of a bound: what there is at most beyond what is asked, and what one more comb adds. */
  private readonly has: Float64Array;
  private readonly one: Float64Array;
  /** By thing: how often it is taken. */
  private readonly used: Uint8Array;
  private readonly last: number;
  /** From a kind on: what the combs that are needed cost and bring together, and one comb at its best. */
  private readonly neededPrice: Float64Array;
  private readonly neededCombs: Int32Array;
  private readonly onePrice: Float64Array;
  /** By rule, then as above; and of each kind by itself. */
  private readonly neededValue: readonly Float64Array[];
  private readonly oneValue: readonly Float64Array[];
  private readonly kindValue: readonly Float64Array[];

  private readonly g: HuntGround;

  constructor(g: HuntGround) {
    this.g = g;
    const { rules, least } = g.pricer;
    this.best = g.below;
    this.sum = new Float64Array(rules.length);
    this.has = new Float64Array(rules.length);
    this.one = new Float64Array(rules.length);
    this.used = new Uint8Array(g.pricer.things);
    this.last = g.byKind.length - 1;
    const n = g.byKind.length + 1;
    this.neededPrice = new Float64Array(n);
    this.neededCombs = new Int32Array(n);
    this.onePrice = new Float64Array(n).fill(Infinity);
    this.neededValue = rules.map(() => new Float64Array(n));
    this.oneValue = rules.map(() => new Float64Array(n).fill(-Infinity));
    this.kindValue = rules.map(() => new Float64Array(n));
    for (let k = this.last; k >= 0; k--) {
      const list = g.byKind[k] as readonly number[];
      const needed = least[k] as number;
      const lowest = list.length > 0 ? (g.net[list[0] as number] as number) : Infinity;
      this.neededPrice[k] = (this.neededPrice[k + 1] as number) + (needed > 0 ? needed * lowest : 0);
      this.neededCombs[k] = (this.neededCombs[k + 1] as number) + needed;
      this.onePrice[k] = Math.min(this.onePrice[k + 1] as number, lowest);
      rules.forEach((_, r) => {
        const top = list.reduce((m, i) => Math.max(m, g.pricer.values[i]?.[r] as number), -Infinity);
        const one = this.oneValue[r] as Float64Array;
        const needs = this.neededValue[r] as Float64Array;
        (this.kindValue[r] as Float64Array)[k] = top;
        needs[k] = (needs[k + 1] as number) + (needed > 0 ? needed * top : 0);
        one[k] = Math.max(one[k + 1] as number, top);
      });
    }
  }

  run(): PricedNuc[] {
    if (this.neededPrice[0] !== Infinity) this.pick(0, 0, 0, 0, 0);
    return this.found;
  }

  /** Nothing that costs as much is of interest any more. */
  private get limit(): number {
    return this.best - this.g.within - SAME;
  }

  /**
   * Picks combs of kind k from a place in its list on, then of the kinds after it.
   *
   * @param n - how many of kind k are picked
   * @param price - of all that is picked
   * @param net - the same, net of what rules are worth
   */
  private pick(k: number, start: number, n: number, price: number, net: number): void {
    if (k > this.last) {
      this.fillWithBees(price);
      return;
    }
    const { least, most, slots, items, values } = this.g.pricer;
    if (n >= (least[k] as number)) this.pick(k + 1, 0, 0, price, net);
    if (n >= (most[k] as number) || this.combs >= slots) return;
    const list = this.g.byKind[k] as readonly number[];
    for (let j = start; j < list.length; j++) {
      const i = list[j] as number;
      const own = this.g.net[i] as number;
      // What holds for this one as the next holds for all that follow it in the list.
      if (this.boundWithNext(net, k, n, own) >= this.limit) return;
      const { thing, most: copies } = items[i] as (typeof items)[number];
      const taken = this.used[thing] as number;
      if (taken >= copies) continue;
      this.used[thing] = taken + 1;
      this.picked.push(i);
      this.combs++;
      this.addTo(values[i] as Float64Array, 1);
      if (this.bound(net + own, k, n + 1, own) < this.limit) {
        this.pick(k, copies > taken + 1 ? j : j + 1, n + 1, price + (this.g.prices[i] as number), net + own);
      }
      this.addTo(values[i] as Float64Array, -1);
      this.combs--;
      this.picked.pop();
      this.used[thing] = taken;
    }
  }

  private addTo(values: Float64Array, sign: 1 | -1): void {
    for (let r = 0; r < values.length; r++) {
      this.sum[r] = (this.sum[r] as number) + sign * (values[r] as number);
    }
  }

  /**
   * What a nuc costs at least with what is picked, when n combs of kind k are and the next of them costs so much.
   *
   * The combs still needed are taken at the lowest price and bring the most, each measure for itself; so do up to
   * as many others as there are slots; bees that are missing even then are shaken.
   */
  private bound(net: number, k: number, n: number, next: number): number {
    const { least, most, slots, rules } = this.g.pricer;
    const missing = Math.max(0, (least[k] as number) - n);
    const room = slots - this.combs - missing - (this.neededCombs[k + 1] as number);
    if (room < 0) return Infinity;
    const base = net + this.g.owed + (missing > 0 ? missing * next : 0) + (this.neededPrice[k + 1] as number);
    const isMoreOfKind = n + missing < (most[k] as number);
    const other = this.onePrice[k + 1] as number;
    const extra = isMoreOfKind ? Math.min(next, other) : other;
    const { has, one } = this;
    for (let r = 0; r < has.length; r++) {
      const ofKind = this.kindValue[r]?.[k] as number;
      const ofOthers = this.oneValue[r]?.[k + 1] as number;
      const needed = (missing > 0 ? missing * ofKind : 0) + (this.neededValue[r]?.[k + 1] as number);
      has[r] = (this.sum[r] as number) + needed - (rules[r]?.least as number);
      one[r] = isMoreOfKind && ofKind > ofOthers ? ofKind : ofOthers;
    }
    let lowest = Infinity;
    for (let extras = 0; extras <= room; extras++) {
      if (extras > 0) {
        if (extra === Infinity) break;
        for (let r = 0; r < has.length; r++) has[r] = (has[r] as number) + (one[r] as number);
      }
      let isPossible = true;
      let bees = 0;
      for (let r = 0; r < has.length; r++) {
        const missed = -(has[r] as number);
        if (missed <= KEPT) continue;
        const weight = rules[r]?.beeWeight as number;
        if (weight > 0) bees = Math.max(bees, missed / weight);
        else {
          isPossible = false;
          break;
        }
      }
      if (!isPossible) continue;
      const price = base + (extras > 0 ? extras * extra : 0) + this.g.steps.priceOf(bees);
      if (price < lowest) lowest = price;
    }
    return lowest;
  }

  /** The same when one more of kind k is picked in any case. */
  private boundWithNext(net: number, k: number, n: number, next: number): number {
    if (n < (this.g.pricer.least[k] as number)) return this.bound(net, k, n, next);
    this.addBest(k, 1);
    const price = this.bound(net + next, k, n + 1, next);
    this.addBest(k, -1);
    return price;
  }

  /** As if a comb were picked that is the best of its kind by every measure. */
  private addBest(k: number, sign: 1 | -1): void {
    for (let r = 0; r < this.sum.length; r++) {
      this.sum[r] = (this.sum[r] as number) + sign * (this.kindValue[r]?.[k] as number);
    }
    this.combs += sign;
  }

  /** All combs are picked: rules that only combs help must hold; bees that are missing are shaken in. */
  private fillWithBees(price: number): void {
    const { rules } = this.g.pricer;
    let bees = 0;
    for (let r = 0; r < rules.length; r++) {
      const { least, beeWeight } = rules[r] as (typeof rules)[number];
      const missed = least - (this.sum[r] as number) - KEPT;
      if (missed <= 0) continue;
      if (beeWeight === 0) return;
      bees = Math.max(bees, missed / beeWeight);
    }
    this.shake([], 0, bees, price);
  }

  private shake(chosen: readonly number[], start: number, missing: number, price: number): void {
    if (missing <= 1e-9) {
      if (price >= this.best - SAME) return;
      this.best = price;
      this.found.push({ price, items: [...this.picked, ...chosen] });
      return;
    }
    const { shakes, steps, pricer, prices } = this.g;
    if (price + steps.priceOf(missing) >= this.limit) return;
    for (let j = start; j < shakes.length; j++) {
      const i = shakes[j] as number;
      const own = prices[i] as number;
      const bees = pricer.bees[i] as number;
      // Those that follow give no bee for less.
      if (price + (missing * own) / bees >= this.limit) return;
      if ((this.used[pricer.items[i]?.thing as number] as number) > 0) continue;
      this.shake([...chosen, i], j + 1, missing - bees, price + own);
    }
  }
}
