/** Chances of queen states: loaded with the views that show them, and the bench. */
export { nextObservation, type NextObservation } from './nextObservation.ts';
export { queenBelief, type DatedLook, type QueenBelief, type Reason } from './queenOdds.ts';
export { queenBeliefOf } from './beliefOf.ts';
export type { PartBefore } from './courses.ts';
export { keeperLikelihoods } from './keeperLikelihoods.ts';
export { LIKELIHOOD_WORDS, USUAL_TABLE, type LikelihoodTable } from './likelihoodTable.ts';
export { QUEEN_STATE_WORDS, QUEEN_STATES, type QueenStateName } from './queenStates.ts';
export { calibration, type Calibration } from './simulatedQueens.ts';
export { queenAction, type QueenAction } from './queenAction.ts';
export {
  CAPPED_BROOD,
  LEAST_LIKELIHOOD,
  MOST_LIKELIHOOD,
  type LikelihoodChanges,
  type LikelihoodId,
} from '../rules/likelihoodIds.ts';
