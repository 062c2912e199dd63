import type { NucPricer } from './nucPricer.ts';

/** Steps taken; the worth changes little after them. */
const STEPS = 40;
const FIRST_STEP = 2;
const SHORTER = 0.8;

/**
 * What keeping each rule that only combs help is worth at these prices. With it taken off the prices of combs,
 * the cheapest combs kind by kind come near to the cheapest nuc.
 *
 * Any worth gives a bound, a good one a tight bound: it is found by subgradient steps.
 *
 * @returns worth by rule, and the sum of worth times what the rules ask for
 */
export function ruleWorth(
  pricer: NucPricer,
  byKind: readonly (readonly number[])[],
  prices: Float64Array,
): { readonly worth: Float64Array; readonly owed: number } {
  const { rules, values, least, most } = pricer;
  const combRules = rules.flatMap((rule, r) => (rule.beeWeight > 0 ? [] : [r]));
  const leastOf = (r: number) => rules[r]?.least ?? 0;
  const worth = new Float64Array(rules.length);
  let best = worth.slice();
  let bestValue = -Infinity;
  let step = FIRST_STEP;
  for (let t = 0; t < STEPS; t++) {
    let value = 0;
    const lacking = new Float64Array(rules.length);
    for (const r of combRules) {
      value += (worth[r] as number) * leastOf(r);
      lacking[r] = leastOf(r);
    }
    byKind.forEach((list, k) => {
      const needed = least[k] as number;
      cheapestOf(list, Math.max(needed, 1), (i) => {
        const v = values[i] as Float64Array;
        let net = prices[i] as number;
        for (const r of combRules) net -= (worth[r] as number) * (v[r] as number);
        return net;
      }).forEach(([net, i], at) => {
        if (at >= needed && (net >= 0 || at >= (most[k] as number))) return;
        value += net;
        const v = values[i] as Float64Array;
        for (const r of combRules) lacking[r] = (lacking[r] as number) - (v[r] as number);
      });
    });
    if (value > bestValue + 1e-9) {
      bestValue = value;
      best = worth.slice();
    } else step *= SHORTER;
    const norm = Math.hypot(...combRules.map((r) => lacking[r] as number));
    if (norm < 1e-6) break;
    for (const r of combRules) {
      worth[r] = Math.max(0, (worth[r] as number) + (step * (lacking[r] as number)) / norm);
    }
  }
  return { worth: best, owed: combRules.reduce((s, r) => s + (best[r] as number) * leastOf(r), 0) };
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
