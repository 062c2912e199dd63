import { dayInWords } from '../../basics/index.ts';
import type { CommandOf } from '../../records/index.ts';
import type { Draft } from './draft.ts';

/** Moves frames, all at once, so that two can change places. Slots are checked when the command is done. */
export function decideMoveFrames(
  draft: Draft,
  command: CommandOf<'moveFrames'>,
  path: readonly (string | number)[],
): void {
  command.moves.forEach((move, i) => {
    const at = [...path, 'moves', i];
    const frame = draft.need('frame', move.frameId, [...at, 'frameId']);
    if (!frame) return;
    if (frame.place === 'gone') {
      draft.problem(
        'frame-gone',
        [...at, 'frameId'],
        'This frame has left the operation.',
        'Choose another frame.',
      );
      return;
    }
    if (move.to.place === 'store') {
      draft.put('frame', { ...frame, place: 'store', boxId: null, slot: null });
      return;
    }
    const box = draft.need('box', move.to.boxId, [...at, 'to', 'boxId']);
    if (!box) return;
    // Within its own box it may be turned round; to bees it does not go.
    if (frame.care.quarantine && box.id !== frame.boxId) {
      draft.problem(
        'comb-apart',
        [...at, 'frameId'],
        `This comb is kept apart since ${dayInWords(frame.care.quarantine.since)}.`,
        'Choose another comb; or release it in the store once it is known to be clean.',
      );
      return;
    }
    draft.put('frame', { ...frame, place: 'box', boxId: move.to.boxId, slot: move.to.slot });
  });
}
