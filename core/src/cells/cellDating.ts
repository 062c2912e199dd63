import { addDays, daysBetween, shiftWindow, type Day, type Window } from '../basics/index.ts';
import { DEVELOPMENT, emergencyEmergence, emergenceFromCells } from '../brood/index.ts';
import type { CellFinding } from '../comb/index.ts';
import type { Cell, Colony } from '../records/index.ts';

/** From the egg to the day on which a queen emerges (Winston 1987, The Biology of the Honey Bee). */
const EMERGES = DEVELOPMENT.queen.emerges.likely;
/** A queen cell stays capped for so many days (same source). */
const SEALED_DAYS = EMERGES - DEVELOPMENT.queen.cellCapped.likely;

/** When the egg of a cell was laid, and by what that is known. */
export interface CellAge {
  readonly egg: Window;
  readonly datedBy: Cell['datedBy'];
}

/** When the queen in a cell emerges, if all goes well. */
export const emergenceOf = ({ egg }: Pick<CellAge, 'egg'>): Window => shiftWindow(egg, EMERGES);

/** When a cell is capped, or was. */
export const cappingOf = ({ egg }: Pick<CellAge, 'egg'>): Window => shiftWindow(egg, EMERGES - SEALED_DAYS);

/**
 * Dates a cell by every clock that is known: what it looked like, the age of its larva, and the day on which its part
 * lost its queen, or was given eggs, after which bees begin emergency cells on larvae that are there. Where two clocks agree, the narrower
 * window rules; a cell that cannot come from that loss, as a swarm cell that was there before, is dated by its looks.
 *
 * @returns null for a cell in which nothing lives
 */
export function dateCell(
  cell: CellFinding,
  seenOn: Day,
  colony: Pick<Colony, 'separation' | 'broodGiven'>,
): CellAge | null {
  const emerges = emergenceFromCells([cell], seenOn);
  if (!emerges) return null;
  const seen: CellAge = {
    egg: shiftWindow(emerges, -EMERGES),
    datedBy: cell.larvaAgeDays === undefined ? 'stage' : 'larva',
  };
  const clock = clockOf(colony, seenOn);
  if (!clock) return seen;
  const egg = overlap(seen.egg, shiftWindow(emergencyEmergence(clock.day), -EMERGES));
  if (!egg || daysIn(egg) >= daysIn(seen.egg)) return seen;
  return { egg, datedBy: clock.by };
}

/** From the day on which young brood was given cells on it stand for so many days, and then they have emerged. */
const CELLS_OF_GIFT = EMERGES - 1;

/** The day from which bees raise emergency cells: that on which the queen was lost, or later eggs given to a part without one. */
function clockOf(
  { separation, broodGiven }: Pick<Colony, 'separation' | 'broodGiven'>,
  seenOn: Day,
): { readonly day: Day; readonly by: 'queen-lost' | 'eggs-given' } | null {
  const gift = broodGiven.findLast(
    (g) => g.young && g.day <= seenOn && daysBetween(g.day, seenOn) <= CELLS_OF_GIFT,
  );
  const lost =
    separation && separation.queen !== 'here' && separation.emergence === null && seenOn >= separation.day
      ? separation.day
      : null;
  if (gift && (lost === null || gift.day > lost)) return { day: gift.day, by: 'eggs-given' };
  return lost === null ? null : { day: lost, by: 'queen-lost' };
}

const daysIn = ({ earliest, latest }: Window) => daysBetween(earliest, latest);

/** What two windows have in common, its likely day that of the second as far as it lies within; null for nothing. */
function overlap(a: Window, b: Window): Window | null {
  const earliest = a.earliest > b.earliest ? a.earliest : b.earliest;
  const latest = a.latest < b.latest ? a.latest : b.latest;
  if (earliest > latest) return null;
  const likely = b.likely < earliest ? earliest : b.likely > latest ? latest : b.likely;
  return { earliest, likely, latest };
}

/** Eggs that were given on a day are up to three days old on it (Winston 1987). */
export const eggsGivenOn = (day: Day): CellAge => ({
  egg: { earliest: addDays(day, -3), likely: addDays(day, -1), latest: day },
  datedBy: 'eggs-given',
});
