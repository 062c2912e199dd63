import { numberAt } from '../basics/index.ts';
import { hasFood, roleOf, SMALL_UNIT, type CombRole, type NestComb } from './nestComb.ts';

/**
 * How freely combs that hang already may be moved about: `keep` slides them but keeps their order, for bought, weak and
 * cool colonies; `nest` puts them into the best order; `checkerboard` sets empty combs between the brood combs of a
 * strong colony in warm weather.
 */
export const ORDER_SCHOOLS = ['nest', 'keep', 'checkerboard'] as const;
export type OrderSchool = (typeof ORDER_SCHOOLS)[number];

/** A comb for a box, and the slot where it hangs already; null when it comes from elsewhere. */
export interface ToHang<T extends NestComb = NestComb> {
  readonly frame: T;
  readonly slot: number | null;
  /** It is not slid: a queen cell hangs on it, or it was hung there in the course of the work. */
  readonly fixed?: boolean;
  /** What the comb is to the nest, where that was looked up. */
  readonly role?: CombRole;
}

/** What it costs that a comb which is not to be slid gets another slot. */
const FIXED = 500;

/** What it costs that a comb which hangs there already gets another slot. */
const SLIDE: Readonly<Record<OrderSchool, number>> = { keep: 2.5, nest: 0.7, checkerboard: 0.7 };

/** What it costs that two combs which hang there already change their order: when it is to be kept, nothing outweighs it. */
const TURNED: Readonly<Record<OrderSchool, number>> = { keep: 150, nest: 3, checkerboard: 3 };

/** What it costs at most that an empty comb changes its order: where it would come to stand between brood it goes outside. */
const EMPTY_TURNED = 20;

/** What an order costs in which hardly anything is left to be wished. */
const WELL = 2;

/** A slot left free between combs is filled with wild comb within days: the rest is pushed together, however many slide. */
const GAP = 40;

/** What it costs that something stands between two combs of brood. */
const BETWEEN: Readonly<Record<Exclude<CombRole, 'brood'>, number>> = {
  foundation: 100,
  drawn: 40,
  stores: 40,
  bread: 20,
};

/** What it costs that foundation stands beside the brood while something better hangs further out. */
const FOUNDATION_AT_BROOD = 12;
/** Brood at the wall, while combs are there to stand outside it. */
const AT_WALL = 12;
/** A nest without food on or beside it; a small unit starves beside it on a cold night. */
const FOOD_APART = { small: 300, large: 3 } as const;
/** In a small unit an empty comb stands between the brood and the food that there is: it is not reached on a cold night. */
const FOOD_BEYOND = 4;
/** A queen cell at the outside. */
const CELL_OUTSIDE = 12;

/** What a slot further from the brood costs, by what a comb is: bread beside it, comb to lay in next, food and foundation outside. */
const AWAY: Readonly<Record<Exclude<CombRole, 'brood'>, number>> = {
  bread: 0.6,
  drawn: 0.35,
  stores: -0.3,
  foundation: -0.35,
};

/** So far from the brood food and foundation are outside: further away is no better, or a nest would be pushed to one wall. */
const OUTSIDE = 3;

/**
 * Gives every comb of a box a slot: brood together with the fullest innermost, bee bread beside it, empty comb next, food
 * and foundation outside, no gap, and as few combs slid as that is worth.
 *
 * A small optimisation of its own: exchanges and shifts until none pays.
 *
 * @param slots - the slots of the box that may be used, in order; at least as many as combs
 * @param framesOfBees - of the whole unit: in a small one food touches the brood before all
 * @param warmSlot - the slot at a partition, behind which others sit: brood hangs against it
 * @returns by comb id, its slot
 */
export function hangNest(
  frames: readonly ToHang[],
  slots: readonly number[],
  school: OrderSchool,
  framesOfBees: number,
  warmSlot: number | null = null,
): Map<string, number> {
  const small = framesOfBees < SMALL_UNIT;
  const costOf = (order: readonly (ToHang | null)[]) => costOfNest(order, slots, school, small, warmSlot);
  const known = frames.map((f) => ({ ...f, role: roleOf(f.frame) }));
  const order: (ToHang | null)[] = slots.map((s) => known.find((f) => f.slot === s) ?? null);
  const placed = new Set(order);
  // Those that come are taken in one by one where they cost least, the fullest first.
  for (const f of known.filter((g) => !placed.has(g)).toSorted((a, b) => b.frame.brood - a.frame.brood)) {
    let best = Infinity;
    let at = -1;
    order.forEach((there, i) => {
      if (there !== null) return;
      order[i] = f;
      const cost = costOf(order);
      if (cost < best) {
        best = cost;
        at = i;
      }
      order[i] = null;
    });
    if (at >= 0) order[at] = f;
  }
  improve(order, costOf);
  if (school !== 'keep' && costOf(order) > WELL) {
    // From its mirror image the nest may come to hang better at the other wall.
    const mirrored = order.toReversed();
    improve(mirrored, costOf);
    if (costOf(mirrored) < costOf(order) - 1e-9) order.splice(0, order.length, ...mirrored);
  }
  const where = new Map<string, number>();
  order.forEach((f, i) => {
    if (f) where.set(f.frame.id, numberAt(slots, i));
  });
  return where;
}

/** What an order costs, in combs slid. Exported for the check against all orders there are. */
export function costOfNest(
  order: readonly (ToHang | null)[],
  slots: readonly number[],
  school: OrderSchool,
  small: boolean,
  warmSlot: number | null = null,
): number {
  const n = order.length;
  const warmAt = warmSlot === null ? -1 : slots.indexOf(warmSlot);
  // Thousands of orders are priced for one box: roles are looked up, and nothing is made for it.
  let first = -1;
  let last = -1;
  let lowest = -1;
  let highest = -1;
  for (let i = 0; i < n; i++) {
    const role = roleAt(order, i);
    if (role === null) continue;
    if (lowest < 0) lowest = i;
    highest = i;
    if (role !== 'brood') continue;
    if (first < 0) first = i;
    last = i;
  }
  const middle = first < 0 ? (n - 1) / 2 : (first + last) / 2;
  let cost = 0;
  let lastSlot = 0;
  let lastFull = 0;
  let outside = 0;
  let better = 0;
  let food = 0;
  for (let i = 0; i < n; i++) {
    const f = order[i];
    const role = roleAt(order, i);
    if (!f || role === null) {
      if (i > lowest && i < highest) cost += GAP;
      continue;
    }
    if (f.slot !== null) {
      if (f.slot !== slots[i]) cost += f.fixed ? FIXED : SLIDE[school];
      if (role !== 'drawn' && f.slot < lastFull) cost += TURNED[school];
      else if (f.slot < lastSlot) cost += Math.min(TURNED[school], EMPTY_TURNED);
      lastSlot = f.slot;
      if (role !== 'drawn') lastFull = f.slot;
    }
    if (f.frame.liveCells > 0 && (i === lowest || i === highest)) cost += CELL_OUTSIDE;
    if (role === 'brood') {
      // Behind a partition others keep it warm: the fullest hangs there.
      cost += 0.2 * f.frame.brood * Math.abs(i - (warmAt < 0 ? middle : warmAt));
      continue;
    }
    outside++;
    if (isFood(role)) food++;
    if (role !== 'foundation') better++;
    // Nothing but brood within the brood: the bees cannot keep the far side warm.
    if (first >= 0 && i > first && i < last && !(school === 'keep' && isAsItHung(order, i))) {
      const parted =
        (role === 'drawn' || role === 'foundation') &&
        roleAt(order, i - 1) === 'brood' &&
        roleAt(order, i + 1) === 'brood';
      cost += school === 'checkerboard' && parted ? -2 : BETWEEN[role];
    }
    const away = first < 0 ? Math.abs(i - middle) : Math.max(first - i, i - last, 0);
    cost += AWAY[role] * (AWAY[role] < 0 ? Math.min(away, OUTSIDE) : away);
  }
  if (first < 0) return cost;
  const left = roleAt(order, first - 1);
  const right = roleAt(order, last + 1);
  const beside = Number(left !== null) + Number(right !== null);
  const wellBeside =
    Number(left !== null && left !== 'foundation') + Number(right !== null && right !== 'foundation');
  cost += FOUNDATION_AT_BROOD * Math.max(0, Math.min(better, beside) - wellBeside);
  const atWall = Number(first === 0 && warmAt !== 0) + Number(last === n - 1 && warmAt !== n - 1);
  cost += AT_WALL * Math.max(0, atWall - Math.max(0, 2 - outside));
  const fed =
    foodAt(order, first - 1) || foodAt(order, first) || foodAt(order, last) || foodAt(order, last + 1);
  if (!fed) cost += FOOD_APART[small ? 'small' : 'large'];
  if (small && food > 0 && !isFood(left) && !isFood(right)) cost += FOOD_BEYOND;
  return cost;
}

/** It hung between the same two combs before: who keeps the order leaves it there. */
function isAsItHung(order: Order, i: number): boolean {
  const slot = order[i]?.slot ?? null;
  return slot !== null && order[i - 1]?.slot === slot - 1 && order[i + 1]?.slot === slot + 1;
}

const isFood = (role: CombRole | null) => role === 'stores' || role === 'bread';

type Order = readonly (ToHang | null)[];

/** The role of the comb at a place; null where none hangs. Thousands of orders are priced: it is known beforehand. */
function roleAt(order: Order, i: number): CombRole | null {
  const there = order[i];
  return there ? (there.role ?? roleOf(there.frame)) : null;
}

function foodAt(order: Order, i: number): boolean {
  const comb = order[i]?.frame;
  return comb !== undefined && hasFood(comb);
}

function improve(order: (ToHang | null)[], costOf: (order: readonly (ToHang | null)[]) => number): void {
  let cost = costOf(order);
  const n = order.length;
  for (;;) {
    let better: (ToHang | null)[] | null = null;
    const look = (next: (ToHang | null)[]) => {
      const c = costOf(next);
      if (c < cost - 1e-9) {
        cost = c;
        better = next;
      }
    };
    for (let a = 0; a < n; a++) {
      for (let b = 0; b < n; b++) {
        if (a === b || (order[a] === null && order[b] === null)) continue;
        if (a < b) {
          const swapped = [...order];
          [swapped[a], swapped[b]] = [swapped[b] as ToHang | null, swapped[a] as ToHang | null];
          look(swapped);
        }
        // One comb, or a few that hang together, go elsewhere and the rest closes up.
        // Further out than it fits is the same as where it just fits.
        for (let length = 1; length <= n - Math.max(a, b); length++) {
          const shifted = [...order];
          const taken = shifted.splice(a, length);
          shifted.splice(b, 0, ...taken);
          look(shifted);
        }
      }
    }
    if (!better) return;
    const next: (ToHang | null)[] = better;
    for (let i = 0; i < n; i++) order[i] = next[i] as ToHang | null;
  }
}
