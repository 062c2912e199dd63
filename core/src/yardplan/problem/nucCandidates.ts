import { floatAt } from '../../basics/index.ts';
import type { HouseRules } from '../../rules/index.ts';
import { AT, noMeasures, type Measure, type Measured } from '../rules/measures.ts';
import type { YardUnit } from './problem.ts';
import type { NucRecipe, YardGoalOf, YardPlanRequest } from '../../records/index.ts';

/** A nuc that may be made. */
export type NucCandidate = Omit<YardUnit, 'rules' | 'index' | 'recipe'> & { readonly recipe: NucRecipe };

/** More than this in one yard and day is not work for people. */
const MOST_IN_A_YARD = 60;

/** The key of the k-th nuc of a goal in a yard, from 1. */
export const nucKey = (goalId: string, yardId: string, k: number) => `${goalId}/${yardId}/${k}`;

/**
 * As many nucs for each goal and yard as could be made at the very most.
 *
 * The number is a bound: brood, brood combs and bees above what the colonies must keep, divided by what one
 * nuc must have.
 */
export function nucCandidates(
  request: YardPlanRequest,
  units: readonly Pick<YardUnit, 'key' | 'yardId' | 'sizeId'>[],
  before: readonly Measured[],
  rules: HouseRules,
): NucCandidate[] {
  let number = 0;
  return request.goals.flatMap((goal) => {
    if (goal.kind !== 'makeNucs') return [];
    return request.yardIds.toSorted().flatMap((yardId) => {
      const own = before.filter(
        (_, i) =>
          units[i]?.yardId === yardId &&
          units[i]?.sizeId === goal.recipe.sizeId &&
          (goal.wholeOfId === undefined || units[i]?.key === goal.wholeOfId),
      );
      const n = Math.min(mostOf(goal, own, request.season, rules), goal.count ?? MOST_IN_A_YARD);
      return Array.from({ length: n }, (_, k): NucCandidate => ({
        key: nucKey(goal.id, yardId, k + 1),
        kind: 'nuc',
        name: `Nuc ${++number}`,
        yardId,
        recipe: recipeOf(goal),
        goalId: goal.id,
        sizeId: goal.recipe.sizeId,
        slots: goal.recipe.slots,
        standsIn: [],
        wholeOf: goal.wholeOfId ?? null,
        boxes: [
          {
            id: `nuc:${nucKey(goal.id, yardId, k + 1)}`,
            name: 'box',
            sizeId: goal.recipe.sizeId,
            slots: goal.recipe.slots,
            role: 'brood',
            excluderBelow: false,
            ownSlots: Array.from({ length: goal.recipe.slots }, (_, s) => s + 1),
          },
        ],
        before: noMeasures(),
        lane: 'nuc',
      }));
    });
  });
}

/**
 * The recipe by which a goal's units are made. Of a colony that is broken up whole every comb of brood has to find a
 * place, so that its bees set the limit and not the number of combs; each has a comb of honey.
 */
export const recipeOf = ({ recipe, wholeOfId }: YardGoalOf<'makeNucs'>): NucRecipe =>
  wholeOfId === undefined
    ? recipe
    : {
        ...recipe,
        broodCombs: { min: recipe.broodCombs.min, max: Math.max(recipe.broodCombs.max, recipe.slots - 1) },
        storesCombs: Math.min(recipe.storesCombs, 1),
        emptyCombs: 0,
      };

function mostOf(
  goal: YardGoalOf<'makeNucs'>,
  own: readonly Measured[],
  season: YardPlanRequest['season'],
  rules: HouseRules,
): number {
  const whole = goal.wholeOfId !== undefined;
  const floor = whole
    ? goal.recipe.broodFrames
    : season === 'dearth'
      ? rules.donorFloorDearth
      : rules.donorFloorBrood;
  const sum = (m: Measure, kept: number) =>
    own.reduce((n, b) => n + Math.max(0, floatAt(b, AT[m]) - kept), 0);
  const { recipe } = goal;
  const bounds = [
    sum('broodCombs', 0) / recipe.broodCombs.min,
    sum('bees', whole ? rules.minBeesNewPart : rules.weakBees) / Math.max(rules.minBeesNewPart, 0.1),
    sum('brood', floor) / Math.max(recipe.broodFrames, 0.1),
  ];
  if (recipe.queen === 'old-queen') bounds.push(sum('queens', 0));
  return Math.max(0, Math.min(MOST_IN_A_YARD, Math.floor(Math.min(...bounds) + 1e-6)));
}
