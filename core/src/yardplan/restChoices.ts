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
  readonly values: Float64Array;
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
  const lowest = kinds.map((k) => k.items.reduce((low, i) => Math.min(low, net[i] as number), Infinity));
  const nothing = { price: 0, net: 0, values: new Float64Array(enough.length), combs: 0, ofKind: 0 };
  let labels: Label[] = [{ ...nothing, isShakable: false, item: -1, before: null }];
  kinds.forEach(({ items, least }, k) => {
    // What has to follow, and what else may.
    const later = kinds.slice(k + 1);
    const neededLater = later.reduce((n, other) => n + other.least, 0);
    const priceLater = later.reduce(
      (sum, other, n) => sum + (other.least > 0 ? other.least * (lowest[k + 1 + n] as number) : 0),
      0,
    );
    const lowestLater = Math.min(0, ...lowest.slice(k));
    const mayLead = (combs: number, ofKind: number, soFar: number) => {
      const missing = Math.max(0, least - ofKind);
      const room = most - combs - missing - neededLater;
      if (room < 0) return false;
      const needed = missing > 0 ? missing * (lowest[k] as number) : 0;
      return soFar + needed + priceLater + room * lowestLater < below;
    };
    labels = labels.filter((l) => mayLead(l.combs, 0, l.net));
    for (const i of worthALook(items, market, rules)) {
      const own = values[i] as Float64Array;
      const isShakable = market.isShakable(i);
      for (let copy = Math.min(most, market.copies(i)); copy > 0; copy--) {
        const more: Label[] = [];
        for (const before of labels) {
          const soFar = before.net + (net[i] as number);
          if (!mayLead(before.combs + 1, before.ofKind + 1, soFar)) continue;
          const sum = before.values.slice();
          for (const r of rules) sum[r] = (sum[r] as number) + (own[r] as number);
          more.push({
            price: before.price + (prices[i] as number),
            net: soFar,
            values: sum,
            combs: before.combs + 1,
            ofKind: before.ofKind + 1,
            isShakable: isShakable || before.isShakable,
            item: i,
            before,
          });
        }
        labels = notOutdone(labels, more, rules, enough);
      }
    }
    labels = labels.filter((l) => l.ofKind >= least).map((l) => ({ ...l, ofKind: 0 }));
  });
  return labels.map(({ price, values: sum, ...label }) => ({ price, values: sum, items: itemsOf(label) }));
}

/** Combs that are not outdone by as many others of their kind as can be chosen. */
function worthALook(items: readonly number[], market: RestMarket, rules: readonly number[]): number[] {
  const { prices, values, most } = market;
  const outdoes = (a: number, b: number) =>
    (prices[a] as number) <= (prices[b] as number) &&
    !market.isShakable(a) &&
    rules.every((r) => (values[a]?.[r] as number) >= (values[b]?.[r] as number));
  return items.filter((b) => {
    let better = 0;
    for (const a of items) {
      if (a === b || !outdoes(a, b)) continue;
      // Of two that are alike the first stays.
      if (a > b && outdoes(b, a)) continue;
      better += market.copies(a);
      if (better >= most) return false;
    }
    return true;
  });
}

/** Two lists by price as one, without what is outdone. */
function notOutdone(
  some: readonly Label[],
  more: readonly Label[],
  rules: readonly number[],
  enough: Float64Array,
): Label[] {
  const kept: Label[] = [];
  let i = 0;
  let j = 0;
  while (i < some.length || j < more.length) {
    const a = some[i];
    const b = more[j];
    const isFirst = b === undefined || (a !== undefined && a.price <= b.price);
    const next = (isFirst ? a : b) as Label;
    if (isFirst) i++;
    else j++;
    if (!kept.some((k) => isOutdone(next, k, rules, enough))) kept.push(next);
  }
  return kept;
}

/** Whether a choice that is no cheaper adds no more either. */
function isOutdone(label: Label, by: Label, rules: readonly number[], enough: Float64Array): boolean {
  // Bees of a comb that is chosen cannot be shaken: another choice may still need them.
  if (by.combs > label.combs || by.isShakable) return false;
  for (const r of rules) {
    const has = by.values[r] as number;
    if (has < (label.values[r] as number) - SAME && has < (enough[r] as number)) return false;
  }
  return true;
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
