import { addDays, dayInWords, type Day } from '../basics/index.ts';
import { countCells, type Evidence } from '../records/index.ts';
import type { PartHistory } from './verdict.ts';

/** Pairs of notes that biology does not allow. */
export function contradictionsOf(history: PartHistory, day: Day, seen: Evidence): string[] {
  const emergedNow = countCells(seen, 'emerged');
  if (emergedNow === 0) return [];
  return history.earlier.flatMap((e) => {
    const unsealed =
      countCells(e.seen, 'cup', 'charged', 'open') > 0 &&
      countCells(e.seen, 'capped', 'emerged', 'torn') === 0;
    // Sealed for 8 days, one day allowed for natural spread.
    const possibleFrom = addDays(e.day, 7);
    if (!unsealed || day >= possibleFrom) return [];
    return [
      `${dayInWords(e.day)}: no cell was capped. ${dayInWords(day)}: one has emerged. A cell stays capped for about 8 days, so none of those can be out before ${dayInWords(possibleFrom)}. Either a cell was missed, this one was torn open, or a date is wrong. Both notes are kept; reckon with a virgin.`,
    ];
  });
}
