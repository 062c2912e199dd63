import { numberAt } from '../../basics/index.ts';
import type { PlanFrame } from '../base/measure.ts';

/**
 * The order of frames in a new box: brood together in the middle, the fullest innermost, bee bread beside
 * it, stores at the walls, empty comb next to the brood where the queen will need it.
 *
 * @returns the frames from slot 1 up
 */
export function arrangeNest(frames: readonly PlanFrame[]): PlanFrame[] {
  const brood = frames.filter((f) => f.brood > 0.1).toSorted((a, b) => b.brood - a.brood);
  const rest = frames.filter((f) => f.brood <= 0.1);
  const stores = rest.filter((f) => f.stores >= f.drawn).toSorted((a, b) => b.stores - a.stores);
  const empty = rest.filter((f) => f.stores < f.drawn);
  const nest: PlanFrame[] = [];
  brood.forEach((f, i) => (i % 2 === 0 ? nest.push(f) : nest.unshift(f)));
  const left: PlanFrame[] = [];
  const right: PlanFrame[] = [];
  stores.forEach((f, i) => (i % 2 === 0 ? left.push(f) : right.push(f)));
  return [...left, ...nest, ...empty, ...right.toReversed()];
}

/** A frame with the slot in which it hangs, or is to hang. */
export interface Slotted {
  readonly frame: PlanFrame;
  readonly slot: number;
}

/**
 * Takes arrivals into a box that has frames already: brood goes beside the brood, other combs to the wall
 * on the side of the gap. The frames between slide over by one; their order stays.
 *
 * @param free - empty slots of the box; at least as many as there are arrivals
 * @returns every frame of the box with its slot
 */
export function takeIn(
  present: readonly Slotted[],
  arrivals: readonly PlanFrame[],
  free: readonly number[],
  slots: number,
): Slotted[] {
  const centre = broodCentreOf(
    present.map((p) => ({ slot: p.slot, brood: p.frame.brood })),
    slots,
  );
  const gaps = free
    .toSorted((a, b) => Math.abs(a - centre) - Math.abs(b - centre) || a - b)
    .slice(0, arrivals.length);
  const order = present.toSorted((a, b) => a.slot - b.slot).map((p) => p.frame);
  const isBrood = (f: PlanFrame) => f.brood > 0.1;
  arrivals
    .toSorted((a, b) => b.brood - a.brood)
    .forEach((frame, i) => {
      const onLeft = numberAt(gaps, i) < centre;
      const first = order.findIndex(isBrood);
      const last = order.findLastIndex(isBrood);
      if (isBrood(frame) && first >= 0) order.splice(onLeft ? first : last + 1, 0, frame);
      else order.splice(onLeft ? 0 : order.length, 0, frame);
    });
  const used = [...present.map((p) => p.slot), ...gaps].toSorted((a, b) => a - b);
  return order.map((frame, i) => ({ frame, slot: numberAt(used, i) }));
}

/** The middle of the brood among slots, or the middle of the box when there is none. */
function broodCentreOf(
  frames: readonly { readonly slot: number; readonly brood: number }[],
  slots: number,
): number {
  const weight = frames.reduce((n, f) => n + f.brood, 0);
  if (weight < 0.1) return (slots + 1) / 2;
  return frames.reduce((n, f) => n + f.slot * f.brood, 0) / weight;
}
