import { boxesOfColony, combSlots, isSlotOf, readingOf, type PlacedFrame } from '../../records/index.ts';
import { shareOf } from '../../comb/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { farFromBrood } from './broodCombs.ts';

/** A slot for a comb that comes, and the comb that makes room for it. */
export interface Room {
  readonly boxId: string;
  readonly slot: number;
  /** The comb that hangs there and goes; null where the slot is free. */
  readonly out: PlacedFrame | null;
}

/** A comb worth less than this makes room: an empty one, else one of food. */
const SPARED = 1.2;

/** What a comb is worth where it hangs: brood above all; an empty one is given up first. */
const worth = (f: PlacedFrame) => {
  const reading = readingOf(f);
  return (
    3 * shareOf(reading, 'eggs', 'open', 'capped', 'emerging', 'drone') +
    shareOf(reading, 'honey', 'nectar', 'beeBread') +
    (f.reading?.body.queenSeen ? 5 : 0)
  );
};

/**
 * Where a comb finds room in the brood boxes of a colony: a free slot next to brood, else in the place of the comb
 * that is missed least. Null where every comb has brood or food, or no box has its size.
 */
export function roomFor({ apiary, colony, frames }: UnitFacts, size: string): Room | null {
  const boxes = boxesOfColony(apiary, colony).filter((b) => b.role === 'brood' && b.sizeId === size);
  const far = (boxId: string, slot: number) => farFromBrood(frames, boxId, slot);
  const free = boxes.flatMap((b) =>
    combSlots(b)
      .filter(
        (slot) => isSlotOf(b, slot, colony.id) && !frames.some((f) => f.box.id === b.id && f.slot === slot),
      )
      .map((slot) => ({ boxId: b.id, slot, out: null })),
  );
  const [nearest] = free.toSorted((a, b) => far(a.boxId, a.slot) - far(b.boxId, b.slot));
  if (nearest) return nearest;
  const [least] = frames
    .filter((f) => boxes.some((b) => b.id === f.box.id))
    .toSorted((a, b) => worth(a) - worth(b) || far(a.box.id, a.slot) - far(b.box.id, b.slot));
  return least && worth(least) < SPARED ? { boxId: least.box.id, slot: least.slot, out: least } : null;
}
