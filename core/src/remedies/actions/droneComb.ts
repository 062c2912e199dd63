import { framesInStore, placeInWords, type StepDraft, STORE_KEY } from '../../records/index.ts';
import { dayInWords } from '../../basics/index.ts';
import { BEES_FOR_DRONES, cutDroneComb, DRONE_FRAME } from '../../followup/index.ts';
import { blankComb } from '../../nest/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { EMPTY_PLAN, type ActionPlan } from './actionPlan.ts';
import { hangIn } from './hangIn.ts';
import { roomFor } from './roomFor.ts';
import { toStore } from './toStore.ts';

/**
 * A frame in which drones are raised hangs beside the brood of a strong colony; on a date it is cut out with the mites in
 * it, or left where drones are wanted.
 *
 * @returns null for a colony that is not strong, and where the store has no frame for it
 */
export function droneComb(facts: UnitFacts): ActionPlan | null {
  const { apiary, colony, day, unit, frames } = facts;
  const size = frames.find((f) => f.box.role === 'brood')?.frame.sizeId;
  if (unit.bees < BEES_FOR_DRONES || size === undefined) return null;
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
  const cut = cutDroneComb(day, slot);
  return {
    ...EMPTY_PLAN,
    name: `a drone comb for ${colony.name}`,
    why: `${unit.bees.toFixed(1)} frames of bees: strong enough to raise drones. Cut on ${dayInWords(cut.window.likely)} it takes the mites in it along; left, its drones emerge from day 24.`,
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
        detail: DRONE_FRAME,
        frameIds: [frame.id],
      },
      { kind: 'close', units: [colony.id], text: `Close ${colony.name}`, detail: '' },
    ],
    looks: [{ colonyIds: [colony.id], topic: cut.topic, window: cut.window, expect: cut.expect }],
    cautions: ['A comb cut out draws robbers: into a closed bucket at once.'],
  };
}
