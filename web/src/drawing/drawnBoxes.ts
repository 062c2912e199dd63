import {
  boxesOfColony,
  framesOfColony,
  sharedBoxesOf,
  sharedFramesOf,
  type Apiary,
  type Box,
  type Colony,
  type PlacedFrame,
} from '@incremen/core/records';
import type { DrawnBox } from './HiveDrawing.tsx';

/**
 * A colony's boxes ready to be drawn, supers in common with its neighbours on top.
 *
 * @param frames - its frames as they now hang, or as of another day
 */
export function drawnBoxesOf(
  apiary: Apiary,
  colony: Colony,
  frames: readonly PlacedFrame[] = framesOfColony(apiary, colony),
): DrawnBox[] {
  const own = boxesOfColony(apiary, colony);
  const shared = sharedBoxesOf(apiary, colony).filter((s) => !own.some((b) => b.id === s.id));
  // On a past day frames may have hung in boxes that have gone elsewhere since.
  const gone = new Map(frames.map((f) => [f.box.id, f.box]));
  for (const b of [...own, ...shared]) gone.delete(b.id);
  const all = [...frames, ...sharedFramesOf(apiary, colony)];
  return [...gone.values(), ...own, ...shared].map((box) => drawnBox(box, colony.id, all));
}

function drawnBox(box: Box, colonyId: string, frames: readonly PlacedFrame[]): DrawnBox {
  return {
    id: box.id,
    slots: box.slots,
    sizeId: box.sizeId,
    role: box.role,
    excluderBelow: box.excluderBelow,
    sheetBelow: box.sheetBelow !== null,
    inserts: box.inserts,
    partitionsAfter: box.chambers.slice(0, -1).map((c) => c.toSlot),
    othersSlots: box.chambers.flatMap((c) =>
      c.colonyId !== null && c.colonyId !== colonyId && box.chambers.length > 1
        ? Array.from({ length: c.toSlot - c.fromSlot + 1 }, (_, i) => c.fromSlot + i)
        : [],
    ),
    frames: frames
      .filter((p) => p.box.id === box.id)
      .map((p) => ({
        id: p.frame.id,
        slot: p.slot,
        reading: p.reading?.body ?? null,
        blank: p.frame.blank,
        ...(p.frame.sizeId === box.sizeId ? {} : { sizeId: p.frame.sizeId }),
      })),
  };
}
