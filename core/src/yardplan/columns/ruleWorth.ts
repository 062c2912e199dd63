import { floatAt, numberAt } from '../../basics/index.ts';
import type { NucPricer } from './nucPricer.ts';

/** Steps taken; the worth changes little after them. */
const STEPS = 40;
const FIRST_STEP = 2;
const SHORTER = 0.8;

/**
 * What keeping each rule is worth at these prices. With it taken off the prices of combs, the cheapest combs kind
 * by kind come near to the cheapest nuc.
 *
 * Any worth gives a bound, a good one a tight bound: it is found by subgradient steps. Rules that bees help are
 * worth no more together than the bees that are shaken in for them.
 *
 * @param ofBees - the least price of a frame of bees shaken in; infinite where none are
 * @returns worth by rule, and the sum of worth times what the rules ask for
 */
export function ruleWorth(
  pricer: NucPricer,
  byKind: readonly (readonly number[])[],
  prices: Float64Array,
  ofBees: number,
): { readonly worth: Float64Array; readonly owed: number } {
  const { rules, values, least, most } = pricer;
  const beeRules = rules.flatMap((rule, r) => (rule.beeWeight > 0 ? [r] : []));
  const weightOf = (r: number) => rules[r]?.beeWeight ?? 0;
  const leastOf = (r: number) => rules[r]?.least ?? 0;
  const worth = new Float64Array(rules.length);
  let best = worth.slice();
  let bestValue = -Infinity;
  let step = FIRST_STEP;
  for (let t = 0; t < STEPS; t++) {
    let value = 0;
    const lacking = new Float64Array(rules.length);
    for (const r of rules.keys()) {
      value += floatAt(worth, r) * leastOf(r);
      lacking[r] = leastOf(r);
    }
    byKind.forEach((list, k) => {
      const needed = numberAt(least, k);
      cheapestOf(list, Math.max(needed, 1), (i) => {
        const v = values[i] as Float64Array;
        let net = floatAt(prices, i);
        for (let r = 0; r < rules.length; r++) net -= floatAt(worth, r) * floatAt(v, r);
        return net;
      }).forEach(([net, i], at) => {
        if (at >= needed && (net >= 0 || at >= numberAt(most, k))) return;
        value += net;
        const v = values[i] as Float64Array;
        for (let r = 0; r < rules.length; r++) lacking[r] = floatAt(lacking, r) - floatAt(v, r);
      });
    });
    if (value > bestValue + 1e-9) {
      bestValue = value;
      best = worth.slice();
    } else step *= SHORTER;
    const norm = Math.hypot(...lacking);
    if (norm < 1e-6) break;
    for (let r = 0; r < rules.length; r++) {
      worth[r] = Math.max(0, floatAt(worth, r) + (step * floatAt(lacking, r)) / norm);
    }
    const together = beeRules.reduce((sum, r) => sum + floatAt(worth, r) * weightOf(r), 0);
    if (together > ofBees) for (const r of beeRules) worth[r] = (floatAt(worth, r) * ofBees) / together;
  }
  return { worth: best, owed: best.reduce((s, w, r) => s + w * leastOf(r), 0) };
}

/** The n lowest of a list, lowest first. */
function cheapestOf(list: readonly number[], n: number, netOf: (i: number) => number): [number, number][] {
  const lowest: [number, number][] = [];
  for (const i of list) {
    const net = netOf(i);
    if (lowest.length >= n && net >= (lowest.at(-1) as [number, number])[0]) continue;
    if (lowest.length >= n) lowest.pop();
    let at = lowest.length;
    while (at > 0 && (lowest[at - 1] as [number, number])[0] > net) at--;
    lowest.splice(at, 0, [net, i]);
  }
  return lowest;
}
