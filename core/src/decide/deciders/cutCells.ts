import type { Day } from '../../basics/index.ts';
import { cappingOf } from '../../cells/index.ts';
import { isLiveCell, type CellFinding } from '../../comb/index.ts';
import { cellsOnFrame, type Cell, type WorkEffect } from '../../records/index.ts';
import type { Draft } from './draft.ts';

type CellsCut = Extract<WorkEffect, { readonly kind: 'cells-cut' }>;

/** What the inspection showed stays as it was; from now on the comb has only the cells that were left on it. */
export function cutCells(
  draft: Draft,
  { frameId, readingId: id, what }: CellsCut,
  day: Day,
  path: readonly (string | number)[],
): void {
  const frame = draft.need('frame', frameId, path);
  if (!frame) return;
  const reading = frame.readingId ? draft.get('reading', frame.readingId) : undefined;
  if (reading?.body.cells.some((c) => isLiveCell(c.kind))) {
    const cells = leftOf(reading.body.cells, what);
    draft.add('reading', { ...reading, id, visitId: null, body: { ...reading.body, cells } }, path);
    draft.put('frame', { ...frame, readingId: id });
  }
  const followed = cellsOnFrame(draft.apiary, frameId).filter((c) => c.fate === null);
  const kept = followed.find((c) => c.reserved) ?? followed[0];
  for (const cell of followed) if (isCut(cell, kept, what, day)) draft.put('cell', broken(cell, day));
}

/** A cell that is followed is what its days make of it. */
function isCut(cell: Cell, kept: Cell | undefined, what: CellsCut['what'], day: Day): boolean {
  switch (what) {
    case 'all':
      return true;
    case 'all-but-best':
      return cell !== kept;
    case 'capped':
      return day >= cappingOf(cell).likely;
  }
}

function leftOf(cells: readonly CellFinding[], what: CellsCut['what']): CellFinding[] {
  if (what === 'capped') return cells.filter((c) => c.kind !== 'capped');
  const dead = cells.filter((c) => !isLiveCell(c.kind));
  if (what === 'all') return dead;
  const live = cells.filter((c) => isLiveCell(c.kind));
  // One that is capped has been fed to its end.
  const best = live.find((c) => c.kind === 'capped') ?? live.find((c) => c.kind === 'charged') ?? live[0];
  return [...dead, ...(best ? [{ ...best, count: 1 }] : [])];
}

const broken = (cell: Cell, day: Day): Cell => ({
  ...cell,
  reserved: false,
  fate: { day, how: 'broken' },
  history: [...cell.history, { day, did: 'broken', frameId: cell.frameId }],
});
