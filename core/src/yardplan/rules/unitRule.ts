import { floatAt } from '../../basics/index.ts';
import type { RuleLine } from '../../records/index.ts';
import { AT, type Measure, type Measured } from './measures.ts';

/**
 * One rule or wish about one unit: a weighted sum of its measures that must reach, or stay under, a
 * threshold.
 */
export interface UnitRule {
  readonly id: string;
  readonly label: string;
  readonly unit: string;
  readonly terms: readonly (readonly [Measure, number])[];
  /** What is there whatever is moved: left out of sum and threshold, added to both where they are shown. */
  readonly besides?: number;
  readonly sense: 'atLeast' | 'atMost';
  readonly threshold: number;
  /** A rule is never broken by a plan; a wish is only priced. */
  readonly hard: boolean;
  /** Price of missing the threshold by one: what a wish costs, and what the search pays on its way. */
  readonly price: number;
  readonly nearWithin: number;
  readonly why: string;
  /** What would mend it when it is missed by so much. */
  readonly mend: (missing: string) => string;
  /** The goal that wishes it; null for house rules. */
  readonly goalId: string | null;
  /** Shown as a ratio of two measures, where the sum itself means nothing to the eye. */
  readonly ratio?: { readonly of: Measure; readonly to: Measure; readonly threshold: number };
}

/** The weighted sum of a rule. */
export function sumOf(rule: UnitRule, measured: Measured): number {
  let sum = 0;
  for (const [measure, weight] of rule.terms) sum += weight * floatAt(measured, AT[measure]);
  return sum;
}

/** Sums of floats carry noise; less than this is nothing. */
export const NOISE = 1e-7;

/** By how much the threshold is missed; 0 when it is met. */
export function missingOf(rule: UnitRule, measured: Measured): number {
  const value = sumOf(rule, measured);
  const missing = rule.sense === 'atLeast' ? rule.threshold - value : value - rule.threshold;
  return missing > NOISE ? missing : 0;
}

/** The rule as a line of the ledger. */
export function lineOf(rule: UnitRule, measured: Measured, unitName: string): RuleLine {
  const missing = noticedOf(rule, measured);
  const { ratio } = rule;
  const value = ratio
    ? floatAt(measured, AT[ratio.of]) / Math.max(floatAt(measured, AT[ratio.to]), 0.01)
    : sumOf(rule, measured) + (rule.besides ?? 0);
  const threshold = ratio?.threshold ?? rule.threshold + (rule.besides ?? 0);
  return {
    id: rule.id,
    label: `${rule.label} · ${unitName}`,
    state: stateOf(rule, missing, Math.abs(threshold - value)),
    value: tidy(value),
    threshold: tidy(threshold),
    sense: rule.sense,
    unit: rule.unit,
    why: rule.why,
    mend: missing > 0 ? rule.mend(inTenths(missing)) : '',
  };
}

/** What is missing as far as it matters: counts are by tenths of a side, and of a wish nobody would notice less than a tenth of a comb. */
export function noticedOf(rule: UnitRule, measured: Measured): number {
  const missing = missingOf(rule, measured);
  return rule.hard || missing >= 0.1 ? missing : 0;
}

/** A wish that is missed breaks nothing: it is shown as near, with what is missing. */
function stateOf(rule: UnitRule, missing: number, slack: number): RuleLine['state'] {
  if (missing > 0) return rule.hard ? 'broken' : 'near';
  return slack < rule.nearWithin && rule.hard ? 'near' : 'met';
}

/** What is missing, as it is said: in tenths, and never as nothing. */
export const inTenths = (n: number): string => String(Math.max(0.1, Math.round(n * 10) / 10));

/** Two decimals are all that a count by eye carries. */
export function tidy(n: number): number {
  return Math.round(n * 100) / 100;
}
