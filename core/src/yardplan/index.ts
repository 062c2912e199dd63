export { alternativeOf, type Alternative } from './alternative.ts';
export { gapOf, gapOfPlan, NO_PROOF, type Proof } from './bestProof.ts';
export { proofsOf, proveYard, type ProofEffort } from './proveYard.ts';
export { buildProblem } from './buildProblem.ts';
export { combKind } from './effects.ts';
export { evaluate, ledgerOf, type Evaluation, type Shortfall } from './evaluate.ts';
export { daysAhead, firstDayFor, nucsOnDay, nucsOnDayProven, planOfAll, type NucsOnDay } from './howMany.ts';
export { isHivedUp, layOutYard, type LaidFrame, type LaidMove, type LaidOut } from './layOutYard.ts';
export { whyNotThere } from './linkFrames.ts';
export { makeYardPlan } from './makeYardPlan.ts';
export { AT, type Measure, type Measured } from './measures.ts';
export { faultsOfPlan } from './outcome.ts';
export { PRICES } from './prices.ts';
export { reasonOfMove, reasonOfShake } from './moveReasons.ts';
export {
  nothingMoved,
  STORE,
  type Assignment,
  type LeftOut,
  type YardFrame,
  nucsWanted,
  type YardProblem,
  type YardUnit,
  type Union,
} from './problem.ts';
export {
  newYardPlanRequest,
  NUC_RECIPES,
  rulesOut,
  STORE_KEY,
  framePin,
  yardPlanRequest,
  type FramePin,
  type NucQueen,
  type NucRecipe,
  type YardGoal,
  type YardGoalOf,
  type YardPlanRequest,
} from './request.ts';
export { nucsInOrder } from './nucsInOrder.ts';
export { YardSearch } from './searchYard.ts';
export { shortageOf, type Shortage } from './shortage.ts';
export type { Solver } from './linearModel.ts';
