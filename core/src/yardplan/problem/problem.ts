import type { Day } from '../../basics/index.ts';
import type { FrameSizeId } from '../../comb/index.ts';
import type { PlanFrame } from '../../split/index.ts';
import type { HouseRules } from '../../rules/index.ts';
import type { Measured } from '../rules/measures.ts';
import type { NucRecipe, YardGoalOf, YardPlanRequest } from '../../records/index.ts';
import type { UnitRule } from '../rules/unitRule.ts';

/** Where a frame is when it hangs in no unit. */
export const STORE = -1;

/** A brood box or super of a unit. */
export interface UnitBox {
  readonly id: string;
  readonly name: string;
  readonly sizeId: FrameSizeId;
  readonly slots: number;
  readonly role: 'brood' | 'super';
  /** An excluder lies under it. */
  readonly excluderBelow: boolean;
  /** Slots of it that this unit may use. */
  readonly ownSlots: readonly number[];
}

/** Something that has frames: a colony as it is, or a nuc that may be made. */
export interface YardUnit {
  readonly index: number;
  /** The colony's id, or the goal, yard and number of a nuc. */
  readonly key: string;
  readonly kind: 'colony' | 'nuc';
  readonly name: string;
  readonly yardId: string;
  /** For a nuc: the recipe and the goal that it is made for. */
  readonly recipe: NucRecipe | null;
  readonly goalId: string | null;
  readonly sizeId: FrameSizeId;
  /** Slots of brood boxes of that size, after any change of box. */
  readonly slots: number;
  readonly boxes: readonly UnitBox[];
  /** Its boxes before any change of box, bottom first; none for a nuc. */
  readonly standsIn: readonly UnitBox[];
  /** The colony that is broken up whole for it: this one itself, or the one of which it is a part. */
  readonly wholeOf: string | null;
  /** House rules, then wishes. */
  readonly rules: readonly UnitRule[];
  /** Measures before the work; zero for a nuc. */
  readonly before: Measured;
  readonly lane: string;
}

/** A frame with what it counts for and where it may go. */
export interface YardFrame extends PlanFrame {
  readonly index: number;
  /** Index of the unit where it hangs, or {@link STORE}. */
  readonly home: number;
  /** Slots from the nearest comb of brood in its box: 1 beside it, 0 for brood itself, and where there is none. */
  readonly fromBrood: number;
  /** Boxes that stand on its own and are lifted off to reach it; 0 in a hive that is taken down whole in any case. */
  readonly boxesAbove: number;
  /** It hangs in a brood box of its unit's size, so that it takes one of the slots that are counted. */
  readonly counted: boolean;
  readonly blank: 'drawn' | 'foundation';
  /** Units other than its home to which it may go; {@link STORE} among them where that helps. */
  readonly mayGoTo: readonly number[];
  /** Units for which its bees may be shaken out while it stays. */
  readonly mayShakeFor: readonly number[];
  /** A unit, or the store, where it has to end. */
  readonly pinnedTo: number | null;
  /** A unit for which its bees have been shaken out already. */
  readonly shakenAlready: number | null;
}

/** A colony that has no part in the plan, and why. */
export interface LeftOut {
  readonly colonyId: string;
  readonly name: string;
  readonly yardId: string;
  readonly why: string;
}

/** Two colonies that become one before anything else is done. */
export interface Union {
  readonly goalId: string;
  readonly fromId: string;
  readonly fromName: string;
  readonly intoId: string;
  readonly boxIds: readonly string[];
}

/** A yard, or several, with everything that the search, the proof and the ledger need. */
export interface YardProblem {
  readonly request: YardPlanRequest;
  readonly day: Day;
  readonly rules: HouseRules;
  readonly reference: FrameSizeId;
  readonly units: readonly YardUnit[];
  readonly frames: readonly YardFrame[];
  readonly leftOut: readonly LeftOut[];
  readonly unions: readonly Union[];
  readonly nucGoals: readonly (YardGoalOf<'makeNucs'> & {
    /** How many are asked for; for "as many as possible", more than can be hoped for. */
    readonly wanted: number;
  })[];
  /** Frames of bees of the strongest unit, and one at least: how strong the others are is told by it. */
  readonly mostBees: number;
  /** The oldest count that the plan rests on. */
  readonly countedOn: Day;
}

/** Who goes where: the unit of every frame, and the unit for which its bees are shaken out. */
export interface Assignment {
  /** By index of the frame: index of a unit, or {@link STORE}. */
  readonly to: readonly number[];
  /** By index of the frame: index of a unit, or null. Only frames that stay are shaken. */
  readonly shakenFor: readonly (number | null)[];
}

/** Nucs that nothing tells apart: those of one goal in one yard. */
export function alikeNucs({ units }: YardProblem): YardUnit[][] {
  const groups = new Map<string, YardUnit[]>();
  for (const u of units) {
    if (u.kind !== 'nuc') continue;
    const key = `${u.goalId}/${u.yardId}`;
    groups.set(key, [...(groups.get(key) ?? []), u]);
  }
  return [...groups.values()];
}

/** The goal for which a colony is broken up whole; undefined for a nuc, and for a colony that keeps its stand. */
export const wholeGoal = ({ nucGoals }: YardProblem, unit: YardUnit) =>
  unit.kind === 'colony' && unit.wholeOf !== null
    ? nucGoals.find((g) => g.wholeOfId === unit.key)
    : undefined;

/** How many nucs are asked for in all. */
export const nucsWanted = (problem: YardProblem) => problem.nucGoals.reduce((n, g) => n + g.wanted, 0);

/** Nothing is moved, save what is pinned or has been shaken. */
export function nothingMoved(problem: YardProblem): Assignment {
  return {
    to: problem.frames.map((f) => f.pinnedTo ?? f.home),
    shakenFor: problem.frames.map((f) => f.shakenAlready),
  };
}
