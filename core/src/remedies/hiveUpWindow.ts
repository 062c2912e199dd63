import { addDays, dayInWords, type Day } from '../basics/index.ts';
import { isOutgrown, NUC_SLOTS } from '../rules/index.ts';
import { boundsOfPresentQueen, layingChance, type UnitFacts } from './unit/unitFacts.ts';
import { broodOf, unitAfter } from './unit/unitProspect.ts';

/** When a nuc is ready for a full-sized box, and the last day on which that still makes sense. */
export interface HiveUpWindow {
  /** The day from which it is ready; null when it is not within sight. */
  readonly ready: Day | null;
  readonly last: Day;
  readonly bees: number;
  readonly brood: number;
  readonly words: string;
}

const DAYS_AHEAD = 42;

/** The window of a nuc; null for what stands in a full-sized box, was not counted, or has no laying queen. */
export function hiveUpWindow(facts: UnitFacts): HiveUpWindow | null {
  const { slots, unit, day, season, counted, sick } = facts;
  if (slots > NUC_SLOTS || slots === 0 || !counted || sick || layingChance(facts) < 0.5) return null;
  const bounds = boundsOfPresentQueen(facts);
  let ready: Day | null = null;
  for (let d = 0; d <= DAYS_AHEAD && ready === null; d++) {
    const then = unitAfter(unit, 0, d, bounds);
    if (isOutgrown({ bees: then.bees, brood: broodOf(then), slots }, facts.rules)) ready = addDays(day, d);
  }
  const last = season.lastForWinterBees;
  return { ready, last, bees: unit.bees, brood: broodOf(unit), words: inWords(ready, last, day) };
}

function inWords(ready: Day | null, last: Day, day: Day): string {
  if (day > last) {
    return `Too late this year: after ${dayInWords(last)} it does not fill a box before winter. Winter it as a nuc, above a strong neighbour, or unite it.`;
  }
  if (ready === null) return `Not within six weeks. It makes sense until ${dayInWords(last)}.`;
  if (ready > last)
    return `Ready about ${dayInWords(ready)}, after the last day that makes sense (${dayInWords(last)}): winter it as a nuc.`;
  return ready === day
    ? `Ready now: a warm day, the same stand. It makes sense until ${dayInWords(last)}.`
    : `Ready about ${dayInWords(ready)}. It makes sense until ${dayInWords(last)}.`;
}

/** Nucs that stand by, and how many should. */
export interface NucReserve {
  readonly has: number;
  readonly wants: number;
  readonly words: string;
}

/** The reserve of an operation: queenright nucs against what the house rule asks for. */
export function nucReserve(all: readonly UnitFacts[]): NucReserve {
  const nucs = all.filter((f) => f.slots <= NUC_SLOTS && f.slots > 0 && layingChance(f) >= 0.5 && !f.sick);
  const colonies = all.length - nucs.length;
  const rule = all[0]?.rules.nucReserve ?? 0;
  const wants = Math.round((colonies / 10) * rule);
  const has = nucs.length;
  return {
    has,
    wants,
    words:
      has >= wants
        ? `${has} standing by for ${colonies} colonies; ${wants} would do.`
        : `${has} standing by for ${colonies} colonies; ${wants} are wanted: make ${wants - has} more, or hive none up yet.`,
  };
}
