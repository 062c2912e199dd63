import {
  DEVELOPMENT,
  FIRST_EGGS_AFTER_EMERGENCE,
  GIVE_UP_AFTER_EMERGENCE,
  BEST_QUEEN_LARVA_DAY,
  LAST_QUEEN_LARVA_DAY,
} from './developmentClock.ts';
import { addDays, type Day, shiftWindow, windowAfter, type Window } from '../basics/index.ts';
import type { CellFinding } from '../comb/index.ts';

const QUEEN_EMERGES = DEVELOPMENT.queen.emerges.likely;
const CAPPED_AT = DEVELOPMENT.queen.cellCapped.likely;
const HATCHES = DEVELOPMENT.queen.eggHatches.likely;

/**
 * When a queen raised from the brood at hand emerges, if the part lost its queen on `lostOn`.
 *
 * Earliest from the oldest larva that still serves, likely from a larva of the best age, latest from an
 * egg laid that day: days 10, 12 and 16.
 */
export function emergencyEmergence(lostOn: Day): Window {
  return windowAfter(
    lostOn,
    QUEEN_EMERGES - LAST_QUEEN_LARVA_DAY,
    QUEEN_EMERGES - BEST_QUEEN_LARVA_DAY,
    QUEEN_EMERGES,
  );
}

/**
 * When the first queen emerges from cells seen on `day`, or undefined when none of them is alive.
 *
 * The most advanced kind rules: a capped cell is 8 to 16 days old, an open one 3 to 8, and a larva of known
 * age dates its cell to the day, give or take one.
 */
export function emergenceFromCells(cells: readonly CellFinding[], day: Day): Window | undefined {
  const windows = cells.flatMap((c): Window[] => {
    if (c.kind === 'capped')
      return [windowAfter(day, 0, (QUEEN_EMERGES - CAPPED_AT) / 2, QUEEN_EMERGES - CAPPED_AT)];
    if (c.kind !== 'charged' && c.kind !== 'open') return [];
    if (c.larvaAgeDays === undefined) {
      const oldest = QUEEN_EMERGES - CAPPED_AT;
      const youngest = QUEEN_EMERGES - HATCHES;
      return [windowAfter(day, oldest, Math.floor((oldest + youngest) / 2), youngest)];
    }
    const left = Math.round(QUEEN_EMERGES - HATCHES - c.larvaAgeDays);
    return [windowAfter(day, left - 1, left, left + 1)];
  });
  return windows.toSorted(
    (a, b) => a.likely.localeCompare(b.likely) || a.earliest.localeCompare(b.earliest),
  )[0];
}

/** Every date that follows from one loss of a queen and one expected emergence. */
export interface QueenCalendar {
  /** Cells capped by now came from larvae that were too old. Only when cells are raised after the loss. */
  readonly earlyCappedLook: Day;
  /** Eggs seen in this window prove a laying queen: first day, comfortable day, last before new ones are due. */
  readonly eggsProveQueen: Window;
  /** Larvae are young enough for good queens until `likely`, for any queen until `latest`. */
  readonly larvaeUsable: Window;
  /** Surplus cells can be removed and no more can be made. */
  readonly surplusCells: Window;
  readonly emergence: Window;
  /** From here to there the hive stays shut: `earliest` to `latest`, with nothing to see in between. */
  readonly handsOff: { readonly from: Day; readonly to: Day };
  readonly firstEggs: Window;
  /** The look for eggs that pays: after the hands-off days. */
  readonly eggsLook: Window;
  /** Flat-capped worker brood of the new queen: the proof that she mated. */
  readonly firstCapped: Window;
  /** No capped worker brood in the part, if her first egg comes on the likely day. */
  readonly broodless: { readonly from: Day; readonly to: Day };
  readonly lastOldWorkerEmerges: Day;
  readonly lastOldDroneEmerges: Day;
  readonly decideBy: Day;
  readonly firstNewWorker: Day;
}

/**
 * The calendar of a part that lost its queen on `lostOn`.
 *
 * @param emergence - when the new queen is expected; from emergency cells when left out
 * @example queenCalendar('2026-05-09').decideBy // => '2026-06-18'
 */
export function queenCalendar(lostOn: Day, emergence: Window = emergencyEmergence(lostOn)): QueenCalendar {
  const born = emergence.likely;
  const { low, likely, usualHigh, high } = FIRST_EGGS_AFTER_EMERGENCE;
  const firstEggs = windowAfter(born, low, likely, high);
  const cappedAfter = DEVELOPMENT.worker.cellCapped.likely;
  const handsOff = { from: born, to: addDays(born, usualHigh) };
  return {
    earlyCappedLook: addDays(lostOn, HATCHES),
    eggsProveQueen: {
      earliest: addDays(lostOn, HATCHES + 1),
      likely: addDays(lostOn, 7),
      latest: addDays(emergence.earliest, low - 1),
    },
    larvaeUsable: windowAfter(lostOn, HATCHES, BEST_QUEEN_LARVA_DAY, LAST_QUEEN_LARVA_DAY),
    surplusCells: windowAfter(lostOn, 7, 8, 9),
    emergence,
    handsOff,
    firstEggs,
    eggsLook: { earliest: handsOff.to, likely: addDays(handsOff.to, 2), latest: firstEggs.latest },
    firstCapped: shiftWindow(firstEggs, cappedAfter),
    broodless: {
      from: addDays(lostOn, DEVELOPMENT.worker.emerges.likely),
      to: addDays(firstEggs.likely, cappedAfter),
    },
    lastOldWorkerEmerges: addDays(lostOn, DEVELOPMENT.worker.emerges.likely),
    lastOldDroneEmerges: addDays(lostOn, DEVELOPMENT.drone.emerges.likely),
    decideBy: addDays(born, GIVE_UP_AFTER_EMERGENCE),
    firstNewWorker: addDays(firstEggs.likely, DEVELOPMENT.worker.emerges.likely),
  };
}
