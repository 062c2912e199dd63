import { ADULT_DAILY_LOSS, WORKER_STAGE_DAYS, DEVELOPMENT } from '../../brood/index.ts';

/** Bees and worker brood of a unit, in frames of the reference size. */
export interface UnitBees {
  readonly bees: number;
  readonly eggs: number;
  readonly open: number;
  readonly capped: number;
}

/** What bounds the growth of a unit. */
export interface GrowthBounds {
  /** Frames of brood that a frame of bees covers. */
  readonly cover: number;
  /** Frames of bees that hatch from a full frame of brood. */
  readonly beesPerBrood: number;
  /** Brood that a good queen lays in a day at most, in frames. */
  readonly layingMost: number;
  /** The same for the queen that lays in it now, as her nest shows it; she grows into the other. */
  readonly layingNow?: number;
  /** Combs that its boxes hold. */
  readonly slots: number;
}

const DAYS = DEVELOPMENT.worker.emerges.likely;
const { eggs: EGG_DAYS, open: OPEN_DAYS } = WORKER_STAGE_DAYS;

/** Brood takes at most so much of a box; the rest is for stores (common practice, no source). */
const NEST_SHARE = 0.75;

/** Worker brood in a unit, in frames. */
export const broodOf = (u: UnitBees): number => u.eggs + u.open + u.capped;

/**
 * Brings a unit forward, day by day, by the age of its brood: what bees cannot cover is lost, what hatches adds to
 * them, one in 38 dies, and a queen lays what can be covered.
 *
 * @param laysFrom - days until a queen lays, 0 for one that lays now; null for never
 */
export function unitAfter(
  unit: UnitBees,
  laysFrom: number | null,
  days: number,
  { cover, beesPerBrood, layingMost, layingNow = layingMost, slots }: GrowthBounds,
): UnitBees {
  const ages = new Float64Array(DAYS);
  // Brood that is not covered chills or dries.
  const kept = Math.min(1, (unit.bees * cover * OVER_COVER) / Math.max(1e-9, broodOf(unit)));
  ages.fill((unit.eggs * kept) / EGG_DAYS, 0, EGG_DAYS);
  ages.fill((unit.open * kept) / OPEN_DAYS, EGG_DAYS, EGG_DAYS + OPEN_DAYS);
  ages.fill((unit.capped * kept) / (DAYS - EGG_DAYS - OPEN_DAYS), EGG_DAYS + OPEN_DAYS);
  let { bees } = unit;
  let brood = broodOf(unit) * kept;
  for (let d = 0; d < days; d++) {
    const hatching = ages[DAYS - 1] ?? 0;
    ages.copyWithin(1, 0, DAYS - 1);
    bees = bees * (1 - ADULT_DAILY_LOSS) + hatching * beesPerBrood;
    brood -= hatching;
    const room = Math.min(bees * cover, slots * NEST_SHARE) - brood;
    const most = Math.min(layingMost, layingNow * (1 + GROWS_BY * d));
    const laid = laysFrom !== null && d >= laysFrom ? Math.max(0, Math.min(most, room)) : 0;
    ages[0] = laid;
    brood += laid;
  }
  const sum = (from: number, to: number) => ages.subarray(from, to).reduce((s, a) => s + a, 0);
  return {
    bees,
    eggs: sum(0, EGG_DAYS),
    open: sum(EGG_DAYS, EGG_DAYS + OPEN_DAYS),
    capped: sum(EGG_DAYS + OPEN_DAYS, DAYS),
  };
}

/** So much of what she lays now a queen lays more each day, when bees and room allow it. Judgement, no source. */
const GROWS_BY = 0.05;

/** A little more than the rule of thumb lives through a mild spell. */
const OVER_COVER = 1.15;
