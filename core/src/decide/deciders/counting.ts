import type { Day } from '../../basics/index.ts';
import { problemsOfReading, shareOf } from '../../comb/index.ts';
import {
  evidenceOfCount,
  type CommandOf,
  type Colony,
  type Reading,
  type RecordOf,
  boxesOfHive,
  colonyAtSlot,
  openFollowUps,
  queenOf,
  queenPerhapsIn,
} from '../../records/index.ts';
import { unexpectedCount } from '../../forecast/index.ts';
import type { Draft } from './draft.ts';
import { moveWithQueen } from './movingWithQueen.ts';
import { noteEnded } from './noteEnded.ts';
import { settleInspection, speaksOfQueen } from './settlingInspection.ts';

type Path = readonly (string | number)[];
type Visit = RecordOf<'visit'>;

/**
 * Takes in the frames of one colony as read on one day, and what was seen besides.
 *
 * The later reading of a frame, by day and time of day, is its present state; what arrives late is kept in
 * the diary and does not overwrite what is newer. Where a frame shows a reading that the counter's device
 * did not know, the two counts clash: both are kept, and the visit says so.
 */
export function decideCount(draft: Draft, command: CommandOf<'recordCount'>, path: Path): void {
  const colony = draft.need('colony', command.colonyId, [...path, 'colonyId']);
  if (!colony) return;
  const before = draft.apiary;
  checkTime(draft, command, colony, path);
  const visit: Visit = {
    id: command.visitId,
    colonyId: colony.id,
    day: command.day,
    time: command.time ?? null,
    purpose: 'count',
    note: command.note,
    evidence: evidenceOfCount(command.evidence ?? null, command.readings),
    conditions: command.conditions ?? null,
    clash: null,
    unexpected: unexpectedCount(before, colony, command.day, command.readings),
    by: null,
  };
  draft.add('visit', visit, [...path, 'visitId']);
  if (command.readings.length === 0 && visit.evidence === null) {
    draft.problem(
      'nothing-counted',
      [...path, 'readings'],
      'Neither a frame nor anything else was noted.',
      'Read a frame, or say what you saw.',
    );
  }
  checkAgainstEvidence(draft, command, path);
  const clashes = readFrames(draft, colony, visit, command, path);
  const [first] = clashes;
  if (first) {
    const own = clashes.filter((c) => c.withVisitId === first.withVisitId);
    draft.put('visit', {
      ...visit,
      clash: { v: 1, withVisitId: first.withVisitId, frames: own.length, stands: first.stands },
    });
  }
  const queenSeen = command.readings.some((r) => r.body.queenSeen) || visit.evidence?.queen.look === 'found';
  if (queenSeen) settleQueenSeen(draft, colony.id);
  closeWeeklyLooks(draft, colony.id, command.day);
  moveWithQueen(draft, before, colony.id);
  const { evidence } = visit;
  if (evidence && speaksOfQueen(evidence) && command.newIds && draft.problems.length === 0)
    settleInspection(draft, before, [{ colonyId: colony.id, evidence }], command.day, [...command.newIds]);
}

function checkTime(draft: Draft, { day }: { day: Day }, colony: Colony, path: Path): void {
  if (day < colony.startedOn) {
    draft.problem(
      'before-colony',
      [...path, 'day'],
      `${colony.name} exists since ${colony.startedOn}; the count is dated ${day}.`,
      'Correct the day of the count.',
    );
  }
  noteEnded(draft, colony, [...path, 'colonyId'], 'Count another colony.');
}

/** A look that found no eggs beside a frame that holds some: one of the two is a slip of the finger. */
function checkAgainstEvidence(draft: Draft, command: CommandOf<'recordCount'>, path: Path): void {
  const seen = command.evidence;
  if (!seen) return;
  const on = (...classes: Parameters<typeof shareOf>[1][]) =>
    command.readings.find((r) => !r.body.estimated && shareOf(r.body, ...classes) > 0);
  const contradicted = [
    { key: 'eggs', name: 'eggs', found: on('eggs') },
    { key: 'cappedBrood', name: 'capped brood', found: on('capped', 'emerging') },
    { key: 'queen', name: 'queen', found: command.readings.find((r) => r.body.queenSeen) },
  ] as const;
  for (const { key, name, found } of contradicted) {
    if (!found || seen[key].look !== 'notFound') continue;
    const slot = draft.get('frame', found.frameId)?.slot;
    draft.problem(
      'says-both',
      [...path, 'evidence', key],
      `You noted that there is no ${name}, and marked it on frame ${slot ?? '?'}.`,
      'Correct whichever is wrong.',
    );
  }
}

interface FrameClash {
  readonly withVisitId: string;
  readonly stands: 'this' | 'other';
}

function readFrames(
  draft: Draft,
  colony: Colony,
  visit: Visit,
  command: CommandOf<'recordCount'>,
  path: Path,
): FrameClash[] {
  const boxes = new Map(
    colony.hiveId === null ? [] : boxesOfHive(draft.apiary, colony.hiveId).map((b) => [b.id, b]),
  );
  const clashes: FrameClash[] = [];
  let queenOn: string | null = null;
  const seen = new Set<string>();
  command.readings.forEach((reading, i) => {
    const at = [...path, 'readings', i];
    const frame = draft.need('frame', reading.frameId, [...at, 'frameId']);
    if (!frame) return;
    const box = frame.boxId === null ? undefined : boxes.get(frame.boxId);
    const owner = box && frame.slot !== null ? colonyAtSlot(box, frame.slot) : undefined;
    // A chamber of nobody's is in common: whoever counts reads it along.
    if (!box || frame.slot === null || (owner !== colony.id && owner !== null)) {
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
        visitId: visit.id,
        frameId: frame.id,
        day: visit.day,
        boxId: box.id,
        slot: frame.slot,
        body: reading.body,
      },
      [...at, 'id'],
    );
    const present = frame.readingId === null ? undefined : draft.get('reading', frame.readingId);
    const stands = !present || !isLater(draft, present, visit);
    if (stands) draft.put('frame', { ...frame, readingId: reading.id });
    // On another day the earlier count is history, not a rival.
    const unknownToCounter =
      present?.day === visit.day && reading.replaces !== undefined && reading.replaces !== present.id;
    if (unknownToCounter && present.visitId !== null)
      clashes.push({ withVisitId: present.visitId, stands: stands ? 'this' : 'other' });
  });
  return clashes;
}

/** True when a reading was taken after a visit, by day and, on one day, by the time where both have one. */
function isLater(draft: Draft, reading: Reading, visit: Visit): boolean {
  if (reading.day !== visit.day) return reading.day > visit.day;
  const time = reading.visitId === null ? null : (draft.get('visit', reading.visitId)?.time ?? null);
  return time !== null && visit.time !== null && time > visit.time;
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
