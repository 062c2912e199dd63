import { operationOf, type Apiary } from '../records/index.ts';
import { addDays, daysBetween, yearOf, type Day } from '../basics/index.ts';
import { houseRules } from '../rules/index.ts';

/** Dates that the season sets, from the house rules. */
export interface YardSeason {
  /** First hard frosts to come. */
  readonly frost: Day;
  /** A queen that lays after this day raises too few winter bees. */
  readonly lastForWinterBees: Day;
  readonly daysToFrost: number;
}

/** Midsummer by hemisphere, as month and day. */
const MIDSUMMER = { north: '06-21', south: '12-21' } as const;

/** The season that a day lies in: from it the next first frosts are counted. */
export function yardSeason(apiary: Apiary, day: Day): YardSeason {
  const { hemisphere, houseRules: changed } = operationOf(apiary);
  const rules = houseRules(changed.changes);
  const frostOf = (year: number) => addDays(`${year}-${MIDSUMMER[hemisphere]}`, rules.frostAfterMidsummer);
  const year = yearOf(day);
  const frost = [year - 1, year, year + 1].map(frostOf).find((d) => d >= day) ?? frostOf(year + 1);
  return {
    frost,
    lastForWinterBees: addDays(frost, -7 * rules.winterBeesWeeks),
    daysToFrost: daysBetween(day, frost),
  };
}
