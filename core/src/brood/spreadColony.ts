import { bothSides, type FrameReading, inReferenceFrames, type FrameSizeId } from '../comb/index.ts';
import type { Problem } from '../basics/index.ts';
import { spreadNest } from './spreadNest.ts';

/**
 * A colony said in a few numbers, in whole frames of its lowest box: "nine of bees, four capped, two open,
 * eggs seen, three of stores".
 */
export interface QuickCount {
  readonly bees: number;
  readonly capped: number;
  readonly open: number;
  /** Null when nobody looked for eggs. */
  readonly eggsSeen: boolean | null;
  readonly stores: number;
  readonly beeBread: number;
  /** Empty drawn comb; what nobody named is taken for it. */
  readonly drawn: number;
  readonly foundation: number;
}

/** A box to spread over: how many of its combs the colony has, and whether brood may be in it. */
export interface SpreadBox {
  readonly sizeId: FrameSizeId;
  readonly combs: number;
  /** False for supers and for boxes above an excluder. */
  readonly brood: boolean;
}

/** Steady laying leaves half as much comb in eggs as in open brood: three days to six. */
const EGGS_TO_OPEN = 0.5;
/** Bees are thinner in supers than around brood (common practice, no source). */
const SUPER_BEES = 0.5;
/** The fullest that brood boxes get of brood, as in {@link spreadNest}. */
const FULLEST = 0.8;

/** Frames of a quick count that are named, eggs included. */
export function namedFrames(count: QuickCount): number {
  return count.capped + eggsAndOpen(count) + count.stores + count.beeBread + count.drawn + count.foundation;
}

/** Combs of the boxes, in frames of the lowest. */
export function framesThere(boxes: readonly SpreadBox[]): number {
  return boxes.reduce((n, b) => n + b.combs * worthOf(b, boxes), 0);
}

/** Says what is impossible about a quick count; an empty list means that it can be spread. */
export function problemsOfQuickCount(count: QuickCount, boxes: readonly SpreadBox[]): Problem[] {
  const there = framesThere(boxes);
  const broodRoom = FULLEST * framesThere(boxes.filter((b) => b.brood));
  const brood = count.capped + eggsAndOpen(count);
  const over = (key: keyof QuickCount, has: number, most: number, what: string, remedy: string): Problem[] =>
    has > most + 0.25
      ? [
          {
            code: 'beyond-comb',
            path: ['quick', key],
            message: `${one(has)} ${what}; there is room for ${one(most)}.`,
            remedy,
          },
        ]
      : [];
  return [
    ...over('bees', count.bees, there, 'frames of bees', 'Write bees that hang on walls or lid in the note.'),
    ...over(
      'capped',
      brood,
      broodRoom,
      'frames of brood with its eggs',
      'Correct capped or open brood, or count frame by frame.',
    ),
    ...over('stores', namedFrames(count), there, 'frames are named', 'Take some off one of them.'),
  ];
}

/**
 * Spreads a quick count over the combs of a colony as a typical nest, box by box from the bottom: brood in
 * the boxes that may hold it, stores first in supers and then above and beside the brood, foundation in the
 * top box, empty comb where nothing is.
 *
 * @returns for each box one reading a comb, marked as estimated
 */
export function spreadColony(count: QuickCount, boxes: readonly SpreadBox[]): FrameReading[][] {
  const capacity = boxes.map((b) => b.combs * worthOf(b, boxes));
  const broodCapacity = boxes.map((b, i) => (b.brood ? (capacity[i] ?? 0) : 0));
  const eggs = count.eggsSeen === true ? count.open * EGGS_TO_OPEN : 0;
  // Foundation hangs in whole sheets, the last box given first.
  const foundation = fillFromTop(count.foundation, capacity);
  const built = capacity.map((c, i) => Math.max(0, c - (foundation[i] ?? 0)));
  const broodRoom = broodCapacity.map((c, i) => FULLEST * Math.min(c, built[i] ?? 0));
  const brood = deal(count.capped + count.open + eggs, broodRoom, broodRoom);
  const bread = deal(
    count.beeBread,
    brood.map((b) => b + 0.01),
    built.map((b, i) => b - (brood[i] ?? 0)),
  );
  const free = built.map((b, i) => b - (brood[i] ?? 0) - (bread[i] ?? 0));
  const supers = free.map((f, i) => (boxes[i]?.brood ? 0 : f));
  const inSupers = fillFromTop(Math.min(count.stores, sum(supers)), supers);
  const inNest = fillFromTop(
    Math.max(0, count.stores - sum(supers)),
    free.map((f, i) => (boxes[i]?.brood ? f : 0)),
  );
  const bees = deal(
    count.bees,
    built.map((b, i) => (boxes[i]?.brood ? b + 2 * (brood[i] ?? 0) : SUPER_BEES * b)),
    built,
  );
  return boxes.map((box, i) => {
    const worth = worthOf(box, boxes);
    const own = (frames: number | undefined) => (frames ?? 0) / worth;
    const total = count.capped + count.open + eggs;
    const stage = (amount: number) => (total > 0 ? own(((brood[i] ?? 0) * amount) / total) : 0);
    if (box.combs === 0) return [];
    const spread = spreadNest(box.combs, {
      bees: own(bees[i]),
      eggs: stage(eggs),
      open: stage(count.open),
      capped: stage(count.capped),
      beeBread: own(bread[i]),
      honey: own((inSupers[i] ?? 0) + (inNest[i] ?? 0)),
      foundation: own(foundation[i]),
    });
    return spread.map((r) => bothSides(r.sides[0].contents, r.sides[0].bees, { estimated: true }));
  });
}

function eggsAndOpen(count: QuickCount): number {
  return count.open * (count.eggsSeen === true ? 1 + EGGS_TO_OPEN : 1);
}

function worthOf(box: SpreadBox, boxes: readonly SpreadBox[]): number {
  return inReferenceFrames(box.sizeId, boxes[0]?.sizeId ?? box.sizeId);
}

const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
const one = (n: number) => Math.round(n * 10) / 10;

/** Deals an amount out by weight; what goes beyond a limit goes to the others. */
function deal(amount: number, weight: readonly number[], limit: readonly number[]): number[] {
  const out = limit.map(() => 0);
  let left = Math.min(amount, sum(limit.map((l) => Math.max(0, l))));
  for (let round = 0; round < limit.length && left > 1e-9; round++) {
    const open = limit.map((l, i) => (l - (out[i] ?? 0) > 1e-9 ? (weight[i] ?? 0) : 0));
    const total = sum(open);
    if (total <= 0) break;
    const deals = open.map((w, i) => Math.min((limit[i] ?? 0) - (out[i] ?? 0), (left * w) / total));
    deals.forEach((d, i) => (out[i] = (out[i] ?? 0) + d));
    left -= sum(deals);
  }
  return out;
}

function fillFromTop(amount: number, room: readonly number[]): number[] {
  const out = room.map(() => 0);
  let left = amount;
  for (let i = room.length - 1; i >= 0; i--) {
    out[i] = Math.max(0, Math.min(left, room[i] ?? 0));
    left -= out[i] ?? 0;
  }
  return out;
}
