import { listInWords } from '../../basics/index.ts';
import {
  BARE_BOX,
  BARE_HIVE,
  BARE_STAND,
  boxesOfHive,
  type Colony,
  type CommandOf,
  type Hive,
  type WorkBody,
} from '../../records/index.ts';
import type { Draft } from './draft.ts';

type Path = readonly (string | number)[];
type Split = Pick<Colony, 'startedOn' | 'origin' | 'separation'>;

type NewHive = WorkBody['newHives'][number] & { readonly name: string };

/**
 * A new colony on a stand of its own, split from another: in boxes that are brought, or that its parent's hive gives
 * away. Units that share a hive get a side of its box each. Its frames are hung by whoever calls.
 */
export function setUpHive(draft: Draft, hive: NewHive, split: Split, path: Path): void {
  const { colonyId, hiveId, standId, yardId, name, fromColonyId, boxes } = hive;
  const parentHiveId = draft.get('colony', fromColonyId)?.hiveId ?? null;
  const shared = draft.get('hive', hiveId);
  if (shared?.standId === standId) {
    nameOfBoth(draft, shared, name);
  } else {
    const order = Object.values(draft.apiary.stand).filter((s) => s.yardId === yardId).length;
    draft.add('stand', { ...BARE_STAND, id: standId, yardId, name, order }, path);
    draft.add('hive', { ...BARE_HIVE, id: hiveId, standId, name }, path);
  }
  boxes.forEach((b, position) => {
    if (b.from === 'kit') bringBox(draft, hive, b, position, path);
    else giveBox(draft, hive, parentHiveId, b.boxId, position, path);
  });
  for (const [position, box] of (parentHiveId ? boxesOfHive(draft.apiary, parentHiveId) : []).entries())
    if (box.position !== position) draft.put('box', { ...box, position });
  draft.add(
    'colony',
    { id: colonyId, name, hiveId, endedOn: null, end: null, broodGiven: [], ...split },
    path,
  );
}

/** The hive of several is called by all of them, as far as there is room. */
function nameOfBoth(draft: Draft, hive: Hive, name: string): void {
  const others = Object.values(draft.apiary.colony).filter((c) => c.hiveId === hive.id);
  const all = listInWords([...others.map((c) => c.name), name]).slice(0, 80);
  draft.put('hive', { ...hive, name: all });
  const stand = hive.standId === null ? undefined : draft.get('stand', hive.standId);
  if (stand) draft.put('stand', { ...stand, name: all });
}

type KitBox = Extract<NewHive['boxes'][number], { from: 'kit' }>;

function bringBox(
  draft: Draft,
  { colonyId, hiveId }: NewHive,
  b: KitBox,
  position: number,
  path: Path,
): void {
  const { boxId, sizeId, slots, fromSlot = 1 } = b;
  const side = { colonyId, fromSlot, toSlot: fromSlot - 1 + slots };
  const there = draft.get('box', boxId);
  if (there?.hiveId === hiveId) {
    draft.put('box', {
      ...there,
      slots: Math.max(there.slots, side.toSlot),
      chambers: [...there.chambers, side].toSorted((p, q) => p.fromSlot - q.fromSlot),
    });
    return;
  }
  draft.add(
    'box',
    {
      id: boxId,
      hiveId,
      position,
      sizeId,
      slots: side.toSlot,
      role: 'brood',
      chambers: [
        // A side that was left empty belongs to nobody.
        ...(fromSlot > 1 ? [{ colonyId: null, fromSlot: 1, toSlot: fromSlot - 1 }] : []),
        side,
      ],
      ...BARE_BOX,
    },
    path,
  );
}

function giveBox(
  draft: Draft,
  { colonyId, hiveId }: NewHive,
  parentHiveId: string | null,
  boxId: string,
  position: number,
  path: Path,
): void {
  const box = draft.need('box', boxId, path);
  if (!box) return;
  if (box.hiveId !== parentHiveId) {
    draft.problem(
      'box-elsewhere',
      path,
      'A box of this plan stands in another hive by now.',
      'Make the plan again.',
    );
    return;
  }
  draft.put('box', {
    ...box,
    hiveId,
    position,
    chambers: [{ colonyId, fromSlot: 1, toSlot: box.slots }],
  });
}

/** The same for a unit in one box that is brought. */
export function setUpUnit(
  draft: Draft,
  { boxId, sizeId, slots, ...unit }: CommandOf<'addUnit'>['unit'],
  fromColonyId: string,
  split: Split,
  path: Path,
): void {
  setUpHive(draft, { ...unit, fromColonyId, boxes: [{ from: 'kit', boxId, sizeId, slots }] }, split, path);
}
