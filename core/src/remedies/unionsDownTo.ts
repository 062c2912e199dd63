import type { Day } from '../basics/index.ts';
import { expectationOf } from './unit/expectation.ts';
import { bestUnion, type Union } from './unit/partners.ts';
import type { UnitFacts } from './unit/unitFacts.ts';

/** A union that brings the number of colonies down by one. */
export interface StepDown {
  readonly from: UnitFacts;
  readonly union: Union;
}

/** Colonies that are expected to live with a laying queen on a day, of all units as they stand. */
export function expectedColonies(all: readonly UnitFacts[], on: Day): number {
  return all.reduce((sum, f) => sum + expectationOf(f, 'leave', on).colonies, 0);
}

/**
 * Which units to unite to come down to a number: the weakest first, each with the partner that gains most, none
 * twice. Fewer when no more healthy pairs are left.
 */
export function unionsDownTo(all: readonly UnitFacts[], wanted: number, on: Day): StepDown[] {
  const steps: StepDown[] = [];
  const used = new Set<string>();
  const weakest = all
    .filter((f) => !f.sick && f.counted)
    .map((f) => ({ f, then: expectationOf(f, 'leave', on).strength }))
    .toSorted((a, b) => a.then - b.then);
  for (const { f } of weakest) {
    if (all.length - steps.length <= wanted) break;
    if (used.has(f.colony.id)) continue;
    const free = all.filter((o) => !used.has(o.colony.id) && o.yardId === f.yardId);
    const union = bestUnion(f, free, on);
    if (!union) continue;
    used.add(f.colony.id);
    used.add(union.partner.colony.id);
    steps.push({ from: f, union });
  }
  return steps;
}
