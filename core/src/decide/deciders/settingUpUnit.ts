import { boxesOfHive, type Colony, type CommandOf, type WorkBody } from '../../records/index.ts';
import type { Draft } from './draft.ts';

type Path = readonly (string | number)[];
type Split = Pick<Colony, 'startedOn' | 'origin' | 'separation'>;

/**
 * A new colony on a stand of its own, split from another: in boxes that are brought, or that its parent's hive gives
 * away. Its frames are hung by whoever calls.
 */
export function setUpHive(
  draft: Draft,
  hive: WorkBody['newHives'][number] & { readonly name: string },
  split: Split,
  path: Path,
): void {
  const { colonyId, hiveId, standId, yardId, name } = hive;
  const parentHiveId = draft.get('colony', hive.fromColonyId)?.hiveId ?? null;
  const order = Object.values(draft.apiary.stand).filter((s) => s.yardId === yardId).length;
  draft.add('stand', { id: standId, yardId, name, order }, path);
  draft.add('hive', { id: hiveId, standId, name }, path);
  hive.boxes.forEach((b, position) => {
    const chambers = (slots: number) => [{ colonyId, fromSlot: 1, toSlot: slots }];
    if (b.from === 'kit') {
      const { boxId, sizeId, slots } = b;
      draft.add(
        'box',
        {
          id: boxId,
          hiveId,
          position,
          sizeId,
          slots,
          role: 'brood',
          chambers: chambers(slots),
          excluderBelow: false,
        },
        path,
      );
      return;
    }
    const box = draft.need('box', b.boxId, path);
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
    draft.put('box', { ...box, hiveId, position, chambers: chambers(box.slots) });
  });
  for (const [position, box] of (parentHiveId ? boxesOfHive(draft.apiary, parentHiveId) : []).entries())
    if (box.position !== position) draft.put('box', { ...box, position });
  draft.add('colony', { id: colonyId, name, hiveId, endedOn: null, ...split }, path);
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
