import type { Day } from '../../basics/index.ts';
import type { FrameSizeId } from '../../comb/index.ts';
import {
  newYardPlanRequest,
  NUC_RECIPES,
  type NucRecipe,
  type YardPlanRequest,
} from '../../records/index.ts';
import type { MethodCard } from '../base/method.ts';
import type { Situation } from '../base/situation.ts';

/** The ways that make several parts, or more than parts: planned on the bench for yards. */
const YARD_METHOD_IDS = ['assembly-line', 'break-up', 'one-into-several', 'autumn-reduction'] as const;
export type YardMethodId = (typeof YARD_METHOD_IDS)[number];

/** What a yard method is asked about. */
export interface YardAsk {
  readonly colonyId: string;
  readonly yardId: string;
  /** All other colonies of the yard. */
  readonly otherIds: readonly string[];
  readonly sizeId: FrameSizeId;
  readonly day: Day;
  readonly now: Situation;
}

/** A way that is put to the planner of yards as goals. */
export interface YardMethod extends MethodCard<YardMethodId> {
  /** What to ask of the planner. */
  ask(ask: YardAsk): YardPlanRequest;
}

/** A recipe of the list, for a frame size and a way to get a queen. */
export function recipeFor(id: string, change: Partial<NucRecipe>): NucRecipe {
  const found = NUC_RECIPES.find((r) => r.id === id) ?? NUC_RECIPES[0];
  if (!found) throw new Error('there must be a recipe');
  return { ...found.recipe, ...change };
}

/** Only this colony takes part. */
export function askOfOne({ yardId, otherIds, day, now }: YardAsk): YardPlanRequest {
  return {
    ...newYardPlanRequest([yardId], day),
    leftOutIds: [...otherIds],
    season: now.season === 'dearth' || now.season === 'autumn' ? 'dearth' : 'build-up',
    nights: now.season === 'early' || now.season === 'autumn' ? 'cold' : 'mild',
  };
}
