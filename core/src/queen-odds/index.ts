export { queenBeliefOf } from './beliefOf.ts';
export type { PartBefore } from './course.ts';
export { LIKELIHOOD_WORDS, USUAL_TABLE } from './likelihoodTable.ts';
export { looksOf } from './looksOf.ts';
export { nextObservation } from './nextObservation.ts';
export { queenAction, type QueenAction } from './queenAction.ts';
export { type DatedLook, type QueenBelief, queenBelief, type Reason } from './queenOdds.ts';
