import type { Day } from '../basics/index.ts';
import type { Expectation } from './unit/expectation.ts';
import type { Remedy } from './remedies.ts';
import type { UnitFacts } from './unit/unitFacts.ts';

/** A remedy before it is compared with leaving the unit alone. */
type RemedyDraft = Pick<Remedy, 'id' | 'title' | 'why' | 'blocked'> & {
  readonly partner?: UnitFacts | undefined;
  /** What is expected of this unit, or of the united one. */
  readonly then: Expectation;
  /** What is expected of the partner afterwards, where it stays a unit of its own. */
  readonly partnerThen?: Expectation;
};

/** Works one remedy out for a unit. */
export type RemedyMaker = (facts: UnitFacts, all: readonly UnitFacts[], on: Day) => RemedyDraft;

/** The frame size of its brood boxes. */
export const broodSizeOf = (facts: UnitFacts) =>
  facts.frames.find((f) => f.box.role === 'brood')?.frame.sizeId ?? '';

/** A number of frames, in words. */
export const inWords = (x: number) => x.toFixed(1);
