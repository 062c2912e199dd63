import { cellsOnFrame } from '../../../records/index.ts';
import type { Draft } from '../draft.ts';

/**
 * A cell lives as long as bees keep it: it dies with a comb that leaves its hive. Moves have no day of their own, so it
 * is dated by what was last noted of it.
 */
export function loseCellsWithCombs(draft: Draft): void {
  for (const change of draft.changes()) {
    if (change.kind !== 'frame' || !change.after || change.after.place === 'box') continue;
    for (const cell of cellsOnFrame(draft.apiary, change.id)) {
      if (cell.fate) continue;
      const day = cell.history.at(-1)?.day ?? cell.notedOn;
      draft.put('cell', {
        ...cell,
        reserved: false,
        fate: { day, how: 'dead' },
        history: [...cell.history, { day, did: 'dead', frameId: cell.frameId }],
      });
    }
  }
}
