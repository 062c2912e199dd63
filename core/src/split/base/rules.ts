import type { RuleLine } from '../../records/index.ts';
import type { PartMeasure } from './measure.ts';

/**
 * One rule of a plan: a number that must reach, or stay under, a threshold.
 *
 * The same list prices a choice in the search and draws the ledger, so what is optimised and what is shown
 * cannot differ.
 */
export interface PlanRule {
  readonly id: string;
  readonly label: string;
  readonly unit: string;
  readonly sense: 'atLeast' | 'atMost';
  readonly threshold: number;
  /** Within this much of the threshold a met rule is shown as near. */
  readonly nearWithin: number;
  /** Price of missing the threshold by one unit, in the search. */
  readonly price: number;
  readonly why: string;
  readonly value: (stay: PartMeasure, fresh: PartMeasure) => number;
  /** What would mend it; how much is missing is written out, in tenths at most. */
  readonly mend: (missing: string) => string;
}

/** How far a value misses a rule's threshold; 0 when it is met. */
export function missedBy(rule: PlanRule, value: number): number {
  const missing = rule.sense === 'atLeast' ? rule.threshold - value : value - rule.threshold;
  return missing > 1e-9 ? missing : 0;
}

/** What a set of rules charges for two parts. */
export function priceOf(rules: readonly PlanRule[], stay: PartMeasure, fresh: PartMeasure): number {
  let price = 0;
  for (const rule of rules) {
    const missing = missedBy(rule, rule.value(stay, fresh));
    // A fixed part makes one rule broken worse than the same shortage spread over none.
    if (missing > 0) price += rule.price * (0.5 + missing);
  }
  return price;
}

/** The ledger of two parts: one line a rule, with its number, its threshold and what would mend it. */
export function ledgerOf(rules: readonly PlanRule[], stay: PartMeasure, fresh: PartMeasure): RuleLine[] {
  return rules.map((rule) => {
    const value = rule.value(stay, fresh);
    const missing = missedBy(rule, value);
    const slack = Math.abs(rule.threshold - value);
    return {
      id: rule.id,
      label: rule.label,
      state: missing > 0 ? 'broken' : slack < rule.nearWithin ? 'near' : 'met',
      value: tidy(value),
      threshold: rule.threshold,
      sense: rule.sense,
      unit: rule.unit,
      why: rule.why,
      mend: missing > 0 ? rule.mend(inTenths(missing)) : '',
    };
  });
}

/** Two decimals are all that a count by eye carries. */
function tidy(n: number): number {
  return Math.round(n * 100) / 100;
}

/** In words a tenth is enough; less than that is said as one. */
const inTenths = (n: number) => String(Math.max(0.1, Math.round(n * 10) / 10));

/** Bees over brood; a part without brood is covered whatever its bees. */
export function coverOf(part: PartMeasure): number {
  if (part.warmedFrames < 0.05) return 0;
  return part.warmedFrames / Math.max(part.framesOfBeesAfterDrift, 0.01);
}
