import { cellsOnFrame, type Cell, type CommandOf, type Frame } from '../../../records/index.ts';
import type { Draft } from '../draft.ts';

type Path = readonly (string | number)[];

/** More cells hang on no comb. */
const MOST_ON_A_COMB = 60;

/** Enters cells one by one; each hangs on a comb in a hive. */
export function decideEnterCells(draft: Draft, command: CommandOf<'enterCells'>, path: Path): void {
  command.cells.forEach((cell, i) => {
    const at = [...path, 'cells', i];
    if (!combInHive(draft, cell.frameId, [...at, 'frameId'])) return;
    if (cell.egg.earliest > cell.egg.likely || cell.egg.likely > cell.egg.latest) {
      draft.problem(
        'window-reversed',
        [...at, 'egg'],
        'The days on which its egg may have been laid are not in order.',
        'Give the earliest, the likely and the latest day in this order.',
      );
    }
    draft.add('cell', { ...cell, history: [{ day: cell.notedOn, did: 'entered', frameId: cell.frameId }] }, [
      ...at,
      'id',
    ]);
  });
}

function combInHive(draft: Draft, frameId: string, at: Path): Frame | undefined {
  const frame = draft.need('frame', frameId, at);
  if (!frame) return undefined;
  if (frame.place !== 'box') {
    draft.problem(
      frame.place === 'gone' ? 'frame-gone' : 'not-in-store',
      at,
      'No queen cell lives on a comb out of a hive.',
      'Choose a comb that hangs in a hive.',
    );
    return undefined;
  }
  if (frame.care.quarantine) {
    draft.problem(
      'comb-apart',
      at,
      'This comb is kept apart.',
      'Choose a comb that is not, or release it first.',
    );
    return undefined;
  }
  return frame;
}

/** What is done with cells that are followed, or seen of them. */
export function decideChangeCells(draft: Draft, command: CommandOf<'changeCells'>, path: Path): void {
  const { day, change } = command;
  if (change.what === 'cut-out' && !combInHive(draft, change.toFrameId, [...path, 'change', 'toFrameId']))
    return;
  command.cellIds.forEach((id, i) => {
    const at = [...path, 'cellIds', i];
    const cell = draft.need('cell', id, at);
    if (!cell) return;
    if (cell.fate) {
      draft.problem(
        'cell-gone',
        at,
        `This cell ${FATE_WORDS[cell.fate.how]} on ${cell.fate.day}.`,
        'Choose a cell that is there.',
      );
      return;
    }
    draft.put('cell', changed(cell, day, change));
  });
  if (change.what === 'cut-out') {
    const there = cellsOnFrame(draft.apiary, change.toFrameId).filter((c) => c.fate === null);
    if (there.length > MOST_ON_A_COMB)
      draft.problem(
        'beyond-comb',
        [...path, 'change', 'toFrameId'],
        `${there.length} cells on one comb.`,
        'Share them out.',
      );
  }
}

const FATE_WORDS = {
  emerged: 'emerged',
  torn: 'was torn down',
  broken: 'was broken',
  dead: 'was found dead',
} as const;

function changed(cell: Cell, day: string, change: CommandOf<'changeCells'>['change']): Cell {
  switch (change.what) {
    case 'cut-out':
      return {
        ...cell,
        frameId: change.toFrameId,
        history: [...cell.history, { day, did: 'cut-out', frameId: change.toFrameId }],
      };
    case 'reserve':
      return {
        ...cell,
        reserved: change.reserved,
        history: [
          ...cell.history,
          { day, did: change.reserved ? 'reserved' : 'let-go', frameId: cell.frameId },
        ],
      };
    case 'fate':
      return {
        ...cell,
        reserved: false,
        fate: { day, how: change.how },
        history: [...cell.history, { day, did: change.how, frameId: cell.frameId }],
      };
    case 'quality':
      return { ...cell, quality: change.quality };
  }
}
