export { type YearReview, yearReview, yearsOnRecord } from './yearReview.ts';
export { queenKin, queenRegister, type RegisterLine, yearOfBirth } from './queenRegister.ts';
export {
  adviceOnMove,
  FLYING_RANGE_KM,
  kilometresBetween,
  METRES_A_DAY,
  type MoveNote,
} from './moveAdvice.ts';
export { commonCombs } from './commonCombs.ts';
export { framesBack, framesOn, layingOf } from './colonyOn.ts';
export { colonyState, type ColonyState, type Lane } from './colonyState.ts';
export { type Descent, descentOf } from './descent.ts';
export { daysUntilFull, hatchesWithin } from './hatchForecast.ts';
export { strengthOf } from './strength.ts';
export { strengthHistory, type StrengthPoint } from './strengthHistory.ts';
export { yardSeason, type YardSeason } from './yardSeason.ts';
export { suspectedDisease } from './doubts.ts';
export type { Notice, NoticeId } from './notice.ts';
