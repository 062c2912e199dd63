import { type PlacedFrame, STORE_KEY, type YardPlanBody } from '../../records/index.ts';

/** Combs of a unit on their way into the store. */
export const toStore = (
  frames: readonly PlacedFrame[],
  unitId: string,
  reason: string,
): YardPlanBody['moves'] =>
  frames.map((f) => ({
    frameId: f.frame.id,
    from: { boxId: f.box.id, slot: f.slot },
    to: null,
    fromKey: unitId,
    toKey: STORE_KEY,
    reason,
  }));
