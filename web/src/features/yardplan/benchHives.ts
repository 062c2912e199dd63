import {
  type Apiary,
  type MarkingColour,
  framesInStore,
  markingColour,
  queenOf,
} from '@incremen/core/records';
import type { FrameReading } from '@incremen/core/comb';
import {
  AT,
  isHivedUp,
  layOutYard,
  STORE,
  type Assignment,
  type Evaluation,
  type LaidOut,
  type Union,
  type YardProblem,
  type YardUnit,
} from '@incremen/core/yardplan';
import type { DrawnBox, DrawnFrame } from '../../drawing/HiveDrawing.tsx';

/** A hive on the bench, before or after the work. */
export interface BenchHive {
  readonly unit: YardUnit;
  readonly side: 'before' | 'after';
  readonly boxes: readonly DrawnBox[];
  /** Ink of what goes to it, where it receives anything. */
  readonly ink: string | null;
  readonly queenColour: MarkingColour | null;
}

/** A line from the slot that a frame leaves to the one it gets. */
export interface BenchArrow {
  readonly frameId: string;
  readonly fromUnit: number;
  readonly from: { readonly boxId: string; readonly slot: number };
  readonly toUnit: number;
  /** Null for bees, which hang in no slot. */
  readonly to: { readonly boxId: string; readonly slot: number } | null;
  readonly ink: string;
  /** Its bees are shaken out for the unit; the frame stays. */
  readonly isShake: boolean;
}

/** All that the picture of a plan shows. */
export interface BenchPicture {
  readonly before: readonly BenchHive[];
  readonly after: readonly BenchHive[];
  readonly arrows: readonly BenchArrow[];
  readonly laid: LaidOut;
  /** Hives that are neither opened nor changed. */
  readonly untouched: readonly YardUnit[];
}

const RECEIVER_INKS = 8;

/** The ink of the receiver at this place, from 0. */
const receiverInk = (at: number) => `var(--chakra-colors-receiver${(at % RECEIVER_INKS) + 1})`;

/** Prepares a plan for being drawn: hives before on the one side, hives after on the other. */
export function benchPicture(
  apiary: Apiary,
  problem: YardProblem,
  plan: Assignment,
  seen: Evaluation,
): BenchPicture {
  const laid = layOutYard(problem, plan, seen, framesInStore(apiary));
  const receives = new Set(
    laid.moves.filter((m) => m.toUnit !== m.fromUnit && m.fromUnit !== STORE).map((m) => m.toUnit),
  );
  problem.frames.forEach((_, i) => {
    const target = plan.shakenFor[i];
    if (typeof target === 'number') receives.add(target);
  });
  const unionsOf = (u: YardUnit) => problem.unions.filter((union) => union.intoId === u.key);
  const touched = (u: YardUnit) =>
    (seen.after[u.index]?.[AT.touched] ?? 0) > 0 || isHivedUp(u) || unionsOf(u).length > 0;
  const shown = problem.units.filter((u) => seen.present[u.index] && (u.kind === 'nuc' || touched(u)));
  const order = shown.toSorted(
    (a, b) =>
      Number(b.kind === 'nuc') - Number(a.kind === 'nuc') ||
      Number(receives.has(b.index)) - Number(receives.has(a.index)) ||
      a.index - b.index,
  );
  let n = 0;
  const inkOf = new Map<number, string>();
  for (const u of order) {
    if (receives.has(u.index)) inkOf.set(u.index, receiverInk(n++));
  }
  const colour = (u: YardUnit): MarkingColour | null => {
    const queen = u.kind === 'colony' ? queenOf(apiary, u.key) : undefined;
    return queen?.dot ?? (queen?.birthYear ? markingColour(queen.birthYear) : null);
  };
  return {
    before: order
      .filter((u) => u.kind === 'colony')
      .flatMap((u) => {
        const boxes = boxesBefore(apiary, problem, plan, u, inkOf);
        return beforeUniting(problem, u, unionsOf(u)).map(({ unit, isIts }) => ({
          unit,
          side: 'before' as const,
          boxes: boxes.filter((b) => isIts(b.id)),
          ink: null,
          queenColour: colour(unit),
        }));
      }),
    after: order.map((u) => ({
      unit: u,
      side: 'after',
      boxes: boxesAfter(problem, laid, u, inkOf.get(u.index) ?? null),
      ink: inkOf.get(u.index) ?? null,
      queenColour: colour(u),
    })),
    arrows: [
      ...laid.moves.flatMap((m): BenchArrow[] =>
        m.index === null || m.from === null || m.to === null || m.fromUnit === m.toUnit
          ? []
          : [
              {
                frameId: m.frame.id,
                fromUnit: m.fromUnit,
                from: m.from,
                toUnit: m.toUnit,
                to: m.to,
                ink: inkOf.get(m.toUnit) ?? receiverInk(0),
                isShake: false,
              },
            ],
      ),
      ...problem.frames.flatMap((f, i): BenchArrow[] => {
        const target = plan.shakenFor[i];
        return typeof target === 'number'
          ? [
              {
                frameId: f.id,
                fromUnit: f.home,
                from: { boxId: f.boxId, slot: f.slot },
                toUnit: target,
                to: null,
                ink: inkOf.get(target) ?? receiverInk(0),
                isShake: true,
              },
            ]
          : [];
      }),
    ],
    laid,
    untouched: problem.units.filter((u) => u.kind === 'colony' && !touched(u)),
  };
}

/** A unit as the hives that it is made of: itself, and those that are united with it. */
function beforeUniting(problem: YardProblem, unit: YardUnit, unions: readonly Union[]) {
  const isIts = (boxId: string) => !unions.some((union) => union.boxIds.includes(boxId));
  if (unions.length === 0) return [{ unit, isIts }];
  const parts = [
    { key: unit.key, name: unit.name, isIts },
    ...unions.map(({ fromId, fromName, boxIds }) => ({
      key: fromId,
      name: fromName,
      isIts: (boxId: string) => boxIds.includes(boxId),
    })),
  ];
  return parts.map((part) => {
    const own = problem.frames.filter((f) => f.home === unit.index && part.isIts(f.boxId));
    const before = unit.before.slice();
    before[AT.bees] = own.reduce((sum, f) => sum + f.bees, 0);
    before[AT.brood] = own.reduce((sum, f) => sum + f.brood, 0);
    return { unit: { ...unit, key: part.key, name: part.name, before }, isIts: part.isIts };
  });
}

function boxesBefore(
  apiary: Apiary,
  problem: YardProblem,
  plan: Assignment,
  unit: YardUnit,
  inkOf: ReadonlyMap<number, string>,
): DrawnBox[] {
  const own = problem.frames.filter((f) => f.home === unit.index);
  const ids = [...new Set([...own.map((f) => f.boxId), ...unit.boxes.map((b) => b.id)])];
  return ids
    .flatMap((id) => apiary.box[id] ?? [])
    .toSorted((a, b) => a.position - b.position)
    .map((b) => ({
      id: b.id,
      slots: b.slots,
      sizeId: b.sizeId,
      role: b.role,
      excluderBelow: b.excluderBelow,
      frames: own
        .filter((f) => f.boxId === b.id)
        .map((f) => {
          const to = plan.to[f.index] as number;
          const shaken = plan.shakenFor[f.index];
          const outline =
            to === unit.index
              ? typeof shaken === 'number'
                ? inkOf.get(shaken)
                : undefined
              : to === STORE
                ? 'var(--chakra-colors-ink-soft)'
                : inkOf.get(to);
          return drawn(f.id, f.slot, f.reading, outline, to !== unit.index);
        }),
    }));
}

function boxesAfter(problem: YardProblem, laid: LaidOut, unit: YardUnit, ink: string | null): DrawnBox[] {
  const frames = laid.units[unit.index] ?? [];
  const used = new Set(frames.map((f) => f.boxId));
  const boxes = unit.boxes.filter((b) => b.role === 'super' || used.has(b.id) || unit.kind === 'nuc');
  return boxes.map((b) => ({
    id: b.id,
    slots: b.slots,
    sizeId: b.sizeId,
    role: b.role,
    frames: frames
      .filter((l) => l.boxId === b.id)
      .map((l) =>
        drawn(
          l.frame.id,
          l.slot,
          l.frame.reading,
          l.isNew && problem.frames.some((f) => f.id === l.frame.id && f.home !== STORE)
            ? (ink ?? undefined)
            : undefined,
          false,
        ),
      ),
  }));
}

function drawn(
  id: string,
  slot: number,
  reading: FrameReading,
  outline: string | undefined,
  dim: boolean,
): DrawnFrame {
  return {
    id,
    slot,
    reading,
    blank: 'drawn',
    ...(outline ? { outline } : {}),
    ...(dim ? { dim: true } : {}),
  };
}
