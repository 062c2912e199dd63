export { joined, runSeasons, type SeasonBatch, typicalSeason } from './course/batch.ts';
export type { FamilyStory } from './course/story.ts';
export {
  DRIVERS,
  type Driver,
  MAKES,
  type Round,
  type Schedule,
  type SeasonProblem,
  type Weekly,
} from './course/problem.ts';
export {
  type Band,
  byMonth,
  fansOf,
  meanEnd,
  type MonthLine,
  oddsOf,
  restsOn,
  type Rests,
  type WeekFan,
} from './report/spread.ts';
export {
  frontierOf,
  planChoices,
  type ChoiceOfPlan,
  type FrontierPoint,
  type PlanChoice,
} from './search/choices.ts';
export { type Scored, scoreOf, signature } from './search/score.ts';
export { ScheduleSearch } from './search/searchSchedules.ts';
export { dayOfRound, roundOf, seasonProblem, storedRound, weeksTo } from './start/seasonProblem.ts';
export { ownFlows, type OwnFlows } from './year/ownFlows.ts';
export { recipeFor, type RoundTrial, tryRounds } from './trial/tryRounds.ts';
export { type Outlook, outlookOf } from './report/outlook.ts';
export { type Obstacle, type Reachable, whyNot } from './report/whyNot.ts';
export { type Change as PlanChange, costOfAWeek } from './search/whatHelps.ts';
export { helpsThatHold } from './trial/helpsThatHold.ts';
export { triedPlan, type TriedPlan } from './trial/triedPlan.ts';
export { heldTo, type HeldTo, type RoundState } from './heldTo.ts';
export { usualAim, type AimKind } from './start/usualAim.ts';
export { triedChoices, type TriedChoice } from './trial/triedChoices.ts';
export { type FoundSeason, workOut } from './trial/workOut.ts';
export { chanceOfAcceptance, ownAcceptance } from './start/ownAcceptance.ts';
