import { combOf, hangNest, type NestComb } from '../../nest/index.ts';
import {
  boxesOfColony,
  boxName,
  combSlots,
  isSlotOf,
  readingOf,
  type PlacedFrame,
  type StepDraft,
  type WorkMove,
} from '../../records/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';

/** A comb that comes into a box. */
export interface Incoming {
  readonly comb: NestComb;
  readonly boxId: string;
  /** Where it best hangs, unless the nest is better otherwise: in the place of a comb that goes. */
  readonly slot?: number;
}

/** Where a nest hangs once combs have left and come. */
export interface Hung {
  /** By comb id, the slot of one that came. */
  readonly slotOf: ReadonlyMap<string, number>;
  /** Combs of the unit that slide in their box. */
  readonly slides: readonly WorkMove[];
  /** The step for them; none where nothing slides. */
  readonly steps: readonly StepDraft[];
}

/** A comb of a unit as it comes into another box. */
export const incoming = (f: PlacedFrame, boxId: string, slot?: number): Incoming => ({
  comb: combOf(f.frame.id, readingOf(f)),
  boxId,
  ...(slot !== undefined && { slot }),
});

/** Hangs every brood box of a unit that combs leave, or come to, as a nest: pushed together, what comes in its place. */
export function hangIn(
  { apiary, colony, frames, unit, outside }: UnitFacts,
  out: readonly PlacedFrame[],
  into: readonly Incoming[] = [],
): Hung {
  const leave = new Set(out.map((f) => f.frame.id));
  const changed = new Set([...out.map((f) => f.box.id), ...into.map((i) => i.boxId)]);
  const boxes = boxesOfColony(apiary, colony);
  const slotOf = new Map<string, number>();
  const slides: WorkMove[] = [];
  const words: string[] = [];
  for (const box of boxes.filter((b) => changed.has(b.id) && b.role === 'brood')) {
    const stay = frames.filter((f) => f.box.id === box.id && !leave.has(f.frame.id));
    const slots = combSlots(box).filter((s) => isSlotOf(box, s, colony.id));
    const hung = hangNest(
      [
        ...stay.map((f) => {
          const comb = combOf(f.frame.id, readingOf(f));
          // Queen cells are not shaken about.
          return { frame: comb, slot: f.slot, fixed: comb.liveCells > 0 };
        }),
        ...into.filter((i) => i.boxId === box.id).map((i) => ({ frame: i.comb, slot: i.slot ?? null })),
      ],
      slots,
      outside.coldNights ? 'keep' : 'nest',
      unit.bees,
    );
    for (const { comb } of into) {
      const slot = hung.get(comb.id);
      if (slot !== undefined) slotOf.set(comb.id, slot);
    }
    for (const f of stay) {
      const slot = hung.get(f.frame.id) ?? f.slot;
      if (slot === f.slot) continue;
      slides.push({
        frameId: f.frame.id,
        from: { boxId: box.id, slot: f.slot },
        to: { boxId: box.id, slot },
        fromKey: colony.id,
        toKey: colony.id,
        reason: 'Pushed together: brood beside brood, and no gap for wild comb.',
      });
      words.push(`${boxes.length > 1 ? `${boxName(boxes, box.id)}, ` : ''}${f.slot} → ${slot}`);
    }
  }
  return {
    slotOf,
    slides,
    steps:
      slides.length === 0
        ? []
        : [
            {
              kind: 'move',
              task: 'slide',
              units: [colony.id],
              text: `Push ${colony.name} together: ${slides.length === 1 ? 'one comb slides' : `${slides.length} combs slide`}`,
              detail: `${words.join('; ')}. No gap between combs: bees build wild comb in it within days.`,
              frameIds: slides.map((m) => m.frameId),
            },
          ],
  };
}
