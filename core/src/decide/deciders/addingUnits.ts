import { type CommandOf, colonyAtSlot } from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { setUpUnit } from './settingUpUnit.ts';

type Path = readonly (string | number)[];

/** Sets up one more unit than planned, of frames that hang in a colony now. */
export function decideAddUnit(draft: Draft, command: CommandOf<'addUnit'>, path: Path): void {
  const { unit, day } = command;
  const from = draft.need('colony', command.fromColonyId, [...path, 'fromColonyId']);
  const work = draft.get('work', command.workId);
  draft.need('yard', unit.yardId, [...path, 'unit', 'yardId']);
  if (!work) {
    draft.problem(
      'unknown-id',
      [...path, 'workId'],
      'The plan that this part was made beside is not there any more.',
      'Enter the colony under Set up.',
    );
  }
  if (!from || !work) return;
  const taken = Object.values(draft.apiary.colony).find((c) => c.endedOn === null && c.name === unit.name);
  if (taken) {
    draft.problem(
      'name-taken',
      [...path, 'unit', 'name'],
      `There is a colony named ${unit.name} already.`,
      'Give the new one another name.',
    );
  }
  setUpUnit(
    draft,
    unit,
    from.id,
    {
      startedOn: day,
      origin: { how: 'split', fromColonyId: from.id, workId: work.id },
      separation: {
        v: 1,
        day,
        workId: work.id,
        queen: 'elsewhere',
        partIds: [from.id, unit.colonyId],
        emergence: null,
      },
    },
    [...path, 'unit'],
  );
  command.frames.forEach(({ frameId, slot }, i) => {
    const at = [...path, 'frames', i, 'frameId'];
    const frame = draft.need('frame', frameId, at);
    if (!frame) return;
    const box = frame.boxId === null ? undefined : draft.get('box', frame.boxId);
    if (!box || frame.slot === null || colonyAtSlot(box, frame.slot) !== from.id) {
      draft.problem(
        'frame-elsewhere',
        at,
        `A frame of the new part does not hang in ${from.name}.`,
        'Choose frames of one colony.',
      );
      return;
    }
    draft.put('frame', { ...frame, place: 'box', boxId: unit.boxId, slot });
  });
  command.looks.forEach((f, i) => draft.add('followUp', f, [...path, 'looks', i, 'id']));
}
