/** Where a called frame goes: loaded with the pad and the bench alone. */
export { BreakUp, type Place } from './breakUpWorth.ts';
export { BROOD_COMB, calledFrame, STORES_COMB, type CalledFrame } from './calledFrame.ts';
export {
  adviseCall,
  bestCorrection,
  FUTURES,
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
  advise,
  otherPlaces,
  padCorrection,
  padState,
  shakesFor,
  type FrameLeft,
  type PadAdvice,
  type PadCorrection,
  type PadState,
  type PlaceTotals,
} from './padState.ts';
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
