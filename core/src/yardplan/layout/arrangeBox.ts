import { numberAt } from '../../basics/index.ts';
import type { PlanFrame } from '../../split/index.ts';

/** How freely frames may be moved about: practice differs by weather and strength. */
export type OrderSchool = 'keep' | 'nest';

/** A frame for a box, and the slot where it hangs already; null when it comes from elsewhere. */
export interface ToArrange {
  readonly frame: PlanFrame;
  readonly slot: number | null;
}

/** What a frame does in the nest. */
type Role = 'brood' | 'bread' | 'stores' | 'empty';

/** What it costs that a frame which hangs there already gets another slot. */
const SLIDE: Readonly<Record<OrderSchool, number>> = { keep: 2.5, nest: 0.7 };

/** What it costs that two frames which hang there already change their order: when it is to be kept, nothing outweighs it. */
const TURNED: Readonly<Record<OrderSchool, number>> = { keep: 20, nest: 0 };

/** Brood on so much of a comb makes it part of the nest. */
const NEST = 0.1;

function roleOf(f: PlanFrame): Role {
  if (f.brood > NEST) return 'brood';
  if (f.beeBread >= 0.25) return 'bread';
  return f.stores >= f.drawn && f.stores >= 0.2 ? 'stores' : 'empty';
}

/**
 * Gives every frame a slot: brood together with the fullest innermost, bee bread beside it, empty comb next,
 * stores outside, and as few frames slid as that is worth.
 *
 * A small optimisation of its own: exchanges and shifts until none pays.
 *
 * @param slots - the slots of the box that may be used, in order; at least as many as frames
 * @param school - `keep` moves what hangs there only for good reason: for weak colonies and cool weather
 * @returns by frame id, its slot
 */
export function arrangeBox(
  frames: readonly ToArrange[],
  slots: readonly number[],
  school: OrderSchool,
): Map<string, number> {
  const order: (ToArrange | null)[] = slots.map((s) => frames.find((f) => f.slot === s) ?? null);
  const placed = new Set(order);
  // Those that come are taken in one by one where they cost least, the fullest first.
  for (const f of frames.filter((g) => !placed.has(g)).toSorted((a, b) => b.frame.brood - a.frame.brood)) {
    let best = Infinity;
    let at = -1;
    order.forEach((there, i) => {
      if (there !== null) return;
      order[i] = f;
      const cost = costOf(order, slots, school);
      if (cost < best) {
        best = cost;
        at = i;
      }
      order[i] = null;
    });
    if (at >= 0) order[at] = f;
  }
  improve(order, slots, school);
  if (school === 'nest') {
    // From its mirror image the nest may come to hang better at the other wall.
    const mirrored = order.toReversed();
    improve(mirrored, slots, school);
    if (costOf(mirrored, slots, school) < costOf(order, slots, school) - 1e-9)
      order.splice(0, order.length, ...mirrored);
  }
  const where = new Map<string, number>();
  order.forEach((f, i) => {
    if (f) where.set(f.frame.id, numberAt(slots, i));
  });
  return where;
}

/** What an order costs, in frames slid. Exported for the check against all orders there are. */
export function costOf(
  order: readonly (ToArrange | null)[],
  slots: readonly number[],
  school: OrderSchool,
): number {
  let cost = 0;
  let lastSlot = 0;
  const roles = order.map((f) => (f ? roleOf(f.frame) : null));
  const first = roles.indexOf('brood');
  const last = roles.lastIndexOf('brood');
  const middle = first < 0 ? (order.length - 1) / 2 : (first + last) / 2;
  const used = roles.flatMap((r, i) => (r ? [i] : []));
  const lowest = used[0] ?? 0;
  const highest = used.at(-1) ?? 0;
  order.forEach((f, i) => {
    const role = roles[i];
    if (!f || !role) {
      // A gap inside is filled with wild comb.
      if (i > lowest && i < highest) cost += 5;
      return;
    }
    if (f.slot !== null) {
      if (f.slot !== slots[i]) cost += SLIDE[school];
      if (f.slot < lastSlot) cost += TURNED[school];
      lastSlot = f.slot;
    }
    if (role === 'brood') {
      cost += 0.2 * f.frame.brood * Math.abs(i - middle);
      return;
    }
    // Nothing but brood within the brood: the bees cannot keep the far side warm.
    if (first >= 0 && i > first && i < last) cost += 6;
    const away = first < 0 ? Math.abs(i - middle) : Math.max(first - i, i - last, 0);
    if (role === 'bread') cost += 0.6 * away;
    else if (role === 'empty') cost += 0.35 * away;
    else cost += 0.3 * Math.max(0, order.length - away);
  });
  return cost;
}

function improve(order: (ToArrange | null)[], slots: readonly number[], school: OrderSchool): void {
  let cost = costOf(order, slots, school);
  const n = order.length;
  for (;;) {
    let better: (ToArrange | null)[] | null = null;
    const look = (next: (ToArrange | null)[]) => {
      const c = costOf(next, slots, school);
      if (c < cost - 1e-9) {
        cost = c;
        better = next;
      }
    };
    for (let a = 0; a < n; a++) {
      for (let b = 0; b < n; b++) {
        if (a === b) continue;
        if (a < b) {
          const swapped = [...order];
          [swapped[a], swapped[b]] = [swapped[b] as ToArrange | null, swapped[a] as ToArrange | null];
          look(swapped);
        }
        // One frame, or a few that hang together, go elsewhere and the rest closes up.
        for (let length = 1; length <= 3 && a + length <= n; length++) {
          const shifted = [...order];
          const taken = shifted.splice(a, length);
          shifted.splice(Math.min(b, shifted.length), 0, ...taken);
          look(shifted);
        }
      }
    }
    if (!better) return;
    const next: (ToArrange | null)[] = better;
    for (let i = 0; i < n; i++) order[i] = next[i] as ToArrange | null;
  }
}
