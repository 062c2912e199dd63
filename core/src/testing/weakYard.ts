import type { Evidence } from '../records/bodies/evidence.ts';
import type { Colony } from '../records/records.ts';
import { framesOfColony, readingOf } from '../records/views.ts';
import type { Day } from '../basics/day.ts';
import { bothSides } from '../comb/contents.ts';
import { TestYard } from './builders.ts';
import { NEST, STRONG_BOX, withQueen } from './nests.ts';
import { eggs, read } from './queenLooks.ts';

/** The day on which the weak unit is judged. */
export const WEAK_DAY = '2026-05-16';

/** A yard with two strong colonies that can give and one unit in question. */
export class WeakYard extends TestYard {
  readonly weak: Colony;

  /** @param combs - of the unit in question; `slots` of its box */
  constructor(combs: readonly ReturnType<typeof bothSides>[], slots = 5) {
    super(7);
    for (const name of ['Rowan', 'Bryony']) {
      this.hive(name, [STRONG_BOX], '2026-05-15');
      this.look(this.colony(name), { eggs: eggs() });
    }
    this.weak = this.hive('Nettle', [combs], '2026-05-15', slots);
  }

  /** What is seen of a colony on the day. */
  look(colony: Colony, said: Partial<Evidence>, day = WEAK_DAY): void {
    this.run({
      type: 'recordLook',
      followUpId: null,
      day,
      note: '',
      parts: [{ visitId: this.newId(), colonyId: colony.id, evidence: read(said) }],
      newIds: Array.from({ length: 8 }, () => this.newId()),
    });
  }

  /** Every colony is counted again and found as it was. */
  recount(day: Day): void {
    for (const colony of Object.values(this.apiary.colony)) {
      this.run({
        type: 'recordCount',
        visitId: this.newId(),
        colonyId: colony.id,
        day,
        note: '',
        readings: framesOfColony(this.apiary, colony).map((p) => ({
          id: this.newId(),
          frameId: p.frame.id,
          body: readingOf(p) as never,
        })),
      });
    }
  }

  queenIn(colony: Colony, birthYear: number): void {
    this.run({
      type: 'putQueen',
      queen: {
        id: this.newId(),
        name: null,
        birthYear,
        dot: null,
        mating: 'mated',
        whereabouts: { known: 'colony', colonyId: colony.id },
      },
    });
  }
}

/** Three frames of bees on three of brood: it covers what it has and no more. */
export const FULL_OF_BROOD = [
  NEST.honey(2),
  withQueen(NEST.open(9, 10)),
  NEST.capped(9, 9),
  NEST.capped(9, 9),
  NEST.empty(1),
];

/** Many eggs and larvae and hardly a bee. */
export const NO_NURSES = [
  NEST.honey(2),
  withQueen(NEST.open(9, 4)),
  NEST.open(9, 4),
  NEST.open(6, 3),
  NEST.empty(1),
];

/** No brood at all, food and empty comb: what is left of a part that failed. */
export const NO_BROOD = [NEST.honey(5), NEST.empty(6), NEST.empty(6), NEST.bread(5), NEST.honey(4)];
