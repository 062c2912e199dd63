import { framesInStore, placeInWords, type StepDraft, STORE_KEY } from '../../records/index.ts';
import { addDays, dayInWords } from '../../basics/index.ts';
import { blankComb } from '../../nest/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { EMPTY_PLAN, type ActionPlan } from './actionPlan.ts';
import { hangIn } from './hangIn.ts';
import { roomFor } from './roomFor.ts';
import { toStore } from './toStore.ts';

/** A weaker colony has neither bees nor food to spare for drones (common practice, no source). */
const STRONG = 8;
/** Days from the egg to the drone (Winston 1987): cut before, when it is capped. */
const CUT = { from: 18, best: 21, last: 23 } as const;

/**
 * A frame in which drones are raised hangs beside the brood of a strong colony; on a date it is cut out with the mites in
 * it, or left where drones are wanted.
 *
 * @returns null for a colony that is not strong, and where the store has no frame for it
 */
export function droneComb(facts: UnitFacts): ActionPlan | null {
  const { apiary, colony, day, unit, frames } = facts;
  const size = frames.find((f) => f.box.role === 'brood')?.frame.sizeId;
  if (unit.bees < STRONG || size === undefined) return null;
  const frame = framesInStore(apiary)
    .filter((f) => f.sizeId === size)
    .toSorted((a, b) => Number(a.blank === 'drawn') - Number(b.blank === 'drawn'))[0];
  const room = roomFor(facts, size);
  if (!frame || !room) return null;
  const out = room.out ? [room.out] : [];
  const hung = hangIn(facts, out, [
    { comb: blankComb(frame.id, frame.blank), boxId: room.boxId, slot: room.slot },
  ]);
  const slot = hung.slotOf.get(frame.id) ?? room.slot;
  const on = addDays(day, CUT.best);
  return {
    ...EMPTY_PLAN,
    name: `a drone comb for ${colony.name}`,
    why: `${unit.bees.toFixed(1)} frames of bees: strong enough to raise drones. Cut on ${dayInWords(on)} it takes the mites in it along; left, its drones emerge from day 24.`,
    units: [{ facts, after: unit }],
    moves: [
      ...toStore(out, colony.id, 'Makes room for the drone comb.'),
      ...hung.slides,
      {
        frameId: frame.id,
        from: null,
        to: { boxId: room.boxId, slot },
        fromKey: STORE_KEY,
        toKey: colony.id,
        reason: 'Beside the brood, outside it: drones are raised at the edge of the nest.',
      },
    ],
    steps: [
      {
        kind: 'open',
        units: [colony.id],
        text: `Open ${colony.name}`,
        detail: 'From the outside, until the edge of the brood is reached.',
      },
      ...out.map((f): StepDraft => ({
        kind: 'move',
        units: [colony.id],
        text: `${placeInWords(apiary, colony, f.box, f.slot)} → the store`,
        detail: 'Shake its bees off into the hive.',
        frameIds: [f.frame.id],
      })),
      ...hung.steps,
      {
        kind: 'fill',
        units: [colony.id],
        text: `Hang the drone frame in slot ${slot}`,
        detail:
          'A frame without foundation, a strip of it at the top, or drone foundation. Mark its top bar.',
        frameIds: [frame.id],
      },
      { kind: 'close', units: [colony.id], text: `Close ${colony.name}`, detail: '' },
    ],
    looks: [
      {
        colonyIds: [colony.id],
        topic: 'drone-comb',
        window: { earliest: addDays(day, CUT.from), likely: on, latest: addDays(day, CUT.last) },
        expect: `Cut the drone comb in slot ${slot} while it is capped, before drones emerge; freeze or melt it the same day. Left too long it raises mites.`,
      },
    ],
    cautions: ['A comb cut out draws robbers: into a closed bucket at once.'],
  };
}
