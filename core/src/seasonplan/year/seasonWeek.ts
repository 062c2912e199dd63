import { addDays, daysBetween, type Day } from '../../basics/index.ts';
import {
  midwinterBefore,
  phaseAt,
  pullOf,
  type Hemisphere,
  type SeasonCalendar,
  type SeasonPhase,
} from '../../season/index.ts';

/** What the calendar of a yard makes of a week. */
export interface SeasonWeek {
  /** Its first day. */
  readonly day: Day;
  readonly phase: SeasonPhase;
  /** Share of her best rate at which a good queen lays, and of the workers that emerge that are winter bees. */
  readonly laying: number;
  readonly winterBees: number;
  readonly coldNights: boolean;
  readonly cluster: boolean;
  readonly pollen: boolean;
  /** What ten frames of bees gain in a day of a usual year over what they eat, in kg of honey. */
  readonly flowKg: number;
  /** Brood nests may be opened; a queen that is begun in it still mates; a mated queen still has time before winter. */
  readonly open: boolean;
  readonly raises: boolean;
  readonly mated: boolean;
  /** A queen that the bees begin by themselves still mates; no plan is made for it so late. */
  readonly mates: boolean;
  readonly swarms: boolean;
  /** A harvest is taken at its end; what is kept is the winter's food at the last one. */
  readonly harvest: 'main' | 'last' | null;
  /** Food is brought to what the winter takes. */
  readonly feedForWinter: boolean;
  /** The first week of the winter's rest, and the first after it. */
  readonly winterBegins: boolean;
  readonly winterEnds: boolean;
}

/** What ten frames of bees gain in a day by phase, in kg of honey. */
export interface Flows {
  readonly early: number;
  readonly main: number;
  readonly autumn: number;
}

/**
 * A usual year: with it an undivided strong colony brings some twenty to thirty kilograms in all, a middling harvest (common
 * practice, no source; from memory). A keeper's own scale and harvests move it.
 */
export const USUAL_FLOWS: Flows = { early: 0.15, main: 0.4, autumn: 0.15 };

/** A part that raises its queen has her out after 12 days; one with a mated queen needs six weeks before hard frost (see the season's gate). */
const OUT_AFTER = 12;
/**
 * Her first eggs come about 27 days after the part was made; eight weeks before hard frost is the last day on which a queen's brood still
 * becomes winter bees (common practice, no source).
 */
const LAYS_AFTER = 27;
const WINTER_BEES = 56;
const WINTER_READY = 42;
const WEEK = 7;

/** The weeks of a yard from a day on. */
export function seasonWeeks(
  calendar: SeasonCalendar,
  hemisphere: Hemisphere,
  from: Day,
  weeks: number,
  flows: Flows = USUAL_FLOWS,
): SeasonWeek[] {
  const at = (day: Day) => daysBetween(midwinterBefore(day, hemisphere), day);
  const within = (day: Day, event: number) => at(day) <= event && event < at(day) + WEEK;
  return Array.from({ length: weeks }, (_, w): SeasonWeek => {
    const day = addDays(from, w * WEEK);
    const middle = at(addDays(day, 3));
    const pull = pullOf(calendar, middle);
    const phase = phaseAt(calendar, middle);
    const c = calendar;
    const open = middle >= c['brood-restart'] && middle <= c['last-opening'];
    // What is forbidden on one day of it is forbidden in the week.
    const [first, last] = [at(day), at(day) + WEEK - 1];
    const season = first >= c['first-drones'] && last <= c['last-opening'];
    return {
      day,
      phase,
      laying: pull.laying,
      winterBees: pull.winterBees,
      coldNights: pull.coldNights,
      cluster: pull.cluster,
      pollen: pull.pollen,
      flowKg:
        phase === 'build-up'
          ? flows.early
          : phase === 'main-flow'
            ? flows.main
            : phase === 'autumn-flow'
              ? flows.autumn
              : 0,
      open,
      raises:
        season && last + OUT_AFTER <= c['last-mating'] && last + LAYS_AFTER <= c['first-frost'] - WINTER_BEES,
      mates: middle >= c['first-drones'] && middle + OUT_AFTER <= c['last-mating'],
      mated: season && last <= c['first-frost'] - WINTER_READY,
      swarms: middle >= c['swarm-start'] && middle <= c['swarm-end'],
      harvest: within(day, c['autumn-flow-end']) ? 'last' : within(day, c['main-flow-end']) ? 'main' : null,
      feedForWinter: middle >= c['autumn-flow-end'] - 3 * WEEK && middle <= c['last-opening'] + WEEK,
      winterBegins: within(day, c['first-frost']),
      winterEnds: within(day, c['brood-restart']),
    };
  });
}
