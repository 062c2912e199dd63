import { bothSides, type FrameReading } from '../comb/contents.ts';
import type { Apiary, Colony } from '../records/records.ts';
import { boxesOfColony, framesOfColony } from '../records/views.ts';
import { TestYard } from './builders.ts';

/**
 * Combs by a letter, for examples that are worked out by hand: H honey, P bee bread and honey, c capped, e emerging, y eggs
 * and young larvae, o open brood, d drawn and empty, D drones, s a small patch of brood.
 */
const COMBS: Readonly<Record<string, FrameReading>> = {
  H: bothSides({ honey: 9, drawn: 1 }, 6),
  P: bothSides({ beeBread: 4, honey: 4, drawn: 2 }, 7),
  c: bothSides({ capped: 7, honey: 2, beeBread: 1 }, 9),
  e: bothSides({ emerging: 6, beeBread: 2, honey: 2 }, 9),
  y: bothSides({ eggs: 3, open: 4, honey: 2, beeBread: 1 }, 9),
  o: bothSides({ open: 7, honey: 2, beeBread: 1 }, 9),
  d: bothSides({ drawn: 9, nectar: 1 }, 5),
  D: bothSides({ drone: 7, honey: 2, drawn: 1 }, 7),
  s: bothSides({ eggs: 1, open: 2, capped: 2, honey: 3, drawn: 2 }, 6),
};

/** Hives by name: a word a box, bottom first, a letter a comb; `*` after a letter has the queen on it, `!` open cells, `^` capped ones. */
export type Hives = Readonly<Record<string, readonly string[]>>;

const MARK = /([A-Za-z])([*!^]?)/g;

function readingsOf(row: string): FrameReading[] {
  return [...row.matchAll(MARK)].map(([, letter = '', mark = '']) => {
    const reading = COMBS[letter];
    if (!reading) throw new Error(`no comb is called ${letter}`);
    if (mark === '*') return { ...reading, queenSeen: true };
    if (mark === '!') return { ...reading, cells: [{ kind: 'charged', count: 2, larvaAgeDays: 2 }] };
    if (mark === '^') return { ...reading, cells: [{ kind: 'capped', count: 2 }] };
    return reading;
  });
}

/** A yard whose combs can be called by name: "Alder, upper box" is `A`, its third comb, capped, `AU3c`. */
export class NamedHives {
  readonly yard = new TestYard();
  readonly colony: Readonly<Record<string, Colony>>;
  private readonly names = new Map<string, string>();

  constructor(hives: Hives, { day = '2026-05-14', drawn = 6, foundation = 8, slots = 10 } = {}) {
    const colony: Record<string, Colony> = {};
    for (const [name, rows] of Object.entries(hives)) {
      const boxes = rows.map(readingsOf);
      const made = this.yard.hive(name, boxes, day, slots);
      colony[name] = made;
      for (const f of framesOfColony(this.yard.apiary, made)) {
        const box = boxes.length === 1 ? '' : 'LUT'.charAt(f.box.position);
        const letter = [...(rows[f.box.position] ?? '').matchAll(MARK)][f.slot - 1]?.[1] ?? '';
        this.names.set(f.frame.id, `${name.charAt(0)}${box}${f.slot}${letter}`);
      }
    }
    this.colony = colony;
    if (drawn > 0) this.yard.stock('drawn', drawn);
    if (foundation > 0) this.yard.stock('foundation', foundation);
  }

  /** The combs of a hive as they hang, a row a box, bottom first; `+d` and `+f` are of the store. */
  rows(name: string, apiary: Apiary = this.yard.apiary): string[] {
    const colony = Object.values(apiary.colony).find((c) => c.name === name);
    if (!colony) throw new Error(`no colony ${name}`);
    const frames = framesOfColony(apiary, colony);
    return boxesOfColony(apiary, colony).map((b) =>
      frames
        .filter((f) => f.box.id === b.id)
        .toSorted((x, y) => x.slot - y.slot)
        .map((f) => this.names.get(f.frame.id) ?? (f.frame.blank === 'drawn' ? '+d' : '+f'))
        .join(' '),
    );
  }
}
