import { addDays, dayInWords, type Day } from '@incremen/core/basics';
import type { SeasonRound } from '@incremen/core/records';
import type { Band, Driver, Obstacle, PlanChange, ChoiceOfPlan } from '@incremen/core/seasonplan';
import { onDay } from '../../shared/days/onDay.ts';
import { count } from '../../ui/format.ts';

/** Breeders want to know so many days before (common practice, no source). */
const QUEENS_AHEAD = 28;
const CELLS_AHEAD = 14;

/** The queens that a round needs from outside, and when they must be ordered. */
export function queensToOrder(round: SeasonRound, today: Day): string | null {
  if (round.what !== 'nucs' || (round.queen !== 'mated' && round.queen !== 'cell')) return null;
  const by = addDays(round.day, round.queen === 'mated' ? -QUEENS_AHEAD : -CELLS_AHEAD);
  const what = count(round.parts, round.queen === 'mated' ? 'mated queen' : 'ripe cell');
  return `Order ${what} ${by <= today ? 'now' : `by ${onDay(by, today)}`}.`;
}

export const CHOICE_WORDS: Readonly<Record<ChoiceOfPlan, string>> = {
  best: 'Best odds',
  honey: 'More honey',
  'fewer-rounds': 'Fewer days of work',
  cheap: 'Cheaper',
  more: 'More colonies',
};

/** What a season may be lucky or unlucky in: its name, and its bad and its good end. */
export const DRIVER_WORDS: Readonly<Record<Driver, readonly [name: string, bad: string, good: string]>> = {
  spring: ['When spring comes', 'late', 'early'],
  'main-flow': ['The main flow', 'poor', 'rich'],
  mating: ['How young queens mate', 'badly', 'well'],
  winter: ['The winter', 'hard', 'mild'],
  growth: ['How colonies build up', 'slowly', 'fast'],
  delay: ['Rain on the days of work', 'weeks late', 'on time'],
  acceptance: ['Bought queens', 'often refused', 'accepted'],
  swarms: ['Swarms that leave', 'several', 'none'],
  losses: ['Colonies that die', 'several', 'none'],
};

export const OBSTACLE_WORDS: Readonly<Record<Obstacle, string>> = {
  calendar: 'The time left is too short: the calendar of your yards allows no more rounds.',
  donors: 'The colonies have no more bees and brood to give in time.',
  yards: 'The yards hold no more.',
  money: 'The money does not go further.',
  hours: 'The hours do not go further.',
  honey: 'So much honey is more than these colonies bring in most years.',
  strength: 'There will be enough colonies, but too many of them are weaker than you want by then.',
  losses: 'Too many are lost on the way: queens that fail, swarms, winter.',
};

/** A change of a plan in words: “Make 2 more nucs on Sat 16 May”. */
export function changeInWords({ what }: PlanChange, rounds: readonly SeasonRound[]): string {
  if (what.kind === 'unite') return 'Unite the weak before winter';
  const round = rounds[what.round];
  const which = round ? ` (${dayInWords(round.day)})` : '';
  if (what.kind === 'mated') return `Buy mated queens for the nucs${which}`;
  if (what.kind === 'week') return `Do the round${which} a week ${what.by < 0 ? 'earlier' : 'later'}`;
  return what.by < 0
    ? `Make ${count(-what.by, 'colony', 'colonies')} fewer${which}`
    : `Make ${count(what.by, 'more colony', 'more colonies')}${which}`;
}

/** Odds as people say them: “in 7 of 10 seasons”. */
export function inTen(odds: number): string {
  if (odds >= 0.975) return 'in nearly every season';
  if (odds <= 0.025) return 'in hardly any season';
  const n = Math.round(odds * 10);
  if (n === 0) return 'in fewer than 1 of 10 seasons';
  return n === 10 ? 'in more than 9 of 10 seasons' : `in ${n} of 10 seasons`;
}

/** How many colonies eight of ten seasons end with: `19 to 21 colonies`, or `10 colonies` where they agree. */
export function colonySpan([low, , high]: Band): string {
  return low === high ? count(high, 'colony', 'colonies') : `${low} to ${count(high, 'colony', 'colonies')}`;
}
