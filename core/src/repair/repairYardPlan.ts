import {
  type CommandOf,
  type Apiary,
  type YardPlan,
  type YardStep,
  type FramePin,
  type YardPlanRequest,
  colonyOfFrame,
  frameInWords,
  reportInWords,
  type KeptReport,
  type WorkReport,
} from '../records/index.ts';
import { type Day, windowAfter, failure, success, type Problem, type Result } from '../basics/index.ts';
import { buildProblem, makeYardPlan, YardSearch } from '../yardplan/index.ts';
import { asFound } from '../work/index.ts';
import { mergeSteps, withReport } from './mergeSteps.ts';
import { reportOnAction } from './reportOnAction.ts';
import { TWO_VIRGINS } from './repairPlan.ts';

/** Rounds of search: the keeper stands at an open hive. */
const ROUNDS = 1;

/**
 * Plans a yard anew around what was really done: frames that were carried are pinned where they hang, shaken bees
 * where they are, and the rest is searched again.
 *
 * Fails when what was done and what is wished cannot both be.
 */
export function repairYardPlan(
  apiary: Apiary,
  plan: YardPlan,
  report: WorkReport,
  day: Day,
  newId: () => string,
): Result<CommandOf<'amendYardPlan'>> {
  const steps = Object.values(apiary.yardStep)
    .filter((s) => s.yardPlanId === plan.id)
    .toSorted((a, b) => a.order - b.order);
  const nameOf = (id: string) =>
    plan.body.units.find((u) => u.colonyId === id)?.name ?? apiary.colony[id]?.name ?? 'a colony';
  const words = reportInWords(apiary, report, nameOf);
  if (plan.body.effects !== undefined)
    return reportOnAction(apiary, plan, steps, { day, report, words }, newId);
  const reports: KeptReport[] = [...(plan.body.reports ?? []), { day, report, words }];
  const told = reports.map((r) => r.report);
  const found = plan.body.units.reduce(
    (a, u) => (u.kind === 'colony' ? asFound(a, u.colonyId, ofColony(apiary, u.colonyId, told)) : a),
    apiary,
  );
  const request = requestUnder(apiary, plan, steps, told);
  const solved = solveAround(found, request);
  if (!solved.ok) return solved;
  const { problem, assignment, released } = solved.value;
  const made = makeYardPlan(
    found,
    problem,
    assignment,
    {
      names: Object.fromEntries(plan.body.units.flatMap((u) => (u.kind === 'nuc' ? [[u.key, u.name]] : []))),
      bound: null,
      name: plan.name,
      instead: plan,
    },
    newId,
  );
  const settled = new Set(
    [...problem.request.pins, ...problem.request.shaken]
      .map((p) => p.frameId)
      .filter((id) => !released.has(id)),
  );
  const done = withReport(steps, {
    id: newId(),
    kind: report.what === 'frame-went' || report.what === 'unit-added' ? 'move' : 'find',
    text: words,
    day,
    frameId: 'frameId' in report ? report.frameId : null,
  });
  const back = [...released].map(([frameId, why]) => ({
    id: newId(),
    order: 0,
    kind: 'move' as const,
    text: `Carry back: ${frameInWords(apiary, frameId)}`,
    detail: why,
    doneOn: null,
    frameIds: [],
  }));
  const merged = mergeSteps(
    done,
    [...back, ...made.steps],
    settled,
    steps.filter((s) => s.doneOn === null),
  );
  const virgins = told.flatMap((r) => (r.what === 'virgin-seen' ? [r.colonyId] : []));
  return success({
    type: 'amendYardPlan',
    yardPlan: {
      ...made.yardPlan,
      status: 'working',
      body: {
        ...made.yardPlan.body,
        // As it was asked: what was done is in the reports and the ticks.
        request: plan.body.request,
        reports,
        cautions: [...(virgins.length > 0 ? [TWO_VIRGINS] : []), ...made.yardPlan.body.cautions],
        looks: [
          ...made.yardPlan.body.looks,
          ...virgins.map((colonyId) => ({
            id: newId(),
            colonyIds: [colonyId],
            kind: 'look' as const,
            topic: 'eggs-due' as const,
            window: windowAfter(day, 14, 16, 27),
            expect: 'Eggs of the virgin that was seen during the work.',
          })),
        ],
      },
    },
    steps: merged.map((s) => ({ ...s, yardPlanId: plan.id })),
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
  plan: YardPlan,
  steps: readonly YardStep[],
  reports: readonly WorkReport[],
): YardPlanRequest {
  const { request, moves, shakes, units } = plan.body;
  const inPlan = (id: string) => apiary.frame[id] !== undefined;
  const pins = new Map(request.pins.map((p) => [p.frameId, p.to]));
  const shaken = new Map(request.shaken.map((p) => [p.frameId, p.to]));
  const ownKey = (frameId: string) => moves.find((m) => m.frameId === frameId)?.fromKey;
  for (const s of steps) {
    if (s.doneOn === null) continue;
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
