import { floatAt } from '../../basics/index.ts';
import { shareOf } from '../../comb/index.ts';
import type { Distance, StayShares } from '../../brood/index.ts';
import { AT, noMeasures, type Measured } from '../rules/measures.ts';
import { STORE, type YardFrame, type YardUnit } from './problem.ts';

/** Combs that hold so much brood are brood combs: as for drift. */
const BROOD_COMB = 0.25;
/** Combs that hold so much honey or nectar and are no brood combs are combs of stores. */
const STORES_COMB = 0.4;
const EMPTY_COMB = 0.5;

/** What a frame brings to the unit in which it hangs, bees and all. */
export function broughtBy(frame: YardFrame, counted: boolean): Measured {
  const m = noMeasures();
  m[AT.bees] = frame.bees;
  m[AT.brood] = frame.brood;
  m[AT.warmed] = frame.warmed;
  m[AT.capped] = frame.capped;
  m[AT.open] = frame.open + frame.eggs;
  m[AT.eggsTenths] = frame.eggsTenths;
  m[AT.beeBread] = frame.beeBread;
  m[AT.stores] = frame.stores;
  m[AT.room] = frame.drawn + foundationOf(frame);
  const kind = combKind(frame);
  m[AT.broodCombs] = kind === 'brood' ? 1 : 0;
  m[AT.storesCombs] = kind === 'stores' ? 1 : 0;
  m[AT.emptyCombs] = kind === 'empty' ? 1 : 0;
  m[AT.frames] = counted ? 1 : 0;
  m[AT.cells] = frame.liveCells;
  m[AT.queens] = frame.hasQueen ? 1 : 0;
  return m;
}

const foundationOf = (f: YardFrame) =>
  f.reading.sides.reduce((n, s) => n + (s.contents.foundation ?? 0), 0) / 20;

/** What a comb mostly is. */
export function combKind(frame: YardFrame): 'brood' | 'stores' | 'empty' | 'foundation' | 'mixed' {
  if (frame.brood >= BROOD_COMB) return 'brood';
  if (frame.stores >= STORES_COMB) return 'stores';
  if (foundationOf(frame) >= EMPTY_COMB) return 'foundation';
  return frame.drawn >= EMPTY_COMB ? 'empty' : 'mixed';
}

/** A change of one unit's measures. */
export interface Effect {
  readonly unit: number;
  readonly by: Measured;
}

/**
 * What it does to the units concerned that a frame ends somewhere.
 *
 * A frame for a nuc takes its bees along, of which those that know the stand fly home. A frame for another
 * colony, or the store, leaves them: they are shaken off at home, so that no queen travels and bees do not
 * fight.
 *
 * @returns all that the frame counts for, its bees among them; for a frame of the store, only what it brings
 */
export function effectsOfPlace(
  frame: YardFrame,
  to: number,
  units: readonly YardUnit[],
  stay: (frame: YardFrame, distance: Distance) => number,
): Effect[] {
  const { home } = frame;
  if (to === home) return home === STORE ? [] : [{ unit: home, by: broughtBy(frame, frame.counted) }];
  const brought = broughtBy(frame, true);
  if (home === STORE) {
    brought[AT.touched] = 1;
    return [{ unit: to, by: brought }];
  }
  const left = noMeasures();
  left[AT.touched] = 1;
  if (to === STORE) {
    left[AT.bees] = frame.bees;
    return [{ unit: home, by: left }];
  }
  brought[AT.touched] = 1;
  const unit = units[to] as YardUnit;
  if (unit.kind === 'nuc') {
    const share = leavesStand(unit, units[home]) ? 1 : stay(frame, unit.recipe?.distance ?? 'same-yard');
    brought[AT.bees] = frame.bees * share;
    left[AT.bees] = frame.bees * (1 - share);
  } else {
    brought[AT.bees] = 0;
    left[AT.bees] = frame.bees;
    left[AT.given] = floatAt(brought, AT.broodCombs);
  }
  return [
    { unit: home, by: left },
    { unit: to, by: brought },
  ];
}

/** All parts of a colony that is broken up whole are carried off at dusk: there is nothing to fly home to. */
const leavesStand = (unit: YardUnit, home: YardUnit | undefined) =>
  unit.wholeOf !== null && unit.wholeOf === home?.key;

/** What it does that the bees of a frame are shaken out for a unit while the frame stays at home. */
export function effectsOfShake(
  frame: YardFrame,
  target: number,
  units: readonly YardUnit[],
  shares: StayShares,
): Effect[] {
  const unit = units[target] as YardUnit;
  const away = unit.kind === 'nuc' && unit.recipe?.distance === 'away';
  const share = leavesStand(unit, units[frame.home]) ? 1 : away ? shares.away : shares.openBrood;
  const given = noMeasures();
  given[AT.bees] = frame.bees * share;
  given[AT.touched] = 1;
  const left = noMeasures();
  left[AT.bees] = -frame.bees * share;
  left[AT.shaken] = 1;
  left[AT.touched] = 1;
  return [
    { unit: frame.home, by: left },
    { unit: target, by: given },
  ];
}

/** Eggs and larvae on so much of a comb are fed by nurses that can be shaken off it. */
const NURSED = 0.15;

/** Nurses are shaken from combs with open brood, never off a frame with a queen or a cell. */
export function isShakable(frame: YardFrame): boolean {
  return (
    frame.home !== STORE &&
    !frame.hasQueen &&
    frame.liveCells === 0 &&
    frame.bees >= 0.2 &&
    shareOf(frame.reading, 'eggs', 'open') >= NURSED
  );
}
