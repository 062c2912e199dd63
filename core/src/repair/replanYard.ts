import {
  colonyOfFrame,
  frameInWords,
  type Apiary,
  type FramePin,
  type Work,
  type WorkAsked,
  type WorkReport,
  type WorkStep,
  type YardPlanRequest,
} from '../records/index.ts';
import { failure, success, windowAfter, type Problem, type Result } from '../basics/index.ts';
import { buildProblem, makeYardPlan, YardSearch } from '../yardplan/index.ts';
import { asFound } from '../work/index.ts';
import type { Replanned, UnderReport } from './replanned.ts';

/** Rounds of search: the keeper stands at an open hive. */
const ROUNDS = 1;

type AskedYard = Extract<WorkAsked, { source: 'yard' }>;

/**
 * Plans a yard anew around what was really done: frames that were carried are pinned where they hang, shaken bees
 * where they are, and the rest is searched again.
 *
 * Fails when what was done and what is wished cannot both be.
 */
export function replanYard(asked: AskedYard, under: UnderReport): Result<Replanned> {
  const { apiary, work, steps, day, newId } = under;
  const told = under.reports.map((r) => r.report);
  const found = work.body.units.reduce(
    (a, u) => (u.state === 'stays' ? asFound(a, u.colonyId, ofColony(apiary, u.colonyId, told)) : a),
    apiary,
  );
  const solved = solveAround(found, requestUnder(apiary, work, asked.request, steps, told));
  if (!solved.ok) return solved;
  const { problem, assignment, released } = solved.value;
  const made = makeYardPlan(
    found,
    problem,
    assignment,
    {
      names: Object.fromEntries(work.body.units.flatMap((u) => (u.state === 'new' ? [[u.key, u.name]] : []))),
      bound: null,
      name: work.name,
      instead: work,
    },
    newId,
  );
  const back = [...released].map(([frameId, why]): WorkStep => ({
    id: newId(),
    workId: work.id,
    order: 0,
    kind: 'move',
    task: 'carry-back',
    text: `Carry back: ${frameInWords(apiary, frameId)}`,
    detail: why,
    doneOn: null,
    unitKeys: [],
    frameIds: [],
  }));
  const virgins = told.flatMap((r) => (r.what === 'virgin-seen' ? [r.colonyId] : []));
  const { body } = made.work;
  return success({
    body: {
      ...body,
      // As it was asked: what was done is in the reports and the ticks.
      asked: body.asked.source === 'yard' ? { ...body.asked, request: asked.request } : body.asked,
      looks: [
        ...body.looks,
        ...virgins.map((colonyId) => ({
          id: newId(),
          colonyIds: [colonyId],
          kind: 'look' as const,
          topic: 'eggs-due' as const,
          window: windowAfter(day, 14, 16, 27),
          anchor: 'cells' as const,
          expect: 'Eggs of the virgin that was seen during the work.',
        })),
      ],
    },
    before: steps,
    anew: [...back, ...made.steps],
    settled: new Set(
      [...problem.request.pins, ...problem.request.shaken]
        .map((p) => p.frameId)
        .filter((id) => !released.has(id)),
    ),
    virginSeen: virgins.length > 0,
  });
}

/** Reports that are about the frames or the queen of one colony. */
function ofColony(apiary: Apiary, colonyId: string, reports: readonly WorkReport[]): WorkReport[] {
  return reports.filter((r) => {
    if (r.what === 'queen-found') return r.colonyId === colonyId;
    return r.what === 'cell-broken' && apiary.frame[r.frameId] !== undefined;
  });
}

/** What was asked, with all that was done pinned. */
function requestUnder(
  apiary: Apiary,
  { body }: Work,
  request: YardPlanRequest,
  steps: readonly WorkStep[],
  reports: readonly WorkReport[],
): YardPlanRequest {
  const { moves, shakes, units } = body;
  const inPlan = (id: string) => apiary.frame[id] !== undefined;
  const pins = new Map(request.pins.map((p) => [p.frameId, p.to]));
  const shaken = new Map(request.shaken.map((p) => [p.frameId, p.to]));
  const ownKey = (frameId: string) => moves.find((m) => m.frameId === frameId)?.fromKey;
  for (const s of steps) {
    if (s.doneOn === null || s.task === 'aside') continue;
    for (const id of s.frameIds) {
      const move = moves.find((m) => m.frameId === id);
      const shake = shakes.find((m) => m.frameId === id);
      if (s.kind === 'shake' && shake) shaken.set(id, shake.toKey);
      else if (move && move.toKey !== move.fromKey && inPlan(id)) pins.set(id, move.toKey);
    }
  }
  for (const r of reports) {
    if (r.what === 'frame-went') {
      const to = units.find((u) => u.colonyId === r.toColonyId)?.key;
      if (to) pins.set(r.frameId, to);
      else pins.delete(r.frameId);
      shaken.delete(r.frameId);
    }
    if (r.what === 'cell-reserved') {
      const home = ownKey(r.frameId) ?? colonyOfFrame(apiary, r.frameId)?.id;
      if (home && !pins.has(r.frameId)) pins.set(r.frameId, home);
    }
    if (r.what === 'unit-added') for (const id of r.frameIds) pins.delete(id);
  }
  const list = (map: ReadonlyMap<string, string>): FramePin[] =>
    [...map].map(([frameId, to]) => ({ frameId, to }));
  return { ...request, pins: list(pins), shaken: list(shaken) };
}

/** Searches around the pins; a frame that must not hang where it does is released, with the reason. */
function solveAround(apiary: Apiary, asked: YardPlanRequest) {
  let request = asked;
  const released = new Map<string, string>();
  for (;;) {
    const built = buildProblem(apiary, request);
    if (built.ok) {
      const search = new YardSearch(built.value);
      search.first();
      for (let r = 0; r < ROUNDS; r++) search.round();
      return success({ problem: built.value, assignment: search.best().plan, released });
    }
    const [fault] = built.problems;
    const pin = fault && pinOf(request, fault);
    if (!fault || !pin) return failure(...built.problems);
    released.set(pin.frameId, `${fault.message} ${fault.remedy}`.slice(0, 1600));
    request = { ...request, pins: request.pins.filter((p) => p !== pin) };
  }
}

const pinOf = (request: YardPlanRequest, fault: Problem): FramePin | undefined =>
  fault.code === 'pin-impossible' ? request.pins[Number(fault.path[1])] : undefined;
