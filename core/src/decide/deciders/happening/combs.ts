import { problemsOfReading } from '../../../comb/index.ts';
import { onDay } from '../../../basics/index.ts';
import { colonyAtSlot, type CommandOf, type Frame } from '../../../records/index.ts';
import { fileJob } from '../fileJob.ts';
import type { Draft } from '../draft.ts';

type Path = readonly (string | number)[];

/** What is done with combs, or known of them, besides what is in them. */
export function decideCareForCombs(draft: Draft, command: CommandOf<'careForCombs'>, path: Path): void {
  command.frameIds.forEach((id, i) => {
    const at = [...path, 'frameIds', i];
    const frame = draft.need('frame', id, at);
    if (!frame) return;
    if (frame.place === 'gone') {
      draft.problem('frame-gone', at, 'This frame has left the operation.', 'Choose another frame.');
      return;
    }
    const { change } = command;
    if (change.what === 'melt' && frame.place !== 'store' && frame.care.quarantine === null) {
      draft.problem(
        'not-in-store',
        at,
        'This comb hangs in a hive.',
        'Take it out of the hive first; then it can be melted down.',
      );
      return;
    }
    if (change.what === 'release' && frame.care.quarantine === null) {
      draft.problem('not-apart', at, 'This comb is not kept apart.', 'Nothing is to be released.');
      return;
    }
    draft.put('frame', caredFor(frame, command.day, change));
    if (change.what === 'cut-by') fileCutting(draft, frame, change.day);
  });
}

/** A drone comb comes up on its day. The job bears the identifier of the comb: another day takes its place. */
function fileCutting(draft: Draft, frame: Frame, day: string | null): void {
  const known = draft.get('followUp', frame.id);
  if (day === null) {
    if (known?.status === 'open') draft.put('followUp', { ...known, status: 'dropped' });
    return;
  }
  const box = frame.boxId === null ? undefined : draft.get('box', frame.boxId);
  const colonyId = box && frame.slot !== null ? colonyAtSlot(box, frame.slot) : null;
  const colony = colonyId === null ? undefined : draft.get('colony', colonyId);
  if (!colony) return;
  fileJob(draft, [frame.id], {
    colonyIds: [colony.id],
    topic: 'drone-comb',
    window: onDay(day),
    expect: `Cut or freeze the drone comb in slot ${frame.slot} of ${colony.name} before its drones emerge.`,
  });
}

function caredFor(frame: Frame, day: string, change: CommandOf<'careForCombs'>['change']): Frame {
  const { care } = frame;
  switch (change.what) {
    case 'apart':
      return { ...frame, care: { ...care, quarantine: { since: day, why: change.why } } };
    case 'release':
      return { ...frame, care: { ...care, quarantine: null } };
    case 'melt':
      return { ...frame, place: 'gone', boxId: null, slot: null };
    case 'moth':
      return { ...frame, care: { ...care, waxMoth: change.there } };
    case 'cut-by':
      return { ...frame, care: { ...care, cutBy: change.day } };
    case 'year':
      return { ...frame, combYear: change.combYear };
    case 'from':
      return { ...frame, care: { ...care, from: change.from } };
    case 'size':
      return { ...frame, sizeId: change.sizeId };
  }
}

/** Reads combs that lie in the store, so that plans know what is in them. */
export function decideReadLoose(draft: Draft, command: CommandOf<'readLoose'>, path: Path): void {
  command.readings.forEach((reading, i) => {
    const at = [...path, 'readings', i];
    const frame = draft.need('frame', reading.frameId, [...at, 'frameId']);
    if (!frame) return;
    if (frame.place !== 'store') {
      draft.problem(
        'not-in-store',
        [...at, 'frameId'],
        'This comb does not lie in the store.',
        'Count the hive that it hangs in.',
      );
      return;
    }
    draft.problems.push(...problemsOfReading(reading.body, [...at, 'body']));
    if (reading.body.queenSeen || reading.body.cells.length > 0) {
      draft.problem(
        'queen-twice',
        [...at, 'body'],
        'Neither a queen nor a queen cell lives on a comb in the store.',
        'Take the mark off.',
      );
    }
    draft.add(
      'reading',
      {
        id: reading.id,
        visitId: null,
        frameId: frame.id,
        day: command.day,
        boxId: null,
        slot: null,
        body: reading.body,
      },
      [...at, 'id'],
    );
    draft.put('frame', { ...frame, readingId: reading.id });
  });
}
