import type { Day } from '../../../basics/index.ts';
import {
  boxesOfHive,
  framesOfBox,
  isSlotOf,
  queensOf,
  type Colony,
  type ColonyEndHow,
  type CommandOf,
  type QueenEnd,
} from '../../../records/index.ts';
import type { Draft } from '../draft.ts';
import { dropLooks } from '../droppingLooks.ts';
import { handChambers } from '../handChambers.ts';
import { noteEnded } from '../noteEnded.ts';
import { retireQueen } from '../retireQueen.ts';
import { notBefore } from './places.ts';

type Path = readonly (string | number)[];

const QUEEN_OF: Readonly<Record<ColonyEndHow, QueenEnd>> = {
  united: 'lost',
  'broken-up': 'lost',
  dead: 'died',
  sold: 'sold',
  'given-away': 'sold',
  absconded: 'lost',
  stolen: 'lost',
  error: 'lost',
};

/**
 * Ends a colony. Combs of a colony that died of a disease, or of nobody knows what, are kept apart: nothing of them is
 * planned with until somebody says that they are clean.
 */
export function decideEndColony(draft: Draft, command: CommandOf<'endColony'>, path: Path): void {
  const { day, how, cause, words, combs } = command;
  const colony = draft.need('colony', command.colonyId, [...path, 'colonyId']);
  if (!colony) return;
  if (colony.endedOn !== null) {
    noteEnded(draft, colony, [...path, 'colonyId'], 'Correct how it ended on its page.');
    return;
  }
  notBefore(draft, colony, day, [...path, 'day']);
  const suspect = how === 'dead' && cause !== 'not-infectious';
  if (suspect && combs !== 'apart' && combs !== 'gone') {
    draft.problem(
      'comb-apart',
      [...path, 'combs'],
      cause === 'infectious'
        ? 'Combs of a colony that died of a disease do not go back into use.'
        : 'Nobody knows yet what this colony died of.',
      'Keep its combs apart until the cause is known and they are found clean.',
    );
    return;
  }
  draft.put('colony', {
    ...colony,
    endedOn: day,
    hiveId: null,
    end: { v: 1, how, cause: how === 'dead' ? (cause ?? 'unknown') : null, words },
  });
  for (const queen of queensOf(draft.apiary, colony.id)) retireQueen(draft, queen, day, QUEEN_OF[how]);
  dropLooks(draft, colony.id);
  clearHive(draft, colony, day, combs, cause === 'infectious');
}

/** Its side of a box that others share is free; boxes that were its alone go where its combs go. */
function clearHive(
  draft: Draft,
  colony: Colony,
  day: Day,
  combs: CommandOf<'endColony'>['combs'],
  isDisease: boolean,
): void {
  if (colony.hiveId === null) return;
  const { hiveId } = colony;
  const boxes = boxesOfHive(draft.apiary, hiveId);
  for (const box of boxes) {
    for (const frame of framesOfBox(draft.apiary, box.id)) {
      if (frame.slot === null || !isSlotOf(box, frame.slot, colony.id)) continue;
      const quarantine = {
        since: day,
        why: isDisease ? ('disease' as const) : ('dead-colony' as const),
      };
      if (combs === 'gone') draft.put('frame', { ...frame, place: 'gone', boxId: null, slot: null });
      else if (combs === 'apart') draft.put('frame', { ...frame, care: { ...frame.care, quarantine } });
      else if (combs === 'store') draft.put('frame', { ...frame, place: 'store', boxId: null, slot: null });
    }
    handChambers(draft, box, colony.id, null);
  }
  const others = Object.values(draft.apiary.colony).some((c) => c.hiveId === hiveId && c.endedOn === null);
  const hive = draft.get('hive', hiveId);
  if (!hive || others || combs === 'stay' || combs === 'apart') return;
  for (const box of boxesOfHive(draft.apiary, hiveId))
    draft.put('box', { ...box, hiveId: null, position: 0, excluderBelow: false, sheetBelow: null });
  draft.put('hive', { ...hive, standId: null, wears: [] });
}
