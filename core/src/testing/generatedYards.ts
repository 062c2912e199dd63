import { seededRandom } from '../basics/index.ts';
import { applyChanges } from '../records/change.ts';
import type { Command } from '../records/commands.ts';
import { decide } from '../decide/decide.ts';
import { emptyApiary, newOperation, type Apiary } from '../records/records.ts';
import { framesOfColony } from '../records/views.ts';
import { bothSides, type FrameReading } from '../comb/contents.ts';
import { seededIds } from '../demo/seededIds.ts';

/** How many colonies, in how many yards, and what the store holds. */
export interface GeneratedYards {
  readonly colonies: number;
  readonly yards?: number;
  readonly seed?: number;
  readonly drawn?: number;
  readonly foundation?: number;
  /** Combs of each colony; drawn at random from 8 to 20 when left out. */
  readonly combs?: number;
  /** Days before the counts' day on which each was counted at most; 0 for all on the same day. */
  readonly day?: string;
}

/** Yards with invented counts, strong and weak by chance, the same for the same seed. */
export function generatedYards(given: GeneratedYards): Apiary {
  const {
    colonies,
    yards = 1,
    seed = 1,
    drawn = colonies,
    foundation = colonies,
    day = '2026-05-14',
  } = given;
  const random = seededRandom(seed * 7919 + colonies);
  const newId = seededIds(seed * 1000 + colonies);
  const operationId = newId();
  let apiary: Apiary = {
    ...emptyApiary(),
    operation: { [operationId]: newOperation(operationId, 'Generated') },
  };
  const run = (command: Command) => {
    const decided = decide(apiary, command);
    if (!decided.ok) throw new Error(decided.problems[0]?.message);
    apiary = applyChanges(apiary, decided.value);
  };
  const yardIds = Array.from({ length: yards }, newId);
  yardIds.forEach((id, i) => run({ type: 'addYard', yard: { id, name: `Yard ${i + 1}`, note: '' } }));
  const made = Array.from({ length: colonies }, (_, i) => {
    const combs = given.combs ?? 8 + Math.floor(random() * 13);
    return { colonyId: newId(), yardId: yardIds[i % yards] as string, combs, name: `C${i + 1}` };
  });
  for (const yardId of yardIds) {
    const here = made.filter((m) => m.yardId === yardId);
    if (here.length === 0) continue;
    run({
      type: 'addHives',
      yardId,
      day: '2026-03-01',
      hives: here.map((m) => ({
        hiveId: newId(),
        standId: newId(),
        colonyId: m.colonyId,
        name: m.name,
        boxes: boxesFor(m.combs).map((n) => ({
          id: newId(),
          sizeId: 'langstroth-deep' as const,
          slots: Math.max(10, n),
          role: 'brood' as const,
          frames: Array.from({ length: n }, (__, s) => ({
            id: newId(),
            slot: s + 1,
            blank: 'drawn' as const,
            combYear: null,
          })),
        })),
      })),
    });
  }
  if (drawn + foundation > 0) {
    run({
      type: 'addToStore',
      frames: Array.from({ length: drawn + foundation }, (_, i) => ({
        id: newId(),
        sizeId: 'langstroth-deep' as const,
        blank: i < drawn ? ('drawn' as const) : ('foundation' as const),
        combYear: null,
      })),
    });
  }
  for (const m of made) {
    const nest = invented(m.combs, random);
    const colony = apiary.colony[m.colonyId];
    if (!colony) continue;
    run({
      type: 'recordCount',
      visitId: newId(),
      colonyId: colony.id,
      day,
      note: '',
      readings: framesOfColony(apiary, colony).map((p, k) => ({
        id: newId(),
        frameId: p.frame.id,
        body: nest[k] as never,
      })),
    });
  }
  return apiary;
}

const boxesFor = (combs: number) => (combs <= 10 ? [combs] : [10, combs - 10]);

/** A nest by chance: brood in the middle of each box, bread beside it, honey outside. */
function invented(combs: number, random: () => number): FrameReading[] {
  const strength = 0.35 + 0.65 * random();
  const broodCombs = Math.round(combs * (0.25 + 0.4 * strength));
  const queenAt = Math.floor(combs / 2);
  return Array.from({ length: combs }, (_, i): FrameReading => {
    const fromMiddle = Math.abs(i - (combs - 1) / 2);
    const rest = { queenSeen: i === queenAt };
    if (fromMiddle <= broodCombs / 2) {
      const brood = 3 + Math.floor(random() * 6);
      const eggs = Math.floor(random() * 3);
      const open = Math.floor(random() * (brood - eggs));
      const bees = Math.min(10, 4 + Math.floor(strength * 5 + random() * 3));
      return bothSides(
        {
          eggs,
          open,
          capped: brood - eggs - open,
          beeBread: 1,
          honey: Math.min(9 - brood, Math.floor(random() * 3)),
          drawn: Math.max(0, 9 - brood - Math.min(9 - brood, 2)),
        },
        bees,
        rest,
      );
    }
    if (random() < 0.6) {
      const honey = 5 + Math.floor(random() * 5);
      return bothSides({ honey, beeBread: random() < 0.4 ? 1 : 0 }, Math.floor(2 + strength * 4), rest);
    }
    return bothSides({ drawn: 8, nectar: 2 }, Math.floor(1 + strength * 4), rest);
  });
}
