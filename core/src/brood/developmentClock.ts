import type { Range } from '../comb/index.ts';

/** The castes whose brood keeps its own time. */
export type Caste = 'worker' | 'queen' | 'drone';

/** Days from the egg being laid, each with its usual spread. */
export interface Development {
  readonly eggHatches: Range;
  readonly cellCapped: Range;
  readonly emerges: Range;
}

const days = (low: number, likely: number, high: number): Range => ({ low, likely, high });

/** The development clock of Winston 1987, *The Biology of the Honey Bee*, values as remembered. */
export const DEVELOPMENT: Readonly<Record<Caste, Development>> = {
  worker: { eggHatches: days(3, 3, 3), cellCapped: days(8, 9, 9), emerges: days(20, 21, 21) },
  queen: { eggHatches: days(3, 3, 3), cellCapped: days(7.5, 8, 8.5), emerges: days(15, 16, 17) },
  drone: { eggHatches: days(3, 3, 3), cellCapped: days(9, 10, 10), emerges: days(24, 24, 25) },
};

/** Days that worker brood spends as egg, as open larva and under a cap: 3 : 6 : 12. */
export const WORKER_STAGE_DAYS = { eggs: 3, open: 6, capped: 12 } as const;

/** Days from the egg within which a larva still makes a good queen: chosen within its first day. */
export const BEST_QUEEN_LARVA_DAY = 4;

/** Days from the egg after which a larva can no longer be turned into a queen. */
export const LAST_QUEEN_LARVA_DAY = 6;

/** Days from the emergence of a queen to her first eggs: usual range 8–14, 21 in poor weather. */
export const FIRST_EGGS_AFTER_EMERGENCE = { low: 8, likely: 12, usualHigh: 14, high: 21 } as const;

/** A virgin that does not lay by four weeks is unlikely ever to do well (common practice, no source). */
export const GIVE_UP_AFTER_EMERGENCE = 28;

/**
 * How old, counted from the egg, a capped queen cell was on the day the part lost its queen, if it was
 * just being capped on day `cappedOnDay`. A cell capped by day 3 came from a larva two days old or more.
 */
export function ageAtLossOfCellCappedOn(cappedOnDay: number): number {
  return DEVELOPMENT.queen.cellCapped.likely - cappedOnDay;
}

/** Days until a queen cell with a larva of known age (days since hatching) is capped, and until she emerges. */
export function datesOfChargedCell(larvaAgeDays: number): { toCapping: number; toEmergence: number } {
  const age = DEVELOPMENT.queen.eggHatches.likely + larvaAgeDays;
  return {
    toCapping: Math.max(0, DEVELOPMENT.queen.cellCapped.likely - age),
    toEmergence: Math.max(0, DEVELOPMENT.queen.emerges.likely - age),
  };
}
