export {
  DEFAULT_HOUSE_RULES,
  houseRuleChanges,
  type HouseRuleId,
  houseRules,
  type HouseRules,
  stayShares,
} from './houseRules.ts';
export {
  CAPPED_BROOD,
  type CappedBrood,
  type Caps,
  type Fate,
  FOUND,
  LEAST_LIKELIHOOD,
  likelihoodChanges,
  type LikelihoodChanges,
  type LikelihoodId,
  MISTAKEN,
  MOST_LIKELIHOOD,
  type Sign,
} from './likelihoodIds.ts';
export { RULE_GROUPS, type RuleGroup } from './ruleGroups.ts';
export { QUEEN_STATE_WORDS, QUEEN_STATES, type QueenOdds, type QueenStateName } from './queenStates.ts';
export {
  coverShare,
  coversMore,
  isHoneyBound,
  isOutgrown,
  isStrongEnoughToGive,
  NUC_SLOTS,
  isNuc,
  type BroodRoom,
  isStrongEnoughToPart,
  givesCombs,
} from './judgements.ts';
export { HOUSE_RULES } from './ruleTable.ts';
