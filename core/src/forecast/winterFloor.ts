import type { Day } from '../basics/index.ts';
import { honeyKgPerFrame, shareOf } from '../comb/index.ts';
import { boxesOfColony, combSlots, isSlotOf, readingOf, type Apiary, type Colony } from '../records/index.ts';
import { colonyOn } from './colonyOn.ts';
import { winterNeedKg } from './foodOn.ts';
import { seasonOfColony } from './yardSeason.ts';

/**
 * The food that a colony must keep for the winter, in kg, on a day; null while the year is not that far.
 *
 * @param narrowed - it is brought down to fewer boxes: then from the end of the main flow on, else from the last matings
 */
export function winterFloorKg(
  apiary: Apiary,
  colony: Colony,
  day: Day,
  framesOfBees: number,
  narrowed: boolean,
): number | null {
  const { days } = seasonOfColony(apiary, colony, day);
  if (day < days[narrowed ? 'main-flow-end' : 'last-mating'] && day >= days['brood-restart']) return null;
  return winterNeedKg(apiary, colony, framesOfBees);
}

/** Bees that winter in a box, in frames for each of its combs: more hang out of it (common practice, no source). */
const BEES_A_COMB = 1.3;
/** Brood on so much of a comb has to stay with its bees. */
const BROOD = 0.05;

/** Whether a colony fits into its lowest boxes with its brood, its bees and its food for the winter. */
export interface FewerBoxes {
  readonly slots: number;
  readonly broodCombs: number;
  /** Combs of food besides those with brood that it must keep. */
  readonly foodCombs: number;
  readonly framesOfBees: number;
  readonly needKg: number | null;
  readonly hasKg: number;
  /** Null where it fits. */
  readonly tooMuch: 'brood' | 'food' | 'bees' | null;
}

/** What bringing a colony down to so many brood boxes would have to hold. Null where it was never counted. */
export function fewerBoxes(apiary: Apiary, colony: Colony, day: Day, boxes: number): FewerBoxes | null {
  const { frames, model } = colonyOn(apiary, colony, day);
  if (!model) return null;
  const brood = boxesOfColony(apiary, colony).filter((b) => b.role === 'brood');
  const kept = brood.slice(0, boxes);
  const slots = kept.reduce((n, b) => n + combSlots(b).filter((s) => isSlotOf(b, s, colony.id)).length, 0);
  const own = frames.filter((f) => f.box.role === 'brood');
  const kgOf = (f: (typeof own)[number]) =>
    shareOf(readingOf(f), 'honey', 'nectar') * honeyKgPerFrame(f.frame.sizeId).likely;
  const broodCombs = own.filter(
    (f) => shareOf(readingOf(f), 'eggs', 'open', 'capped', 'emerging', 'drone') > BROOD,
  );
  const food = own
    .filter((f) => !broodCombs.includes(f))
    .map(kgOf)
    .toSorted((a, b) => b - a);
  const hasKg = own.reduce((kg, f) => kg + kgOf(f), 0);
  const framesOfBees = model.framesOfBees;
  const needKg = winterFloorKg(apiary, colony, day, framesOfBees, true);
  let kg = broodCombs.reduce((sum, f) => sum + kgOf(f), 0);
  let foodCombs = 0;
  for (const more of food) {
    if (needKg === null || kg >= Math.min(needKg, hasKg) - 0.01) break;
    kg += more;
    foodCombs++;
  }
  const tooMuch =
    broodCombs.length > slots
      ? 'brood'
      : broodCombs.length + foodCombs > slots
        ? 'food'
        : framesOfBees > BEES_A_COMB * slots
          ? 'bees'
          : null;
  return { slots, broodCombs: broodCombs.length, foodCombs, framesOfBees, needKg, hasKg, tooMuch };
}
