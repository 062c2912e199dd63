import { numberAt } from '../../basics/index.ts';
import type { Frame } from '../../records/index.ts';
import { bothSides } from '../../comb/index.ts';
import { fitsInto, planFrame, type PlanFrame } from '../../split/index.ts';
import { stayShares } from '../../rules/index.ts';
import { fillsUp, hangNest, joinStoreys, type OrderSchool, type ToHang } from '../../nest/index.ts';
import { getsDroneComb, kitBoxKey } from '../problem/newBoxes.ts';
import type { Evaluation } from '../search/evaluate.ts';
import { AT } from '../rules/measures.ts';
import {
  STORE,
  wholeGoal,
  type Assignment,
  type UnitBox,
  type YardProblem,
  type YardUnit,
} from '../problem/problem.ts';

/** A slot of a box. */
export interface Slot {
  readonly boxId: string;
  readonly slot: number;
}

/** A frame in its slot when the work is done. */
interface LaidFrame extends Slot {
  readonly frame: PlanFrame;
  /** It comes from another unit or the store. */
  readonly isNew: boolean;
}

/** A frame on its way. Null is the store. */
export interface LaidMove {
  readonly frame: PlanFrame;
  /** Index of the frame in the problem; null for combs that only fill slots. */
  readonly index: number | null;
  readonly fromUnit: number;
  readonly from: Slot | null;
  readonly toUnit: number;
  readonly to: Slot | null;
  /** In it a strong unit raises drones, until it is cut out. */
  readonly forDrones?: true;
}

/** The drone frame of a unit. */
export const droneFrameOf = ({ moves }: Pick<LaidOut, 'moves'>, unit: number): LaidMove | undefined =>
  moves.find((m) => m.toUnit === unit && m.forDrones === true);

/** Where everything hangs when the work is done. */
export interface LaidOut {
  /** By index of the unit; empty for a nuc that is not made. */
  readonly units: readonly (readonly LaidFrame[])[];
  readonly moves: readonly LaidMove[];
  /** Slots that stay empty because the store has no comb for them, by unit. */
  readonly unfilled: readonly number[];
  /** Boxes that are empty afterwards and go to the store. */
  readonly emptied: readonly string[];
}

/**
 * Hangs the frames of a plan: arrivals into free slots, each box arranged as a nest, and free slots filled
 * from the store, drawn comb before foundation.
 */
export function layOutYard(
  problem: YardProblem,
  plan: Assignment,
  seen: Evaluation,
  store: readonly Frame[],
): LaidOut {
  const used = new Set(
    problem.frames.flatMap((f, i) => (f.home === STORE && plan.to[i] !== STORE ? [f.id] : [])),
  );
  const fillers = store.filter((f) => f.place === 'store' && !used.has(f.id));
  const units: LaidFrame[][] = problem.units.map(() => []);
  const unfilled = problem.units.map(() => 0);
  const emptied: string[] = [];
  const moves: LaidMove[] = [];
  for (const unit of inOrderOfNeed(problem, seen)) {
    const { gaps, empty, ...hung } = hang(problem, plan, seen, unit, fillers);
    const edge = getsDroneComb(problem.request, unit.key)
      ? withDroneFrame(hung.laid, unit, hung.fills)
      : undefined;
    const laid = edge?.laid ?? hung.laid;
    const fills = laid.filter((l) => hung.fills.some((f) => f.frame.id === l.frame.id));
    units[unit.index] = [...laid];
    unfilled[unit.index] = gaps;
    emptied.push(...empty);
    for (const l of fills) {
      moves.push({
        frame: l.frame,
        index: null,
        fromUnit: STORE,
        from: null,
        toUnit: unit.index,
        to: { boxId: l.boxId, slot: l.slot },
        ...(l === edge?.drones && { forDrones: true as const }),
      });
    }
  }
  const where = new Map(
    units.flatMap((u) => u.map((l) => [l.frame.id, { boxId: l.boxId, slot: l.slot }] as const)),
  );
  const own = problem.frames.flatMap((f, i): LaidMove[] => {
    const toUnit = numberAt(plan.to, i);
    const from = f.home === STORE ? null : { boxId: f.boxId, slot: f.slot };
    const to = toUnit === STORE ? null : (where.get(f.id) ?? null);
    if (from === null && to === null) return [];
    if (from && to && from.boxId === to.boxId && from.slot === to.slot) return [];
    return [{ frame: f, index: i, fromUnit: f.home, from, toUnit, to }];
  });
  return { units, moves: [...own, ...moves], unfilled, emptied };
}

/**
 * Drones are raised at the edge of the nest: of the frames that fill it up the nearest comes beside the brood, and the combs
 * between them move up, in their order.
 *
 * @returns what hangs there then, and the drone frame; nothing where the store has filled no slot of a nest
 */
function withDroneFrame(
  laid: readonly LaidFrame[],
  unit: YardUnit,
  fills: readonly LaidFrame[],
): { readonly laid: readonly LaidFrame[]; readonly drones: LaidFrame } | undefined {
  const nests = unit.boxes.filter((b) => b.role === 'brood').map((b) => b.id);
  const tries = fills.flatMap((fill) => {
    const row = laid.filter((l) => l.boxId === fill.boxId);
    const brood = row.filter((l) => l.frame.brood >= 0.1).map((l) => l.slot);
    if (!nests.includes(fill.boxId) || brood.length === 0) return [];
    const isBelow = fill.slot < Math.min(...brood);
    const slot = isBelow ? Math.min(...brood) - 1 : Math.max(...brood) + 1;
    return [{ fill, slot, far: Math.abs(fill.slot - slot) }];
  });
  // Room to lay is drawn comb: of two as near the frame without is taken.
  const [best] = tries.toSorted((a, b) => a.far - b.far || a.fill.frame.drawn - b.fill.frame.drawn);
  if (!best) return undefined;
  const { fill, slot } = best;
  const step = Math.sign(fill.slot - slot);
  const isBetween = (l: LaidFrame) =>
    l.boxId === fill.boxId && l !== fill && (l.slot - slot) * step >= 0 && (fill.slot - l.slot) * step > 0;
  const drones = { ...fill, slot };
  return {
    laid: laid.map((l) => (l === fill ? drones : isBetween(l) ? { ...l, slot: l.slot + step } : l)),
    drones,
  };
}

/** Nucs are filled first, then what was changed; colonies that nobody opens are left as they are. */
function inOrderOfNeed(problem: YardProblem, seen: Evaluation): YardUnit[] {
  const touched = (u: YardUnit) => (seen.after[u.index]?.[AT.touched] ?? 0) > 0;
  return problem.units
    .filter((u) => seen.present[u.index])
    .toSorted(
      (a, b) =>
        Number(b.kind === 'nuc') - Number(a.kind === 'nuc') ||
        Number(isHivedUp(b)) - Number(isHivedUp(a)) ||
        Number(touched(b)) - Number(touched(a)) ||
        a.index - b.index,
    );
}

/** It gets a new box. */
export const isHivedUp = (u: YardUnit) => u.boxes.some((b) => b.id === kitBoxKey(u.key));

function hang(
  problem: YardProblem,
  plan: Assignment,
  seen: Evaluation,
  unit: YardUnit,
  fillers: Frame[],
): { laid: LaidFrame[]; gaps: number; empty: string[]; fills: LaidFrame[] } {
  const here = problem.frames.filter((_, i) => plan.to[i] === unit.index);
  const hived = isHivedUp(unit);
  // Who only gets nurses, or gives them, is not filled up: its combs stay as they hang.
  const changed = problem.frames.some((f, i) => (f.home === unit.index) !== (plan.to[i] === unit.index));
  const { boxes, empty } = boxesThatStay(problem, unit, here.length);
  const boxOf = (f: (typeof here)[number]) => boxes.find((b) => b.id === f.boxId);
  const inPlace = here.filter((f) => f.home === unit.index && !hived && boxOf(f));
  // A nuc keeps the order in which its frames hung. What is left of one that was broken up hangs as newly as any nuc.
  const keeps = hived && unit.wholeOf === null;
  const rows = keeps ? rowsByStorey(here, unit, boxes) : [];
  const rowed = rows.flatMap((r) => r.frames);
  const coming = here.filter((f) => !inPlace.includes(f) && !rowed.includes(f));
  const { nights, order } = problem.request;

  const free = new Map(
    boxes.map((b) => {
      const taken = new Set(inPlace.filter((f) => f.boxId === b.id).map((f) => f.slot));
      return [b.id, b.ownSlots.filter((s) => !taken.has(s)).length];
    }),
  );
  const broodIn = (b: UnitBox) => inPlace.reduce((n, f) => n + (f.boxId === b.id ? f.brood : 0), 0);
  const perBox = new Map<string, ToHang<PlanFrame>[]>(
    boxes.map((b) => [
      b.id,
      inPlace.filter((f) => f.boxId === b.id).map((f) => ({ frame: f, slot: f.slot })),
    ]),
  );
  for (const { box, frames } of rows) {
    const offset = Math.floor((box.ownSlots.length - frames.length) / 2);
    free.set(box.id, (free.get(box.id) ?? 0) - frames.length);
    frames.forEach((frame, k) => perBox.get(box.id)?.push({ frame, slot: box.ownSlots[offset + k] ?? null }));
  }
  coming.forEach((f) => {
    const [box] = boxes
      .filter((b) => b.role === 'brood' && fitsInto(f, b.sizeId) && (free.get(b.id) ?? 0) > 0)
      .toSorted((a, b) => broodIn(b) - broodIn(a) || 0);
    if (!box) return;
    free.set(box.id, (free.get(box.id) ?? 0) - 1);
    perBox.get(box.id)?.push({ frame: f, slot: null });
  });
  const after = seen.after[unit.index];
  const strength = { bees: after?.[AT.bees] ?? 0, capped: after?.[AT.capped] ?? 0 };
  const school = schoolFor(order, nights === 'cold' || keeps, unit.kind, strength.bees);
  const fills: PlanFrame[] = [];
  let gaps = 0;
  if ((changed || hived) && !staysNarrow(problem, plan, unit)) {
    for (const b of boxes) {
      // A super of its own is filled, and those that were there are left alone.
      if (b.role !== 'brood' && !hived) continue;
      // Combs stand wider in a super: one fewer than it holds.
      if (b.role === 'super') free.set(b.id, (free.get(b.id) ?? 0) - 1);
      while ((free.get(b.id) ?? 0) > 0) {
        free.set(b.id, (free.get(b.id) ?? 0) - 1);
        const at = fillers.findIndex(
          (f) =>
            f.sizeId === b.sizeId &&
            (b.role === 'super' || fillsUp(f.blank, here.length + fills.length, strength, nights === 'cold')),
        );
        const filler = at < 0 ? undefined : fillers.splice(at, 1)[0];
        if (!filler) {
          gaps++;
          continue;
        }
        const frame = asFrame(problem, filler);
        fills.push(frame);
        perBox.get(b.id)?.push({ frame, slot: null });
      }
    }
  }
  const laid = boxes.flatMap((b): LaidFrame[] => {
    const frames = perBox.get(b.id) ?? [];
    const left = problem.frames.some((f, i) => f.boxId === b.id && plan.to[i] !== unit.index);
    const isNew = hived || (b.role === 'brood' && (left || frames.some((f) => f.slot === null)));
    const slots = isNew
      ? hangNest(
          // Queen cells are not shaken about.
          frames.map((f) => ({ ...f, fixed: f.slot !== null && !hived && f.frame.liveCells > 0 })),
          b.ownSlots,
          school,
          strength.bees,
        )
      : null;
    return frames.map((f) => ({
      frame: f.frame,
      boxId: b.id,
      slot: slots?.get(f.frame.id) ?? (f.slot as number),
      isNew: !here.some((h) => h.id === f.frame.id && h.home === unit.index),
    }));
  });
  return { laid, gaps, empty, fills: laid.filter((l) => fills.includes(l.frame)) };
}

/**
 * What stays of a unit that moves into other boxes, in the order in which it hangs in each: storey by storey where there are
 * as many boxes, else the storeys side by side. What a box cannot hold is not in its row.
 */
function rowsByStorey<F extends PlanFrame & { readonly home: number }>(
  here: readonly F[],
  unit: YardUnit,
  boxes: readonly UnitBox[],
): { readonly box: UnitBox; readonly frames: readonly F[] }[] {
  const homes = boxes.filter((b) => b.role === 'brood');
  return homes.map((box, k) => {
    const storeys = unit.standsIn.filter((_, s) => Math.min(s, homes.length - 1) === k);
    const row = joinStoreys(
      storeys.map((b) =>
        here.filter((f) => f.home === unit.index && f.boxId === b.id).toSorted((a, c) => a.slot - c.slot),
      ),
    );
    return { box, frames: row.slice(0, box.ownSlots.length) };
  });
}

/** From so many frames of bees empty comb may stand between combs of brood in warm weather (common practice, no source). */
const STRONG = 8;

/** What hangs in order stays in order where it is cool, or where it is told to; only the strong are opened up. */
function schoolFor(
  order: YardProblem['request']['order'],
  cool: boolean,
  kind: YardUnit['kind'],
  bees: number,
): OrderSchool {
  if (cool) return 'keep';
  return order === 'checkerboard' && (kind === 'nuc' || bees < STRONG) ? 'nest' : order;
}

const shrinkOf = (problem: YardProblem, unit: YardUnit) =>
  problem.request.goals.find((g) => g.kind === 'shrink' && g.colonyId === unit.key);

/** It is to have fewer combs: none of the store takes the place of what leaves for it, and none is needed in a dearth. */
const staysNarrow = (problem: YardProblem, plan: Assignment, unit: YardUnit) =>
  shrinkOf(problem, unit) !== undefined &&
  (problem.request.season === 'dearth' ||
    problem.frames.some((f, i) => f.home === unit.index && plan.to[i] === STORE));

/** The boxes that a unit keeps; those above go when a goal asks for it and what stays fits below. */
export function boxesThatStay(
  problem: YardProblem,
  unit: YardUnit,
  frames: number,
): { boxes: readonly UnitBox[]; empty: string[] } {
  // Supers of a colony that is broken up whole come off with it; its brood boxes are replaced by the new one.
  if (wholeGoal(problem, unit))
    return {
      boxes: unit.boxes,
      empty: unit.standsIn.filter((b) => b.role === 'super').map((b) => b.id),
    };
  const goal = shrinkOf(problem, unit);
  if (goal?.kind !== 'shrink') return { boxes: unit.boxes, empty: [] };
  const brood = unit.boxes.filter((b) => b.role === 'brood');
  const kept = brood.slice(0, goal.boxes);
  const supers = unit.boxes.filter((b) => b.role === 'super');
  const inSupers = problem.frames.filter((f) => supers.some((s) => s.id === f.boxId)).length;
  const slots = kept.reduce((n, b) => n + b.ownSlots.length, 0);
  if (frames - inSupers > slots) return { boxes: unit.boxes, empty: [] };
  return { boxes: [...kept, ...supers], empty: brood.slice(goal.boxes).map((b) => b.id) };
}

function asFrame(problem: YardProblem, f: Frame): PlanFrame {
  return planFrame(
    {
      id: f.id,
      label: f.blank === 'drawn' ? 'drawn comb of the store' : 'foundation of the store',
      size: f.sizeId,
      boxId: '',
      slot: 0,
      reading: bothSides({ [f.blank]: 10 }, 0, { estimated: true }),
    },
    problem.reference,
    stayShares(problem.rules),
  );
}
