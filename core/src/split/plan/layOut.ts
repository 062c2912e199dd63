import type { FrameSizeId } from '../../comb/index.ts';
import { numberAt } from '../../basics/index.ts';
import type { Frame } from '../../records/index.ts';
import type { Donor, PartSlot, PlannedMove, Setup } from '../base/method.ts';
import { arrangeNest, takeIn } from './arrange.ts';
import { fitsInto, type Choice, type PlanFrame } from '../base/measure.ts';
import type { WorkFacts } from './workFacts.ts';

/** A frame with the slot it leaves and the slot it gets. */
interface LaidMove {
  readonly frameId: string;
  readonly fromBoxId: string | null;
  readonly fromSlot: number | null;
  readonly toBoxId: string;
  readonly toSlot: number;
  readonly planned: PlannedMove;
  /** It has been carried out: it is for the records, not for the work. */
  readonly done: boolean;
}

/** Every frame in its slot, and what that takes. */
export interface LaidOut {
  readonly moves: readonly LaidMove[];
  /** Slots of the part that stays and of the new part. */
  readonly slots: readonly [readonly PartSlot[], readonly PartSlot[]];
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
  /** Frames that hang where they belong already. */
  readonly hung: WorkFacts['hung'];
}

interface Target {
  readonly id: string;
  readonly slots: number;
  /** Those in which a comb can hang. */
  readonly combSlots: readonly number[];
  readonly sizeId: FrameSizeId;
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
  const hungAt = (f: PlanFrame, i: number) =>
    choice.part[i] === setup.restingPart[i] ? input.hung.get(f.id) : undefined;
  const targetOf = (boxId: string) => targets.find((t) => t.id === boxId);
  const place = (frame: PlanFrame, to: Target, slot: number, done = false) => {
    taken.get(to.id)?.set(slot, frame.id);
    moves.push({
      done,
      frameId: frame.id,
      fromBoxId: frame.boxId,
      fromSlot: frame.slot,
      toBoxId: to.id,
      toSlot: slot,
      planned: {
        frameId: frame.id,
        frame,
        fromLabel: frame.label,
        toLabel: `${to.label}, slot ${slot}`,
        toPart: to.part,
        blank: null,
        slides: frame.boxId === to.id,
      },
    });
  };
  donor.frames.forEach((f, i) => {
    const at = hungAt(f, i);
    const to = at && targetOf(at.boxId);
    if (to && (at.boxId !== f.boxId || at.slot !== f.slot)) place(f, to, at.slot, true);
    else if (choice.part[i] === setup.restingPart[i]) taken.get(f.boxId)?.set(f.slot, f.id);
    else arrivals[choice.part[i] as 0 | 1].push(f);
  });
  for (const part of [0, 1] as const) {
    let waiting = arrivals[part];
    for (const target of targets.filter((t) => t.part === part && t.role === 'brood')) {
      const box = taken.get(target.id) as Map<number, string>;
      const free = freeSlots(target, box);
      const fits = waiting.filter((f) => fitsInto(f, target.sizeId)).slice(0, free.length);
      if (fits.length === 0) continue;
      if (box.size === 0) {
        arrangeNest(fits).forEach((f, k) => place(f, target, numberAt(free, k)));
      } else {
        const present = donor.frames.filter((f) => f.boxId === target.id && box.get(f.slot) === f.id);
        const settled = takeIn(
          present.map((frame) => ({ frame, slot: frame.slot })),
          fits,
          free,
          target.slots,
        );
        for (const f of present) box.delete(f.slot);
        for (const { frame, slot } of settled) {
          if (frame.boxId === target.id && frame.slot === slot) box.set(slot, frame.id);
          else place(frame, target, slot);
        }
      }
      waiting = waiting.filter((f) => !fits.includes(f));
    }
  }
  const unfilled = fillFromStore(input, targets, taken, moves);
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
      combSlots: b.combSlots,
      sizeId: b.sizeId,
      part: moves ? 1 : 0,
      role: b.role,
      label: moves ? newName : `${donor.name}, ${b.name}`,
    };
  });
  if (setup.broughtBox)
    targets.push({
      id: newBoxId,
      ...setup.broughtBox,
      combSlots: Array.from({ length: setup.broughtBox.slots }, (_, i) => i + 1),
      part: 1,
      role: 'brood',
      label: newName,
    });
  return targets;
}

const freeSlots = (target: Target, box: ReadonlyMap<number, string>): number[] =>
  target.combSlots.filter((s) => !box.has(s));

function fillFromStore(
  { store, hung }: LayOutInput,
  targets: readonly Target[],
  taken: Map<string, Map<number, string>>,
  moves: LaidMove[],
): number {
  let unfilled = 0;
  const fill = (target: Target, slot: number, frame: Frame, done: boolean) => {
    taken.get(target.id)?.set(slot, frame.id);
    moves.push({
      done,
      frameId: frame.id,
      fromBoxId: null,
      fromSlot: null,
      toBoxId: target.id,
      toSlot: slot,
      planned: {
        frameId: frame.id,
        frame: null,
        fromLabel: 'the store',
        toLabel: `${target.label}, slot ${slot}`,
        toPart: target.part,
        blank: frame.blank,
        slides: false,
      },
    });
  };
  for (const frame of store) {
    const at = hung.get(frame.id);
    const target = targets.find((t) => t.id === at?.boxId);
    if (at && target) fill(target, at.slot, frame, true);
  }
  const left = store.filter((f) => !hung.has(f.id));
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
      fill(target, slot, frame, false);
    }
  }
  return unfilled;
}
