import { boxesOfHive, coloniesOfHive, framesOfBox, type CommandOf } from '../../../records/index.ts';
import type { Draft } from '../draft.ts';

type Path = readonly (string | number)[];

/** Takes a hive of nobody off its stand. Combs that are kept apart stay so in the store. */
export function decideClearHive(draft: Draft, command: CommandOf<'clearHive'>, path: Path): void {
  const hive = draft.need('hive', command.hiveId, [...path, 'hiveId']);
  if (!hive) return;
  const [lives] = coloniesOfHive(draft.apiary, hive.id);
  if (lives) {
    draft.problem(
      'yard-in-use',
      [...path, 'hiveId'],
      `${lives.name} lives in this hive.`,
      'Enter first how it ended, or move it into another hive.',
    );
    return;
  }
  for (const box of boxesOfHive(draft.apiary, hive.id)) {
    for (const frame of framesOfBox(draft.apiary, box.id))
      draft.put('frame', { ...frame, place: 'store', boxId: null, slot: null });
    draft.put('box', {
      ...box,
      hiveId: null,
      position: 0,
      excluderBelow: false,
      sheetBelow: null,
      inserts: [],
      chambers: [{ colonyId: null, fromSlot: 1, toSlot: box.slots }],
    });
  }
  draft.put('hive', { ...hive, standId: null, wears: [] });
}
