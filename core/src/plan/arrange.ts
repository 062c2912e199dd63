import type { PlanFrame } from './measure.ts';

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

/**
 * Gives frames that arrive in a box its free slots, each to the one nearest the middle of the brood when it
 * carries brood, farthest from it otherwise.
 */
export function slotsForArrivals(
  arrivals: readonly PlanFrame[],
  free: readonly number[],
  broodCentre: number,
): Map<string, number> {
  const left = [...free];
  const slots = new Map<string, number>();
  for (const f of arrivals.toSorted((a, b) => b.brood - a.brood)) {
    left.sort((a, b) => Math.abs(a - broodCentre) - Math.abs(b - broodCentre) || a - b);
    const slot = f.brood > 0.1 ? left.shift() : left.pop();
    if (slot !== undefined) slots.set(f.id, slot);
  }
  return slots;
}

/** The middle of the brood among slots, or the middle of the box when there is none. */
export function broodCentreOf(
  frames: readonly { readonly slot: number; readonly brood: number }[],
  slots: number,
): number {
  const weight = frames.reduce((n, f) => n + f.brood, 0);
  if (weight < 0.1) return (slots + 1) / 2;
  return frames.reduce((n, f) => n + f.slot * f.brood, 0) / weight;
}
