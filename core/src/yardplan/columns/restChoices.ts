import { byteAt, cellAt, floatAt, numberAt } from '../../basics/index.ts';
/** Combs that a nuc gets beside those with brood: stores, empty comb and whatever else. */
export interface RestChoice {
  readonly price: number;
  /** By rule: what they add to it. */
  readonly values: Float64Array;
  readonly items: readonly number[];
}

/** What such combs are chosen from. */
export interface RestMarket {
  /** By kind of comb: items, and how many of the kind are needed at least. */
  readonly kinds: readonly { readonly items: readonly number[]; readonly least: number }[];
  /** By item; and less what it is worth to the rules. */
  readonly prices: Float64Array;
  readonly net: Float64Array;
  /** By item and rule. */
  readonly values: readonly Float64Array[];
  readonly copies: (item: number) => number;
  /** A comb whose bees may be shaken out for the same nuc instead. */
  readonly isShakable: (item: number) => boolean;
  /** By rule: more than this is of no use, whatever is added. */
  readonly enough: Float64Array;
  /** Combs at most. */
  readonly most: number;
  /** Choices whose net price is as high are of no interest. */
  readonly below: number;
}

/** A choice in the making. */
interface Label {
  readonly price: number;
  readonly net: number;
  /** What it adds to the rules that any comb adds to, in their order; and the same as far as it is of use. */
  readonly adds: Float64Array;
  readonly useful: Float64Array;
  readonly combs: number;
  /** Combs of this kind, and those of earlier kinds that were needed are there. */
  readonly ofKind: number;
  readonly isShakable: boolean;
  readonly item: number;
  readonly before: Label | null;
}

/**
 * All choices that no other outdoes: none is cheaper, takes no more slots and adds as much to every rule. The
 * cheapest nuc has one of them, whatever its brood is.
 *
 * Comb by comb, choices with it are set beside those without, and what is outdone is dropped at once: nothing
 * that follows can tell them apart (Nemhauser and Ullmann, Management Science 15, 1969).
 *
 * @returns by price
 */
export function restChoices(market: RestMarket): RestChoice[] {
  const { prices, net, values, below, most, enough, kinds } = market;
  const all = kinds.flatMap((k) => k.items);
  const rules = [...enough.keys()].filter((r) => all.some((i) => values[i]?.[r] !== 0));
  const enoughOf = rules.map((r) => floatAt(enough, r));
  const lowest = kinds.map((k) => k.items.reduce((low, i) => Math.min(low, floatAt(net, i)), Infinity));
  const adds = new Float64Array(rules.length);
  const useful = Float64Array.from(enoughOf, (most) => Math.min(0, most));
  const nothing = { price: 0, net: 0, adds, useful, combs: 0, ofKind: 0 };
  let labels: Label[] = [{ ...nothing, isShakable: false, item: -1, before: null }];
  kinds.forEach(({ items, least }, k) => {
    // What has to follow, and what else may.
    const later = kinds.slice(k + 1);
    const neededLater = later.reduce((n, other) => n + other.least, 0);
    const priceLater = later.reduce(
      (sum, other, n) => sum + (other.least > 0 ? other.least * numberAt(lowest, k + 1 + n) : 0),
      0,
    );
    const lowestLater = Math.min(0, ...lowest.slice(k));
    const mayLead = (combs: number, ofKind: number, soFar: number) => {
      const missing = Math.max(0, least - ofKind);
      const room = most - combs - missing - neededLater;
      if (room < 0) return false;
      const needed = missing > 0 ? missing * numberAt(lowest, k) : 0;
      return soFar + needed + priceLater + room * lowestLater < below;
    };
    labels = labels.filter((l) => mayLead(l.combs, 0, l.net));
    for (const i of worthALook(items, market, rules)) {
      const comb: Comb = {
        item: i,
        price: floatAt(prices, i),
        net: floatAt(net, i),
        adds: Float64Array.from(rules, (r) => cellAt(values, i, r)),
        isShakable: market.isShakable(i),
        enough: enoughOf,
      };
      for (let copy = Math.min(most, market.copies(i)); copy > 0; copy--) {
        labels = withAndWithout(labels, comb, mayLead);
      }
    }
    labels = labels.filter((l) => l.ofKind >= least).map((l) => ({ ...l, ofKind: 0 }));
  });
  return labels.map((label) => {
    const sum = new Float64Array(enough.length);
    rules.forEach((r, n) => (sum[r] = floatAt(label.adds, n)));
    return { price: label.price, values: sum, items: itemsOf(label) };
  });
}

/** Combs that are not outdone by as many others of their kind as can be chosen. */
function worthALook(items: readonly number[], market: RestMarket, rules: readonly number[]): number[] {
  const { prices, values, most } = market;
  const price = (i: number) => floatAt(prices, i);
  const byPrice = items.toSorted((a, b) => price(a) - price(b) || a - b);
  const adds = byPrice.map((i) => rules.map((r) => cellAt(values, i, r)));
  const outdoes = (a: readonly number[], b: readonly number[]) => {
    let r = 0;
    while (r < b.length && numberAt(a, r) >= numberAt(b, r)) r++;
    return r === b.length;
  };
  const worth = new Set<number>();
  byPrice.forEach((b, n) => {
    let better = 0;
    // Of two that are alike the first stays.
    for (let m = 0; m < n && better < most; m++) {
      const a = numberAt(byPrice, m);
      if (market.isShakable(a) || !outdoes(adds[m] ?? [], adds[n] ?? [])) continue;
      better += market.copies(a);
    }
    if (better < most) worth.add(b);
  });
  return items.filter((i) => worth.has(i));
}

/** A comb that may be chosen besides. */
interface Comb {
  readonly item: number;
  readonly price: number;
  readonly net: number;
  readonly adds: Float64Array;
  readonly isShakable: boolean;
  /** By rule: more than this is of no use. */
  readonly enough: readonly number[];
}

/**
 * Choices with a comb beside those without it, by price as they were; what is outdone is dropped.
 *
 * Most choices are outdone: an object is made only of those that are kept.
 */
function withAndWithout(
  labels: readonly Label[],
  comb: Comb,
  mayLead: (combs: number, ofKind: number, net: number) => boolean,
): Label[] {
  const kept: Label[] = [];
  const outdoers = new Outdoers(comb.enough.length, 2 * labels.length);
  const keep = (label: Label) => {
    kept.push(label);
    // Bees of a comb that is chosen cannot be shaken: another choice may still need them.
    if (!label.isShakable) outdoers.add(label);
  };
  const useful = new Float64Array(comb.enough.length);
  let without = 0;
  let withIt = 0;
  for (;;) {
    const label = labels[without];
    const before = labels[withIt];
    if (before && !mayLead(before.combs + 1, before.ofKind + 1, before.net + comb.net)) {
      withIt++;
      continue;
    }
    if (label && (!before || label.price <= before.price + comb.price)) {
      without++;
      if (!outdoers.outdo(label.useful, label.combs)) keep(label);
      continue;
    }
    if (!before) return kept;
    withIt++;
    for (let r = 0; r < useful.length; r++) {
      const sum = floatAt(before.adds, r) + floatAt(comb.adds, r);
      useful[r] = Math.min(sum, numberAt(comb.enough, r));
    }
    if (outdoers.outdo(useful, before.combs + 1)) continue;
    keep({
      price: before.price + comb.price,
      net: before.net + comb.net,
      adds: before.adds.map((added, r) => added + floatAt(comb.adds, r)),
      useful: useful.slice(),
      combs: before.combs + 1,
      ofKind: before.ofKind + 1,
      isShakable: comb.isShakable || before.isShakable,
      item: comb.item,
      before,
    });
  }
}

/** Choices that others are held against, side by side in memory: most of the time goes here. */
class Outdoers {
  private count = 0;
  private readonly rules: number;
  private readonly useful: Float64Array;
  private readonly combs: Uint8Array;

  constructor(rules: number, most: number) {
    this.rules = rules;
    this.useful = new Float64Array(rules * most);
    this.combs = new Uint8Array(most);
  }

  add({ useful, combs }: Label): void {
    this.useful.set(useful, this.count * this.rules);
    this.combs[this.count] = combs;
    this.count++;
  }

  /** Whether one takes no more combs and is of no less use. */
  outdo(useful: Float64Array, combs: number): boolean {
    const { rules } = this;
    for (let k = 0, at = 0; k < this.count; k++, at += rules) {
      if (byteAt(this.combs, k) > combs) continue;
      let r = 0;
      while (r < rules && floatAt(this.useful, at + r) >= floatAt(useful, r) - SAME) r++;
      if (r === rules) return true;
    }
    return false;
  }
}

/** Sums of floats carry noise: less than this is no difference. */
const SAME = 1e-12;

function itemsOf(label: Pick<Label, 'item' | 'before'>): number[] {
  const items: number[] = [];
  for (let at: Pick<Label, 'item' | 'before'> | null = label; at && at.item >= 0; at = at.before) {
    items.push(at.item);
  }
  return items;
}
