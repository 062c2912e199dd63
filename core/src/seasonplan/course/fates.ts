import { floatAt } from '../../basics/index.ts';
import type { SeasonWeek } from '../year/seasonWeek.ts';
import { FIRST_PACE, type Family } from './family.ts';
import { unite, weakestLaying } from './keeping.ts';
import type { SeasonRun } from './seasonRun.ts';

/** Weeks until somebody finds that no queen came of it. */
export const FOUND_AFTER = 2;
/** Swarming: a colony crowds itself from so many frames of bees; of colonies of twice that a quarter go in a season (our estimate). */
const CROWDED = 10;
const SWARM_HEAT = 0.03;
const SWARM_TAKES = 0.45;
/** Of the odds that a colony lives through its winter, so much goes with each frame of bees that it lacks, as log-odds. */
const SMALL_CLUSTER = 0.5;

/** What a week does to the queen of a colony, and to one that awaits one. */
export function queen(run: SeasonRun, f: Family, index: number, week: SeasonWeek): void {
  if (f.wait > 0) {
    f.wait--;
    if (f.wait > 0) return;
    if (f.waitEndsWell) {
      f.lays = true;
      f.pace = FIRST_PACE;
      f.waitEndsWell = false;
      return;
    }
    withoutQueen(run, f, index, week);
    return;
  }
  if (!f.lays) {
    withoutQueen(run, f, index, week);
    return;
  }
  f.failsIn -= week.cluster ? 0.3 : 1;
  if (f.failsIn > 0) return;
  f.failsIn = 999;
  f.lays = false;
  // Most supersede her while drones fly.
  f.wait = 5;
  f.waitEndsWell = week.mates && run.luck(100 + index * 16 + 6) < 0.85;
  if (!week.mates) f.wait = FOUND_AFTER;
}

/** Nothing came of it: a bought queen where the keeper takes those, else it is united with the weakest that has one. */
function withoutQueen(run: SeasonRun, f: Family, index: number, week: SeasonWeek): void {
  const { aim } = run.problem;
  if (week.mated && aim.queens.includes('mated') && f.frames > 1) {
    run.spend('queens', 1);
    run.end.queens++;
    f.wait = 1;
    f.waitEndsWell = run.luck(100 + index * 16 + 7 + (run.week % 3)) < run.accepts;
    return;
  }
  if (!week.open) return;
  const host = weakestLaying(run, f.yard, index);
  if (host >= 0) unite(run, f, index, host);
  else f.wait = FOUND_AFTER;
}

/** A crowded colony may swarm. @returns whether it did */
export function swarms(run: SeasonRun, f: Family, index: number, frames: number): boolean {
  if (!f.lays || f.nuc || frames < CROWDED || f.sinceGiven < 3) return false;
  f.swarmHeat += SWARM_HEAT * Math.min(1, (frames - CROWDED) / CROWDED);
  if (f.swarmHeat < f.swarmAt) return false;
  f.swarmHeat = 0;
  f.swarmAt = 9;
  run.outBees.swarms += f.bees * SWARM_TAKES;
  f.scaleBees(1 - SWARM_TAKES);
  const goes = Math.min(3, f.kg * 0.4);
  f.kg -= goes;
  run.outKg.swarms += goes;
  run.drivers[7] = floatAt(run.drivers, 7) - 1;
  f.lays = false;
  f.wait = 4;
  f.waitEndsWell = run.luck(100 + index * 16 + 10) < run.raises;
  return true;
}

/** Whether a colony comes through its winter. */
export function winter(run: SeasonRun, f: Family, index: number): void {
  const chance = f.grown ? run.winterGrown : run.winterYoung;
  // Small clusters fare worse (our estimate, no source).
  const missing = Math.max(0, run.problem.donors.winterBees - f.atFrost);
  const odds = Math.log(chance / (1 - chance)) - SMALL_CLUSTER * missing;
  f.grown = true;
  f.syruped = false;
  if (run.luck(100 + index * 16 + 11 + (run.week % 3)) < 1 / (1 + Math.exp(-odds))) return;
  die(run, f, index);
}

/** A colony is gone; its combs and boxes are left. */
export function die(run: SeasonRun, f: Family, index: number): void {
  f.alive = false;
  run.outBees.dead += f.bees;
  run.outKg.dead += f.kg;
  run.combsLeft += f.combs;
  if (f.nuc) run.nucBoxesLeft++;
  else run.hivesLeft++;
  run.drivers[8] = floatAt(run.drivers, 8) - 1;
  const told = run.story?.[index];
  if (told) {
    told.until = run.week;
    told.end = 'dead';
  }
}
