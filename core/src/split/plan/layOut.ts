import type { FrameSizeId } from '../../comb/index.ts';
import { blankComb, fillsUp, hangNest } from '../../nest/index.ts';
import type { Frame } from '../../records/index.ts';
import type { Donor, PartSlot, PlannedMove, Setup } from '../base/method.ts';
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
  /** Boxes that are not full then: a dummy board closes the nest. */
  readonly gaps: readonly { readonly part: 0 | 1; readonly label: string; readonly slot: number }[];
}

interface Strength {
  readonly bees: number;
  readonly capped: number;
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
  /** Frames of bees when the field bees are home, and of capped brood: of the part that stays and of the new part. */
  readonly strength: readonly [Strength, Strength];
  /** Nights are cold. */
  readonly cool: boolean;
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

/** A comb in a box while it is laid out; the slot is null until it is hung. */
interface Hanging {
  readonly id: string;
  /** Null for a comb of the store. */
  readonly frame: PlanFrame | null;
  readonly blank: Frame['blank'] | null;
  readonly slot: number | null;
  /** It was hung in the course of the work. */
  readonly done: boolean;
}

/**
 * Turns "which part" into "which slot". Every box from which combs leave, or into which they come, hangs as a nest
 * afterwards: pushed together, brood beside brood, what fills up outside it.
 */
export function layOut(input: LayOutInput): LaidOut {
  const { donor, setup, choice } = input;
  const targets = targetsOf(input);
  const boxes = new Map<string, Hanging[]>(targets.map((t) => [t.id, []]));
  const inBox = (id: string): Hanging[] => boxes.get(id) ?? [];
  const arrivals: [PlanFrame[], PlanFrame[]] = [[], []];
  donor.frames.forEach((frame, i) => {
    const rests = choice.part[i] === setup.restingPart[i];
    const at = rests ? input.hung.get(frame.id) : undefined;
    const own = { id: frame.id, frame, blank: null };
    if (at && boxes.has(at.boxId)) inBox(at.boxId).push({ ...own, slot: at.slot, done: true });
    else if (rests) inBox(frame.boxId).push({ ...own, slot: frame.slot, done: false });
    else arrivals[choice.part[i] as 0 | 1].push(frame);
  });
  for (const part of [0, 1] as const) takeIn(arrivals[part], ofPart(targets, part), inBox);
  const unfilled = fillFromStore(input, targets, inBox);
  const hung = new Map(targets.map((t) => [t.id, hang(t, inBox(t.id), input)]));
  const moves = targets.flatMap((t) => (hung.get(t.id) ?? []).flatMap((h) => moveOf(h, t)));
  const slotsOf = (part: 0 | 1) =>
    targets
      .filter((t) => t.part === part)
      .flatMap((t) => (hung.get(t.id) ?? []).map(({ id, slot }) => ({ boxId: t.id, slot, frameId: id })));
  const gaps = targets.flatMap((t): LaidOut['gaps'] => {
    const combs = hung.get(t.id) ?? [];
    const changed =
      combs.some((h) => moveOf(h, t).length > 0) ||
      donor.frames.some((f) => f.boxId === t.id && !combs.some((h) => h.id === f.id));
    if (t.role !== 'brood' || !changed || combs.length === 0 || combs.length >= t.combSlots.length) return [];
    // On the side with more room: the nest hangs against the other wall.
    const [first, last] = [combs[0]!.slot, combs.at(-1)!.slot];
    const right = (t.combSlots.at(-1) ?? last) - last >= first - (t.combSlots[0] ?? first);
    return [{ part: t.part, label: t.label, slot: right ? last : first }];
  });
  return { moves, slots: [slotsOf(0), slotsOf(1)], unfilled, gaps };
}

/** The brood boxes of a part, the one with the most brood on its combs first once they have any. */
const ofPart = (targets: readonly Target[], part: 0 | 1): Target[] =>
  targets.filter((t) => t.part === part && t.role === 'brood');

/** Gives combs that come to a part to its boxes: to the fullest nest that has room for their size. */
function takeIn(
  coming: readonly PlanFrame[],
  targets: readonly Target[],
  inBox: (id: string) => Hanging[],
): void {
  const broodIn = (t: Target) => inBox(t.id).reduce((n, h) => n + (h.frame?.brood ?? 0), 0);
  for (const frame of coming.toSorted((a, b) => b.brood - a.brood)) {
    const [target] = targets
      .filter((t) => fitsInto(frame, t.sizeId) && inBox(t.id).length < t.combSlots.length)
      .toSorted((a, b) => broodIn(b) - broodIn(a));
    const own = { id: frame.id, frame, blank: null, done: false };
    if (target) inBox(target.id).push({ ...own, slot: null });
    // No room for it, or none of its size: it stays where it hangs.
    else inBox(frame.boxId).push({ ...own, slot: frame.slot });
  }
}

type Hung = Hanging & { readonly slot: number };

/** Every comb of a box in its slot, from slot 1 up; a box that is not touched stays as it is. */
function hang(target: Target, combs: readonly Hanging[], { donor, cool, strength }: LayOutInput): Hung[] {
  const hasLeft = donor.frames.some((f) => f.boxId === target.id && !combs.some((h) => h.id === f.id));
  const touched = target.role === 'brood' && (hasLeft || combs.some((h) => h.slot === null));
  const slots = touched
    ? hangNest(
        combs.map((h) => ({
          frame: h.frame ?? blankComb(h.id, h.blank),
          slot: h.slot,
          // Cells are not shaken about, and what was hung in the course of the work is not hung twice.
          fixed: h.slot !== null && (h.done || (h.frame?.liveCells ?? 0) > 0),
        })),
        target.combSlots,
        // In the cool, order is left as the bees made it.
        cool ? 'keep' : 'nest',
        strength[target.part].bees,
      )
    : new Map<string, number>();
  return combs
    .flatMap((h) => {
      const slot = slots.get(h.id) ?? h.slot;
      return slot === null ? [] : [{ ...h, slot }];
    })
    .toSorted((a, b) => a.slot - b.slot);
}

/** What it takes to hang a comb there; nothing where it hangs already. */
function moveOf({ id, frame, blank, slot, done }: Hung, to: Target): LaidMove[] {
  if (frame && frame.boxId === to.id && frame.slot === slot) return [];
  return [
    {
      done,
      frameId: id,
      fromBoxId: frame?.boxId ?? null,
      fromSlot: frame?.slot ?? null,
      toBoxId: to.id,
      toSlot: slot,
      planned: {
        frameId: id,
        frame,
        fromLabel: frame?.label ?? 'the store',
        toLabel: `${to.label}, slot ${slot}`,
        toPart: to.part,
        from: frame ? { boxId: frame.boxId, slot: frame.slot } : null,
        to: { boxId: to.id, slot },
        blank,
        slides: frame?.boxId === to.id,
      },
    },
  ];
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

/** Combs of the store for free slots: the new part first, which needs them most; drawn comb before foundation. */
function fillFromStore(
  { store, hung, strength, cool }: LayOutInput,
  targets: readonly Target[],
  inBox: (id: string) => Hanging[],
): number {
  const fill = (target: Target, frame: Frame, slot: number | null) =>
    inBox(target.id).push({ id: frame.id, frame: null, blank: frame.blank, slot, done: slot !== null });
  for (const frame of store) {
    const at = hung.get(frame.id);
    const target = targets.find((t) => t.id === at?.boxId);
    if (at && target) fill(target, frame, at.slot);
  }
  const left = store.filter((f) => !hung.has(f.id));
  let unfilled = 0;
  for (const target of targets.filter((t) => t.role === 'brood').toSorted((a, b) => b.part - a.part)) {
    const combs = () => ofPart(targets, target.part).reduce((n, t) => n + inBox(t.id).length, 0);
    for (let free = target.combSlots.length - inBox(target.id).length; free > 0; free--) {
      const at = left.findIndex(
        (f) => f.sizeId === target.sizeId && fillsUp(f.blank, combs(), strength[target.part], cool),
      );
      const [frame] = at < 0 ? [] : left.splice(at, 1);
      if (frame) fill(target, frame, null);
      else unfilled++;
    }
  }
  return unfilled;
}
