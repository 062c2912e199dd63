import type { CommandOf, Colony } from '../../records/index.ts';
import type { Draft } from './draft.ts';

type Path = readonly (string | number)[];

/** A new colony in one box on a stand of its own, split from another. Its frames are hung by whoever calls. */
export function setUpUnit(
  draft: Draft,
  unit: CommandOf<'addUnit'>['unit'],
  split: Pick<Colony, 'startedOn' | 'origin' | 'separation'>,
  path: Path,
): void {
  const { colonyId, hiveId, standId, boxId, yardId, name, sizeId, slots } = unit;
  const order = Object.values(draft.apiary.stand).filter((s) => s.yardId === yardId).length;
  draft.add('stand', { id: standId, yardId, name, order }, path);
  draft.add('hive', { id: hiveId, standId, name }, path);
  draft.add(
    'box',
    {
      id: boxId,
      hiveId,
      position: 0,
      sizeId,
      slots,
      role: 'brood',
      chambers: [{ colonyId, fromSlot: 1, toSlot: slots }],
      excluderBelow: false,
    },
    path,
  );
  draft.add('colony', { id: colonyId, name, hiveId, endedOn: null, ...split }, path);
}
