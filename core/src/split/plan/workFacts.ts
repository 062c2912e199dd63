import type { Place } from '../../handling/index.ts';
import type { Donor, Setup } from '../base/method.ts';
import { windowAfter, type Day } from '../../basics/index.ts';

/** What has been done of a plan already, and what turned out other than planned. */
export interface WorkFacts {
  /** Frames that hang where they belong, as they were really carried, or kept where they were. */
  readonly hung: ReadonlyMap<string, Place>;
  /** Frames whose bees are in the new part already. */
  readonly shaken: ReadonlySet<string>;
  /** Frames with a cell that was chosen: neither carried nor shaken. */
  readonly reserved: ReadonlySet<string>;
  /** The frame on which the queen was found; null when she was not, or beside the frames. */
  readonly queenOn: string | null;
  /** The part in which she was found without telling on which frame; null when she was not. */
  readonly queenIn: 0 | 1 | null;
  /** The part in which a virgin was seen, and when. */
  readonly virgin: { readonly part: 0 | 1; readonly day: Day } | null;
}

/** Work that has not begun. */
export const NOTHING_DONE: WorkFacts = {
  hung: new Map(),
  shaken: new Set(),
  reserved: new Set(),
  queenOn: null,
  queenIn: null,
  virgin: null,
};

/** The work that is left, and what of the work that was done stands. */
export interface LeftToDo {
  readonly setup: Setup;
  /** Frames that hang where they may stay. */
  readonly hung: WorkFacts['hung'];
}

/**
 * The problem that is left: what hangs, hangs; what was shaken is shaken; reserved combs are not touched.
 *
 * A frame that hangs where the method must not have it (the queen's, in the part that she must not be in) is not
 * taken as settled: it is carried back.
 */
export function leftToDo(setup: Setup, donor: Donor, facts: WorkFacts): LeftToDo {
  const inNew = new Set(setup.boxesThatMove);
  const partOf = (boxId: string): 0 | 1 =>
    inNew.has(boxId) || !donor.boxes.some((b) => b.id === boxId) ? 1 : 0;
  const settled = new Map<number, 0 | 1>();
  const hung = new Map(facts.hung);
  donor.frames.forEach((f, i) => {
    const at = facts.hung.get(f.id);
    if (at) {
      const part = partOf(at.boxId);
      if (setup.movable.includes(i) || setup.start.part[i] === part) settled.set(i, part);
      else hung.delete(f.id);
    } else if (
      facts.reserved.has(f.id) ||
      facts.shaken.has(f.id) ||
      (f.id === facts.queenOn && !isKnown(setup))
    ) {
      // Where nobody planned with her, she stays where she was found.
      settled.set(i, setup.restingPart[i] as 0 | 1);
    }
  });
  const lock = (list: readonly (0 | 1)[]) => list.map((part, i) => settled.get(i) ?? part);
  return {
    hung,
    setup: {
      ...setup,
      ...datedByVirgin(facts),
      queen: queensUnder(setup, donor, facts, partOf),
      start: {
        part: lock(setup.start.part),
        shaken: donor.frames.map((f, i) => facts.shaken.has(f.id) || setup.start.shaken[i] === true),
      },
      restingPart: lock(setup.restingPart),
      movable: setup.movable.filter((i) => !settled.has(i)),
      shakable: setup.shakable.filter((i) => !settled.has(i)),
    },
  };
}

function datedByVirgin({ virgin }: WorkFacts): Partial<Setup> {
  return virgin ? { emergence: windowAfter(virgin.day, 0, 0, 1), fromCells: true } : {};
}

/** The method says itself where the queen goes. */
const isKnown = (setup: Setup) => setup.queen[0] !== 'unknown' && setup.queen[1] !== 'unknown';

function queensUnder(
  setup: Setup,
  donor: Donor,
  facts: WorkFacts,
  partOf: (boxId: string) => 0 | 1,
): Setup['queen'] {
  const frame = donor.frames.find((f) => f.id === facts.queenOn);
  const at = frame ? facts.hung.get(frame.id) : undefined;
  // On a comb that can still be carried she goes where the method wants her.
  if (frame && isKnown(setup)) return setup.queen;
  const part = facts.queenIn ?? (frame ? partOf(at?.boxId ?? frame.boxId) : null);
  if (part === null) return setup.queen;
  return part === 0 ? ['here', 'elsewhere'] : ['elsewhere', 'here'];
}
