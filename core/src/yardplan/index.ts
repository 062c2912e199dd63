export { gapOf, gapOfPlan, NO_PROOF, type Proof } from './bound/bestProof.ts';
export { type ProofEffort, proofsOf, proveYard } from './bound/proveYard.ts';
export { type Shortage, shortageOf } from './bound/shortage.ts';
export {
  daysAhead,
  firstDayFor,
  type NucsOnDay,
  nucsOnDay,
  nucsOnDayProven,
  outOfSeason,
  planOfAll,
} from './howMany.ts';
export { type Alternative, alternativeOf } from './layout/alternative.ts';
export { isHivedUp, type LaidMove, type LaidOut, layOutYard } from './layout/layOutYard.ts';
export { yardAnswer } from './layout/yardAnswer.ts';
export { makeYardPlan } from './layout/makeYardPlan.ts';
export { reasonOfMove, reasonOfShake } from './layout/moveReasons.ts';
export { faultsOfPlan } from './layout/outcome.ts';
export type { Solver } from './model/linearModel.ts';
export { buildProblem } from './problem/buildProblem.ts';
export { whyNotThere } from './problem/linkFrames.ts';
export { PRICES } from './problem/prices.ts';
export {
  type Assignment,
  nothingMoved,
  nucsWanted,
  STORE,
  type Union,
  type YardFrame,
  type YardProblem,
  type YardUnit,
} from './problem/problem.ts';
export { AT } from './rules/measures.ts';
export { evaluate, type Evaluation, ledgerOf } from './search/evaluate.ts';
export { nucsInOrder } from './search/nucsInOrder.ts';
export { YardSearch } from './search/searchYard.ts';
