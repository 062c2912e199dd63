import type { Apiary } from '../apiary/records.ts';
import { framesOfColony, placeInWords } from '../apiary/views.ts';
import { DEVELOPMENT } from '../brood/developmentClock.ts';
import { addDays, daysBetween, type Day } from '../calendar/day.ts';
import { isLiveCell, type CellKind, type CellPlace } from '../comb/contents.ts';
import type { FrameSizeId } from '../comb/frameSizes.ts';
import { emergenceFromCells, type Window } from '../followup/windows.ts';

/** Where a cell is on its way on a day. */
export type CellStage = 'open' | 'tender' | 'ripe' | 'due' | 'over';

/** Queen cells of one kind on one frame, and what becomes of them. */
export interface LedgerLine {
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
  /** When they are capped; past when they were capped as seen. */
  readonly capped: Window;
  readonly emerges: Window;
  readonly stage: CellStage;
  /** Whether and how they can be moved on the day. */
  readonly move: string;
}

/** A queen cell stays capped for so many days (Winston 1987, The Biology of the Honey Bee). */
const SEALED_DAYS = DEVELOPMENT.queen.emerges.likely - DEVELOPMENT.queen.cellCapped.likely;
/** So near to emergence the pupa is no longer tender (common practice, no source). */
const RIPE_DAYS = 3;

/** All live queen cells by the last readings, those that emerge first on top. */
export function cellLedger(apiary: Apiary, day: Day): LedgerLine[] {
  const lines: LedgerLine[] = [];
  for (const colony of Object.values(apiary.colony)) {
    if (colony.endedOn !== null || colony.hiveId === null) continue;
    for (const placed of framesOfColony(apiary, colony)) {
      const { reading } = placed;
      for (const cell of reading?.body.cells ?? []) {
        const emerges =
          reading && isLiveCell(cell.kind) ? emergenceFromCells([cell], reading.day) : undefined;
        if (!reading || !emerges) continue;
        const capped = {
          earliest: addDays(emerges.earliest, -SEALED_DAYS),
          likely: addDays(emerges.likely, -SEALED_DAYS),
          latest: addDays(emerges.latest, -SEALED_DAYS),
        };
        const stage = stageOn(day, cell.kind, capped, emerges);
        lines.push({
          frameId: placed.frame.id,
          sizeId: placed.frame.sizeId,
          colonyId: colony.id,
          colony: colony.name,
          where: placeInWords(apiary, colony, placed.box, placed.slot),
          kind: cell.kind,
          count: cell.count,
          place: cell.place ?? null,
          seenOn: reading.day,
          capped,
          emerges,
          stage,
          move: moveInWords(stage, emerges, day),
        });
      }
    }
  }
  return lines.toSorted((a, b) => a.emerges.likely.localeCompare(b.emerges.likely));
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
