export { beesAhead, type BeesAhead } from './beesAhead.ts';
export { type CommonCombs, strengthOf, type Strength } from './strength.ts';
export { type CountDoubt } from './countDoubts.ts';
export { unexpectedCount } from './unexpectedCount.ts';
export { commonCombs } from './commonCombs.ts';
export { doneOn, type Happening } from './colonyHistory.ts';
export {
  colonyOn,
  type ColonyOn,
  conditionsAt,
  type CourseDay,
  courseOf,
  framesBack,
  framesOn,
  modelRules,
} from './colonyOn.ts';
export { flowOn, settingOf } from './flowOn.ts';
export { flowsByScale } from './flowsByScale.ts';
export { foodEndsOn, foodOn, type FoodOn, winterNeedKg } from './foodOn.ts';
export { daysUntilFull, hatchesWithin } from './hatchForecast.ts';
export {
  climateOf,
  colonySeason,
  seasonOfColony,
  seasonOfYard,
  yardCalendar,
  yardSeason,
  type YardSeason,
} from './yardSeason.ts';
export { roomAhead, type RoomAhead } from './roomAhead.ts';
export { type FewerBoxes, fewerBoxes, winterFloorKg } from './winterFloor.ts';
export { increaseGate, mayBeginSooner, openingGate, type SeasonGate } from './seasonGate.ts';
export { seasonSigns, type SeasonSign } from './seasonSigns.ts';
export {
  type Amounts,
  type ForecastScore,
  type HeldAgainst,
  heldAgainst,
  type Lean,
  leanOf,
  scoreOf,
} from './heldAgainst.ts';
