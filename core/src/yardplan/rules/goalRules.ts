import { counted, daysBetween, floatAt } from '../../basics/index.ts';
import type { BeesAhead } from '../../forecast/index.ts';
import { honeyKgPerFrame, type FrameSizeId } from '../../comb/index.ts';
import { isHoneyBound, type HouseRules } from '../../rules/index.ts';
import { AT, type Measure, type Measured } from './measures.ts';
import type { YardGoal } from '../../records/index.ts';
import { type UnitRule } from './unitRule.ts';

/** Price of a wish missed by one frame, for a goal of middling importance. */
const WISH_PRICE = 15;

/** A unit that a goal may be about. */
export interface GoalUnit {
  readonly key: string;
  readonly colonyId: string;
  readonly before: Measured;
  /** Slots of its brood boxes as it stands, and of the boxes that it is to keep. */
  readonly slots: number;
  readonly lane: string;
}

/** What the goals are set against. */
export interface GoalContext {
  readonly rules: HouseRules;
  readonly reference: FrameSizeId;
  readonly day: string;
  readonly season: 'build-up' | 'dearth';
  /** Slots that a colony has in its lowest boxes, by number of boxes. */
  readonly slotsOfBoxes: (colonyId: string, boxes: number) => number;
  /** What the forecast says of a colony's bees on a later day; null where it was never counted. */
  readonly beesAhead: (colonyId: string, onDay: string) => BeesAhead | null;
  /** Means over all units in the plan, by measure. */
  readonly mean: Measured;
}

/** On the day of the work itself a frame of bees is one. */
const AS_IT_IS = (bees: number): BeesAhead => ({ alone: bees, ofBees: 1, ofCapped: 0 });

const at = (u: GoalUnit, m: Measure) => floatAt(u.before, AT[m]);

/** The wishes that a goal makes of one unit; none when it is not about it. */
export function wishesOf(goal: YardGoal, u: GoalUnit, context: GoalContext): UnitRule[] {
  const { rules } = context;
  const price = WISH_PRICE * [0.5, 1, 2.5][goal.importance - 1]!;
  const wish = (
    rule: Pick<UnitRule, 'label' | 'unit' | 'terms' | 'besides' | 'sense' | 'threshold' | 'why' | 'mend'> & {
      id: string;
      weight?: number;
    },
  ): UnitRule => {
    const { weight = 1, ...rest } = rule;
    return {
      ...rest,
      id: `${u.key}/${goal.id}/${rule.id}`,
      hard: false,
      price: price * weight,
      nearWithin: 0.2,
      goalId: goal.id,
    };
  };
  switch (goal.kind) {
    case 'makeNucs':
    case 'unite':
      return [];
    case 'level': {
      const measure = goal.by;
      const mean = floatAt(context.mean, AT[measure]);
      const word = measure === 'capped' ? 'capped brood' : 'brood';
      const common = {
        unit: `frames of ${word}`,
        terms: [[measure, 1]] as const,
        why: `Level means within ${rules.levelWithin} of a frame of the yard’s mean, ${mean.toFixed(1)}.`,
      };
      return [
        wish({
          ...common,
          id: 'up',
          label: `Level by ${word}`,
          sense: 'atLeast',
          threshold: Math.max(0, mean - rules.levelWithin),
          mend: (n) =>
            `${counted(n, 'frame')} below the others; level again in a week, when more ${measure === 'capped' ? 'is capped' : 'is laid'}.`,
        }),
        wish({
          ...common,
          id: 'down',
          label: `Level by ${word}`,
          sense: 'atMost',
          threshold: mean + rules.levelWithin,
          // Being above is no fault of its own; it matters less than being below.
          weight: 0.25,
          mend: (n) => `${counted(n, 'frame')} above the others; it keeps them, or give a comb by hand.`,
        }),
      ];
    }
    case 'raise': {
      const named = goal.colonyIds.length > 0 ? goal.colonyIds.includes(u.colonyId) : u.lane === 'weak';
      if (!named) return [];
      if (goal.by === 'brood') {
        return [
          wish({
            id: 'brood',
            label: 'Brood wanted',
            unit: 'frames of brood',
            terms: [['brood', 1]],
            sense: 'atLeast',
            threshold: goal.targetFrames,
            why: 'The target that was set.',
            mend: (n) => `Short by ${counted(n, 'frame')} of brood.`,
          }),
        ];
      }
      const days = Math.max(0, daysBetween(context.day, goal.onDay));
      const ahead = (days > 0 ? context.beesAhead(u.colonyId, goal.onDay) : null) ?? AS_IT_IS(at(u, 'bees'));
      // What it will have if nothing is moved, less what its bees and capped brood of now are in it.
      const besides = ahead.alone - ahead.ofBees * at(u, 'bees') - ahead.ofCapped * at(u, 'capped');
      return [
        wish({
          id: 'bees',
          label: days > 0 ? `Bees in ${days} days` : 'Bees',
          unit: 'frames of bees',
          terms: [
            ['bees', ahead.ofBees],
            ['capped', ahead.ofCapped],
          ],
          besides,
          sense: 'atLeast',
          threshold: goal.targetFrames - besides,
          why: 'The forecast for that day, and what bees and capped brood that come or go make of it.',
          mend: (n) => `Short by ${counted(n, 'frame')} of bees: a later day, or a lower target.`,
        }),
      ];
    }
    case 'calm':
      if (!goal.colonyIds.includes(u.colonyId)) return [];
      return [
        wish({
          id: 'brood',
          label: 'Brood, to keep it from swarming',
          unit: 'frames of brood',
          terms: [['brood', 1]],
          sense: 'atMost',
          threshold: Math.max(rules.donorFloorBrood, rules.calmBroodShare * u.slots),
          why: 'Brood wall to wall emerges as more bees than its boxes hold.',
          mend: (n) => `${counted(n, 'frame')} of brood more than it has room for: make a nuc of it.`,
        }),
        roomWish(rules, wish),
      ];
    case 'relieve': {
      const named =
        goal.colonyIds.length > 0
          ? goal.colonyIds.includes(u.colonyId)
          : isHoneyBound({ stores: at(u, 'stores'), room: at(u, 'room'), slots: u.slots }, rules);
      return named ? [roomWish(rules, wish)] : [];
    }
    case 'shrink': {
      if (goal.colonyId !== u.colonyId) return [];
      const slots = context.slotsOfBoxes(goal.colonyId, goal.boxes);
      return [
        wish({
          id: 'slots',
          label: `Frames for ${goal.boxes === 1 ? 'one box' : `${goal.boxes} boxes`}`,
          unit: 'frames',
          terms: [['frames', 1]],
          sense: 'atMost',
          threshold: slots,
          why: 'What stays must fit into the boxes that stay.',
          mend: (n) => `${counted(n, 'comb')} too many: they hold brood or food that it may not lose.`,
        }),
      ];
    }
    case 'provision': {
      if (goal.colonyIds.length > 0 && !goal.colonyIds.includes(u.colonyId)) return [];
      const wanted = goal.storesKg / honeyKgPerFrame(context.reference).likely;
      return [
        wish({
          id: 'stores',
          label: 'Stores wanted',
          unit: 'frames',
          terms: [['stores', 1]],
          sense: 'atLeast',
          threshold: wanted,
          why: `${goal.storesKg} kg, at ${honeyKgPerFrame(context.reference).likely.toFixed(1)} kg a full comb.`,
          mend: (n) => `Short by ${counted(n, 'frame')} of honey: feed syrup in the evening.`,
        }),
      ];
    }
    case 'hiveUp':
      if (goal.colonyId !== u.colonyId) return [];
      return [
        wish({
          id: 'stores',
          label: 'Stores in its new box',
          unit: 'frames',
          terms: [['stores', 1]],
          sense: 'atLeast',
          threshold: at(u, 'stores') + rules.hiveUpStores,
          why: 'The new box has combs to draw; honey carries it over bad weather.',
          mend: (n) => `Short by ${counted(n, 'frame')} of honey: feed 1:1 in the evening.`,
        }),
      ];
  }
}

function roomWish(
  rules: HouseRules,
  wish: (
    rule: Pick<UnitRule, 'label' | 'unit' | 'terms' | 'sense' | 'threshold' | 'why' | 'mend'> & {
      id: string;
    },
  ) => UnitRule,
): UnitRule {
  return wish({
    id: 'room',
    label: 'Room to lay',
    unit: 'frames',
    terms: [['room', 1]],
    sense: 'atLeast',
    threshold: rules.roomToLay,
    why: 'A queen without empty cells stops laying, and the bees think of swarming.',
    mend: (n) => `Short by ${counted(n, 'frame')} of empty comb: put more into the store.`,
  });
}
