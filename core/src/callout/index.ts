/** Where a called frame goes: loaded with the pad and the bench alone. */
export { BreakUp, type Place } from './breakUpWorth.ts';
export { BROOD_COMB, calledFrame, STORES_COMB, type CalledFrame } from './calledFrame.ts';
export {
  adviseCall,
  bestCorrection,
  MOST_ASIDE,
  type Choice,
  type Correction,
  type RatedChoice,
} from './adviseCall.ts';
export {
  countError,
  sampleFrame,
  UNCOUNTED,
  UNCOUNTED_SPREAD,
  type CountError,
  type Outcome,
} from './expectation.ts';
export * from './simulatedBreakUp.ts';
export {
  padState,
  shakesFor,
  type FrameLeft,
  type PadState,
  type PlaceTotals,
  type ShakeRules,
} from './padState.ts';
export {
  advise,
  otherPlaces,
  padCorrection,
  rehearse,
  type PadAdvice,
  type PadCorrection,
} from './padAdvice.ts';
export { newCallOut, type CallOutWish } from './newCallOut.ts';
export { callOutLooks } from './callOutLooks.ts';
export type {
  CallGiver,
  CallOutBody,
  CallOutChange,
  CallPlace,
  CallUnit,
  CalledQueen,
  FrameCall,
} from './callOut.ts';
