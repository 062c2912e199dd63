import { MAKES, type Round, type SeasonProblem } from './problem.ts';
import { FRAME_OF_BEES, FRAME_OF_CELLS, type Family } from './family.ts';
import { HOURS } from './hours.ts';
import { takeHive, takeNucBox, unite, weakestLaying } from './keeping.ts';
import type { SeasonRun } from './seasonRun.ts';

/** A donor of so many frames of bees parts with so many nucs at most on one day. */
const MOST_OF_ONE = 4;
/** Combs of a nuc that come from the donor: two of brood, one of stores, one drawn. */
const NUC_COMBS = 4;
/** Bees that are carried for each that stays: the rest flies home. */
const NUC_KG = 2.4;
/** An old queen in a nuc lays by what covers her brood, and begins anew with it. */
const QUEEN_IN_NUC = 0.4;
/** Of the field bees of a half that goes to a new stand, hardly one stays. */
const HALF_OF_FIELD = 0.15;

/**
 * Carries out a round on the colonies as they are in this week; what the calendar shuts is not done.
 *
 * @returns colonies made, or united
 */
export function carryOut(run: SeasonRun, round: Round, index: number): number {
  if (MAKES.has(round.what)) {
    run.end.asked += round.parts;
    const made = increase(run, round, index);
    run.end.made += made;
    return made;
  }
  if (round.what === 'level') return level(run, round);
  if (round.what === 'unite') return uniteWeak(run, round);
  return comeDown(run, round);
}

const inYard = (round: Round, f: Family) => round.yard < 0 || f.yard === round.yard;

/** The calendar lets new colonies be made in this week, for a queen of this kind. */
function isOpen(run: SeasonRun, round: Round, yard: number): boolean {
  const week = run.problem.weeks[yard]?.[run.week];
  return week !== undefined && (round.queen === 'mated' ? week.mated : week.raises);
}

const room = ({ yards }: SeasonProblem, run: SeasonRun, yard: number): boolean => {
  const most = yards[yard]?.most ?? Infinity;
  if (most === Infinity) return true;
  let n = 0;
  for (let i = 0; i < run.n; i++) {
    const f = run.families[i] as Family;
    if (f.alive && f.yard === yard) n++;
  }
  return n < most;
};

/** The yard that a new colony goes to: its donor's, or where there is room; −1 for none. */
function placeFor(run: SeasonRun, yard: number): number {
  if (room(run.problem, run, yard)) return yard;
  return run.problem.yards.findIndex((_y, i) => room(run.problem, run, i));
}

function increase(run: SeasonRun, round: Round, index: number): number {
  const { donors } = run.problem;
  const { families } = run;
  let made = 0;
  const standing = run.n;
  while (made < round.parts) {
    let best = -1;
    let most = 0;
    for (let i = 0; i < standing; i++) {
      const f = families[i] as Family;
      if (!f.alive || !inYard(round, f) || !isOpen(run, round, f.yard)) continue;
      const spare = round.what === 'nucs' ? spareOf(f, donors) : wholeOf(f, round, donors);
      if (spare > most) {
        most = spare;
        best = i;
      }
    }
    if (best < 0) break;
    const donor = families[best] as Family;
    const yard = placeFor(run, donor.yard);
    if (yard < 0) break;
    part(run, round, index, donor, best, yard);
    made++;
  }
  for (let i = 0; i < standing; i++) {
    const f = families[i] as Family;
    if (f.sinceGiven < 0) f.sinceGiven = 0;
  }
  return made;
}

/** Nucs that a donor can still part with; 0 for none. Counted down in `sinceGiven` below zero while a round is under way. */
function spareOf(f: Family, donors: SeasonProblem['donors']): number {
  const given = f.sinceGiven < 0 ? -f.sinceGiven : 0;
  if (!f.lays || f.nuc || given >= MOST_OF_ONE) return 0;
  if (given === 0 && f.frames < donors.strongForNuc) return 0;
  const bees = f.frames - donors.keepsBees - donors.nucBees;
  const brood = f.broodFrames - donors.keepsBrood - donors.nucBrood;
  const combs = f.combs - NUC_COMBS - 3;
  return bees >= 0 && brood >= 0 && combs >= 0 ? 0.01 + brood + 0.25 * bees : 0;
}

/** Colonies that are parted once: halved, or without their old queen. */
function wholeOf(f: Family, round: Round, donors: SeasonProblem['donors']): number {
  if (!f.lays || f.nuc || f.sinceGiven < 0) return 0;
  const needs = round.what === 'halves' ? donors.strongForHalves : donors.strongForNuc;
  return f.frames >= needs && f.broodFrames >= donors.keepsBrood + 1 ? f.frames : 0;
}

function part(run: SeasonRun, round: Round, index: number, donor: Family, at: number, yard: number): void {
  const { donors } = run.problem;
  const made = run.n;
  const f = run.add();
  f.parent = at;
  f.round = index;
  f.yard = yard;
  f.sinceGiven = 0;
  donor.sinceGiven = donor.sinceGiven < 0 ? donor.sinceGiven - 1 : -1;
  if (round.what === 'halves') halve(run, f, donor);
  else nuc(run, f, donor, round.what === 'queen-out' ? donors.nucBees - 0.5 : donors.nucBees);
  if (round.what === 'queen-out') {
    // The old queen and what she can do go along; the colony raises another.
    const { talent, failsIn, pace } = donor;
    run.lifeOf(donor, made + 500);
    f.talent = talent;
    f.failsIn = failsIn;
    f.pace = Math.min(pace, QUEEN_IN_NUC);
    f.lays = true;
    run.awaits(donor, made + 500, 'raises');
  } else {
    const how = round.queen === 'old-queen' ? 'raises' : round.queen;
    run.awaits(f, made, how);
    if (how === 'mated') {
      run.spend('queens', 1);
      run.end.queens++;
    }
    if (how === 'cell') run.spend('cells', 1);
  }
  run.spend('hours', HOURS.part);
  run.begin(f, null);
}

/** A nuc of four combs and a sheet of foundation, with nurse bees shaken in. */
function nuc(run: SeasonRun, f: Family, donor: Family, frames: number): void {
  const { donors } = run.problem;
  f.nuc = true;
  f.places = donors.nucSlots;
  takeNucBox(run);
  const share = Math.min(0.9, (donors.nucBrood * FRAME_OF_CELLS) / Math.max(1, donor.brood));
  f.b0 = donor.b0 * share;
  f.b1 = donor.b1 * share;
  f.b2 = donor.b2 * share;
  donor.scaleBrood(1 - share);
  // Nurses stay; who has flown goes back to the stand.
  const inHouse = donor.h0 + donor.h1 + donor.h2 + donor.winter;
  const bees = Math.min(0.8, (frames * FRAME_OF_BEES) / Math.max(1, inHouse));
  f.h0 = donor.h0 * bees;
  f.h1 = donor.h1 * bees;
  f.h2 = donor.h2 * bees;
  f.winter = donor.winter * bees;
  donor.h0 -= f.h0;
  donor.h1 -= f.h1;
  donor.h2 -= f.h2;
  donor.winter -= f.winter;
  const kg = Math.min(NUC_KG, donor.kg * 0.4);
  f.kg = kg;
  donor.kg -= kg;
  const fromStore = Math.min(1, run.combsLeft);
  run.combsLeft -= fromStore;
  f.combs = NUC_COMBS;
  donor.combs -= NUC_COMBS - fromStore;
}

/** Half of a colony of two boxes, on a new stand. */
function halve(run: SeasonRun, f: Family, donor: Family): void {
  f.nuc = false;
  f.places = donor.places;
  takeHive(run);
  f.b0 = donor.b0 / 2;
  f.b1 = donor.b1 / 2;
  f.b2 = donor.b2 / 2;
  donor.scaleBrood(0.5);
  f.h0 = donor.h0 / 2;
  f.h1 = donor.h1 / 2;
  f.h2 = donor.h2 / 2;
  f.winter = donor.winter / 2;
  f.field = donor.field * HALF_OF_FIELD;
  donor.h0 -= f.h0;
  donor.h1 -= f.h1;
  donor.h2 -= f.h2;
  donor.winter -= f.winter;
  donor.field -= f.field;
  f.kg = donor.kg / 2;
  donor.kg -= f.kg;
  f.combs = donor.combs / 2;
  donor.combs -= f.combs;
}

/** Capped brood, a comb each, from who has most to who is far below the mean. */
function level(run: SeasonRun, round: Round): number {
  const { donors } = run.problem;
  let sum = 0;
  let n = 0;
  for (let i = 0; i < run.n; i++) {
    const f = run.families[i] as Family;
    if (!f.alive || !inYard(round, f) || !f.lays) continue;
    sum += f.frames;
    n++;
  }
  if (n < 2) return 0;
  const mean = sum / n;
  let moved = 0;
  for (let i = 0; i < run.n; i++) {
    const weak = run.families[i] as Family;
    if (!weak.alive || !inYard(round, weak) || !weak.lays) continue;
    // No more than it covers, and nothing to who is too small to be helped with brood.
    if (weak.frames > donors.levelWithin * mean || weak.frames < 2 || weak.broodFrames > 0.5 * weak.frames)
      continue;
    let best = -1;
    let most = donors.keepsBrood + 2.5;
    for (let j = 0; j < run.n; j++) {
      const f = run.families[j] as Family;
      if (!f.alive || f.yard !== weak.yard || !f.lays || f.nuc || f.frames < mean) continue;
      if (f.broodFrames > most) {
        most = f.broodFrames;
        best = j;
      }
    }
    if (best < 0) continue;
    const donor = run.families[best] as Family;
    const cells = Math.min(0.8 * FRAME_OF_CELLS, donor.b2 * 0.5);
    donor.b2 -= cells;
    weak.b2 += cells;
    const place = Math.min(1, Math.max(0, weak.places - weak.combs), donor.combs - 3);
    donor.combs -= place;
    weak.combs += place;
    moved++;
    run.spend('hours', HOURS.level);
  }
  return moved;
}

/** What is too weak for the winter, or has no queen, goes together until it is strong enough. */
function uniteWeak(run: SeasonRun, round: Round): number {
  const need = Math.max(run.problem.donors.winterBees, run.problem.aim.strongFrames) * 0.8;
  let united = 0;
  for (let i = 0; i < run.n; i++) {
    const f = run.families[i] as Family;
    if (!f.alive || !inYard(round, f) || (f.lays && f.frames >= need * 0.6) || f.wait > 0) continue;
    const host = weakestLaying(run, f.yard, i);
    if (host < 0) continue;
    unite(run, f, i, host);
    united++;
  }
  return united;
}

/** Down to so many: the weakest first, each with the weakest that is left. */
function comeDown(run: SeasonRun, round: Round): number {
  let alive = 0;
  for (let i = 0; i < run.n; i++) if ((run.families[i] as Family).alive) alive++;
  let united = 0;
  while (alive > round.parts) {
    let weakest = -1;
    let least = Infinity;
    for (let i = 0; i < run.n; i++) {
      const f = run.families[i] as Family;
      const strength = f.lays ? f.frames : f.frames * 0.3;
      if (!f.alive || !inYard(round, f) || strength >= least) continue;
      least = strength;
      weakest = i;
    }
    if (weakest < 0) break;
    const f = run.families[weakest] as Family;
    const host = weakestLaying(run, f.yard, weakest);
    if (host < 0) break;
    unite(run, f, weakest, host);
    alive--;
    united++;
  }
  return united;
}
