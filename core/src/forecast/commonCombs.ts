import { housemates, nestOf, sharedFramesOf, type Apiary, type Colony } from '../records/index.ts';
import type { CommonCombs } from './strength.ts';

/**
 * The combs that hang in common above a colony and its neighbours. Each family of the hive has the same share of them:
 * nobody can tell whose bees filled them.
 */
export function commonCombs(apiary: Apiary, colony: Colony): CommonCombs {
  return {
    nest: nestOf(sharedFramesOf(apiary, colony)),
    share: 1 / (1 + housemates(apiary, colony).length),
  };
}
