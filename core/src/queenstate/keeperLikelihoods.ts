import { DEFAULT_HOUSE_RULES, type HouseRules } from '../rules/houseRules.ts';

/** Likelihoods that differ from keeper to keeper and from yard to yard: house rules, by their names there. */
export type KeeperLikelihoods = Pick<
  HouseRules,
  'findsEggs' | 'findsQueen' | 'findsCells' | 'raisesCells' | 'matesOfVirgins'
>;

/** As they are shipped. */
export const USUAL_LIKELIHOODS: KeeperLikelihoods = DEFAULT_HOUSE_RULES;
