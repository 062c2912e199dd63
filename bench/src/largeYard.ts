import {
  applyChanges,
  emptyApiary,
  framesOfColony,
  newOperation,
  type Apiary,
  type Command,
} from '@incremen/core/records';
import { decide } from '@incremen/core/decide';
import { seededIds } from '@incremen/core/demo';
import { spreadNest } from '@incremen/core/brood';
import { toBundle, type Bundle } from '@incremen/core/formats';

/** A yard of two-box colonies with invented counts, as a file: strong, even and weak by turns. */
export function largeYard(colonies: number, operationId: string): Bundle {
  const newId = seededIds(colonies);
  let apiary: Apiary = {
    ...emptyApiary(),
    operation: { [operationId]: newOperation(operationId, 'Large yard', { fixedToday: '2026-05-15' }) },
  };
  const run = (command: Command) => {
    const decided = decide(apiary, command);
    if (!decided.ok) throw new Error(decided.problems[0]?.message);
    apiary = applyChanges(apiary, decided.value);
  };
  const yardId = newId();
  run({ type: 'addYard', yard: { id: yardId, name: 'Long Meadow', note: '' } });
  run({
    type: 'addHives',
    yardId,
    day: '2026-03-01',
    hives: Array.from({ length: colonies }, (_, i) => ({
      hiveId: newId(),
      standId: newId(),
      colonyId: newId(),
      name: `M${i + 1}`,
      boxes: [0, 1].map(() => ({
        id: newId(),
        sizeId: 'langstroth-deep' as const,
        slots: 10,
        role: 'brood' as const,
        frames: Array.from({ length: 10 }, (__, s) => ({
          id: newId(),
          slot: s + 1,
          blank: 'drawn' as const,
          combYear: null,
        })),
      })),
    })),
  });
  Object.values(apiary.colony).forEach((colony, i) => {
    const size = 0.3 + 0.7 * (((i * 37) % 100) / 100);
    const nest = [0, 1].flatMap(() =>
      spreadNest(10, {
        bees: 9 * size,
        eggs: 0.5 * size,
        open: size,
        capped: 2.4 * size,
        beeBread: 0.8,
        honey: 3 * (1.2 - size / 2),
      }),
    );
    run({
      type: 'recordCount',
      visitId: newId(),
      colonyId: colony.id,
      day: `2026-05-${String(3 + (i % 12)).padStart(2, '0')}`,
      note: '',
      readings: framesOfColony(apiary, colony).map((p, k) => ({
        id: newId(),
        frameId: p.frame.id,
        body: nest[k] as never,
      })),
    });
  });
  return toBundle(apiary, []);
}
