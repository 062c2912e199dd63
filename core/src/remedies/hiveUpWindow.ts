import { addDays, dayInWords, type Day } from '../basics/index.ts';
import { isNuc, isOutgrown } from '../rules/index.ts';
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
  const { slots, storeys, unit, day, season, counted, sick } = facts;
  if (!isNuc(facts) || !counted || sick || layingChance(facts) < 0.5) return null;
  const bounds = boundsOfPresentQueen(facts);
  let ready: Day | null = null;
  for (let d = 0; d <= DAYS_AHEAD && ready === null; d++) {
    const then = unitAfter(unit, 0, d, bounds);
    if (isOutgrown({ bees: then.bees, brood: broodOf(then), slots, storeys }, facts.rules))
      ready = addDays(day, d);
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
