import type { Apiary, Reading } from '../records/index.ts';
import { daysBetween, type Day } from '../basics/index.ts';
import type { FrameSizeId } from '../comb/index.ts';
import { strengthOf } from '../forecast/index.ts';

/** How strong a colony was on a day on which it was counted. */
export interface StrengthPoint {
  readonly day: Day;
  /** Frames of the reference size. */
  readonly bees: number;
  readonly brood: number;
  readonly stores: number;
  /** True when any of it was spread from a quick count. */
  readonly estimated: boolean;
  /** Combs read on that day. */
  readonly combs: number;
}

/** Readings this far apart, in days, still make one count: a tall hive may take two visits. */
const ONE_COUNT_DAYS = 3;

/**
 * A colony's strength on each day on which it was counted, oldest first.
 *
 * A day stands for the frames read then and in the few days before; a day on which less than half as many
 * combs were read as in the fullest count near it says too little and is left out.
 *
 * @param readings - all readings of the colony's visits
 */
export function strengthHistory(
  apiary: Apiary,
  readings: readonly Reading[],
  reference: FrameSizeId,
): StrengthPoint[] {
  const days = [...new Set(readings.map((r) => r.day))].toSorted();
  const points = days.map((day): StrengthPoint => {
    const latest = new Map<string, Reading>();
    for (const r of readings.toSorted((a, b) => a.day.localeCompare(b.day))) {
      const age = daysBetween(r.day, day);
      if (age >= 0 && age <= ONE_COUNT_DAYS) latest.set(r.frameId, r);
    }
    const nest = [...latest.values()].flatMap((r) => {
      const frame = apiary.frame[r.frameId];
      return frame ? [{ id: frame.id, size: frame.sizeId, reading: r.body }] : [];
    });
    const s = strengthOf(nest, reference);
    return {
      day,
      bees: s.framesOfBees.likely,
      brood: s.broodFrames.likely,
      stores: s.storesFrames,
      estimated: nest.some((f) => f.reading.estimated),
      combs: nest.length,
    };
  });
  return points.filter((p, i) => {
    const near = Math.max(...points.slice(Math.max(0, i - 1), i + 2).map((q) => q.combs));
    return p.combs >= near / 2;
  });
}
