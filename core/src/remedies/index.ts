export { type ActionChoice, type ActionPlan, workOfAction } from './actions/actionPlan.ts';
export { planAction } from './actions/actions.ts';
export { apiaryAfter } from './actions/apiaryAfter.ts';
export { hostOf, keptOf, wayToUnite, waysToUnite } from './actions/unionWays.ts';
export { unionsDownTo, expectedColonies } from './unionsDownTo.ts';
export { allFacts, remediesFor, type Remedy } from './remedies.ts';
export { type Outside, type UnitFacts, unitFacts } from './unit/unitFacts.ts';
export { usualHorizon } from './unit/usualHorizon.ts';
export type { WeakCause } from './unit/whyWeak.ts';
export { watchOn } from './watchOn.ts';
export { weakDesk, type WeakDesk } from './weakDesk.ts';
export {
  CHOICE_NAMES,
  type ChoiceCourse,
  type ChoiceId,
  type ChoicePart,
  compareChoices,
  type Milestones,
} from './choices.ts';
export { type Promised, promisedBy, SETTLED_DAYS } from './promised.ts';
