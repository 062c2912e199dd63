import { daysBetween, yearOf } from '../../basics/index.ts';
import type { Apiary } from '../../records/index.ts';
import { USUAL_FLOWS } from './seasonWeek.ts';

/** What yields are against a usual year: the middle, how far years are from each other, and on how many flows and years of harvest that rests. */
export interface OwnFlows {
  readonly likely: number;
  readonly spread: number;
  readonly flows: number;
}

/** A usual year counts as much as so many flows of one's own; years differ by about a half (common practice, no source). */
const USUAL_COUNTS = 3;
const YEARS_DIFFER = 0.55;
/** A flow of fewer days says nothing of a year. */
const LONG_ENOUGH = 7;

/** What a harvested colony gives in a usual year, in kg (common practice, no source; from memory). */
const USUAL_HARVEST_KG = 25;

/** Honey of past years, each colony that was harvested against a usual one. */
function ownHarvests(apiary: Apiary): number[] {
  const years = new Map<number, { kg: number; colonies: Set<string> }>();
  for (const { day, colonyId, body } of Object.values(apiary.event)) {
    if (body.what !== 'harvested') continue;
    const year = years.get(yearOf(day)) ?? { kg: 0, colonies: new Set() };
    year.kg += body.kg;
    year.colonies.add(colonyId);
    years.set(yearOf(day), year);
  }
  return [...years.values()].map((y) => y.kg / y.colonies.size / USUAL_HARVEST_KG);
}

/** Learned from flows that were weighed, by what ten frames of bees gained in a day, and from harvests. */
export function ownFlows(apiary: Apiary): OwnFlows {
  const weighed = Object.values(apiary.yard)
    .flatMap((y) => y.season?.flows ?? [])
    .filter((f) => f.kgPerDay !== null && f.to !== null && daysBetween(f.from, f.to) >= LONG_ENOUGH)
    .map((f) => (f.kgPerDay ?? 0) / USUAL_FLOWS.main);
  const own = [...weighed, ...ownHarvests(apiary)];
  const likely = (USUAL_COUNTS + own.reduce((n, k) => n + k, 0)) / (USUAL_COUNTS + own.length);
  return {
    likely,
    // What the usual is for this keeper is itself in doubt while there are few years.
    spread: YEARS_DIFFER * Math.sqrt(1 + 1 / (USUAL_COUNTS + own.length)),
    flows: own.length,
  };
}
