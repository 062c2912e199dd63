import { boxesOfColony, framesOfColony, type Apiary, type Colony } from '@incremen/core';
import type { DrawnBox } from './HiveDrawing.tsx';

/** A colony's boxes and frames as they now hang, ready to be drawn. */
export function drawnBoxesOf(apiary: Apiary, colony: Colony): DrawnBox[] {
  const frames = framesOfColony(apiary, colony);
  return boxesOfColony(apiary, colony).map((box) => ({
    id: box.id,
    slots: box.slots,
    sizeId: box.sizeId,
    role: box.role,
    frames: frames
      .filter((p) => p.box.id === box.id)
      .map((p) => ({ id: p.frame.id, slot: p.slot, reading: p.reading?.body ?? null, blank: p.frame.blank })),
  }));
}
