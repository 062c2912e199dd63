import { blankComb, combOf, hangNest } from '../nest/index.ts';
import { shareOfBees } from '../comb/index.ts';
import { warmSlot } from './slotFor.ts';
import type { CallOutBody, CallUnit, Frame, FrameCall } from '../records/index.ts';

/** The frames that were called into a unit. */
const callsOf = (body: CallOutBody, unit: CallUnit): FrameCall[] =>
  body.calls.filter((c) => c.to.at === 'unit' && c.to.key === unit.key);

/**
 * How the frames of a unit hang when all are called: as a nest, pushed together. Frame by frame nobody knows what comes
 * next, so that what was hung first may stand in the wrong place.
 *
 * @param fills - combs of the store that fill it up
 * @returns by call, or comb of the store, its slot in the unit
 */
export function nestOfUnit(
  body: CallOutBody,
  unit: CallUnit,
  fills: readonly Frame[] = [],
): ReadonlyMap<string, number> {
  const calls = callsOf(body, unit);
  const slots = Array.from({ length: unit.recipe.slots }, (_, i) => i + 1);
  return hangNest(
    [
      ...calls.map((c) => ({
        frame: combOf(c.id, c.reading),
        slot: c.to.at === 'unit' ? c.to.slot : null,
      })),
      ...fills.map((f) => ({ frame: blankComb(f.id, f.blank), slot: null })),
    ],
    slots,
    'nest',
    calls.reduce((n, c) => n + shareOfBees(c.reading), 0),
    body.units.some((u) => u.boxId === unit.boxId && u.key !== unit.key) ? warmSlot(body, unit) : null,
  );
}

/** A unit whose frames are to be put in order before its lid goes on. */
export interface Untidy {
  readonly unit: CallUnit;
  /** By slot, the frame that hangs there then and the slot where it was hung. */
  readonly order: readonly { readonly slot: number; readonly call: FrameCall; readonly was: number }[];
}

/** The units that do not hang as a nest yet. */
export function untidyUnits(body: CallOutBody): Untidy[] {
  return body.units.flatMap((unit): Untidy[] => {
    const nest = nestOfUnit(body, unit);
    const order = callsOf(body, unit)
      .flatMap((call) => {
        const slot = nest.get(call.id);
        return slot === undefined || call.to.at !== 'unit' ? [] : [{ slot, call, was: call.to.slot }];
      })
      .toSorted((a, b) => a.slot - b.slot);
    return order.some((o) => o.slot !== o.was) ? [{ unit, order }] : [];
  });
}
