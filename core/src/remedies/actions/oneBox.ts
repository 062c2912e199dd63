import {
  operationOf,
  boxesOfColony,
  combSlots,
  isSlotOf,
  readingOf,
  type PlacedFrame,
  STORE_KEY,
  type Box,
} from '../../records/index.ts';
import { shareOf, WORKER_BROOD } from '../../comb/index.ts';
import { planFrame } from '../../split/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { stayShares } from '../../rules/index.ts';
import { hangNest } from '../../nest/index.ts';
import type { ActionPlan } from './actionPlan.ts';
import { hasBrood } from './broodCombs.ts';

/** What a comb is worth in the united box: brood first, then bee bread and food. */
const worth = (f: PlacedFrame) => {
  const r = readingOf(f);
  return 3 * shareOf(r, ...WORKER_BROOD) + 1.3 * shareOf(r, 'beeBread') + shareOf(r, 'honey', 'nectar');
};

/** A comb worth less has neither brood nor food that would be missed. */
const EMPTY = 0.4;

/** Combs of several units that share the one brood box of their host. */
export interface OneBox {
  readonly host: UnitFacts;
  readonly box: Box;
  readonly slots: readonly number[];
  readonly own: readonly PlacedFrame[];
  readonly coming: readonly { readonly frame: PlacedFrame; readonly guest: UnitFacts }[];
  readonly kept: readonly PlacedFrame[];
}

/**
 * The combs that hang in the one brood box of the host: all brood, then bread and food; empty combs only as far as the
 * bees of all cover them.
 *
 * @returns or why there is no such box: the host has several, brood is of another size, or does not all fit
 */
export function combsForOneBox(
  host: UnitFacts,
  guests: readonly UnitFacts[],
): OneBox | 'boxes' | 'size' | 'full' {
  const boxes = boxesOfColony(host.apiary, host.colony).filter((b) => b.role === 'brood');
  const [box] = boxes;
  if (!box || boxes.length !== 1) return 'boxes';
  const slots = combSlots(box).filter((s) => isSlotOf(box, s, host.colony.id));
  const own = host.frames.filter((f) => f.box.id === box.id);
  const coming = guests.flatMap((guest) => guest.frames.map((frame) => ({ frame, guest })));
  if (coming.some(({ frame: f }) => hasBrood(f) && f.frame.sizeId !== box.sizeId)) return 'size';
  const all = [...own, ...coming.map((c) => c.frame).filter((f) => f.frame.sizeId === box.sizeId)].toSorted(
    (a, b) => Number(hasBrood(b)) - Number(hasBrood(a)) || worth(b) - worth(a),
  );
  if (all.slice(slots.length).some(hasBrood)) return 'full';
  const bees = [host, ...guests].reduce((n, u) => n + u.unit.bees, 0);
  const covered = Math.max(3, Math.ceil(bees + 1));
  const kept = all.slice(0, slots.length).filter((f, n) => n < covered || hasBrood(f) || worth(f) >= EMPTY);
  return { host, box, slots, own, coming, kept };
}

/**
 * Slots in the host's box for the combs that stay, and the store for the rest.
 *
 * @param parted - a sheet hangs between the host's combs and those of the guest, the brood of both against it
 * @returns `left`: slots that stay empty behind a dummy board
 */
export function layOneBox(
  c: OneBox,
  parted: boolean,
): { moves: ActionPlan['moves'][number][]; detail: string; left: number } {
  const { referenceSize } = operationOf(c.host.apiary);
  const plan = (f: PlacedFrame) =>
    planFrame(
      {
        id: f.frame.id,
        label: '',
        size: f.frame.sizeId,
        hangsAs: f.box.sizeId,
        boxId: f.box.id,
        slot: f.slot,
        reading: readingOf(f),
      },
      referenceSize,
      stayShares(c.host.rules),
    );
  const hang = (combs: readonly PlacedFrame[], slots: readonly number[], at: number | null = null) =>
    hangNest(
      combs.map((f) => ({
        frame: plan(f),
        slot: c.own.includes(f) && slots.includes(f.slot) ? f.slot : null,
      })),
      slots,
      'nest',
      c.host.unit.bees,
      at,
    );
  const own = c.kept.filter((f) => c.own.includes(f));
  const theirs = c.kept.filter((f) => !c.own.includes(f));
  const here = c.slots.slice(0, own.length);
  const there = c.slots.slice(own.length, c.kept.length);
  const slots = parted
    ? new Map([...hang(own, here, here.at(-1)), ...hang(theirs, there, there[0])])
    : hang(c.kept, c.slots);
  const all = [...c.own.map((frame) => ({ frame, guest: null })), ...c.coming];
  const moves = all.flatMap(({ frame: f, guest }): ActionPlan['moves'][number][] => {
    const slot = slots.get(f.frame.id);
    const from = { boxId: f.box.id, slot: f.slot };
    const base = { frameId: f.frame.id, from, fromKey: (guest ?? c.host).colony.id };
    if (slot === undefined) {
      return [{ ...base, to: null, toKey: STORE_KEY, reason: 'Missed least in the united box.' }];
    }
    if (guest === null && slot === f.slot) return [];
    return [
      {
        ...base,
        to: { boxId: c.box.id, slot },
        toKey: c.host.colony.id,
        reason: parted
          ? 'Its nest against the sheet, food outside.'
          : 'Brood beside brood, bread next, food outside.',
      },
    ];
  });
  const detail = all
    .flatMap(({ frame: f, guest }) => {
      const slot = slots.get(f.frame.id);
      return slot === undefined ? [] : [{ f, guest, slot }];
    })
    .toSorted((a, b) => a.slot - b.slot)
    .map(
      ({ f, guest, slot }) =>
        `${slot}: ${hasBrood(f) ? 'brood' : shareOf(readingOf(f), 'honey', 'nectar') > 0.4 ? 'stores' : 'comb'}${guest ? ` of ${guest.colony.name}` : ''}`,
    )
    .join('; ');
  return { moves, detail, left: c.slots.length - c.kept.length };
}
