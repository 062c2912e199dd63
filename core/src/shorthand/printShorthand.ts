import { CONTENT_CLASSES, type CellFinding, type FrameReading, type Side } from '../comb/index.ts';
import { CELL_LETTERS, CONTENT_LETTERS, letterOf, PLACE_LETTERS } from './letters.ts';
import type { ShorthandPlace } from './frameScanner.ts';

/**
 * Writes readings as shorthand; reading it again gives the same, to the accuracy of half tenths.
 *
 * @example printFrame(bothSides({ honey: 2, capped: 8 }, 9)) // => 'h2 c *9'
 */
export function printFrame(reading: FrameReading): string {
  const [a, b] = reading.sides;
  const first = printSide(a);
  const second = printSide(b);
  const marks = [...(reading.queenSeen ? ['q'] : []), ...reading.cells.map(printCell)];
  return [first === second ? first : `${first} | ${second}`, ...marks].join(' ');
}

/** Writes a count, frame by frame; frames that were not read are skipped. */
export function printShorthand(
  readings: readonly (FrameReading | null)[],
  places: readonly ShorthandPlace[],
): string {
  let text = '';
  places.forEach((place, i) => {
    if (i > 0) text += place.box === places[i - 1]?.box ? '; ' : ' //\n';
    const reading = readings[i];
    text += reading ? printFrame(reading) : '-';
  });
  return text;
}

function printSide(side: Side): string {
  const named = CONTENT_CLASSES.filter((c) => (side.contents[c] ?? 0) > 0);
  const sum = named.reduce((n, c) => n + (side.contents[c] ?? 0), 0);
  const tokens = named.map((c, i) => {
    const letter = letterOf(CONTENT_LETTERS, c);
    // The last content of a full side is its rest.
    return i === named.length - 1 && sum === 10 ? letter : `${letter}${side.contents[c] ?? 0}`;
  });
  return [...tokens, `*${side.bees}`].join(' ');
}

function printCell(cell: CellFinding): string {
  const age = cell.larvaAgeDays === undefined ? '' : `@${cell.larvaAgeDays}`;
  const place = cell.place === undefined ? '' : `-${letterOf(PLACE_LETTERS, cell.place)}`;
  return `k${cell.count}${letterOf(CELL_LETTERS, cell.kind)}${age}${place}`;
}
