import { operationOf, type Apiary, framesInStore, type YardPlanRequest } from '../../records/index.ts';
import { beesAhead, winterFloorKg } from '../../forecast/index.ts';
import { bothSides, type FrameSizeId, honeyKgPerFrame } from '../../comb/index.ts';
import { fitsInto, planFrame, type PlanFrame } from '../../split/index.ts';
import { failure, floatAt, type Problem, type Result, success } from '../../basics/index.ts';
import { houseRules, stayShares, type HouseRules } from '../../rules/index.ts';
import { broughtBy } from './effects.ts';
import { prepareAll, type Prepared } from './prepareColonies.ts';
import { linkFrames } from './linkFrames.ts';
import { wishesOf, type GoalContext, type GoalUnit } from '../rules/goalRules.ts';
import { AT, MEASURE_COUNT, noMeasures, type Measured } from '../rules/measures.ts';
import {
  brokenUpWhole,
  getsDroneComb,
  kitBoxKey,
  newBoxes,
  newBoxSlots,
  tooWeakForDrones,
} from './newBoxes.ts';
import { nucCandidates, recipeOf } from './nucCandidates.ts';
import { problemsOfRequest } from './requestProblems.ts';
import {
  STORE,
  type LeftOut,
  type Union,
  type UnitBox,
  type YardFrame,
  type YardProblem,
  type YardUnit,
} from './problem.ts';
import { colonyRules, nucRules, remainderRules } from '../rules/unitRules.ts';

/**
 * Brings yards to the day of the work, as something to plan with.
 *
 * Colonies that must not be opened, are suspected of disease, are under treatment or were never counted are
 * left out, each with its reason. Fails when the request is about things that are not there or that no
 * box can hold, when pins contradict each other, or when nothing is left to plan with.
 */
export function buildProblem(apiary: Apiary, request: YardPlanRequest): Result<YardProblem> {
  const faults = problemsOfRequest(apiary, request);
  if (faults.length > 0) return failure(...faults);
  const operation = operationOf(apiary);
  const rules = houseRules(operation.houseRules.changes);
  const { prepared, leftOut } = prepareAll(apiary, request, rules);
  const named = leftOutButNamed(request, leftOut);
  if (named.length > 0) return failure(...named);
  if (prepared.length === 0) {
    return failure({
      code: 'nothing-to-plan',
      path: ['yardIds'],
      message: 'No colony in these yards can be planned with.',
      remedy: leftOut[0] ? `${leftOut[0].name}: ${leftOut[0].why}` : 'Set up hives and count them.',
    });
  }
  const unions = unionsOf(request, prepared);
  const joined = join(prepared, unions);

  const colonyUnits = joined.map((p, index) => colonyUnit(p, index, request));
  const frames = framesOf(joined, colonyUnits, request);
  const before = measuresBefore(colonyUnits, frames);
  const nucs = nucCandidates(request, colonyUnits, before, rules);
  const context: GoalContext = {
    rules,
    reference: operation.referenceSize,
    day: request.day,
    season: request.season,
    slotsOfBoxes: (colonyId, boxes) => slotsOfBoxes(colonyUnits, colonyId, boxes),
    beesAhead: (colonyId, onDay) => {
      const colony = apiary.colony[colonyId];
      return colony ? beesAhead(apiary, colony, request.day, onDay) : null;
    },
    mean: meanOf(before),
  };
  const units: YardUnit[] = [
    ...colonyUnits.map((u, i): YardUnit => {
      const own = before[i] as Measured;
      const whole = brokenUpWhole(request, u.key);
      const about: GoalUnit = { key: u.key, colonyId: u.key, before: own, slots: u.slots, lane: u.lane };
      return {
        ...u,
        before: own,
        rules: [
          ...(whole
            ? remainderRules(u.key, rules, request, recipeOf(whole))
            : colonyRules(
                u.key,
                rules,
                request,
                own,
                u.slots - Number(getsDroneComb(request, u.key)),
                winterStoresOf(apiary, request, u.key, own, operation.referenceSize),
              )),
          ...request.goals.flatMap((g) => wishesOf(g, about, context)),
        ],
      };
    }),
    ...nucs.map((n, i): YardUnit => ({
      ...n,
      index: colonyUnits.length + i,
      rules: nucRules(n.key, rules, request, n.recipe),
    })),
  ];
  const drones = tooWeakForDrones(request, units);
  if (drones.length > 0) return failure(...drones);
  const store = storeFrames(apiary, units, frames.length, operation.referenceSize, rules);
  const all = linkFrames([...frames, ...store], units, request);
  if (!all.ok) return all;
  return success({
    request,
    day: request.day,
    rules,
    reference: operation.referenceSize,
    units,
    frames: all.value,
    leftOut,
    unions,
    nucGoals: request.goals.flatMap((g) =>
      g.kind === 'makeNucs'
        ? [{ ...g, wanted: g.count ?? Math.max(1, nucs.filter((n) => n.goalId === g.id).length) }]
        : [],
    ),
    mostBees: Math.max(1, ...units.map((u) => floatAt(u.before, AT.bees))),
    countedOn: prepared.reduce((d, p) => (p.countedOn < d ? p.countedOn : d), request.day),
  });
}

/** Frames of stores that a colony must keep for the winter; null while the year is not that far. */
function winterStoresOf(
  apiary: Apiary,
  request: YardPlanRequest,
  colonyId: string,
  before: Measured,
  reference: FrameSizeId,
): number | null {
  const colony = apiary.colony[colonyId];
  if (!colony) return null;
  const narrowed = request.goals.some((g) => g.kind === 'shrink' && g.colonyId === colonyId);
  const kg = winterFloorKg(apiary, colony, request.day, floatAt(before, AT.bees), narrowed);
  return kg === null ? null : kg / honeyKgPerFrame(reference).likely;
}

function colonyUnit(
  p: Prepared,
  index: number,
  request: YardPlanRequest,
): Omit<YardUnit, 'rules' | 'before'> {
  const whole = brokenUpWhole(request, p.colony.id);
  const slotsOfNew = newBoxSlots(request, p.colony.id);
  const boxes = slotsOfNew === null ? p.boxes : newBoxes(p, request, slotsOfNew, whole !== null);
  const slots = boxes
    .filter((b) => b.role === 'brood' && b.sizeId === p.sizeId)
    .reduce((n, b) => n + b.ownSlots.length, 0);
  return {
    index,
    key: p.colony.id,
    kind: 'colony',
    name: p.colony.name,
    yardId: p.yardId,
    recipe: null,
    goalId: null,
    sizeId: p.sizeId,
    slots,
    boxes,
    standsIn: p.boxes,
    wholeOf: whole && p.colony.id,
    lane: p.lane,
  };
}

type Unlinked = Omit<YardFrame, 'mayGoTo' | 'mayShakeFor' | 'pinnedTo' | 'shakenAlready'>;

function framesOf(
  prepared: readonly Prepared[],
  units: readonly Omit<YardUnit, 'rules' | 'before'>[],
  { goals }: YardPlanRequest,
): Unlinked[] {
  let index = 0;
  return prepared.flatMap((p, home) => {
    const unit = units[home] as (typeof units)[number];
    const hived = unit.boxes.some((b) => b.id === kitBoxKey(unit.key));
    const takenDown = hived || goals.some((g) => g.kind === 'shrink' && g.colonyId === unit.key);
    const counts = new Set(
      p.boxes.filter((b) => b.role === 'brood' && b.sizeId === unit.sizeId).map((b) => b.id),
    );
    return p.frames.map((f): Unlinked => ({
      ...f,
      index: index++,
      home,
      fromBrood: slotsFromBrood(f, p.frames),
      boxesAbove: takenDown ? 0 : boxesOn(f.boxId, p.boxes),
      counted: fitsInto(f, unit.sizeId) && (hived || counts.has(f.boxId)),
      blank: 'drawn',
    }));
  });
}

/** How many boxes, supers among them, stand on one of them; none where it is not among them. */
function boxesOn(boxId: string, boxes: readonly UnitBox[]): number {
  const at = boxes.findIndex((b) => b.id === boxId);
  return at < 0 ? 0 : boxes.length - 1 - at;
}

/** A comb with so much brood is part of the nest. */
const NEST = 0.1;

function slotsFromBrood(frame: PlanFrame, all: readonly PlanFrame[]): number {
  const far = all
    .filter((f) => f.boxId === frame.boxId && f.brood > NEST)
    .map((f) => Math.abs(f.slot - frame.slot));
  return far.length === 0 ? 0 : Math.min(...far);
}

function measuresBefore(units: readonly unknown[], frames: readonly Unlinked[]): Measured[] {
  const before = units.map(() => noMeasures());
  for (const f of frames) {
    const by = broughtBy(f as YardFrame, f.counted);
    const unit = before[f.home] as Measured;
    for (let m = 0; m < MEASURE_COUNT; m++) unit[m] = floatAt(unit, m) + floatAt(by, m);
  }
  return before;
}

function meanOf(before: readonly Measured[]): Measured {
  const mean = noMeasures();
  for (const unit of before) {
    for (let m = 0; m < MEASURE_COUNT; m++) {
      mean[m] = floatAt(mean, m) + floatAt(unit, m) / before.length;
    }
  }
  return mean;
}

function slotsOfBoxes(
  units: readonly Pick<YardUnit, 'key' | 'boxes'>[],
  colonyId: string,
  boxes: number,
): number {
  const unit = units.find((u) => u.key === colonyId);
  return (unit?.boxes ?? [])
    .filter((b) => b.role === 'brood')
    .slice(0, boxes)
    .reduce((n, b) => n + b.ownSlots.length, 0);
}

/** Combs of the store that the plan can use: no more than could find a place. */
function storeFrames(
  apiary: Apiary,
  units: readonly YardUnit[],
  from: number,
  reference: FrameSizeId,
  rules: HouseRules,
): Unlinked[] {
  const shares = stayShares(rules);
  const wanted = new Map<FrameSizeId, number>();
  const want = (size: FrameSizeId, n: number) => wanted.set(size, (wanted.get(size) ?? 0) + n);
  for (const u of units) {
    if (u.recipe) want(u.sizeId, u.recipe.emptyCombs);
    else if (u.rules.some((r) => !r.hard && r.terms.some(([m]) => m === 'room'))) {
      want(u.sizeId, Math.ceil(rules.roomToLay) + 2);
    }
  }
  const taken = new Map<string, number>();
  return framesInStore(apiary)
    .filter((f) => {
      const key = `${f.sizeId}/${f.blank}`;
      const n = taken.get(key) ?? 0;
      if (n >= (wanted.get(f.sizeId) ?? 0)) return false;
      taken.set(key, n + 1);
      return true;
    })
    .map((f, i): Unlinked => ({
      ...planFrame(
        {
          id: f.id,
          label: f.blank === 'drawn' ? 'drawn comb of the store' : 'foundation of the store',
          size: f.sizeId,
          boxId: '',
          slot: 0,
          reading: bothSides({ [f.blank]: 10 }, 0, { estimated: true }),
        },
        reference,
        shares,
      ),
      index: from + i,
      home: STORE,
      fromBrood: 0,
      boxesAbove: 0,
      counted: true,
      blank: f.blank,
    }));
}

function unionsOf(request: YardPlanRequest, prepared: readonly Prepared[]): Union[] {
  return request.goals.flatMap((g): Union[] => {
    if (g.kind !== 'unite') return [];
    const from = prepared.find((p) => p.colony.id === g.fromId);
    return from
      ? [
          {
            goalId: g.id,
            fromId: g.fromId,
            fromName: from.colony.name,
            intoId: g.intoId,
            boxIds: from.boxes.map((b) => b.id),
          },
        ]
      : [];
  });
}

/** Colonies that are united count as one: frames and boxes of the one are set upon the other. */
function join(prepared: readonly Prepared[], unions: readonly Union[]): Prepared[] {
  return prepared
    .filter((p) => !unions.some((u) => u.fromId === p.colony.id))
    .map((p) => {
      const comes = unions
        .filter((u) => u.intoId === p.colony.id)
        .flatMap((u) => prepared.filter((q) => q.colony.id === u.fromId));
      if (comes.length === 0) return p;
      return {
        ...p,
        boxes: [...p.boxes, ...comes.flatMap((c) => c.boxes)],
        // The queen of the one that comes is removed before they are united.
        frames: [...p.frames, ...comes.flatMap((c) => c.frames.map((f) => ({ ...f, hasQueen: false })))],
      };
    });
}

function leftOutButNamed(request: YardPlanRequest, leftOut: readonly LeftOut[]): Problem[] {
  return request.goals.flatMap((g, i) => {
    const ids =
      g.kind === 'hiveUp' || g.kind === 'shrink'
        ? [g.colonyId]
        : g.kind === 'makeNucs'
          ? [g.wholeOfId ?? '']
          : g.kind === 'unite'
            ? [g.fromId, g.intoId]
            : 'colonyIds' in g
              ? g.colonyIds
              : [];
    return leftOut
      .filter((l) => ids.includes(l.colonyId))
      .map((l): Problem => ({
        code: 'goal-for-left-out',
        path: ['goals', i],
        message: `${l.name} is named in a goal but cannot be worked on. ${l.why}`,
        remedy: 'Take it out of the goal, or settle what keeps it out.',
      }));
  });
}
