import type { Apiary, Work, WorkStep } from '../records/index.ts';

/** A box in the small picture of a step: which slots are emptied in it, and which are filled. */
export interface StepBox {
  readonly boxId: string;
  readonly slots: number;
  readonly out: readonly number[];
  readonly into: readonly number[];
}

/**
 * The boxes of a step with the slots that it is about: where its combs come out and where they go in. Steps that are about
 * no comb have none.
 */
export function stepBoxes(apiary: Apiary, { body }: Work, step: WorkStep): StepBox[] {
  const boxes = new Map<string, { out: number[]; into: number[] }>();
  const at = (boxId: string) => {
    const known = boxes.get(boxId) ?? { out: [], into: [] };
    boxes.set(boxId, known);
    return known;
  };
  for (const frameId of step.frameIds) {
    const frame = apiary.frame[frameId];
    const move =
      step.kind === 'move' || step.kind === 'fill' ? body.moves.find((m) => m.frameId === frameId) : null;
    const from = move
      ? move.from
      : frame?.boxId && frame.slot
        ? { boxId: frame.boxId, slot: frame.slot }
        : null;
    if (from) at(from.boxId).out.push(from.slot);
    if (move?.to && step.task !== 'aside') at(move.to.boxId).into.push(move.to.slot);
  }
  const brought = new Map<string, number>(
    [...body.newHives.flatMap((h) => h.boxes), ...body.newBoxes].flatMap((b) =>
      'slots' in b ? [[b.boxId, b.slots] as const] : [],
    ),
  );
  return [...boxes].flatMap(([boxId, { out, into }]): StepBox[] => {
    const slots = apiary.box[boxId]?.slots ?? brought.get(boxId);
    const sorted = (list: readonly number[]) => list.toSorted((a, b) => a - b);
    return slots === undefined ? [] : [{ boxId, slots, out: sorted(out), into: sorted(into) }];
  });
}
