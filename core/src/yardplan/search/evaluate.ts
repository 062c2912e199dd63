import { floatAt, numberAt } from '../../basics/index.ts';
import type { RuleLine } from '../../records/index.ts';
import { stayShares } from '../../rules/index.ts';
import { effectsOfPlace, effectsOfShake } from '../problem/effects.ts';
import { AT, MEASURE_COUNT, noMeasures, type Measured } from '../rules/measures.ts';
import { PRICES, priceOfMove, priceOfShake } from '../problem/prices.ts';
import { STORE, type Assignment, type YardProblem, type YardUnit } from '../problem/problem.ts';
import { inTenths, lineOf, missingOf, noticedOf, type UnitRule } from '../rules/unitRule.ts';

/** What was wished and by how much it is missed. */
interface Shortfall {
  readonly goalId: string;
  /** Null for nucs that were not made. */
  readonly unit: number | null;
  readonly missing: number;
  /** In words, with the number and what would mend it. */
  readonly text: string;
}

/** A plan weighed up. */
export interface Evaluation {
  /** Measures of every unit when the work is done; zero for a nuc that is not made. */
  readonly after: readonly Measured[];
  /** Units that are there afterwards: all colonies, and the nucs that are made. */
  readonly present: readonly boolean[];
  /** What the plan costs in points; lower is better. */
  readonly cost: number;
  /** Rules that are broken, by how much together; 0 for a plan that may be carried out. */
  readonly broken: readonly RuleLine[];
  readonly shortfalls: readonly Shortfall[];
  readonly nucsMade: number;
  readonly hivesOpened: number;
  readonly combsCarried: number;
  readonly combsFromStore: number;
  readonly framesShaken: number;
}

/**
 * Weighs a plan up from nothing: adds up every unit frame by frame and checks every rule and wish.
 *
 * The search keeps sums of its own while it tries things; what is shown, kept and promised comes from here.
 */
export function evaluate(problem: YardProblem, plan: Assignment): Evaluation {
  const { units, frames } = problem;
  const after = measure(problem, plan);
  const made = new Set<number>();
  let work = 0;
  let combsCarried = 0;
  let combsFromStore = 0;
  let framesShaken = 0;
  frames.forEach((f, i) => {
    const to = numberAt(plan.to, i);
    if (to !== STORE && units[to]?.kind === 'nuc') made.add(to);
    if (to !== f.home) {
      work += priceOfMove(problem, f, units[to] ?? null);
      if (f.home === STORE) combsFromStore++;
      else combsCarried++;
    }
    if (plan.shakenFor[i] !== null) {
      work += priceOfShake(f);
      framesShaken++;
    }
  });
  const present = units.map((u) => u.kind === 'colony' || made.has(u.index));
  const opened = units.filter((u) => u.kind === 'colony' && (after[u.index]?.[AT.touched] ?? 0) > 0);
  work += opened.length * PRICES.hiveOpened;

  const broken: RuleLine[] = [];
  const shortfalls: Shortfall[] = [];
  for (const u of units) {
    const measured = after[u.index] as Measured;
    if (!present[u.index]) {
      if (floatAt(measured, AT.touched) > 0) broken.push(shakenIntoNothing(u));
      continue;
    }
    for (const rule of u.rules) {
      const missing = missingOf(rule, measured);
      if (missing === 0) continue;
      if (rule.hard) {
        broken.push(lineOf(rule, measured, u.name));
        continue;
      }
      work += rule.price * missing;
      if (noticedOf(rule, measured) > 0) shortfalls.push(shortOf(rule, u, missing));
    }
  }
  for (const goal of problem.nucGoals) {
    const n = [...made].filter((i) => units[i]?.goalId === goal.id).length;
    work += PRICES.nucMissing * Math.abs(goal.wanted - n);
    if (goal.count !== null && n < goal.count) {
      shortfalls.push({
        goalId: goal.id,
        unit: null,
        missing: goal.count - n,
        text: `${n} of ${goal.count} nucs can be made.`,
      });
    }
  }
  broken.push(...limitsBroken(problem, opened.length, combsCarried));
  return {
    after,
    present,
    cost: work,
    broken,
    shortfalls,
    nucsMade: made.size,
    hivesOpened: opened.length,
    combsCarried,
    combsFromStore,
    framesShaken,
  };
}

/** The measures of every unit under a plan. */
export function measure(problem: YardProblem, plan: Assignment): Measured[] {
  const { units } = problem;
  const shares = stayShares(problem.rules);
  const after = units.map(() => noMeasures());
  const add = (unit: number, by: Measured) => {
    const sum = after[unit] as Measured;
    for (let m = 0; m < MEASURE_COUNT; m++) sum[m] = floatAt(sum, m) + floatAt(by, m);
  };
  problem.frames.forEach((f, i) => {
    const effects = effectsOfPlace(f, numberAt(plan.to, i), units, (g, d) => g.stay[d]);
    for (const e of effects) add(e.unit, e.by);
    const target = plan.shakenFor[i];
    if (target !== null && target !== undefined) {
      for (const e of effectsOfShake(f, target, units, shares)) add(e.unit, e.by);
    }
  });
  return after;
}

/** The rules and wishes of the units that a plan touches, as lines: broken first is the reader's matter. */
export function ledgerOf(problem: YardProblem, seen: Evaluation): { unit: number; lines: RuleLine[] }[] {
  return problem.units
    .filter((u) => seen.present[u.index] && (u.kind === 'nuc' || isConcerned(u, seen)))
    .map((u) => ({
      unit: u.index,
      lines: u.rules.filter((r) => !isIdle(r)).map((r) => lineOf(r, seen.after[u.index] as Measured, u.name)),
    }));
}

/** It is touched, or something is wished of it. */
const isConcerned = (u: YardUnit, seen: Evaluation) =>
  (seen.after[u.index]?.[AT.touched] ?? 0) > 0 || u.rules.some((r) => !r.hard);

/** A rule that cannot be missed says nothing to the reader. */
const isIdle = (r: UnitRule) => r.sense === 'atLeast' && r.threshold <= 0;

function shortOf(rule: UnitRule, u: YardUnit, missing: number): Shortfall {
  return {
    goalId: rule.goalId ?? '',
    unit: u.index,
    missing,
    text: `${u.name}, ${rule.label.toLowerCase()}: ${rule.mend(inTenths(missing))}`,
  };
}

const shakenIntoNothing = (u: YardUnit): RuleLine => ({
  id: `${u.key}/shaken-into-nothing`,
  label: `Bees shaken for a nuc that is not made · ${u.name}`,
  state: 'broken',
  value: 1,
  threshold: 0,
  sense: 'atMost',
  unit: 'frames',
  why: 'Bees need a box and combs.',
  mend: 'Give it its combs, or shake no bees for it.',
});

function limitsBroken(problem: YardProblem, hives: number, combs: number): RuleLine[] {
  const { limits } = problem.request;
  const line = (id: string, label: string, value: number, most: number | null): RuleLine[] =>
    most === null || value <= most
      ? []
      : [
          {
            id,
            label,
            state: 'broken',
            value,
            threshold: most,
            sense: 'atMost',
            unit: 'today',
            why: 'The limit that you set for the day.',
            mend: `${value - most} more than you want to do in a day.`,
          },
        ];
  return [
    ...line('limit/hives', 'Hives opened', hives, limits.hives),
    ...line('limit/frames', 'Frames carried', combs, limits.frames),
  ];
}
