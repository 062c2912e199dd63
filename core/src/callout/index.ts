export { callOutLooks } from './callOutLooks.ts';
export { BROOD_COMB } from './calledFrame.ts';
export { changeCallOut } from './changeCallOut.ts';
export { nestOfUnit, type Untidy, untidyUnits } from './nestOfUnit.ts';
export { newCallOut } from './newCallOut.ts';
export { advise, otherPlaces, type PadAdvice, padCorrection, rehearse } from './padAdvice.ts';
export { type StoreFill, storeFills } from './storeFills.ts';
export { type PadState, padState, type PlaceTotals, type ShakeRules, shakesFor } from './padState.ts';
