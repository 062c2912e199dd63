import { addDays, type Day } from '../../basics/index.ts';
import { seasonOfYard } from '../../forecast/index.ts';
import { coloniesOfYard, type Apiary, type SeasonAim } from '../../records/index.ts';

/** What a season may be planned for. */
export type AimKind = 'grow' | 'spares' | 'come-down';

/** A third more, a quarter fewer: where most begin to think. */
const MORE = 1 / 3;
const FEWER = 1 / 4;
/** Dead colonies are found, and replaced, so many days after brood is raised again. */
const SPRING_DAYS = 45;
/** So near the end of the season its aim is that of the next. */
const LEAST_DAYS = 42;
const YEAR = 365;

/** An aim to begin with, by what stands there and the calendar of the largest yard. */
export function usualAim(apiary: Apiary, today: Day, kind: AimKind): SeasonAim {
  const yards = Object.values(apiary.yard)
    .filter((y) => y.closedOn === null)
    .map((yard) => ({ yard, n: coloniesOfYard(apiary, yard.id).length }))
    .toSorted((a, b) => b.n - a.n);
  const n = yards.reduce((sum, y) => sum + y.n, 0);
  const yard = yards[0]?.yard;
  const ends = seasonOfYard(apiary, yard, today).days['last-opening'];
  const autumn =
    ends >= addDays(today, LEAST_DAYS)
      ? ends
      : seasonOfYard(apiary, yard, addDays(today, YEAR - LEAST_DAYS)).days['last-opening'];
  const spring = addDays(seasonOfYard(apiary, yard, addDays(autumn, 150)).days['brood-restart'], SPRING_DAYS);
  const base: SeasonAim = {
    colonies: Math.max(1, n),
    by: autumn,
    atMost: false,
    strongFrames: 5,
    honeyKg: 0,
    moneyMost: null,
    hoursMost: null,
    queens: ['raises', 'mated'],
    weekendsOnly: true,
    yards: [],
  };
  switch (kind) {
    case 'grow':
      return { ...base, colonies: n + Math.max(1, Math.round(n * MORE)), honeyKg: 5 * n };
    case 'spares':
      return { ...base, by: spring, strongFrames: 3 };
    case 'come-down':
      return { ...base, colonies: Math.max(1, n - Math.max(1, Math.round(n * FEWER))), atMost: true };
  }
}
