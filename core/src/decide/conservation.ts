import type { Problem } from '../basics/index.ts';
import { INSERT_WORDS, type Apiary, type Change } from '../records/index.ts';

/**
 * What would break the conservation of frames: two in one slot, a slot that does not exist, a comb of the
 * wrong size for its box, a place that is no place.
 *
 * Only frames and boxes that the changes touch are looked at. Deep frames in shallow boxes do hang in real
 * hives, so a wrong size is not refused here; the plan ledger flags it.
 */
export function conservationProblems(after: Apiary, changes: readonly Change[]): Problem[] {
  const problems: Problem[] = [];
  const boxes = new Set<string>();
  for (const c of changes) {
    if (c.kind === 'frame' && c.after?.boxId) boxes.add(c.after.boxId);
    if (c.kind === 'box') boxes.add(c.id);
    if (c.kind === 'frame' && c.after) {
      const inBox = c.after.place === 'box';
      if (inBox !== (c.after.boxId !== null) || inBox !== (c.after.slot !== null)) {
        problems.push(broken(c.id, 'A frame is in a slot of a box, or in neither box nor slot.'));
      }
    }
  }
  if (boxes.size === 0) return problems;
  const taken = new Map<string, string>();
  for (const frame of Object.values(after.frame)) {
    if (frame.boxId === null || !boxes.has(frame.boxId)) continue;
    const box = after.box[frame.boxId];
    if (!box) {
      problems.push(broken(frame.id, `It would hang in a box that does not exist (${frame.boxId}).`));
      continue;
    }
    if (frame.slot !== null && frame.slot > box.slots) {
      problems.push({
        code: 'no-such-slot',
        path: ['frames', frame.id, 'slot'],
        message: `Slot ${frame.slot} does not exist: the box has ${box.slots}.`,
        remedy: `Choose a slot from 1 to ${box.slots}.`,
      });
    }
    const key = `${frame.boxId}/${frame.slot}`;
    const insert = box.inserts.find((n) => n.slot === frame.slot);
    if (insert) {
      problems.push({
        code: 'slot-taken',
        path: ['frames', frame.id, 'slot'],
        message: `Slot ${frame.slot} holds a ${INSERT_WORDS[insert.what]}.`,
        remedy: 'Choose a free slot, or take it out first.',
      });
    }
    const other = taken.get(key);
    if (other) {
      problems.push({
        code: 'slot-taken',
        path: ['frames', frame.id, 'slot'],
        message: `Slot ${frame.slot} would hold two frames. One comb cannot make room for another.`,
        remedy: 'Choose a free slot, or move the frame that hangs there in the same step.',
      });
    }
    taken.set(key, frame.id);
  }
  return problems;
}

const broken = (frameId: string, message: string): Problem => ({
  code: 'frame-misplaced',
  path: ['frames', frameId],
  message,
  remedy: 'Put it in a slot or into the store.',
});
