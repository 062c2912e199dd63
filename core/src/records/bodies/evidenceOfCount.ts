import { shareOf, type CellFinding, type FrameReading } from '../../comb/index.ts';
import { saysAnything, type Evidence } from './evidence.ts';

/**
 * What was seen besides frames, filled up with what the frames of the same count show.
 *
 * Only what was not asked is filled in, and only with what was found: frames without eggs do not say that
 * anybody looked for eggs. Estimated frames say nothing. Null when nothing was said besides.
 */
export function evidenceOfCount(
  said: Evidence | null,
  readings: readonly { readonly frameId: string; readonly body: FrameReading }[],
): Evidence | null {
  return said && saysAnything(said) ? filledByFrames(said, readings) : null;
}

/** Evidence filled up with what frames that were read show. */
export function filledByFrames(
  said: Evidence,
  readings: readonly { readonly frameId: string; readonly body: FrameReading }[],
): Evidence {
  const read = readings.filter((r) => !r.body.estimated);
  const on = (...classes: Parameters<typeof shareOf>[1][]) =>
    read.some((r) => shareOf(r.body, ...classes) > 0);
  const cells = sumOfCells(read.flatMap((r) => r.body.cells));
  const queenFrame = read.find((r) => r.body.queenSeen);
  const filled: { -readonly [K in keyof Evidence]: Evidence[K] } = { ...said };
  if (said.eggs.look === 'notLooked' && on('eggs')) {
    filled.eggs = { look: 'found', perCell: 'one', place: 'unsure' };
  }
  if (said.olderLarvae.look === 'notLooked' && on('open')) filled.olderLarvae = { look: 'found' };
  if (said.cells.look === 'notLooked' && cells.length > 0) filled.cells = { look: 'found', cells };
  if (queenFrame) {
    if (said.queen.look === 'notLooked') {
      filled.queen = { look: 'found', build: 'unsure', frameId: queenFrame.frameId };
    } else if (said.queen.look === 'found' && said.queen.frameId === undefined) {
      filled.queen = { ...said.queen, frameId: queenFrame.frameId };
    }
  }
  filled.framesRead = Math.max(said.framesRead, Math.min(read.length, said.framesTotal));
  return filled;
}

/** Cells of all frames, those alike in kind, age and place taken together. */
function sumOfCells(cells: readonly CellFinding[]): CellFinding[] {
  const sums = new Map<string, CellFinding>();
  for (const c of cells) {
    const key = `${c.kind} ${c.larvaAgeDays} ${c.place}`;
    const sum = sums.get(key);
    sums.set(key, sum ? { ...sum, count: Math.min(200, sum.count + c.count) } : c);
  }
  return [...sums.values()].slice(0, 20);
}
