export type { PlannedPart } from './base/method.ts';
export { fitsInto, planFrame, type PlanFrame } from './base/measure.ts';
export { type Season, type Situation, situationOf } from './base/situation.ts';
export { combsInWords } from './base/combsInWords.ts';
export { boxWeightKg, weightInWords } from './base/boxWeight.ts';
export { liftsInWords, pushTogether, setAside, setBack, setDown } from './base/liftWords.ts';
export { inWords } from './base/stepTexts.ts';
export { COMMON_CAUTIONS, droneCautions, otherSizeCautions } from './methods/cautions.ts';
export {
  findMethods,
  isSplitMethod,
  whyNotNow,
  type MethodAdvice,
  type RankedMethod,
} from './methods/findMethods.ts';
export { afterTrials, tryOut, type Trials } from './plan/tryOut.ts';
export { optionsFor } from './methods/optionsFor.ts';
export type { Kit } from './methods/kits.ts';
export { queenLooks } from './methods/lookTexts.ts';
export { methodById, METHODS } from './methods/registry.ts';
export type { YardMethod } from './methods/yardMethod.ts';
export { splitAnswer } from './plan/splitAnswer.ts';
export { makePlan, type PlanRequest, type WorkedPlan } from './plan/makePlan.ts';
export { NOTHING_DONE, type WorkFacts } from './plan/workFacts.ts';
