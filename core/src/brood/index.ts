export { worseInWords, type CombFigures } from './combDifference.ts';
export { EMERGING_WARMTH, isDroneComb, warmedShare } from './combWorth.ts';
export { DAYS_TO_EGGS } from './daysToEggs.ts';
export {
  datesOfChargedCell,
  DEVELOPMENT,
  GIVE_UP_AFTER_EMERGENCE,
  WORKER_STAGE_DAYS,
} from './developmentClock.ts';
export { type Distance, hasNurses, stayShare, type StayShares, temperOf, DISTANCES } from './drift.ts';
export { readNest } from './nestReading.ts';
export { layingRates, type LayingRates, type NestFrame, presentLayingRate } from './layingRates.ts';
export {
  emergenceFromCells,
  emergencyEmergence,
  queenCalendar,
  type QueenCalendar,
} from './queenCalendar.ts';
export {
  framesThere,
  namedFrames,
  problemsOfQuickCount,
  type QuickCount,
  type SpreadBox,
  spreadColony,
} from './spreadColony.ts';
export { type NestTotals, spreadNest } from './spreadNest.ts';
