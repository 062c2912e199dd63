import { combOf, nestFaults, roleOf, type CombRole, type NestComb, type NestFault } from '../nest/index.ts';
import type { Apiary, Box, Colony, Work } from '../records/records.ts';
import { boxesOfColony, combSlots, framesOfColony, isSlotOf, readingOf } from '../records/views.ts';
import { apiaryAfter } from '../remedies/actions/apiaryAfter.ts';

/** A brood box of a unit that a plan touched, and what is wrong with how it hangs. */
export interface NestAfter {
  readonly unit: string;
  readonly boxId: string;
  readonly faults: readonly NestFault[];
  /** What of that was not so before; a box that was not there had nothing wrong. */
  readonly made: readonly NestFault[];
  /** The box in letters, from slot 1: what hangs where. */
  readonly hangs: string;
}

/** Every brood box that a plan touched, as it hangs when all is done. */
export function nestsAfter(before: Apiary, work: Work): NestAfter[] {
  const after = apiaryAfter(before, work);
  const touched = new Set(
    work.body.moves.flatMap((m) => [m.from?.boxId, m.to?.boxId].flatMap((b) => b ?? [])),
  );
  return work.body.units.flatMap((u): NestAfter[] => {
    const colony = after.colony[u.colonyId];
    if (!colony || colony.endedOn !== null) return [];
    return boxesOfColony(after, colony)
      .filter((box) => box.role === 'brood' && touched.has(box.id))
      .map((box) => {
        const now = hung(after, colony, box);
        const faults = nestFaults(now.combs, now.slots, u.after.bees);
        const [then = null] = Object.values(before.colony).flatMap((c) =>
          boxesOfColony(before, c).flatMap((b) => (b.id === box.id ? [hung(before, c, b)] : [])),
        );
        const were = then ? nestFaults(then.combs, then.slots, u.after.bees) : [];
        return {
          unit: u.name,
          boxId: box.id,
          faults,
          made: faults.filter((f) => !were.includes(f)),
          hangs: now.slots.map((s) => letter(now.combs.find((h) => h.slot === s)?.comb)).join(''),
        };
      });
  });
}

function hung(apiary: Apiary, colony: Colony, box: Box) {
  return {
    slots: combSlots(box).filter((s) => isSlotOf(box, s, colony.id)),
    combs: framesOfColony(apiary, colony)
      .filter((f) => f.box.id === box.id)
      .map((f) => ({ slot: f.slot, comb: combOf(f.frame.id, readingOf(f)) })),
  };
}

const LETTERS: Readonly<Record<CombRole, string>> = {
  brood: 'B',
  bread: 'P',
  stores: 'H',
  drawn: 'd',
  foundation: 'f',
};
const letter = (c: NestComb | undefined): string => (c ? (c.liveCells > 0 ? 'C' : LETTERS[roleOf(c)]) : '.');
