import { type PlacedFrame, STORE_KEY, type WorkMove } from '../../records/index.ts';

/** Combs of a unit on their way into the store. */
export const toStore = (frames: readonly PlacedFrame[], unitId: string, reason: string): WorkMove[] =>
  frames.map((f) => ({
    frameId: f.frame.id,
    from: { boxId: f.box.id, slot: f.slot },
    to: null,
    fromKey: unitId,
    toKey: STORE_KEY,
    reason,
  }));
