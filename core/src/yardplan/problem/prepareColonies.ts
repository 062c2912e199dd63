import {
  operationOf,
  type Apiary,
  type Colony,
  boxesOfColony,
  boxName,
  combSlots,
  coloniesOfYard,
  countedOn,
  readingOf,
  type PlacedFrame,
  type YardPlanRequest,
} from '../../records/index.ts';
import { colonyState, treatmentFirst } from '../../colony/index.ts';
import type { FrameSizeId } from '../../comb/index.ts';
import { planFrame, type PlanFrame } from '../../split/index.ts';
import { stayShares, type HouseRules } from '../../rules/index.ts';
import type { LeftOut, UnitBox } from './problem.ts';

/** A colony on the day of the work, before it is known who may give what. */
export interface Prepared {
  readonly colony: Colony;
  readonly yardId: string;
  readonly lane: string;
  readonly boxes: readonly UnitBox[];
  readonly frames: readonly PlanFrame[];
  readonly sizeId: FrameSizeId;
  readonly countedOn: string;
}

/** The colonies that can be planned with on the day of the work, and those that are left out, each with its reason. */
export function prepareAll(
  apiary: Apiary,
  request: YardPlanRequest,
  rules: HouseRules,
): { prepared: Prepared[]; leftOut: LeftOut[] } {
  const operation = operationOf(apiary);
  const shares = stayShares(rules);
  const prepared: Prepared[] = [];
  const leftOut: LeftOut[] = [];
  // By id, so that the plan does not hang on the order in which colonies are listed.
  for (const yardId of request.yardIds.toSorted()) {
    for (const colony of coloniesOfYard(apiary, yardId).toSorted((a, b) => (a.id < b.id ? -1 : 1))) {
      const out = (why: string) => leftOut.push({ colonyId: colony.id, name: colony.name, yardId, why });
      if (request.leftOutIds.includes(colony.id)) {
        out('You left it out.');
        continue;
      }
      const state = colonyState(apiary, colony, request.day);
      const placed = state.frames;
      if (state.lane === 'uncounted') {
        out('It was never counted: count it first.');
        continue;
      }
      if (state.lane === 'raising' || state.lane === 'unfit') {
        out(state.notice.words);
        continue;
      }
      const treated = treatmentFirst(apiary, colony, request.day);
      if (treated) {
        out(`${treated.why} ${treated.remedy}`);
        continue;
      }
      const counted = countedOn(placed);
      if (counted === null || counted > request.day) {
        out(`It was counted on ${counted}, after the day of the work.`);
        continue;
      }
      const boxes = unitBoxes(apiary, colony);
      prepared.push({
        colony,
        yardId,
        lane: state.lane,
        boxes,
        frames: framesToPlan(placed, apiary, colony, operation.referenceSize, shares),
        sizeId: mainSize(boxes),
        countedOn: counted,
      });
    }
  }
  return { prepared, leftOut };
}

function framesToPlan(
  placed: readonly PlacedFrame[],
  apiary: Apiary,
  colony: Colony,
  reference: FrameSizeId,
  shares: Parameters<typeof planFrame>[2],
): PlanFrame[] {
  const boxes = boxesOfColony(apiary, colony);
  const nameOf = new Map(boxes.map((b) => [b.id, boxes.length > 1 ? `${boxName(boxes, b.id)}, ` : '']));
  return placed.map((p) =>
    planFrame(
      {
        id: p.frame.id,
        label: `${colony.name}, ${nameOf.get(p.box.id) ?? ''}frame ${p.slot}`,
        size: p.frame.sizeId,
        hangsAs: p.box.sizeId,
        boxId: p.box.id,
        slot: p.slot,
        reading: readingOf(p),
      },
      reference,
      shares,
    ),
  );
}

function unitBoxes(apiary: Apiary, colony: Colony): UnitBox[] {
  const boxes = boxesOfColony(apiary, colony);
  return boxes.map((b) => ({
    id: b.id,
    name: boxName(boxes, b.id),
    sizeId: b.sizeId,
    slots: b.slots,
    role: b.role,
    excluderBelow: b.excluderBelow,
    ownSlots: b.chambers
      .filter((c) => c.colonyId === colony.id)
      .flatMap((c) => combSlots(b).filter((s) => c.fromSlot <= s && s <= c.toSlot)),
  }));
}

/** The frame size of most brood slots. */
function mainSize(boxes: readonly UnitBox[]): FrameSizeId {
  const slots = new Map<FrameSizeId, number>();
  for (const b of boxes) {
    if (b.role === 'brood') slots.set(b.sizeId, (slots.get(b.sizeId) ?? 0) + b.ownSlots.length);
  }
  const [most] = [...slots].toSorted((a, b) => b[1] - a[1]);
  return most?.[0] ?? boxes[0]?.sizeId ?? 'langstroth-deep';
}
