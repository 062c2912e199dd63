import { addDays, daysBetween, yearOf, type Day } from '../basics/index.ts';
import { type Known } from '../odds/index.ts';
import { operationOf, type Apiary, type Colony } from '../records/index.ts';

/** Colonies that came through their winters, and that did not. */
export interface WinterResults {
  readonly lived: number;
  readonly died: number;
}

/** Full colonies, and those that were made in the season before: they winter differently. */
export type WinterClass = 'grown' | 'young';

/**
 * What is taken for granted before one's own winters count, as if so many had lived and died: 85 and 75 in a hundred. Surveys of
 * beekeepers tell of one in ten to one in three dead, by country and year (from memory); few winters of one's own outweigh it.
 */
export const WINTER_PRIOR: Readonly<Record<WinterClass, Known>> = {
  grown: { well: 8.5, ill: 1.5 },
  young: { well: 3.75, ill: 1.25 },
};

/** A winter as colonies are counted through it. */
interface Winter {
  readonly from: Day;
  readonly to: Day;
}

/** Made so many days before its first winter at most, a colony is young in it. */
const YOUNG_DAYS = 250;

/** The winter that begins in a year: from when nothing is made any more to when the dead are found. */
const winterOf = (year: number, hemisphere: 'north' | 'south'): Winter =>
  hemisphere === 'north'
    ? { from: `${year}-11-01`, to: `${year + 1}-03-31` }
    : { from: `${year}-05-01`, to: `${year}-09-30` };

/** How one's own colonies came through the winters that are over, by what they were when it began. */
export function ownWinters(apiary: Apiary, today: Day): Readonly<Record<WinterClass, WinterResults>> {
  const { hemisphere } = operationOf(apiary);
  const colonies = Object.values(apiary.colony).filter((c) => c.end?.how !== 'error');
  const first = Math.min(yearOf(today), ...colonies.map((c) => yearOf(c.startedOn)));
  const results = { grown: { lived: 0, died: 0 }, young: { lived: 0, died: 0 } };
  for (let year = first; year <= yearOf(today); year++) {
    const winter = winterOf(year, hemisphere);
    if (winter.to > today) break;
    for (const colony of colonies) {
      const fate = fateIn(colony, winter);
      if (fate) results[classOf(colony, winter)][fate]++;
    }
  }
  return results;
}

/** What is known of a class: what is taken for granted, and one's own winters on top. */
export const chanceOfWinter = (kind: WinterClass, { lived, died }: WinterResults): Known => ({
  well: WINTER_PRIOR[kind].well + lived,
  ill: WINTER_PRIOR[kind].ill + died,
});

/** Those that died in the winter that was over last, or is under way. */
export function deadOfLastWinter(apiary: Apiary, today: Day): readonly Colony[] {
  const { hemisphere } = operationOf(apiary);
  const year = yearOf(today);
  const winter = [winterOf(year, hemisphere), winterOf(year - 1, hemisphere)].find((w) => w.from <= today);
  if (!winter || daysBetween(winter.to, today) > YOUNG_DAYS) return [];
  return Object.values(apiary.colony).filter((c) => fateIn(c, winter) === 'died');
}

/** A colony that lived when a winter began, and is told of; sold, united or carried away it says nothing. */
function fateIn(colony: Colony, { from, to }: Winter): keyof WinterResults | null {
  if (colony.startedOn > from || (colony.endedOn !== null && colony.endedOn < from)) return null;
  if (colony.endedOn === null || colony.endedOn > to) return 'lived';
  return colony.end?.how === 'dead' ? 'died' : null;
}

const classOf = (colony: Colony, { from }: Winter): WinterClass =>
  colony.origin.how !== 'entered' && colony.startedOn > addDays(from, -YOUNG_DAYS) ? 'young' : 'grown';
