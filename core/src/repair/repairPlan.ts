import {
  type CommandOf,
  type Apiary,
  type Box,
  type Colony,
  type Frame,
  type Move,
  type Plan,
  type Step,
  boxesOfColony,
  framesOfBox,
  reportInWords,
  type KeptReport,
  type WorkReport,
} from '../records/index.ts';
import { type Day, failure, success, type Problem, type Result } from '../basics/index.ts';
import { makePlan, NOTHING_DONE, type Place, type WorkFacts } from '../split/index.ts';
import { asFound } from '../work/index.ts';
import { mergeSteps, withReport } from './mergeSteps.ts';

/** Two virgins in one unit do not stay two. */
export const TWO_VIRGINS =
  'A virgin runs here already: other cells in this unit are torn down, or she leaves with a swarm. Keep it quiet; give the cells that are left to a part without one.';

/**
 * Plans a split anew around what was really done: what hangs, hangs; the rest is chosen again, with steps, dates
 * and rules.
 *
 * Fails when the report cannot be: a frame that is gone, a box in which no slot is free.
 */
export function repairPlan(
  apiary: Apiary,
  plan: Plan,
  report: WorkReport,
  day: Day,
  newId: () => string,
): Result<CommandOf<'amendPlan'>> {
  const colony = apiary.colony[plan.colonyId];
  if (!colony) return failure(gone('This colony is not there any more.'));
  const steps = Object.values(apiary.step)
    .filter((s) => s.planId === plan.id)
    .toSorted((a, b) => a.order - b.order);
  const nameOf = (id: string) =>
    plan.body.parts.find((p) => p.colonyId === id)?.name ?? apiary.colony[id]?.name ?? 'a colony';
  const words = reportInWords(apiary, report, nameOf);
  const reports: KeptReport[] = [...(plan.body.reports ?? []), { day, report, words }];
  const facts = factsOf(apiary, plan, colony, steps, reports);
  if (!facts.ok) return facts;
  const found = asFound(
    apiary,
    plan.colonyId,
    reports.map((r) => r.report),
  );
  const [, fresh] = plan.body.parts;
  const { newHive } = plan.body;
  const made = makePlan(
    found,
    {
      colonyId: plan.colonyId,
      methodId: plan.methodId,
      day: plan.day,
      newName: fresh.name,
      options: plan.body.options,
    },
    newId,
    {
      facts: facts.value,
      ids: {
        plan: plan.id,
        colony: fresh.colonyId,
        hive: newHive.hiveId,
        stand: newHive.standId,
        box: newHive.boxes.find((b) => b.from === 'kit')?.boxId ?? newId(),
      },
    },
  );
  if (!made.ok) return made;
  const { command } = made.value;
  const told = withReport(spoilt(steps, report), {
    id: newId(),
    kind: report.what === 'frame-went' || report.what === 'unit-added' ? 'move' : 'find',
    text: words,
    day,
    frameId: 'frameId' in report ? report.frameId : null,
  });
  const queenKnown = facts.value.queenOn !== null || facts.value.queenIn !== null;
  const anew = [
    ...backSteps(facts.value, command.moves, plan, newId, nameOf),
    ...command.steps.filter((s) => !isAnswered(s, queenKnown, facts.value.reserved.size > 0)),
  ];
  const merged = mergeSteps(
    told,
    anew,
    new Set(),
    steps.filter((s) => s.doneOn === null),
  );
  return success({
    type: 'amendPlan',
    plan: {
      ...command.plan,
      status: 'working',
      body: {
        ...command.plan.body,
        reports,
        cautions: [...(facts.value.virgin ? [TWO_VIRGINS] : []), ...command.plan.body.cautions],
      },
    },
    moves: command.moves,
    steps: merged.map((s) => ({ ...s, planId: plan.id })),
  });
}

const gone = (message: string): Problem => ({
  code: 'unknown-id',
  path: ['report'],
  message,
  remedy: 'Drop the plan and make it again.',
});

/** The search for her, or for a cell to keep, is over. */
const isAnswered = (s: Pick<Step, 'kind' | 'text'>, queenKnown: boolean, isReserved: boolean): boolean =>
  s.kind === 'find' &&
  ((queenKnown && /queen/i.test(s.text) && !/^(Reserve|Remove|Choose)/.test(s.text)) ||
    (isReserved && /^(Reserve|Choose)/.test(s.text)));

/** A reservation that broke is to be made again. */
function spoilt(steps: readonly Step[], report: WorkReport): Step[] {
  if (report.what !== 'cell-broken') return [...steps];
  return steps.map((s) =>
    s.kind === 'find' && s.doneOn !== null && /^(Reserve|Choose|Cell reserved)/.test(s.text)
      ? { ...s, text: `${s.text} (broken since)`.slice(0, 400) }
      : s,
  );
}

/** Steps for frames that hang where the method must not have them. */
function backSteps(
  facts: WorkFacts,
  moves: readonly Move[],
  plan: Plan,
  newId: () => string,
  nameOf: (id: string) => string,
): Step[] {
  const staying = new Set(moves.map((m) => m.frameId));
  const [stay, fresh] = plan.body.parts;
  return [...facts.hung].flatMap(([frameId, at]): Step[] => {
    const isInNew = plan.body.newHive.boxes.some((b) => b.boxId === at.boxId);
    if (!isInNew || staying.has(frameId) || facts.queenOn !== frameId) return [];
    return [
      {
        id: newId(),
        planId: plan.id,
        order: 0,
        kind: 'move',
        text: `Carry the frame with the queen back from ${nameOf(fresh.colonyId)} to ${nameOf(stay.colonyId)}`,
        detail:
          'She is meant to stay. Look at both sides of it first, and hang it in the slot that it came from.',
        doneOn: null,
        frameIds: [],
      },
    ];
  });
}

/** Reads off the ticks and the reports what has been done. */
function factsOf(
  apiary: Apiary,
  plan: Plan,
  colony: Colony,
  steps: readonly Step[],
  reports: readonly KeptReport[],
): Result<WorkFacts> {
  const moves = new Map(
    Object.values(apiary.move)
      .filter((m) => m.planId === plan.id)
      .map((m) => [m.frameId, m]),
  );
  const isHere = (id: string) => {
    const frame = apiary.frame[id];
    return frame?.place === 'store' || boxesOfColony(apiary, colony).some((b) => b.id === frame?.boxId);
  };
  const hung = new Map<string, Place>();
  const shaken = new Set<string>();
  for (const s of steps) {
    if (s.doneOn === null) continue;
    for (const id of s.frameIds) {
      const move = moves.get(id);
      if (s.kind === 'shake') shaken.add(id);
      else if (move && isHere(id)) hung.set(id, { boxId: move.toBoxId, slot: move.toSlot });
    }
  }
  let facts: WorkFacts = { ...NOTHING_DONE, hung, shaken };
  const reserved = new Set<string>();
  const isNew = (id: string) => id === plan.body.parts[1].colonyId;
  for (const { report, day } of reports) {
    switch (report.what) {
      case 'frame-went': {
        if (!isHere(report.frameId)) break;
        hung.delete(report.frameId);
        const place = placeFor(apiary, plan, colony, hung, report);
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
  plan: Plan,
  colony: Colony,
  hung: ReadonlyMap<string, Place>,
  report: Extract<WorkReport, { what: 'frame-went' }>,
): Result<Place> {
  const frame = apiary.frame[report.frameId];
  if (!frame) return failure(gone('This frame is not there any more.'));
  const [stay, fresh] = plan.body.parts;
  const toNew = report.toColonyId === fresh.colonyId;
  const name = toNew ? fresh.name : stay.name;
  const moving = new Set(plan.body.newHive.boxes.map((b) => b.boxId));
  const boxes: readonly Pick<Box, 'id' | 'sizeId' | 'slots'>[] = toNew
    ? plan.body.newHive.boxes.flatMap((b): Pick<Box, 'id' | 'sizeId' | 'slots'>[] => {
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
