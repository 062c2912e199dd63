import { floatAt, type Problem } from '../../basics/index.ts';
import { BEES_FOR_DRONES } from '../../followup/index.ts';
import type { YardGoalOf, YardPlanRequest } from '../../records/index.ts';
import { AT, noMeasures } from '../rules/measures.ts';
import type { Prepared } from './prepareColonies.ts';
import type { UnitBox, YardUnit } from './problem.ts';

/** The key of the box that a nuc is hived into, and of the one that goes on it. */
export const kitBoxKey = (unitKey: string) => `kit:${unitKey}`;
const aboveBoxKey = (unitKey: string) => `kit-above:${unitKey}`;

/** The boxes that a colony moves into, bottom first. */
export function newBoxes(
  p: Prepared,
  request: YardPlanRequest,
  slots: number,
  excluderBelow: boolean,
): UnitBox[] {
  const box = { sizeId: p.sizeId, slots, ownSlots: Array.from({ length: slots }, (_, i) => i + 1) };
  const above = request.goals.find((g) => g.kind === 'hiveUp' && g.colonyId === p.colony.id);
  const on = above?.kind === 'hiveUp' ? above.above : undefined;
  return [
    {
      ...box,
      id: kitBoxKey(p.colony.id),
      name: on === 'brood' ? 'lower box' : 'box',
      role: 'brood',
      excluderBelow,
    },
    ...(on === undefined
      ? []
      : [
          {
            ...box,
            id: aboveBoxKey(p.colony.id),
            name: on === 'brood' ? 'upper box' : 'super',
            role: on,
            excluderBelow: on === 'super',
          },
        ]),
  ];
}

/** A slot of its new box is kept for a drone comb. */
export const getsDroneComb = ({ goals }: YardPlanRequest, colonyId: string): boolean =>
  goals.some((g) => g.kind === 'hiveUp' && g.colonyId === colonyId && g.droneComb === true);

/** Drones are raised by the strong: food and nurses of a weak colony do not reach for them. */
export const tooWeakForDrones = (request: YardPlanRequest, units: readonly YardUnit[]): Problem[] =>
  request.goals.flatMap((g, i): Problem[] => {
    if (g.kind !== 'hiveUp' || g.droneComb !== true) return [];
    const unit = units.find((u) => u.key === g.colonyId);
    const bees = floatAt(unit?.before ?? noMeasures(), AT.bees);
    return unit === undefined || bees >= BEES_FOR_DRONES
      ? []
      : [
          {
            code: 'too-weak-for-drones',
            path: ['goals', i, 'droneComb'],
            message: `${unit.name} has ${bees.toFixed(1)} frames of bees: too few to raise drones beside its own brood.`,
            remedy: `Leave the drone comb out, and hang it when ${BEES_FOR_DRONES} frames are covered.`,
          },
        ];
  });

/** The goal for which a colony is broken up whole; null where it keeps its stand. */
export const brokenUpWhole = ({ goals }: YardPlanRequest, colonyId: string): YardGoalOf<'makeNucs'> | null =>
  (goals.find((g) => g.kind === 'makeNucs' && g.wholeOfId === colonyId) as YardGoalOf<'makeNucs'> | null) ??
  null;

/** Slots of the one box into which a colony is moved; null where it keeps its own. */
export function newBoxSlots(request: YardPlanRequest, colonyId: string): number | null {
  const hiveUp = request.goals.find((g) => g.kind === 'hiveUp' && g.colonyId === colonyId);
  if (hiveUp?.kind === 'hiveUp') return hiveUp.slots;
  return brokenUpWhole(request, colonyId)?.recipe.slots ?? null;
}
