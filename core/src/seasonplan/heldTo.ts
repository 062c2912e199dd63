import { addDays, daysBetween, type Day } from '../basics/index.ts';
import { colonyState } from '../colony/index.ts';
import { colonyOn } from '../forecast/index.ts';
import { operationOf, type Apiary, type SeasonPlan, type SeasonRound } from '../records/index.ts';
import { houseRules } from '../rules/index.ts';
import { MAKES } from './course/problem.ts';

/** How a round of the plan that is followed stands. */
export interface RoundState {
  readonly round: SeasonRound;
  /** New colonies on record that fall to it. */
  readonly made: number;
  readonly state: 'done' | 'part' | 'due' | 'late' | 'ahead';
}

/** The season as it goes, against what was said of it. */
export interface HeldTo {
  readonly rounds: readonly RoundState[];
  readonly colonies: number;
  readonly frames: number;
  /** What was said for this week; null beyond its end. */
  readonly said: SeasonPlan['said']['weeks'][number] | null;
  /** Colonies whose count is too old by the house rules: what they have grown to and brought in since is a guess. */
  readonly stale: number;
  /** Outside what eight of ten seasons were said to bring, or with a round of making overdue. */
  readonly verdict: 'as-said' | 'behind' | 'ahead';
}

/** A round may be so many days early, and is due so many days ahead. */
const EARLY = 12;
const DUE_AHEAD = 10;
const LATE_AFTER = 7;

/** Whether colonies were made by hand, whatever the way. */
const ownMade = (how: string) => how === 'split' || how === 'made';

/** Holds the records against the plan of the season. */
export function heldTo(apiary: Apiary, plan: SeasonPlan, today: Day): HeldTo {
  const alive = Object.values(apiary.colony).filter((c) => c.endedOn === null && c.hiveId !== null);
  const made = Object.values(apiary.colony)
    .filter((c) => ownMade(c.origin.how) && c.startedOn >= addDays(plan.madeOn, -1) && c.end?.how !== 'error')
    .map((c) => c.startedOn)
    .toSorted();
  const rounds = plan.rounds.map((round): RoundState => {
    if (!MAKES.has(round.what)) {
      const past = today > addDays(round.day, LATE_AFTER);
      return { round, made: 0, state: past ? 'done' : near(round, today) ? 'due' : 'ahead' };
    }
    // Each colony falls to the first round that still lacks one and could have made it.
    let mine = 0;
    while (mine < round.parts && made[0] !== undefined && made[0] >= addDays(round.day, -EARLY)) {
      made.shift();
      mine++;
    }
    const state =
      mine >= round.parts
        ? 'done'
        : today > addDays(round.day, LATE_AFTER)
          ? mine > 0
            ? 'part'
            : 'late'
          : near(round, today)
            ? 'due'
            : 'ahead';
    return { round, made: mine, state };
  });
  const frames = alive.reduce((n, c) => n + (colonyOn(apiary, c, today).model?.framesOfBees ?? 0), 0);
  const said = plan.said.weeks.findLast((w) => w.day <= today) ?? null;
  const { countAgesDays } = houseRules(operationOf(apiary).houseRules.changes);
  const stale = alive.filter((c) => {
    const { countAgeDays } = colonyState(apiary, c, today);
    return countAgeDays === null || countAgeDays > countAgesDays;
  }).length;
  const verdict = rounds.some((r) => r.state === 'late' || r.state === 'part')
    ? 'behind'
    : said === null
      ? 'as-said'
      : alive.length < said.colonies[0] || frames < 0.9 * said.frames[0]
        ? 'behind'
        : alive.length > said.colonies[2]
          ? 'ahead'
          : 'as-said';
  return { rounds, colonies: alive.length, frames, said, stale, verdict };
}

const near = (round: SeasonRound, today: Day) => daysBetween(today, round.day) <= DUE_AHEAD;
