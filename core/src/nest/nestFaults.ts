import { hasFood, roleOf, SMALL_UNIT, type CombRole, type NestComb } from './nestComb.ts';

/** A comb in its slot. */
export interface HungComb {
  readonly comb: NestComb;
  readonly slot: number;
}

/** What is wrong with how a nest hangs. */
export type NestFault =
  /** Something stands between two combs of brood: they cool out, and she does not cross it. */
  | 'foundation-in-brood'
  | 'drawn-in-brood'
  | 'stores-in-brood'
  | 'bread-in-brood'
  /** Slots without a comb between two combs: bees build wild comb there within days. */
  | 'gap'
  /** Foundation beside brood though there is something better to hang there. */
  | 'foundation-at-brood'
  /** Brood at the wall, though combs are there to stand outside it. */
  | 'brood-at-wall'
  /** A small unit whose food does not touch its brood: it starves beside it on a cold night. */
  | 'food-apart'
  /** A comb with a queen cell at the outside. */
  | 'cell-outside';

const BETWEEN: Readonly<Record<Exclude<CombRole, 'brood'>, NestFault>> = {
  foundation: 'foundation-in-brood',
  drawn: 'drawn-in-brood',
  stores: 'stores-in-brood',
  bread: 'bread-in-brood',
};

/**
 * What is wrong with how the combs of one box hang, by common practice (no source).
 *
 * @param slots - the slots in which combs can hang, in order: a feeder or a board has taken the others
 * @param framesOfBees - of the whole unit; food touches the brood in a small one
 */
export function nestFaults(
  combs: readonly HungComb[],
  slots: readonly number[],
  framesOfBees: number,
): NestFault[] {
  const order = slots.map((s) => combs.find((c) => c.slot === s)?.comb ?? null);
  const roles = order.map((c) => (c ? roleOf(c) : null));
  const used = roles.flatMap((r, i) => (r ? [i] : []));
  const nest = roles.flatMap((r, i) => (r === 'brood' ? [i] : []));
  const [lowest = 0, highest = -1] = [used[0], used.at(-1)];
  const faults = new Set<NestFault>();
  roles.forEach((role, i) => {
    if (role === null && i > lowest && i < highest) faults.add('gap');
  });
  const [first, last] = [nest[0], nest.at(-1)];
  if (first === undefined || last === undefined) return [...faults];
  for (const role of roles.slice(first, last)) {
    if (role !== null && role !== 'brood') faults.add(BETWEEN[role]);
  }
  const outside = roles.filter((r) => r !== null && r !== 'brood');
  const beside = [order[first - 1], order[last + 1]].flatMap((c) => c ?? []);
  const better = outside.filter((r) => r !== 'foundation').length;
  if (beside.filter((c) => roleOf(c) !== 'foundation').length < Math.min(better, beside.length))
    faults.add('foundation-at-brood');
  const atWall = Number(first === 0) + Number(last === slots.length - 1);
  // One comb outside stands on one side; two leave no wall to the brood.
  if (atWall > Math.max(0, 2 - outside.length)) faults.add('brood-at-wall');
  if (framesOfBees < SMALL_UNIT && outside.some((r) => r === 'stores' || r === 'bread')) {
    const touching = [order[first], order[last], ...beside];
    if (!touching.some((c) => c && hasFood(c))) faults.add('food-apart');
  }
  const cells = order.flatMap((c, i) => (c && c.liveCells > 0 ? [i] : []));
  if (used.length > 2 && cells.some((i) => i === lowest || i === highest)) faults.add('cell-outside');
  return [...faults];
}
