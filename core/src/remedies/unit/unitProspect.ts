import { ColonyModel, CombSide, type DayConditions } from '../../clock/index.ts';
import { BEES_PER_CM2, WORKER_CELLS_PER_CM2 } from '../../comb/index.ts';

/** Bees and worker brood of a unit, in frames of the reference size. */
export interface UnitBees {
  readonly bees: number;
  readonly eggs: number;
  readonly open: number;
  readonly capped: number;
}

/** What bounds the growth of a unit. */
export interface GrowthBounds {
  /** Frames of brood that a frame of bees covers, in mild nights; in cold ones the same when left out. */
  readonly cover: number;
  readonly coverCold?: number;
  /** Brood that a good queen lays in a day at most, in frames. */
  readonly layingMost: number;
  /** The same for the queen that lays in it now, as her nest shows it; she grows into the other. */
  readonly layingNow?: number;
  /** Combs that its boxes hold. */
  readonly slots: number;
  /** What each day ahead brings, from 0 on; the height of the season when left out. */
  readonly conditions?: (ahead: number) => DayConditions;
}

/** Brood takes at most so much of a box; the rest is for stores (common practice, no source). */
const NEST_SHARE = 0.75;

/** One comb side of the common deep size: a unit is said in frames, and its frames are taken for these. */
const SIDE_CM2 = 880;
const CELLS_A_FRAME = 2 * SIDE_CM2 * WORKER_CELLS_PER_CM2;
const BEES_A_FRAME = 2 * SIDE_CM2 * BEES_PER_CM2.likely;

/** Days of the height of the season, with food enough. */
const GOOD_DAY: DayConditions = {
  laying: 1,
  winterBees: 0,
  coldNights: false,
  cluster: false,
  pollen: true,
  forage: true,
  flow: true,
  gathersKg: 0,
};

/** Worker brood in a unit, in frames. */
export const broodOf = (u: UnitBees): number => u.eggs + u.open + u.capped;

/**
 * Brings a unit forward, day by day, by the model of a colony that all pages ask: what bees cannot cover dries out, what
 * emerges adds to them, they grow old, and a queen lays what can be covered. Food is taken to be there.
 *
 * @param laysFrom - days until a queen lays, 0 for one that lays now; null for never
 */
export function unitAfter(
  unit: UnitBees,
  laysFrom: number | null,
  days: number,
  {
    cover,
    coverCold = cover,
    layingMost,
    layingNow = layingMost / 2,
    slots,
    conditions = () => GOOD_DAY,
  }: GrowthBounds,
): UnitBees {
  const model = new ColonyModel({
    layingMost: layingMost * CELLS_A_FRAME,
    coverWarm: cover,
    coverCold,
    appetite: 1,
  });
  // All the comb that brood may take, as one side.
  const frames = Math.max(slots * NEST_SHARE, broodOf(unit));
  const tenths = (amount: number) => (frames > 0 ? (10 * amount) / frames : 0);
  const side = new CombSide(
    {
      contents: {
        eggs: tenths(unit.eggs),
        open: tenths(unit.open),
        capped: tenths(unit.capped),
        drawn: tenths(frames - broodOf(unit)),
      },
      bees: tenths(unit.bees),
    },
    Math.max(1, 2 * SIDE_CM2 * frames),
    true,
  );
  model.join([side], 0);
  model.rate = layingNow * CELLS_A_FRAME;
  for (let d = 0; d < days; d++) {
    model.lays = laysFrom !== null && d >= laysFrom;
    model.pass(conditions(d));
  }
  const inFrames = (stage: number | undefined) => ((stage ?? 0) * frames) / 10;
  const { contents } = side.read();
  return {
    bees: model.adults.total / BEES_A_FRAME,
    eggs: inFrames(contents.eggs),
    open: inFrames(contents.open),
    capped: inFrames(contents.capped),
  };
}
