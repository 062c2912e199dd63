import { cellAt, floatAt, numberAt } from '../../basics/index.ts';
import type { NucPricer, PricedNuc } from './nucPricer.ts';
import type { RestChoice } from './restChoices.ts';
import type { ShakeSteps } from './shakeSteps.ts';

/** All that a hunt for cheap nucs goes by. */
export interface HuntGround {
  readonly pricer: NucPricer;
  /** By item; shakes cost nothing at least. */
  readonly prices: Float64Array;
  /** By item: its price less what it is worth to the rules that only combs help. */
  readonly net: Float64Array;
  /** By rule: what it is worth, and what all are worth together: net prices and this make no more than prices. */
  readonly worth: Float64Array;
  readonly owed: number;
  /** Combs with brood, by net price. */
  readonly brood: readonly number[];
  /** What may hang beside them, by price. */
  readonly rest: readonly RestChoice[];
  /** Shakes, by price of their bees. */
  readonly shakes: readonly number[];
  readonly steps: ShakeSteps;
  readonly below: number;
  /**
   * By item: the cheapest nuc of every brood comb is wanted when it is cheaper than this. Null when the cheapest of
   * all is wanted alone.
   */
  readonly ofEach: Float64Array | null;
}

/** Prices closer than this are the same. */
const SAME = 1e-9;
/** Sums of floats carry noise: a rule missed by less is kept. */
const KEPT = 1e-7;

/**
 * Hunts for the cheapest nuc: its brood combs one by one, depth first, then what hangs beside them, then shakes
 * for the bees that are missing.
 *
 * @returns the cheapest nuc last; before it, where asked for, the cheapest of the other brood combs
 */
export function huntNucs(ground: HuntGround): PricedNuc[] {
  return new NucHunt(ground).run();
}

class NucHunt {
  private readonly g: HuntGround;
  /** Brood combs that are picked, then the combs beside them, then shakes. */
  private readonly picked: number[] = [];
  /** By thing: it is picked as a comb. */
  private readonly isHung: Uint8Array;
  private readonly sum: Float64Array;
  private readonly mostOfRest: Float64Array;
  private readonly leastOfRest: Float64Array;
  /** By rule: what is needed beside the brood that is picked; and the rules that may still be missed. */
  private readonly needed: Float64Array;
  private readonly beeWeights: Float64Array;
  private readonly open: number[] = [];
  private readonly lowestRest: number;
  private readonly lowestNet: number;
  /** What may hang beside the brood, by net price. */
  private readonly rest: readonly RestChoice[];
  private readonly restNet: Float64Array;
  private readonly restPrice: Float64Array;
  /** What each adds to the rules, side by side in memory: most of the time goes into reading it. */
  private readonly restValues: Float64Array;
  private cheapest: PricedNuc | null = null;
  /** By item: what the cheapest nuc with that brood comb has to be cheaper than. */
  private readonly limitOf: Float64Array;
  private readonly cheapestOf = new Map<number, PricedNuc>();
  /** Brood combs picked, and what a nuc with them has to be cheaper than. */
  private brood: readonly number[] = [];
  private limit = 0;

  constructor(g: HuntGround) {
    this.g = g;
    const count = g.pricer.rules.length;
    this.isHung = new Uint8Array(g.pricer.things);
    this.limitOf = g.ofEach ? g.ofEach.map((known) => Math.min(known, g.below)) : new Float64Array(0);
    this.sum = new Float64Array(count);
    this.mostOfRest = new Float64Array(count).fill(-Infinity);
    this.leastOfRest = new Float64Array(count).fill(Infinity);
    this.needed = new Float64Array(count);
    this.beeWeights = Float64Array.from(g.pricer.rules, (r) => r.beeWeight);
    const mostOfBrood = g.pricer.rules.map((_, r) => {
      const top = g.brood.reduce((most, i) => Math.max(most, cellAt(g.pricer.values, i, r)), 0);
      return top * g.pricer.mostBrood;
    });
    const canDo = ({ values }: RestChoice) =>
      g.pricer.rules.every(
        ({ least, beeWeight }, r) =>
          beeWeight > 0 || floatAt(values, r) + numberAt(mostOfBrood, r) >= least - KEPT,
      );
    const rest = g.rest.filter(canDo).map((choice) => {
      let net = choice.price + g.owed;
      for (let r = 0; r < count; r++) {
        const v = floatAt(choice.values, r);
        net -= floatAt(g.worth, r) * v;
        if (v > floatAt(this.mostOfRest, r)) this.mostOfRest[r] = v;
        if (v < floatAt(this.leastOfRest, r)) this.leastOfRest[r] = v;
      }
      return { choice, net };
    });
    rest.sort((a, b) => a.net - b.net);
    this.rest = rest.map((r) => r.choice);
    this.restNet = Float64Array.from(rest, (r) => r.net);
    this.restPrice = Float64Array.from(rest, (r) => r.choice.price);
    this.restValues = new Float64Array(count * rest.length);
    rest.forEach((r, c) => this.restValues.set(r.choice.values, count * c));
    this.lowestRest = rest.reduce((least, r) => Math.min(least, r.choice.price), Infinity);
    this.lowestNet = this.restNet[0] ?? Infinity;
  }

  run(): PricedNuc[] {
    if (this.rest.length > 0) this.pick(0, 0, 0);
    const found = new Set(this.cheapestOf.values());
    if (this.cheapest) found.add(this.cheapest);
    return [...found].sort((a, b) => b.price - a.price);
  }

  /** Nothing that costs as much is of interest any more. */
  private get highest(): number {
    return (this.g.ofEach ? this.g.below : (this.cheapest?.price ?? this.g.below)) - SAME;
  }

  /** What a nuc with the brood combs that are picked has to be cheaper than. */
  private limitOfPicked(): number {
    if (!this.g.ofEach) return this.highest;
    let limit = -Infinity;
    for (const i of this.brood) limit = Math.max(limit, floatAt(this.limitOf, i));
    return limit - SAME;
  }

  /** Picks brood combs from a place in their list on. */
  private pick(start: number, price: number, net: number): void {
    const { pricer, brood } = this.g;
    const n = this.picked.length;
    if (n >= pricer.leastBrood) this.addRest(price, net);
    if (n >= pricer.mostBrood) return;
    for (let j = start; j < brood.length; j++) {
      const i = numberAt(brood, j);
      const own = floatAt(this.g.net, i);
      // What holds for this one holds for all that follow it in the list.
      const combs = own < 0 ? pricer.mostBrood - n : Math.max(1, pricer.leastBrood - n);
      if (net + combs * own + this.lowestNet >= this.highest) return;
      const thing = pricer.items[i]?.thing as number;
      this.picked.push(i);
      this.isHung[thing] = 1;
      this.add(pricer.values[i] as Float64Array, 1);
      this.pick(j + 1, price + floatAt(this.g.prices, i), net + own);
      this.add(pricer.values[i] as Float64Array, -1);
      this.isHung[thing] = 0;
      this.picked.pop();
    }
  }

  private add(values: Float64Array, sign: 1 | -1): void {
    for (let r = 0; r < values.length; r++) {
      this.sum[r] = floatAt(this.sum, r) + sign * floatAt(values, r);
    }
  }

  /** Notes what is needed beside the brood that is picked. */
  private noteNeeds(): void {
    const { rules } = this.g.pricer;
    this.open.length = 0;
    for (let r = 0; r < rules.length; r++) {
      const needed = (rules[r]?.least as number) - floatAt(this.sum, r) - KEPT;
      this.needed[r] = needed;
      if (needed > floatAt(this.leastOfRest, r)) this.open.push(r);
    }
  }

  /**
   * Frames of bees that are missing beside the brood picked and such a rest; infinite when combs are.
   *
   * @param first - where its values begin
   */
  private beesMissing(rest: Float64Array, first = 0): number {
    const { open, needed, beeWeights } = this;
    let bees = 0;
    for (let n = 0; n < open.length; n++) {
      const r = numberAt(open, n);
      const missed = floatAt(needed, r) - floatAt(rest, first + r);
      if (missed <= 0) continue;
      const beeWeight = floatAt(beeWeights, r);
      if (beeWeight === 0) return Infinity;
      if (missed > bees * beeWeight) bees = missed / beeWeight;
    }
    return bees;
  }

  /** All brood combs are picked: what may hang beside them, cheapest first. */
  private addRest(price: number, net: number): void {
    const { steps, pricer } = this.g;
    this.brood = this.picked;
    this.limit = this.limitOfPicked();
    if (net + this.lowestNet >= this.limit || price + this.lowestRest >= this.limit) return;
    this.noteNeeds();
    const ownBees = steps.priceOf(this.beesMissing(this.mostOfRest));
    if (price + this.lowestRest + ownBees >= this.limit) return;

    this.brood = this.picked.slice();
    const { restNet, restPrice, restValues } = this;
    const count = this.needed.length;
    for (let c = 0; c < restNet.length; c++) {
      if (net + floatAt(restNet, c) >= this.limit) return;
      const own = price + floatAt(restPrice, c);
      if (own + ownBees >= this.limit) continue;
      const bees = this.beesMissing(restValues, count * c);
      if (bees === Infinity || own + steps.priceOf(bees) >= this.limit) continue;
      const choice = this.rest[c] as RestChoice;
      for (const i of choice.items) {
        this.picked.push(i);
        this.isHung[pricer.items[i]?.thing as number] = 1;
      }
      if (!this.shakeCheapest(bees, own)) this.shake(0, bees, own);
      for (const i of choice.items) {
        this.picked.pop();
        this.isHung[pricer.items[i]?.thing as number] = 0;
      }
    }
  }

  /** Shakes the cheapest frames for the bees that are missing. @returns false when one of them is in use */
  private shakeCheapest(missing: number, price: number): boolean {
    if (missing <= 1e-9) return false;
    const { shakes, steps, pricer, prices } = this.g;
    const items = steps.framesFor(missing).map((j) => numberAt(shakes, j));
    let bees = 0;
    let own = price;
    for (const i of items) {
      if (this.isHung[pricer.items[i]?.thing as number] === 1) return false;
      bees += floatAt(pricer.bees, i);
      own += floatAt(prices, i);
    }
    if (bees < missing - 1e-7) return false;
    if (own < this.limit) this.note({ price: own, items: [...this.picked, ...items] });
    return true;
  }

  /** Shakes frames from a place in their list on until no bees are missing. */
  private shake(start: number, missing: number, price: number): void {
    if (missing <= 1e-9) {
      if (price < this.limit) this.note({ price, items: this.picked.slice() });
      return;
    }
    const { shakes, steps, pricer, prices } = this.g;
    if (price + steps.priceOf(missing) >= this.limit) return;
    for (let j = start; j < shakes.length; j++) {
      const i = numberAt(shakes, j);
      const own = floatAt(prices, i);
      const bees = floatAt(pricer.bees, i);
      // Those that follow give no bee for less.
      if (price + (missing * own) / bees >= this.limit) return;
      if (this.isHung[pricer.items[i]?.thing as number] === 1) continue;
      this.picked.push(i);
      this.shake(j + 1, missing - bees, price + own);
      this.picked.pop();
    }
  }

  private note(nuc: PricedNuc): void {
    if (!this.cheapest || nuc.price < this.cheapest.price) this.cheapest = nuc;
    if (this.g.ofEach) {
      for (const i of this.brood) {
        if (nuc.price >= floatAt(this.limitOf, i)) continue;
        this.limitOf[i] = nuc.price;
        this.cheapestOf.set(i, nuc);
      }
    }
    this.limit = this.limitOfPicked();
  }
}
