import {
  boxesOfColony,
  framesOfBox,
  type Apiary,
  type Box,
  type Colony,
  type Frame,
  type KeptReport,
  type Work,
  type WorkAsked,
  type WorkReport,
  type WorkStep,
} from '../records/index.ts';
import { failure, success, type Problem, type Result } from '../basics/index.ts';
import type { Place } from '../handling/index.ts';
import { makePlan, NOTHING_DONE, type WorkFacts } from '../split/index.ts';
import { asFound } from '../work/index.ts';
import type { Replanned, UnderReport } from './replanned.ts';

type AskedSplit = Extract<WorkAsked, { source: 'split' }>;

/**
 * Plans a split anew around what was really done: what hangs, hangs; the rest is chosen again, with steps, dates
 * and rules.
 *
 * Fails when the report cannot be: a frame that is gone, a box in which no slot is free.
 */
export function replanSplit(asked: AskedSplit, under: UnderReport): Result<Replanned> {
  const { apiary, work, steps, reports, report, newId } = under;
  const colony = apiary.colony[asked.colonyId];
  const fresh = work.body.units.find((u) => u.state !== 'stays');
  if (!colony || !fresh) return failure(gone('This colony is not there any more.'));
  const facts = factsOf(apiary, work, colony, fresh.colonyId, steps, reports);
  if (!facts.ok) return facts;
  const found = asFound(
    apiary,
    colony.id,
    reports.map((r) => r.report),
  );
  const [newHive] = work.body.newHives;
  const made = makePlan(
    found,
    {
      colonyId: colony.id,
      methodId: asked.methodId,
      day: work.day,
      newName: fresh.name,
      options: asked.options,
    },
    newId,
    {
      facts: facts.value,
      ids: {
        work: work.id,
        colony: fresh.colonyId,
        hive: newHive?.hiveId ?? newId(),
        stand: newHive?.standId ?? newId(),
        box: boxesOfNew(work).find((b) => b.from === 'kit')?.boxId ?? newId(),
      },
    },
  );
  if (!made.ok) return made;
  const { command } = made.value;
  const queenKnown = facts.value.queenOn !== null || facts.value.queenIn !== null;
  const anew = [
    ...backSteps(facts.value, command.work, under),
    ...command.steps.filter((s) => !isAnswered(s, queenKnown, facts.value.reserved.size > 0)),
  ];
  return success({
    body: command.work.body,
    before: spoilt(steps, report),
    anew,
    settled: new Set<string>(),
    virginSeen: facts.value.virgin !== null,
  });
}

/** The boxes of the new part, or the one that is set above. */
function boxesOfNew({ body }: Work): Work['body']['newHives'][number]['boxes'] {
  const [hive] = body.newHives;
  return hive ? hive.boxes : body.newBoxes.map((b) => ({ from: 'kit' as const, ...b }));
}

const gone = (message: string): Problem => ({
  code: 'unknown-id',
  path: ['report'],
  message,
  remedy: 'Drop the plan and make it again.',
});

/** The search for her, or for a cell to keep, is over. */
const isAnswered = ({ task }: WorkStep, queenKnown: boolean, isReserved: boolean): boolean =>
  (queenKnown && task === 'find-queen') || (isReserved && task === 'keep-cell');

/** A reservation that broke is to be made again. */
function spoilt(steps: readonly WorkStep[], report: WorkReport): WorkStep[] {
  if (report.what !== 'cell-broken') return [...steps];
  return steps.map((s) =>
    s.task === 'keep-cell' && s.doneOn !== null
      ? { ...s, task: 'told', text: `${s.text} (broken since)`.slice(0, 400) }
      : s,
  );
}

/** Steps for frames that hang where the method must not have them. */
function backSteps(facts: WorkFacts, planned: Work, { work, newId }: UnderReport): WorkStep[] {
  const staying = new Set(planned.body.moves.map((m) => m.frameId));
  const stay = work.body.units.find((u) => u.state === 'stays');
  const fresh = work.body.units.find((u) => u.state !== 'stays');
  if (!stay || !fresh) return [];
  return [...facts.hung].flatMap(([frameId, at]): WorkStep[] => {
    const isInNew = boxesOfNew(work).some((b) => b.boxId === at.boxId);
    if (!isInNew || staying.has(frameId) || facts.queenOn !== frameId) return [];
    return [
      {
        id: newId(),
        workId: work.id,
        order: 0,
        kind: 'move',
        task: 'carry-back',
        text: `Carry the frame with the queen back from ${fresh.name} to ${stay.name}`,
        detail:
          'She is meant to stay. Look at both sides of it first, and hang it in the slot that it came from.',
        doneOn: null,
        unitKeys: [fresh.key, stay.key],
        frameIds: [],
      },
    ];
  });
}

/** Reads off the ticks and the reports what has been done. */
function factsOf(
  apiary: Apiary,
  work: Work,
  colony: Colony,
  newId: string,
  steps: readonly WorkStep[],
  reports: readonly KeptReport[],
): Result<WorkFacts> {
  const moves = new Map(work.body.moves.map((m) => [m.frameId, m]));
  const isHere = (id: string) => {
    const frame = apiary.frame[id];
    return frame?.place === 'store' || boxesOfColony(apiary, colony).some((b) => b.id === frame?.boxId);
  };
  const hung = new Map<string, Place>();
  const shaken = new Set<string>();
  for (const s of steps) {
    if (s.doneOn === null || s.task === 'aside') continue;
    for (const id of s.frameIds) {
      const move = moves.get(id);
      if (s.kind === 'shake') shaken.add(id);
      else if (move?.to && isHere(id)) hung.set(id, move.to);
    }
  }
  let facts: WorkFacts = { ...NOTHING_DONE, hung, shaken };
  const reserved = new Set<string>();
  const isNew = (id: string) => id === newId;
  for (const { report, day } of reports) {
    switch (report.what) {
      case 'frame-went': {
        if (!isHere(report.frameId)) break;
        hung.delete(report.frameId);
        const place = placeFor(apiary, work, colony, hung, report, newId);
        if (!place.ok) return place;
        hung.set(report.frameId, place.value);
        break;
      }
      case 'queen-found':
        facts = report.frameId
          ? { ...facts, queenOn: report.frameId, queenIn: null }
          : { ...facts, queenOn: null, queenIn: isNew(report.colonyId) ? 1 : 0 };
        break;
      case 'cell-reserved':
        reserved.add(report.frameId);
        break;
      case 'cell-broken':
        reserved.delete(report.frameId);
        break;
      case 'virgin-seen':
        facts = { ...facts, virgin: { part: isNew(report.colonyId) ? 1 : 0, day } };
        break;
      case 'unit-added':
        break;
    }
  }
  return success({ ...facts, reserved });
}

/** The slot in which a frame hangs that went elsewhere: as told, its own, or the first that is free. */
function placeFor(
  apiary: Apiary,
  work: Work,
  colony: Colony,
  hung: ReadonlyMap<string, Place>,
  report: Extract<WorkReport, { what: 'frame-went' }>,
  newId: string,
): Result<Place> {
  const frame = apiary.frame[report.frameId];
  if (!frame) return failure(gone('This frame is not there any more.'));
  const toNew = report.toColonyId === newId;
  const name = (toNew && work.body.units.find((u) => u.colonyId === newId)?.name) || colony.name;
  const moving = new Set(boxesOfNew(work).map((b) => b.boxId));
  const boxes: readonly Pick<Box, 'id' | 'sizeId' | 'slots'>[] = toNew
    ? boxesOfNew(work).flatMap((b): Pick<Box, 'id' | 'sizeId' | 'slots'>[] => {
        const box = b.from === 'kit' ? { ...b, id: b.boxId } : apiary.box[b.boxId];
        return box ? [box] : [];
      })
    : boxesOfColony(apiary, colony).filter((b) => !moving.has(b.id));
  const own = boxes.find((b) => b.id === frame.boxId);
  if (own && report.slot === null && frame.slot !== null) return success({ boxId: own.id, slot: frame.slot });
  const fitting = boxes.filter((b) => b.sizeId === frame.sizeId);
  if (fitting.length === 0) {
    return failure({
      code: 'size',
      path: ['report', 'toColonyId'],
      message: `${name} has no box for a frame of this size.`,
      remedy: 'Say where it really hangs.',
    });
  }
  for (const box of fitting) {
    const taken = takenSlots(apiary, box.id, hung, frame);
    const free = Array.from({ length: box.slots }, (_, i) => i + 1).filter((s) => !taken.has(s));
    const slot = report.slot === null ? free[0] : free.find((s) => s === report.slot);
    if (slot !== undefined) return success({ boxId: box.id, slot });
  }
  return failure({
    code: report.slot === null ? 'no-slot-free' : 'slot-taken',
    path: ['report', 'slot'],
    message:
      report.slot === null ? `No slot of ${name} is free.` : `Slot ${report.slot} of ${name} is taken.`,
    remedy: 'Say first which frame came out of it, or choose another slot.',
  });
}

function takenSlots(
  apiary: Apiary,
  boxId: string,
  hung: ReadonlyMap<string, Place>,
  frame: Frame,
): Set<number> {
  const there = framesOfBox(apiary, boxId).flatMap((f) =>
    f.id !== frame.id && f.slot !== null && (hung.get(f.id)?.boxId ?? boxId) === boxId
      ? [hung.get(f.id)?.slot ?? f.slot]
      : [],
  );
  return new Set([...there, ...[...hung.values()].flatMap((p) => (p.boxId === boxId ? [p.slot] : []))]);
}
