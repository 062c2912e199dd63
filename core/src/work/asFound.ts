import { type Apiary, type Reading, framesOfColony, type WorkReport } from '../records/index.ts';
import { isLiveCell, type CellFinding } from '../comb/index.ts';

/** The records as if the last count of a colony had shown what the work has shown: queen and cells. */
export function asFound(apiary: Apiary, colonyId: string, reports: readonly WorkReport[]): Apiary {
  const colony = apiary.colony[colonyId];
  const queen = reports.findLast((r) => r.what === 'queen-found');
  const broken = new Map<string, number>();
  for (const r of reports) {
    if (r.what === 'cell-broken') broken.set(r.frameId, (broken.get(r.frameId) ?? 0) + 1);
  }
  if (!colony || (!queen && broken.size === 0)) return apiary;
  const changed: Record<string, Reading> = {};
  for (const { frame } of framesOfColony(apiary, colony)) {
    const reading = frame.readingId === null ? undefined : apiary.reading[frame.readingId];
    if (!reading) continue;
    const n = broken.get(frame.id) ?? 0;
    changed[reading.id] = {
      ...reading,
      body: {
        ...reading.body,
        queenSeen: queen ? queen.frameId === frame.id : reading.body.queenSeen,
        cells: n > 0 ? without(reading.body.cells, n) : reading.body.cells,
      },
    };
  }
  return { ...apiary, reading: { ...apiary.reading, ...changed } };
}

/** So many live cells fewer. */
function without(cells: readonly CellFinding[], broken: number): CellFinding[] {
  let left = broken;
  return cells.flatMap((c): CellFinding[] => {
    if (!isLiveCell(c.kind) || left === 0) return [c];
    const gone = Math.min(left, c.count);
    left -= gone;
    return c.count > gone ? [{ ...c, count: c.count - gone }] : [];
  });
}
