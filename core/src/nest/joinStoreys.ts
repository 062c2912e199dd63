import { roleOf, type CombRole, type NestComb } from './nestComb.ts';

/** How far out a comb belongs beside the brood: bread next to it, honey and foundation at the wall. */
const OUTWARD: Readonly<Record<CombRole, number>> = {
  brood: 0,
  bread: 1,
  drawn: 2,
  stores: 3,
  foundation: 4,
};

/**
 * Brings the combs of several storeys into one row for a single wide box: the brood of all in the middle, one storey's
 * beside the other's, each storey in its own order, bread next to it and honey to the walls (common practice, no source).
 *
 * @param storeys - the combs of each box in the order of their slots
 * @returns all of them, from the one wall to the other
 */
export function joinStoreys<T extends NestComb>(storeys: readonly (readonly T[])[]): T[] {
  const parts = storeys.map(partsOf);
  return [
    // From the wall inwards, and from the brood outwards: the same, read from the other end.
    ...merge(parts.map((p) => p.left.toReversed())).toReversed(),
    ...parts.flatMap((p) => p.brood),
    ...merge(parts.map((p) => p.right)),
  ];
}

function partsOf<T extends NestComb>(storey: readonly T[]) {
  const isBrood = (c: T) => roleOf(c) === 'brood';
  const first = storey.findIndex(isBrood);
  const last = storey.findLastIndex(isBrood);
  // A storey without brood is parted in its middle, a half to each side of the others' brood.
  const half = Math.ceil(storey.length / 2);
  return first < 0
    ? { left: storey.slice(0, half), brood: [], right: storey.slice(half) }
    : { left: storey.slice(0, first), brood: storey.slice(first, last + 1), right: storey.slice(last + 1) };
}

/** Takes from each row its next comb, whichever belongs nearest to the brood; the order within a row is kept. */
function merge<T extends NestComb>(rows: readonly (readonly T[])[]): T[] {
  const left = rows.map((row) => [...row]);
  const out: T[] = [];
  for (;;) {
    const next = left.filter((row) => row.length > 0).toSorted((a, b) => outward(a[0]) - outward(b[0]))[0];
    const comb = next?.shift();
    if (comb === undefined) return out;
    out.push(comb);
  }
}

const outward = (comb: NestComb | undefined) => (comb ? OUTWARD[roleOf(comb)] : Infinity);
