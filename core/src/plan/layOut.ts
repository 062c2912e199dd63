import type { Frame } from '../apiary/records.ts';
import type { Donor, PlannedMove, Setup } from '../methods/method.ts';
import { arrangeNest, takeIn } from './arrange.ts';
import type { Choice, PlanFrame } from './measure.ts';
import type { PlanPart } from './planBody.ts';

/** A frame with the slot it leaves and the slot it gets. */
export interface LaidMove {
  readonly frameId: string;
  readonly fromBoxId: string | null;
  readonly fromSlot: number | null;
  readonly toBoxId: string;
  readonly toSlot: number;
  readonly planned: PlannedMove;
}

/** Every frame in its slot, and what that takes. */
export interface LaidOut {
  readonly moves: readonly LaidMove[];
  /** Slots of the part that stays and of the new part. */
  readonly slots: readonly [PlanPart['slots'], PlanPart['slots']];
  /** Brood-box slots that stay empty because the store has no frame for them. */
  readonly unfilled: number;
}

interface LayOutInput {
  readonly donor: Donor;
  readonly setup: Setup;
  readonly choice: Choice;
  readonly store: readonly Frame[];
  readonly newBoxId: string;
  readonly newName: string;
}

interface Target {
  readonly id: string;
  readonly slots: number;
  readonly sizeId: string;
  readonly part: 0 | 1;
  readonly role: 'brood' | 'super';
  readonly label: string;
}

/**
 * Turns "which part" into "which slot". Frames that need not move keep their order, sliding over where
 * brood comes in beside brood; what is left over is filled from the store, drawn comb before foundation.
 */
export function layOut(input: LayOutInput): LaidOut {
  const { donor, setup, choice } = input;
  const targets = targetsOf(input);
  const taken = new Map<string, Map<number, string>>(targets.map((t) => [t.id, new Map()]));
  const moves: LaidMove[] = [];
  const arrivals: [PlanFrame[], PlanFrame[]] = [[], []];
  donor.frames.forEach((f, i) => {
    if (choice.part[i] === setup.restingPart[i]) taken.get(f.boxId)?.set(f.slot, f.id);
    else arrivals[choice.part[i] as 0 | 1].push(f);
  });
  const place = (frame: PlanFrame, to: Target, slot: number) => {
    taken.get(to.id)?.set(slot, frame.id);
    moves.push({
      frameId: frame.id,
      fromBoxId: frame.boxId,
      fromSlot: frame.slot,
      toBoxId: to.id,
      toSlot: slot,
      planned: {
        frame,
        fromLabel: frame.label,
        toLabel: `${to.label}, slot ${slot}`,
        toPart: to.part,
        blank: null,
        slides: frame.boxId === to.id,
      },
    });
  };
  for (const part of [0, 1] as const) {
    let waiting = arrivals[part];
    for (const target of targets.filter((t) => t.part === part && t.role === 'brood')) {
      const box = taken.get(target.id) as Map<number, string>;
      const free = freeSlots(target, box);
      const fits = waiting.filter((f) => f.size === target.sizeId).slice(0, free.length);
      if (fits.length === 0) continue;
      if (box.size === 0) {
        arrangeNest(fits).forEach((f, k) => place(f, target, free[k] as number));
      } else {
        const present = donor.frames.filter((f) => f.boxId === target.id && box.get(f.slot) === f.id);
        const settled = takeIn(
          present.map((frame) => ({ frame, slot: frame.slot })),
          fits,
          free,
          target.slots,
        );
        box.clear();
        for (const { frame, slot } of settled) {
          if (frame.boxId === target.id && frame.slot === slot) box.set(slot, frame.id);
          else place(frame, target, slot);
        }
      }
      waiting = waiting.filter((f) => !fits.includes(f));
    }
  }
  const unfilled = fillFromStore(input.store, targets, taken, moves);
  const slotsOf = (part: 0 | 1) =>
    targets
      .filter((t) => t.part === part)
      .flatMap((t) =>
        [...(taken.get(t.id) as Map<number, string>)]
          .toSorted((a, b) => a[0] - b[0])
          .map(([slot, frameId]) => ({ boxId: t.id, slot, frameId })),
      );
  return { moves, slots: [slotsOf(0), slotsOf(1)], unfilled };
}

function targetsOf({ donor, setup, newBoxId, newName }: LayOutInput): Target[] {
  const targets = donor.boxes.map((b): Target => {
    const moves = setup.boxesThatMove.includes(b.id);
    return {
      id: b.id,
      slots: b.slots,
      sizeId: b.sizeId,
      part: moves ? 1 : 0,
      role: b.role,
      label: moves ? newName : `${donor.name}, ${b.name}`,
    };
  });
  if (setup.broughtBox)
    targets.push({ id: newBoxId, ...setup.broughtBox, part: 1, role: 'brood', label: newName });
  return targets;
}

const freeSlots = (target: Target, box: ReadonlyMap<number, string>): number[] =>
  Array.from({ length: target.slots }, (_, i) => i + 1).filter((s) => !box.has(s));

function fillFromStore(
  store: readonly Frame[],
  targets: readonly Target[],
  taken: Map<string, Map<number, string>>,
  moves: LaidMove[],
): number {
  const left = [...store];
  let unfilled = 0;
  // The new part first: it needs comb most.
  for (const target of targets.filter((t) => t.role === 'brood').toSorted((a, b) => b.part - a.part)) {
    const box = taken.get(target.id) as Map<number, string>;
    for (const slot of freeSlots(target, box)) {
      const at = left.findIndex((f) => f.sizeId === target.sizeId);
      const [frame] = at < 0 ? [] : left.splice(at, 1);
      if (!frame) {
        unfilled++;
        continue;
      }
      box.set(slot, frame.id);
      moves.push({
        frameId: frame.id,
        fromBoxId: null,
        fromSlot: null,
        toBoxId: target.id,
        toSlot: slot,
        planned: {
          frame: null,
          fromLabel: 'the store',
          toLabel: `${target.label}, slot ${slot}`,
          toPart: target.part,
          blank: frame.blank,
          slides: false,
        },
      });
    }
  }
  return unfilled;
}
