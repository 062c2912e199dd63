export { type ResultLine, type ResultsBy, yearResults } from './yearResults.ts';
export { type YearReview, yearReview, yearsOnRecord } from './yearReview.ts';
export { queenKin, queenRegister, type RegisterLine, yearOfBirth } from './queenRegister.ts';
export {
  adviceOnMove,
  FLYING_RANGE_KM,
  kilometresBetween,
  METRES_A_DAY,
  type MoveNote,
} from './moveAdvice.ts';
export { type Happening, happeningsOf } from './happenings.ts';
export { carriedTo, otherYards, tooNear } from './yardsBeyond.ts';
export { colonyState, type ColonyState, type Lane } from './colonyState.ts';
export { type Descent, descentOf } from './descent.ts';
export { strengthHistory, type StrengthPoint } from './strengthHistory.ts';
export { dryingBrood, ROBBED_DAYS, robbedOn, suspectedDisease } from './doubts.ts';
export { treatmentFirst } from './treatmentIn.ts';
export { calmly, type Notice, type NoticeId, urgently } from './notice.ts';
export { broodSlots, isAboutToSwarm, maySwarm } from './swarmCells.ts';
