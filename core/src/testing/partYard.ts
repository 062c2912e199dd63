import type { Day } from '../basics/day.ts';
import type { Evidence } from '../records/bodies/evidence.ts';
import { TestYard } from './builders.ts';
import { STRONG_BOX } from './nests.ts';
import { read } from './queenLooks.ts';

/** A colony in two halves, of which the one named "Wicket" raises a queen since `LOST`. */
export class PartYard extends TestYard {
  readonly giverId: string;
  readonly partId: string;

  constructor(lostOn: Day, emergence: { earliest: Day; likely: Day; latest: Day } | null = null) {
    super(3);
    const giver = this.hive('Wicket Old', [STRONG_BOX], lostOn);
    const part = this.hive('Wicket', [STRONG_BOX.slice(0, 5)], lostOn);
    this.giverId = giver.id;
    this.partId = part.id;
    const separation = {
      v: 1 as const,
      day: lostOn,
      workId: this.newId(),
      partIds: [giver.id, part.id],
      emergence: null,
    };
    this.apiary = {
      ...this.apiary,
      colony: {
        ...this.apiary.colony,
        [giver.id]: { ...giver, separation: { ...separation, queen: 'here' } },
        [part.id]: { ...part, separation: { ...separation, emergence, queen: 'elsewhere' } },
      },
    };
    this.run({
      type: 'putQueen',
      queen: {
        id: this.newId(),
        name: 'Old',
        birthYear: 2024,
        dot: null,
        mating: 'mated',
        whereabouts: { known: 'colony', colonyId: giver.id },
      },
    });
  }

  get part() {
    return this.colony('Wicket');
  }

  see(day: Day, said: Partial<Evidence>): void {
    this.run({
      type: 'recordLook',
      followUpId: null,
      day,
      note: '',
      parts: [{ visitId: this.newId(), colonyId: this.partId, evidence: read(said, [5, 5]) }],
      newIds: Array.from({ length: 8 }, () => this.newId()),
    });
  }
}
