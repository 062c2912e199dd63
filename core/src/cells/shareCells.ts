import type { FrameSizeId } from '../comb/index.ts';
import type { LedgerLine } from './cellLedger.ts';

/** How many cells a part keeps: practice differs. */
export const CELL_SCHOOLS = [
  { id: 'one', each: 1, why: 'One chosen cell: no cast swarm from a strong part.' },
  { id: 'two', each: 2, why: 'Two: a dead cell costs nothing, and few leave with a cast.' },
  { id: 'all', each: 99, why: 'All: the bees choose. For small parts that will not swarm.' },
] as const;
export type CellSchool = (typeof CELL_SCHOOLS)[number]['id'];

/** A part that needs cells. */
export interface CellPart {
  readonly id: string;
  readonly name: string;
  readonly sizeId: FrameSizeId;
}

/** Cells that a part gets, and how they come to it. */
export interface CellGift {
  readonly part: CellPart;
  readonly line: LedgerLine;
  readonly count: number;
  /** With the whole frame, or cut out with a margin and pressed into another comb. */
  readonly how: 'frame' | 'cut';
}

/** Who gets which cells, what is left over, and who goes short. */
export interface CellShares {
  readonly gifts: readonly CellGift[];
  readonly left: number;
  readonly short: readonly CellPart[];
}

/**
 * Shares cells out. The ripest first, one round after the other, so that nobody gets a second before all have one. The
 * first part that a frame serves gets the frame, if it fits; what others get of it is cut out, which only ripe cells
 * bear.
 *
 * @param keep - cells that stay where they are, the best first
 */
export function shareCells(
  lines: readonly LedgerLine[],
  parts: readonly CellPart[],
  school: CellSchool,
  keep: number,
): CellShares {
  const each = CELL_SCHOOLS.find((s) => s.id === school)?.each ?? 1;
  const alive = lines.filter((l) => l.stage !== 'over');
  const stock = alive.map((line) => ({ line, left: line.count }));
  for (let n = 0; n < keep; n++) {
    const best = stock.find((s) => s.left > 0);
    if (best) best.left--;
  }
  const gifts: { part: CellPart; line: LedgerLine; count: number; how: 'frame' | 'cut' }[] = [];
  const frameOf = new Map<string, string>();
  const give = (part: CellPart): boolean => {
    const own = stock.find((s) => s.left > 0 && frameOf.get(s.line.frameId) === part.id);
    const free = stock.find(
      (s) => s.left > 0 && !frameOf.has(s.line.frameId) && keep === 0 && s.line.sizeId === part.sizeId,
    );
    const cut = stock.find((s) => s.left > 0 && s.line.stage === 'ripe');
    const from = own ?? free ?? cut;
    if (!from) return false;
    from.left--;
    if (from === free) frameOf.set(from.line.frameId, part.id);
    const how = from === cut && from !== own && from !== free ? 'cut' : 'frame';
    const known = gifts.find((g) => g.part.id === part.id && g.line === from.line && g.how === how);
    if (known) known.count++;
    else gifts.push({ part, line: from.line, count: 1, how });
    return true;
  };
  const served = new Set<string>();
  for (let round = 0; round < each; round++) {
    let any = false;
    for (const part of parts) {
      if (give(part)) {
        served.add(part.id);
        any = true;
      }
    }
    if (!any) break;
  }
  return {
    gifts,
    left: stock.reduce((n, s) => n + s.left, 0),
    short: parts.filter((p) => !served.has(p.id)),
  };
}
