import type { Day } from '../../calendar/day.ts';
import { problemsOfReading } from '../../comb/contents.ts';
import type { CommandOf } from '../commands.ts';
import type { Draft } from '../draft.ts';
import { boxesOfColony, isSlotOf, openFollowUps, queenOf, queenPerhapsIn } from '../views.ts';

type Path = readonly (string | number)[];

/**
 * Takes in the frames of one colony as read on one day.
 *
 * A later reading of a frame replaces an earlier one as its present state; a count that arrives late, with
 * an older day, is kept in the diary and does not overwrite what is newer.
 */
export function decideCount(draft: Draft, command: CommandOf<'recordCount'>, path: Path): void {
  const colony = draft.need('colony', command.colonyId, [...path, 'colonyId']);
  if (!colony) return;
  if (command.day < colony.startedOn) {
    draft.problem(
      'before-colony',
      [...path, 'day'],
      `${colony.name} exists since ${colony.startedOn}; the count is dated ${command.day}.`,
      'Correct the day of the count.',
    );
  }
  if (colony.endedOn !== null) {
    draft.problem(
      'colony-ended',
      [...path, 'colonyId'],
      `${colony.name} ended on ${colony.endedOn}.`,
      'Count another colony.',
    );
  }
  draft.add(
    'visit',
    {
      id: command.visitId,
      colonyId: colony.id,
      day: command.day,
      purpose: 'count',
      note: command.note,
      evidence: null,
    },
    [...path, 'visitId'],
  );
  const boxes = new Map(boxesOfColony(draft.apiary, colony).map((b) => [b.id, b]));
  let queenOn: string | null = null;
  const seen = new Set<string>();
  command.readings.forEach((reading, i) => {
    const at = [...path, 'readings', i];
    const frame = draft.need('frame', reading.frameId, [...at, 'frameId']);
    if (!frame) return;
    const box = frame.boxId === null ? undefined : boxes.get(frame.boxId);
    if (!box || frame.slot === null || !isSlotOf(box, frame.slot, colony.id)) {
      draft.problem(
        'frame-elsewhere',
        [...at, 'frameId'],
        `This frame does not hang in ${colony.name}.`,
        'Reload; it may have been moved since.',
      );
      return;
    }
    if (seen.has(frame.id)) {
      draft.problem(
        'frame-twice',
        [...at, 'frameId'],
        `Frame ${frame.slot} is read twice in this count.`,
        'Keep one of the two.',
      );
    }
    seen.add(frame.id);
    draft.problems.push(...problemsOfReading(reading.body, [...at, 'body']));
    if (reading.body.queenSeen) {
      if (queenOn !== null) {
        draft.problem(
          'two-queens',
          [...at, 'body', 'queenSeen'],
          `A queen is marked on ${queenOn} and on frame ${frame.slot}; one chamber has one queen.`,
          'Keep the mark where she was seen last. Write a second queen (mother and daughter) in the note.',
        );
      }
      queenOn = `frame ${frame.slot}`;
    }
    draft.add(
      'reading',
      {
        id: reading.id,
        visitId: command.visitId,
        frameId: frame.id,
        day: command.day,
        boxId: box.id,
        slot: frame.slot,
        body: reading.body,
      },
      [...at, 'id'],
    );
    const present = frame.readingId === null ? undefined : draft.get('reading', frame.readingId);
    if (!present || present.day <= command.day) draft.put('frame', { ...frame, readingId: reading.id });
  });
  if (queenOn !== null) settleQueenSeen(draft, colony.id);
  closeWeeklyLooks(draft, colony.id, command.day);
}

/** A colony that is counted has been looked at: a weekly look that was due is done. */
function closeWeeklyLooks(draft: Draft, colonyId: string, day: Day): void {
  for (const f of openFollowUps(draft.apiary)) {
    const only = f.colonyIds.length === 1 && f.colonyIds[0] === colonyId;
    if (only && f.topic === 'rhythm' && f.window.earliest <= day)
      draft.put('followUp', { ...f, status: 'done' });
  }
}

/** A queen seen here who was known to be in one of several colonies is now known to be here. */
function settleQueenSeen(draft: Draft, colonyId: string): void {
  const perhaps = queenPerhapsIn(draft.apiary, colonyId);
  if (perhaps && !queenOf(draft.apiary, colonyId)) {
    draft.put('queen', { ...perhaps, whereabouts: { known: 'colony', colonyId } });
  }
}
