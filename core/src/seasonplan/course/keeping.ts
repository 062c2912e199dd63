import type { SeasonWeek } from '../year/seasonWeek.ts';
import type { Family } from './family.ts';
import { HOURS } from './hours.ts';
import type { SeasonRun } from './seasonRun.ts';

/** Syrup is given when food lasts for less than so long, up to so much. */
const FED_BELOW = 1.2;
const FED_TO = { nuc: 3, full: 5 } as const;
/** A kilogram of sugar makes so much of stores (common practice: 1.1 to 1.2). */
const STORES_OF_SUGAR = 1.15;
/** A nuc goes into a hive of full size from so many frames of bees on. */
export const OUTGROWN = 4.2;
const FULL_PLACES = 40;
/** Kept in a hive at a harvest in summer, in kg. */
const KEPT_IN_SUMMER = 8;

/** Food that it takes through the winter, in kg: the whole from eight frames of bees on, never under half, as the forecast has it. */
function winterNeed({ problem }: SeasonRun, f: Family, frames: number): number {
  return (problem.winterKg[f.yard] ?? 20) * Math.min(1, Math.max(0.5, frames / 8));
}

/** The keeper sees to it that nobody starves; before winter each is brought to what the winter takes. */
export function feed(run: SeasonRun, f: Family, week: SeasonWeek, frames: number): void {
  f.fed = false;
  let to = 0;
  if (week.feedForWinter) {
    const need = winterNeed(run, f, frames);
    if (f.kg < need) to = f.kg + Math.min(need - f.kg, 6);
  } else if (f.kg < FED_BELOW) to = f.nuc ? FED_TO.nuc : FED_TO.full;
  if (to <= f.kg) return;
  const kg = to - f.kg;
  f.fed = true;
  if (week.feedForWinter) f.syruped = true;
  f.kg += kg;
  run.books.fed += kg;
  const sugar = kg / STORES_OF_SUGAR;
  run.end.sugar += sugar;
  run.spend('sugarKg', sugar);
  run.spend('hours', HOURS.feed);
}

/** A nuc that has outgrown its box moves into a hive of full size. */
export function hiveUp(run: SeasonRun, f: Family): void {
  f.nuc = false;
  f.places = FULL_PLACES;
  run.nucBoxesLeft++;
  takeHive(run);
  run.spend('hours', HOURS.hiveUp);
  // Drawn comb of the store goes to who can fill it.
  const takes = Math.min(run.combsLeft, 2);
  run.combsLeft -= takes;
  f.combs += takes;
}

/** A hive out of the store, or a bought one. */
export function takeHive(run: SeasonRun): void {
  if (run.hivesLeft > 0) run.hivesLeft--;
  else run.spend('hives', 1);
}

/** A nuc box out of the store, or a bought one. */
export function takeNucBox(run: SeasonRun): void {
  if (run.nucBoxesLeft > 0) run.nucBoxesLeft--;
  else run.spend('nucBoxes', 1);
}

/** Honey comes off, as far as the colony can spare it. */
export function harvest(run: SeasonRun, f: Family, week: SeasonWeek, frames: number): void {
  if (f.syruped) return;
  const keeps = week.harvest === 'main' ? KEPT_IN_SUMMER : winterNeed(run, f, frames);
  // Part-filled and uncapped combs stay.
  const takes = Math.max(0, 0.85 * (f.kg - keeps));
  if (takes < 1) return;
  f.kg -= takes;
  run.end.honey += takes;
  run.spend('hours', (HOURS.tenKg * takes) / 10);
}

/** The weakest colony of a yard with a laying queen, other than one; −1 where there is none. */
export function weakestLaying(run: SeasonRun, yard: number, but: number): number {
  let found = -1;
  let least = Infinity;
  for (let i = 0; i < run.n; i++) {
    const g = run.families[i] as Family;
    if (i === but || !g.alive || !g.lays || g.yard !== yard || g.frames >= least) continue;
    least = g.frames;
    found = i;
  }
  return found;
}

/** A colony goes into another, with bees, brood, food and as many combs as there is room for. */
export function unite(run: SeasonRun, f: Family, index: number, into: number): void {
  const g = run.families[into] as Family;
  g.h0 += f.h0;
  g.h1 += f.h1;
  g.h2 += f.h2;
  g.field += f.field;
  g.winter += f.winter;
  g.b0 += f.b0;
  g.b1 += f.b1;
  g.b2 += f.b2;
  g.kg += f.kg;
  if (g.nuc && g.frames > OUTGROWN) {
    g.nuc = f.nuc && g.nuc;
    g.places = Math.max(g.places, f.places);
  }
  const takes = Math.min(f.combs, Math.max(0, g.places - g.combs));
  g.combs += takes;
  run.combsLeft += f.combs - takes;
  if (f.nuc) run.nucBoxesLeft++;
  else run.hivesLeft++;
  run.spend('hours', HOURS.unite);
  f.alive = false;
  const told = run.story?.[index];
  if (told) {
    told.until = run.week;
    told.end = 'united';
    told.unitedInto = into;
  }
}
