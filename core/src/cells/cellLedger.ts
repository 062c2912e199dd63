import {
  operationOf,
  type Apiary,
  type Cell,
  type Colony,
  boxesOfColony,
  cellsOnFrame,
  framesOfColony,
  placeInWords,
  visitsOf,
} from '../records/index.ts';
import { cappingOf, dateCell, emergenceOf, type CellAge } from './cellDating.ts';
import { addDays, daysBetween, type Day, type Window } from '../basics/index.ts';
import {
  isLiveCell,
  type CellFinding,
  type CellKind,
  type CellPlace,
  type FrameSizeId,
} from '../comb/index.ts';

/** Where a cell is on its way on a day. */
type CellStage = 'open' | 'tender' | 'ripe' | 'due' | 'over';

/** Queen cells of one kind on one frame, and what becomes of them. */
export interface LedgerLine {
  /** Frame, or the look in which they were seen without noting where. */
  readonly frameId: string;
  readonly sizeId: FrameSizeId;
  readonly colonyId: string;
  readonly colony: string;
  /** "upper box, frame 4". */
  readonly where: string;
  readonly kind: CellKind;
  readonly count: number;
  readonly place: CellPlace | null;
  readonly seenOn: Day;
  /** What its days are told by. */
  readonly datedBy: CellAge['datedBy'];
  readonly egg: Window;
  /** The cell itself, where it is followed by itself. */
  readonly followed: Cell | null;
  /** When they are capped; past when they were capped as seen. */
  readonly capped: Window;
  readonly emerges: Window;
  readonly stage: CellStage;
  /** Whether and how they can be moved on the day. */
  readonly move: string;
}

/** So near to emergence the pupa is no longer tender (common practice, no source). */
const RIPE_DAYS = 3;

/** All live queen cells by the last readings and looks, those that emerge first on top and those that are over below. */
export function cellLedger(apiary: Apiary, day: Day): LedgerLine[] {
  const lines = Object.values(apiary.colony)
    .filter((c) => c.endedOn === null && c.hiveId !== null)
    .flatMap((colony) => cellsOf(apiary, colony, day));
  const over = (l: LedgerLine) => Number(l.stage === 'over');
  return lines.toSorted((a, b) => over(a) - over(b) || a.emerges.likely.localeCompare(b.emerges.likely));
}

/** Live cells of one colony, by its last readings or its last look. */
export function cellsOf(apiary: Apiary, colony: Colony, day: Day): LedgerLine[] {
  const onFrames = cellsOnFrames(apiary, colony);
  const look = cellsOfLook(apiary, colony);
  // A look says how many there are, not where; frames that were read since, or that day, say more.
  const framesRule = onFrames.some((c) => look.every((l) => c.seenOn >= l.seenOn));
  return (framesRule || look.length === 0 ? onFrames : look).flatMap((c) => lineOf(c, colony, day) ?? []);
}

interface SeenCells {
  readonly cell: CellFinding;
  readonly followed: Cell | null;
  readonly frameId: string;
  readonly sizeId: FrameSizeId;
  readonly where: string;
  readonly seenOn: Day;
}

function cellsOnFrames(apiary: Apiary, colony: Colony): SeenCells[] {
  return framesOfColony(apiary, colony).flatMap(({ reading, frame, box, slot }) => {
    const at = {
      frameId: frame.id,
      sizeId: frame.sizeId,
      where: placeInWords(apiary, colony, box, slot),
    };
    const followed = followedOn(apiary, frame.id, reading?.day ?? null);
    if (followed)
      return followed.map((cell): SeenCells => ({
        ...at,
        followed: cell,
        cell: { kind: 'open', count: 1, ...(cell.place === 'unsure' ? {} : { place: cell.place }) },
        seenOn: cell.notedOn,
      }));
    return (reading?.body.cells ?? []).map((cell): SeenCells => ({
      ...at,
      followed: null,
      cell,
      seenOn: reading?.day ?? colony.startedOn,
    }));
  });
}

/** The live cells that are followed on a comb; null where none ever was, or the comb was read since. */
function followedOn(apiary: Apiary, frameId: string, readOn: Day | null): readonly Cell[] | null {
  const cells = cellsOnFrame(apiary, frameId);
  const touched = cells
    .map((c) => c.history.at(-1)?.day ?? c.notedOn)
    .toSorted()
    .at(-1);
  if (touched === undefined) return cells.length > 0 ? [] : cutAway(apiary, frameId, readOn);
  return readOn !== null && readOn > touched ? null : cells.filter((c) => c.fate === null);
}

/** All that were followed here have been cut out since the comb was read: it has none any more. */
function cutAway(apiary: Apiary, frameId: string, readOn: Day | null): readonly Cell[] | null {
  const left = Object.values(apiary.cell).filter((c) => c.history.some((h) => h.frameId === frameId));
  return left.some((c) => readOn === null || (c.history.at(-1)?.day ?? c.notedOn) >= readOn) ? [] : null;
}

function cellsOfLook(apiary: Apiary, colony: Colony): SeenCells[] {
  const [last] = visitsOf(apiary, colony.id)
    .filter((v) => v.evidence && v.evidence.cells.look !== 'notLooked')
    .toSorted((a, b) => b.day.localeCompare(a.day));
  const cells = last?.evidence?.cells;
  if (!last || cells?.look !== 'found') return [];
  const sizeId = boxesOfColony(apiary, colony)[0]?.sizeId ?? operationOf(apiary).referenceSize;
  return cells.cells.map((cell) => ({
    cell,
    followed: null,
    frameId: last.id,
    sizeId,
    where: 'frame not noted',
    seenOn: last.day,
  }));
}

function lineOf({ cell, seenOn, followed, ...at }: SeenCells, colony: Colony, day: Day): LedgerLine | null {
  const age = followed ?? (isLiveCell(cell.kind) ? dateCell(cell, seenOn, colony) : null);
  if (!age) return null;
  const emerges = emergenceOf(age);
  const capped = cappingOf(age);
  // A cell that is followed is what its days make of it; one that was seen is what it was seen to be.
  const kind = followed ? (day >= capped.likely ? 'capped' : 'open') : cell.kind;
  const stage = stageOn(day, kind, capped, emerges);
  return {
    ...at,
    colonyId: colony.id,
    colony: colony.name,
    kind,
    count: cell.count,
    place: cell.place ?? null,
    seenOn,
    datedBy: age.datedBy,
    egg: age.egg,
    followed,
    capped,
    emerges,
    stage,
    move: moveInWords(stage, emerges, day),
  };
}

function stageOn(day: Day, kind: CellKind, capped: Window, emerges: Window): CellStage {
  if (day > emerges.latest) return 'over';
  if (day >= emerges.earliest && day >= addDays(emerges.likely, -1)) return 'due';
  if (day >= addDays(emerges.likely, -RIPE_DAYS)) return 'ripe';
  return kind === 'capped' || day >= capped.latest ? 'tender' : 'open';
}

function moveInWords(stage: CellStage, emerges: Window, day: Day): string {
  switch (stage) {
    case 'open':
      return 'With its frame and the bees on it: an open larva dries and chills in minutes.';
    case 'tender':
      return `With its frame only, upright, warm, not jarred; cut it out from ${inDays(day, addDays(emerges.likely, -RIPE_DAYS))}.`;
    case 'ripe':
      return 'Today it can be cut out with a margin of comb, or moved with its frame: upright, warm, not jarred.';
    case 'due':
      return 'Today or too late: a queen may be out tomorrow. Move the frame as it is, or leave it.';
    case 'over':
      return 'It has emerged, or was torn: a virgin may run here. Do not cut any other by sight.';
  }
}

function inDays(from: Day, to: Day): string {
  const n = daysBetween(from, to);
  return n <= 1 ? 'tomorrow' : `in ${n} days`;
}
