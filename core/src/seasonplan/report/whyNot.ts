import type { SeasonProblem } from '../course/problem.ts';
import type { Scored } from '../search/score.ts';

/** What stands in the way of an aim. */
export type Obstacle = 'calendar' | 'donors' | 'yards' | 'money' | 'hours' | 'honey' | 'strength' | 'losses';

/** An aim that is hardly reached, the nearest that is, and why. */
export interface Reachable {
  /** Colonies as strong as wanted that every second season brings, with what else is wanted. */
  readonly colonies: number;
  readonly obstacle: Obstacle;
}

/** Odds under which an aim is said to be out of reach. */
const OUT_OF_REACH = 0.25;

/**
 * Whether an aim is out of reach, and why: the nearest number of colonies that half of the seasons bring.
 *
 * @param best - the plan that comes nearest
 * @returns null where the odds are fair
 */
export function whyNot(problem: SeasonProblem, best: Scored): Reachable | null {
  if (best.odds >= OUT_OF_REACH) return null;
  const { aim, weeks, yards, starts } = problem;
  const colonies = Math.max(0, Math.floor(best.strong + 0.25));
  const wanted = aim.colonies - starts.length;
  const room = yards.reduce((n, y) => n + y.most, 0);
  const inSeason = weeks.some((y) => y.some((w) => (aim.queens.includes('mated') ? w.mated : w.raises)));
  const obstacle: Obstacle =
    aim.atMost && best.colonies > aim.colonies
      ? 'calendar'
      : room < aim.colonies
        ? 'yards'
        : best.strong >= aim.colonies - 0.5 && best.honey < aim.honeyKg
          ? 'honey'
          : aim.moneyMost !== null && best.money > aim.moneyMost * 0.9
            ? 'money'
            : aim.hoursMost !== null && best.hours > aim.hoursMost * 0.9
              ? 'hours'
              : wanted > 0 && !inSeason
                ? 'calendar'
                : best.colonies >= aim.colonies - 0.5
                  ? 'strength'
                  : wanted > 0 && best.made < wanted
                    ? 'donors'
                    : 'losses';
  return { colonies, obstacle };
}
