import {
  operationOf,
  boxesOfColony,
  combSlots,
  isSlotOf,
  readingOf,
  type PlacedFrame,
  STORE_KEY,
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

/** The combs that hang in the one brood box of the host; null where brood would be left over or does not fit. */
export function combsForOneBox(host: UnitFacts, guests: readonly UnitFacts[]) {
  const boxes = boxesOfColony(host.apiary, host.colony).filter((b) => b.role === 'brood');
  const [box] = boxes;
  if (!box || boxes.length !== 1) return null;
  const slots = combSlots(box).filter((s) => isSlotOf(box, s, host.colony.id));
  const own = host.frames.filter((f) => f.box.id === box.id);
  const coming = guests.flatMap((guest) => guest.frames.map((frame) => ({ frame, guest })));
  if (coming.some(({ frame: f }) => hasBrood(f) && f.frame.sizeId !== box.sizeId)) return null;
  const all = [...own, ...coming.map((c) => c.frame).filter((f) => f.frame.sizeId === box.sizeId)].toSorted(
    (a, b) => Number(hasBrood(b)) - Number(hasBrood(a)) || worth(b) - worth(a),
  );
  const kept = all.slice(0, slots.length);
  if (all.slice(slots.length).some(hasBrood)) return null;
  return { host, box, slots, own, coming, kept };
}

/** Slots in the host's box for the combs that stay, and the store for the rest. */
export function layDirect(c: NonNullable<ReturnType<typeof combsForOneBox>>): {
  moves: ActionPlan['moves'][number][];
  detail: string;
} {
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
  const slots = hangNest(
    c.kept.map((f) => ({ frame: plan(f), slot: c.own.includes(f) ? f.slot : null })),
    c.slots,
    'nest',
    c.host.unit.bees,
  );
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
        reason: 'Brood beside brood, bread next, food outside.',
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
  return { moves, detail };
}
