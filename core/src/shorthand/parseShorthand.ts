import type { FrameReading } from '../comb/index.ts';
import { FrameScanner, type ShorthandPlace, type ShorthandProblem } from './frameScanner.ts';

/** Which part of the text speaks of which frame. */
interface ShorthandSpan {
  readonly place: number;
  readonly from: number;
  readonly to: number;
}

/** What a text says, frame by frame. A frame with a problem in it has no reading. */
export interface ShorthandReading {
  readonly readings: readonly (FrameReading | null)[];
  readonly spans: readonly ShorthandSpan[];
  readonly problems: readonly ShorthandProblem[];
}

/**
 * Reads shorthand: one frame after the other, divided by `;` or new lines, boxes by `//`.
 *
 * A frame names its contents by letter and tenths of a side (`h2 o3 c4`); a letter without a number is the
 * rest of the side, and what is not named is empty comb. `*8` are tenths covered with bees, left out they
 * are as on the frame before. `|` parts the two sides, `q` is the queen, `k2c` two capped queen cells,
 * `k1j@2-b` one cup with a larva two days old on the bottom edge. `=` is as the frame before, `"` as last
 * time, `-` not read; `7:` goes to slot 7, `2/3:` to slot 3 of the second box.
 *
 * Never throws: what is not understood is a problem with its place, and the other frames stand.
 */
export function parseShorthand(text: string, places: readonly ShorthandPlace[]): ShorthandReading {
  const readings: (FrameReading | null)[] = places.map(() => null);
  const spans: ShorthandSpan[] = [];
  const problems: ShorthandProblem[] = [];
  const known = new Set<number>();
  let at = 0;
  let before: FrameReading | null = null;
  for (const piece of piecesOf(text)) {
    if (piece.kind === 'next-box') {
      const box = places[Math.min(at, places.length) - 1]?.box ?? places[0]?.box ?? 1;
      const next = places.findIndex((p) => p.box > box);
      at = next >= 0 ? next : places.length;
      continue;
    }
    const frame = new FrameScanner(piece.text, piece.from);
    const place = frame.address(places, at);
    if (place !== undefined) {
      at = place;
    }
    if (frame.blank()) continue;
    const target = places[at];
    if (!target) {
      problems.push({
        code: 'beyond-last-frame',
        from: piece.from,
        to: piece.from + piece.text.length,
        message: `There is no frame left for this: the hive has ${places.length}.`,
        remedy: 'Take it out, or begin it with the slot that it is for, as 3:',
      });
      continue;
    }
    if (known.has(at) && frame.problems.length === 0)
      frame.complain('frame-twice', 0, 'This frame is read twice.', 'Keep one of the two.');
    const reading = frame.read(before, target.last);
    problems.push(...frame.problems);
    spans.push({ place: at, from: piece.from, to: piece.from + piece.text.length });
    if (frame.problems.length === 0 && reading) {
      readings[at] = reading;
      before = reading;
    }
    known.add(at);
    at += 1;
  }
  return { readings, spans, problems };
}

interface Piece {
  readonly kind: 'frame' | 'next-box';
  readonly text: string;
  readonly from: number;
}

function piecesOf(text: string): Piece[] {
  const pieces: Piece[] = [];
  let from = 0;
  const push = (to: number) => {
    if (text.slice(from, to).trim() !== '') pieces.push({ kind: 'frame', text: text.slice(from, to), from });
  };
  for (let i = 0; i < text.length; i++) {
    if (text.startsWith('//', i)) {
      push(i);
      pieces.push({ kind: 'next-box', text: '//', from: i });
      from = i + 2;
      i += 1;
    } else if (text[i] === ';' || text[i] === '\n') {
      push(i);
      from = i + 1;
    }
  }
  push(text.length);
  return pieces;
}
