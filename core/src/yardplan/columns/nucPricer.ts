import { cellAt, floatAt, numberAt } from '../../basics/index.ts';
import { AT, type Measured } from '../rules/measures.ts';
import { huntNucs, type HuntGround } from './nucHunt.ts';
import { restChoices } from './restChoices.ts';
import { ruleWorth } from './ruleWorth.ts';
import { ShakeSteps } from './shakeSteps.ts';
import type { UnitRule } from '../rules/unitRule.ts';

/** Something that a nuc may be given: a comb, or the bees of a comb that stays where it is. */
export interface NucItem {
  /** Items of the same thing, numbered from 0, exclude each other: a frame is moved, or shaken. */
  readonly thing: number;
  readonly isShake: boolean;
  /** The unit where it is; below zero for the store. */
  readonly home: number;
  /** How many alike there are. */
  readonly most: number;
  readonly brings: Measured;
}

/** A nuc that keeps every rule. */
export interface PricedNuc {
  readonly price: number;
  /** Numbers of items, one for each time that it is taken. */
  readonly items: readonly number[];
}

/** How to look for some. */
export interface Hunt {
  /** Only nucs cheaper than this are of interest. */
  readonly below?: number;
  /** By item: the cheapest nuc of every brood comb is wanted as well, when it is cheaper than this. */
  readonly ofEach?: Float64Array;
  /** Only combs of these units, and of the store. */
  readonly only?: ReadonlySet<number> | null;
}

/** A nuc is put together kind by kind: brood, stores, empty comb, then whatever else. */
const KINDS = [AT.broodCombs, AT.storesCombs, AT.emptyCombs] as const;
const OTHER = KINDS.length;

/** A rule as "at least", by what each item adds to it. */
export interface SumRule {
  readonly least: number;
  /** Weight of bees in it when bees help; 0 otherwise. */
  readonly beeWeight: number;
}

/**
 * Prices nucs: given what every comb and every shake costs, finds the cheapest nuc that keeps all rules. Exact,
 * for any rules that are linear in what the items bring.
 */
export class NucPricer {
  readonly items: readonly NucItem[];
  readonly slots: number;
  readonly bees: Float64Array;
  /** By item: what it adds to each of {@link rules}. */
  readonly values: readonly Float64Array[];
  readonly rules: readonly SumRule[];
  /** How many combs of each kind there are at least and at most. */
  readonly least: readonly number[];
  readonly most: readonly number[];
  /** Numbers of things end below this. */
  readonly things: number;
  /** By item: its kind, of those that a nuc is put together from. */
  readonly kinds: readonly number[];
  private readonly unitRules: readonly UnitRule[];
  /** By thing: its bees can be shaken out. */
  private readonly isShakable: Uint8Array;
  /** By rule: more than this is of no use beside brood. */
  private readonly enough: Float64Array;
  private prices: Float64Array;
  /** Prices less what an item is worth to rules that only combs can help. */
  private net: Float64Array;
  private worth: Float64Array;
  private owed = 0;
  private refund = 0;

  /** @param slots - combs that fit into it */
  constructor(items: readonly NucItem[], rules: readonly UnitRule[], slots: number) {
    this.items = items;
    this.unitRules = rules;
    this.slots = slots;
    this.things = items.reduce((n, it) => Math.max(n, it.thing + 1), 0);
    const hard = rules.filter((r) => r.hard);
    this.kinds = items.map((it) => {
      const k = KINDS.findIndex((m) => floatAt(it.brings, m) > 0);
      return k < 0 ? OTHER : k;
    });
    this.rules = hard.map((r) => {
      const sign = r.sense === 'atLeast' ? 1 : -1;
      const ofBees = sign * (r.terms.find(([m]) => m === 'bees')?.[1] ?? 0);
      return { least: sign * r.threshold, beeWeight: Math.max(0, ofBees) };
    });
    this.values = items.map((it) =>
      Float64Array.from(hard, (r) => {
        const sum = r.terms.reduce((s, [m, w]) => s + w * floatAt(it.brings, AT[m]), 0);
        return r.sense === 'atLeast' ? sum : -sum;
      }),
    );
    this.bees = Float64Array.from(items, (it) => floatAt(it.brings, AT.bees));
    const thresholds = (measure: number, sense: UnitRule['sense']) =>
      hard.flatMap((r) => {
        const [term, ...more] = r.terms;
        const isThis = term && more.length === 0 && AT[term[0]] === measure && term[1] === 1;
        return isThis && r.sense === sense ? [r.threshold] : [];
      });
    this.least = [...KINDS.map((m) => Math.ceil(Math.max(0, ...thresholds(m, 'atLeast')) - 1e-9)), 0];
    this.most = [...KINDS.map((m) => Math.floor(Math.min(slots, ...thresholds(m, 'atMost')) + 1e-9)), slots];
    this.isShakable = new Uint8Array(this.things);
    for (const it of items) if (it.isShake) this.isShakable[it.thing] = 1;
    this.enough = this.enoughBesideBrood();
    this.worth = new Float64Array(this.rules.length);
    this.prices = new Float64Array(items.length);
    this.net = this.prices;
  }

  /** Prices the same nucs from some of the items. */
  among(items: readonly NucItem[]): NucPricer {
    return new NucPricer(items, this.unitRules, this.slots);
  }

  /** @param prices - by item */
  setPrices(prices: Float64Array): void {
    // Bees that are better than free are taken as free, and what that forgets is given back in the floor.
    this.refund = 0;
    this.prices = prices.map((p, i) => {
      if (!this.items[i]?.isShake || p >= 0) return p;
      this.refund += p;
      return 0;
    });
    const ofBees = this.items.reduce((least, it, i) => {
      const bees = floatAt(this.bees, i);
      return it.isShake && bees > 1e-9 ? Math.min(least, floatAt(this.prices, i) / bees) : least;
    }, Infinity);
    const { worth, owed } = ruleWorth(this, this.combsByKind(), this.prices, ofBees);
    this.worth = worth;
    this.owed = owed;
    this.net = this.prices.map((p, i) => {
      const v = this.values[i] as Float64Array;
      return worth.reduce((n, w, r) => n - w * floatAt(v, r), p);
    });
  }

  /** The cheapest nuc at the prices that were set; null when none is cheaper than asked for. */
  cheapest(hunt: Hunt = {}): PricedNuc | null {
    return this.cheaper(hunt).at(-1) ?? null;
  }

  /** The cheapest nuc, which comes last, and where asked for the cheapest of every brood comb. */
  cheaper(hunt: Hunt = {}): PricedNuc[] {
    const ground = this.ground(hunt);
    return huntNucs({ ...ground, steps: this.stepsOf(ground.shakes) });
  }

  /**
   * Nucs one after another, each the cheapest of what those before it leave; combs that better ones outdo have their
   * turn when these are gone.
   *
   * @param isLeft - whether an item may still be taken
   * @param take - notes what a nuc takes; of items that are too much together it names one, and takes none
   */
  besideEachOther(
    hunt: Hunt,
    count: number,
    isLeft: (item: number) => boolean,
    take: (items: readonly number[]) => number | null,
  ): void {
    const tooMuch = new Set<number>();
    const mayUse = (item: number) => !tooMuch.has(item) && isLeft(item);
    let ground = this.ground(hunt);
    let isFresh = true;
    for (let n = 0; n < count;) {
      const nuc = this.cheapestLeft(ground, mayUse);
      if (!nuc) {
        // What hangs beside brood was chosen while more was left: what was outdone then is looked at now.
        if (isFresh) return;
        ground = this.ground(hunt, mayUse);
        isFresh = true;
        continue;
      }
      const over = take(nuc.items);
      isFresh = false;
      if (over === null) {
        n++;
        tooMuch.clear();
      } else {
        tooMuch.add(over);
      }
    }
  }

  private cheapestLeft(
    ground: Omit<HuntGround, 'steps'>,
    isLeft: (item: number) => boolean,
  ): PricedNuc | null {
    const left = new Uint8Array(this.items.length);
    const has = (i: number) => left[i] === 1;
    const used = new Set(ground.rest.flatMap((choice) => choice.items));
    for (const list of [ground.brood, used, ground.shakes]) {
      for (const i of list) left[i] = isLeft(i) ? 1 : 0;
    }
    const shakes = ground.shakes.filter(has);
    const nucs = huntNucs({
      ...ground,
      brood: ground.brood.filter(has),
      rest: ground.rest.filter((choice) => choice.items.every(has)),
      shakes,
      steps: this.stepsOf(shakes),
    });
    return nucs.at(-1) ?? null;
  }

  private ground(hunt: Hunt, isLeft: (item: number) => boolean = () => true): Omit<HuntGround, 'steps'> {
    const { below = Infinity, ofEach = null, only } = hunt;
    const mayUse = (i: number) => {
      const home = this.items[i]?.home as number;
      return (!only || home < 0 || only.has(home)) && isLeft(i);
    };
    const price = (i: number) => floatAt(this.prices, i);
    const perBees = (i: number) => price(i) / floatAt(this.bees, i);
    const shakes = this.items
      .flatMap((it, i) => (it.isShake && floatAt(this.bees, i) > 1e-9 && mayUse(i) ? [i] : []))
      .sort((a, b) => perBees(a) - perBees(b) || a - b);
    const net = (i: number) => floatAt(this.net, i);
    const [brood = [], ...others] = this.combsByKind(mayUse);
    brood.sort((a, b) => net(a) - net(b) || floatAt(this.bees, b) - floatAt(this.bees, a) || a - b);
    const lowestBrood = brood.reduce((sum, i, n) => {
      const isTaken = n < this.leastBrood || (net(i) < 0 && n < this.mostBrood);
      return isTaken ? sum + net(i) : sum;
    }, this.owed);
    return {
      pricer: this,
      prices: this.prices,
      net: this.net,
      worth: this.worth,
      owed: this.owed,
      brood,
      rest: restChoices({
        kinds: others.map((items, k) => ({ items, least: numberAt(this.least, k + 1) })),
        prices: this.prices,
        net: this.net,
        values: this.values,
        copies: (i) => this.items[i]?.most as number,
        isShakable: (i) => this.isShakable[this.items[i]?.thing as number] === 1,
        enough: this.enough,
        most: this.slots - this.leastBrood,
        below: below - lowestBrood,
      }),
      shakes,
      below,
      ofEach,
    };
  }

  private stepsOf(shakes: readonly number[]): ShakeSteps {
    const most = 1.5 + Math.max(0, ...this.rules.map((r) => (r.beeWeight > 0 ? r.least / r.beeWeight : 0)));
    return new ShakeSteps(
      shakes.map((i) => [floatAt(this.bees, i), floatAt(this.prices, i)] as const),
      most,
    );
  }

  /** No nuc costs less than this, when the cheapest costs so much. */
  floor(cheapest: number): number {
    return cheapest + this.refund;
  }

  get leastBrood(): number {
    return numberAt(this.least, 0);
  }

  get mostBrood(): number {
    return Math.min(this.slots, numberAt(this.most, 0));
  }

  /** What a rule asks for when the brood takes from it as much as it can, and the rest as well. */
  private enoughBesideBrood(): Float64Array {
    const [brood = [], ...others] = this.combsByKind();
    return Float64Array.from(this.rules, ({ least }, r) => {
      const worst = (list: readonly number[]) =>
        list.reduce((w, i) => Math.min(w, cellAt(this.values, i, r)), 0);
      return least - this.mostBrood * worst(brood) - this.slots * worst(others.flat());
    });
  }

  private combsByKind(mayUse: (i: number) => boolean = () => true): number[][] {
    const lists: number[][] = [[], [], [], []];
    this.items.forEach((it, i) => {
      if (!it.isShake && mayUse(i)) lists[numberAt(this.kinds, i)]?.push(i);
    });
    return lists;
  }
}
