import { addDays, dayInWords, daysBetween, type Day } from '../basics/index.ts';
import { DEVELOPMENT } from '../brood/index.ts';
import { countCells, type Evidence } from '../records/index.ts';
import type { PartHistory } from './verdict.ts';

/** Bees still raise a queen, if a poor one, from a larva of about three days (common practice, no source). */
const OLDEST_LARVA_DAYS = 3;

/** Pairs of notes that biology does not allow. */
export function contradictionsOf(history: PartHistory, day: Day, seen: Evidence): string[] {
  const emergedNow = countCells(seen, 'emerged');
  if (emergedNow === 0) return [];
  return [
    ...beforeTheSplit(history, day),
    ...history.earlier.flatMap((e) => {
      const unsealed =
        countCells(e.seen, 'cup', 'charged', 'open') > 0 &&
        countCells(e.seen, 'capped', 'emerged', 'torn') === 0;
      // Sealed for 8 days, one day allowed for natural spread.
      const possibleFrom = addDays(e.day, 7);
      if (!unsealed || day >= possibleFrom) return [];
      return [
        `${dayInWords(e.day)}: no cell was capped. ${dayInWords(day)}: one has emerged. A cell stays capped for about 8 days, so none of those can be out before ${dayInWords(possibleFrom)}. Either a cell was missed, this one was torn open, or a date is wrong. Both notes are kept; assume a virgin is in there.`,
      ];
    }),
  ];
}

/** From the oldest larva that bees still make a queen of to the day on which she walks out. */
const SOONEST_OUT = DEVELOPMENT.queen.emerges.low - DEVELOPMENT.queen.eggHatches.high - OLDEST_LARVA_DAYS;

/** A cell that is out too soon for a larva of the day on which the queen was lost. */
function beforeTheSplit({ separatedOn, emergence }: PartHistory, day: Day): string[] {
  if (separatedOn === null || emergence !== null) return [];
  const possibleFrom = addDays(separatedOn, SOONEST_OUT);
  if (day >= possibleFrom) return [];
  return [
    `${dayInWords(day)}: a cell is open at its tip, ${daysBetween(separatedOn, day)} days after the queen was lost. Begun since then none can be out before ${dayInWords(possibleFrom)}. Either a cell was there before and was missed, this one was torn open, or a date is wrong. Assume a virgin is in there.`,
  ];
}
