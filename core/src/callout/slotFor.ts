import { BROOD_COMB, type CalledFrame } from './calledFrame.ts';
import type { CallOutBody, CallUnit } from '../records/index.ts';

/**
 * The slot for a frame in a unit: brood together in the warm place, most of it first, and food at the cold wall. In a
 * shared box the partition is the warm wall, elsewhere it is the middle. Null when no slot is free.
 */
export function freeSlotFor(
  body: CallOutBody,
  unit: CallUnit,
  frame: CalledFrame,
  exceptCall: string | null,
): number | null {
  const taken = new Set(
    body.calls.flatMap((c) =>
      c.id !== exceptCall && c.to.at === 'unit' && c.to.key === unit.key ? [c.to.slot] : [],
    ),
  );
  const free = Array.from({ length: unit.recipe.slots }, (_, i) => i + 1).filter((s) => !taken.has(s));
  const warm = warmSlot(body, unit);
  const byWarmth = free.toSorted((a, b) => Math.abs(a - warm) - Math.abs(b - warm) || a - b);
  return (frame.brood >= BROOD_COMB ? byWarmth[0] : byWarmth.at(-1)) ?? null;
}

/** Where brood is kept warmest in a unit: at the partition of a shared box, elsewhere in the middle. */
export function warmSlot(body: CallOutBody, unit: CallUnit): number {
  const partner = body.units.find((u) => u.boxId === unit.boxId && u.key !== unit.key);
  if (!partner) return (unit.recipe.slots + 1) / 2;
  return partner.fromSlot > unit.fromSlot ? unit.recipe.slots : 1;
}
