import { capital, addDays, dayInWords, daysBetween, type Day, type Window } from '../basics/index.ts';
import { datesOfChargedCell, emergenceFromCells, emergencyEmergence } from '../brood/index.ts';
import type { CellFinding } from '../comb/index.ts';
import { cellsOf, countCells } from '../records/index.ts';
import type { DatedLook } from '../queen-odds/index.ts';

/** A date that a look moved, and why. */
export interface LaneChange {
  readonly day: Day;
  readonly was: Day;
  readonly now: Day;
  readonly because: string;
}

/** A virgin flies from her fifth or sixth day on (Winston 1987). */
export const MATURE_AFTER = 6;

/** When a queen emerges, and what looks have said of it. */
export interface Dated {
  readonly emergence: Window;
  readonly eggsSeen: Day | null;
  readonly changes: readonly LaneChange[];
  readonly contradictions: readonly string[];
}

/**
 * When the queen of a part emerges, as its looks have moved it.
 *
 * @param given - when the queen of a cell that it was given emerges; null when it raises one from its own brood
 * @param looks - what was seen since, oldest first
 */
export function datedByLooks(lostOn: Day, given: Window | null, looks: readonly DatedLook[]): Dated {
  const start: Dated = {
    emergence: given ?? emergencyEmergence(lostOn),
    eggsSeen: null,
    changes: [],
    contradictions: [],
  };
  return looks.reduce((dated, look) => {
    const early = given === null && daysBetween(lostOn, look.day) <= LAST_EARLY_DAY;
    return byLook(dated, look, early ? withoutEarlyCapped(cellsOf(look.seen)) : cellsOf(look.seen));
  }, start);
}

/** Up to this day after the loss, cells that are capped already are taken out where others stand beside them. */
const LAST_EARLY_DAY = 4;

/** A cell capped so early comes from too old a larva and is taken out; the others date the queen. */
function withoutEarlyCapped(cells: readonly CellFinding[]): readonly CellFinding[] {
  const others = cells.filter((c) => c.kind !== 'capped');
  return others.some((c) => c.kind === 'charged' || c.kind === 'open') ? others : cells;
}

/** A cell may be a day early or late. */
const SPREAD = 1;

/** What one look says of the dates. */
function byLook(before: Dated, { day, seen }: DatedLook, cells: readonly CellFinding[]): Dated {
  const notes: string[] = [...before.contradictions];
  const emergedNow = countCells(seen, 'emerged') > 0;
  const slim = seen.queen.look === 'found' && seen.queen.build === 'slim';
  let { emergence, eggsSeen } = before;
  const changes = [...before.changes];
  const move = (to: Window, because: string) => {
    if (to.likely !== emergence.likely || to.latest !== emergence.latest) {
      changes.push({ day, was: emergence.likely, now: to.likely, because });
    }
    emergence = to;
  };
  const found = emergedNow || slim ? undefined : emergenceFromCells(cells, day);
  if (found && eggsSeen === null) {
    const both = within(emergence, found);
    if (both) move(both, cellsInWords(cells, day));
    else {
      notes.push(
        `By the day it lost its queen she emerges between ${dayInWords(emergence.earliest)} and ${dayInWords(emergence.latest)}; the cells seen on ${dayInWords(day)} say ${dayInWords(found.earliest)} to ${dayInWords(found.latest)}. Either they are other cells, or a date is wrong. The cells rule now.`,
      );
      move(found, cellsInWords(cells, day));
    }
  }
  if (emergedNow || slim) {
    const what = emergedNow ? 'a cell that has opened' : 'a slim queen';
    if (day < addDays(emergence.earliest, -SPREAD)) {
      notes.push(
        `${dayInWords(day)}: ${what} was seen, but none can be out before ${dayInWords(emergence.earliest)} by what was seen earlier. Either a cell was missed, this one was torn open, or a date is wrong. Both are kept; assume a virgin is in there.`,
      );
    }
    if (day < emergence.latest) {
      const likely = day < emergence.likely ? day : emergence.likely;
      const earliest = emergence.earliest < likely ? emergence.earliest : likely;
      move({ earliest, likely, latest: day }, `${capital(what)} was seen on ${dayInWords(day)}: she is out.`);
    }
  }
  const tooEarlyForHers = day < addDays(emergence.earliest, MATURE_AFTER);
  if (seen.eggs.look === 'found' && !tooEarlyForHers && eggsSeen === null) eggsSeen = day;
  return { emergence, eggsSeen, changes, contradictions: notes };
}

/** What two windows have in common; null when they exclude each other by more than a day. */
function within(a: Window, b: Window): Window | null {
  const earliest = a.earliest > b.earliest ? a.earliest : b.earliest;
  const latest = a.latest < b.latest ? a.latest : b.latest;
  if (daysBetween(earliest, latest) < -SPREAD) return null;
  if (latest < earliest) return { earliest: latest, likely: latest, latest: earliest };
  const likely = b.likely < earliest ? earliest : b.likely > latest ? latest : b.likely;
  return { earliest, likely, latest };
}

function cellsInWords(cells: readonly CellFinding[], day: Day): string {
  const aged = cells.find((c) => c.larvaAgeDays !== undefined);
  if (aged?.larvaAgeDays !== undefined) {
    const { toCapping, toEmergence } = datesOfChargedCell(aged.larvaAgeDays);
    const days = (n: number) => (n === 1 ? 'a day' : `${Math.round(n)} days`);
    return `Larva about ${days(aged.larvaAgeDays)} old in the cup on ${dayInWords(day)}: capped in ${days(toCapping)}, out in ${days(toEmergence)}.`;
  }
  const kind = cells.some((c) => c.kind === 'capped') ? 'Capped' : 'Open';
  return `${kind} cells were seen on ${dayInWords(day)}.`;
}
