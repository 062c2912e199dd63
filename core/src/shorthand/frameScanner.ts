import {
  CONTENT_CLASSES,
  sumOfTenths,
  type CellFinding,
  type ContentClass,
  type Contents,
  type FrameReading,
  type Side,
} from '../comb/index.ts';
import { CELL_LETTERS, CONTENT_LETTERS, MIXED_LETTERS, nameOf, PLACE_LETTERS } from './letters.ts';

/** A frame that a line of shorthand may speak of, in the order in which frames are read. */
export interface ShorthandPlace {
  /** Box from the bottom, 1 is the lowest. */
  readonly box: number;
  readonly slot: number;
  /** What was read there last, for `"`. */
  readonly last: FrameReading | null;
}

/** Something in a line that cannot be understood, at the letter where it begins. */
export interface ShorthandProblem {
  readonly code: string;
  readonly from: number;
  readonly to: number;
  readonly message: string;
  readonly remedy: string;
}

/** A side while it is being read; `rest` is the letter that takes what is left. */
interface SideDraft {
  readonly tenths: Map<string, number>;
  rest: string | null;
  bees: number | null;
}

const NUMBER = /\d+(?:[.,]\d+)?/y;

/** Reads the letters of one frame and notes what it cannot make sense of. */
export class FrameScanner {
  readonly problems: ShorthandProblem[] = [];
  private readonly text: string;
  private readonly offset: number;
  private pos = 0;

  constructor(text: string, offset: number) {
    this.text = text;
    this.offset = offset;
  }

  /** `7:` or `2/3:` in front of the frame; undefined when there is none. */
  address(places: readonly ShorthandPlace[], at: number): number | undefined {
    const match = /^\s*(?:(\d{1,2})\/)?(\d{1,2}):/.exec(this.text);
    if (!match) return undefined;
    this.pos = match[0].length;
    const box =
      match[1] === undefined ? (places[Math.min(at, places.length - 1)]?.box ?? 1) : Number(match[1]);
    const found = places.findIndex((p) => p.box === box && p.slot === Number(match[2]));
    if (found < 0) {
      this.complain(
        'no-such-slot',
        0,
        `Box ${box} has no frame in slot ${match[2]}.`,
        'Correct the number before the colon.',
        this.pos,
      );
      return undefined;
    }
    return found;
  }

  blank(): boolean {
    return this.problems.length === 0 && this.text.slice(this.pos).trim() === '';
  }

  read(before: FrameReading | null, last: FrameReading | null): FrameReading | null {
    const sides: SideDraft[] = [newSide()];
    let copied: FrameReading | null = null;
    let skipped = false;
    let queenSeen = false;
    const cells: CellFinding[] = [];
    for (this.skip(); this.pos < this.text.length; this.skip()) {
      const start = this.pos;
      const letter = this.text[this.pos]!.toLowerCase();
      const side = sides.at(-1)!;
      this.pos += 1;
      if (letter in CONTENT_LETTERS || letter in MIXED_LETTERS) {
        this.content(side, letter, start);
      } else if (letter === '*') {
        side.bees = this.tenths(start, 'bees') ?? side.bees;
      } else if (letter === 'q') {
        queenSeen = true;
      } else if (letter === 'k') {
        const cell = this.cell(start);
        if (cell) cells.push(cell);
      } else if (letter === '|') {
        if (sides.length === 2)
          this.complain('third-side', start, 'A frame has two sides.', 'Take one | out.');
        else sides.push(newSide());
      } else if (letter === '=' || letter === '"') {
        copied = letter === '=' ? before : last;
        if (!copied) {
          const what =
            letter === '=' ? 'There is no frame before this one.' : 'This frame was not read before.';
          this.complain('nothing-to-copy', start, what, 'Name what is on it, as h3 c *8.');
        }
      } else if (letter === '-') {
        skipped = true;
      } else {
        // What follows it, as in `w5`, belongs to it and is not a mistake of its own.
        while (/[\d.]/.test(this.text[this.pos] ?? '')) this.pos += 1;
        const meant = this.text.slice(start, this.pos);
        this.complain(
          'unknown-letter',
          start,
          `“${meant}” means nothing here.`,
          'Letters: h n b g o c e d x f, m, y; * bees; q queen; k cells.',
          this.pos,
        );
      }
    }
    if (this.problems.length > 0 || skipped) return null;
    const said = sides.length === 2 || sides[0]!.tenths.size > 0 || sides[0]!.rest !== null;
    if (copied) {
      if (said) {
        this.complain(
          'copy-and-contents',
          0,
          'This frame is copied and has contents of its own.',
          'Keep one of the two; only bees, queen and cells may follow.',
        );
        return null;
      }
      const bees = sides[0]!.bees;
      const copy =
        bees === null
          ? copied.sides
          : (copied.sides.map((s) => ({ ...s, bees })) as unknown as FrameReading['sides']);
      return { v: 1, sides: copy, queenSeen, cells, estimated: false };
    }
    const whole = sides.map((s, i) => this.finish(s, sides[0]!, before?.sides[i] ?? null));
    const [a, b = a] = whole;
    if (!a || !b) return null;
    return { v: 1, sides: [a, b], queenSeen, cells, estimated: false };
  }

  complain(code: string, start: number, message: string, remedy: string, end = start + 1): void {
    this.problems.push({
      code,
      from: this.offset + start,
      to: this.offset + Math.max(end, start + 1),
      message,
      remedy,
    });
  }

  private skip(): void {
    while (/[\s,]/.test(this.text[this.pos] ?? '')) this.pos += 1;
  }

  private number(): number | null {
    NUMBER.lastIndex = this.pos;
    const match = NUMBER.exec(this.text);
    if (!match) return null;
    this.pos += match[0].length;
    return Number(match[0].replace(',', '.'));
  }

  private tenths(start: number, name: string): number | null {
    const value = this.number();
    if (value === null) {
      this.complain(
        'number-missing',
        start,
        `How many tenths of ${name}?`,
        'Put a number from 0 to 10 behind it.',
      );
      return null;
    }
    if (value > 10) {
      this.complain(
        'over-ten',
        start,
        `${value} tenths of ${name}: a side has ten.`,
        'Put a number from 0 to 10 behind it.',
        this.pos,
      );
      return null;
    }
    if (value * 2 !== Math.round(value * 2)) {
      this.complain(
        'too-fine',
        start,
        `${value} tenths of ${name} is finer than an eye can tell.`,
        'Use whole or half tenths, as 6 or 6.5.',
        this.pos,
      );
      return null;
    }
    return value;
  }

  private content(side: SideDraft, letter: string, start: number): void {
    const next = this.text[this.pos] ?? '';
    const name = nameOf(letter);
    if (side.tenths.has(letter) || side.rest === letter) {
      this.complain('content-twice', start, `${name} is named twice on this side.`, 'Keep one of the two.');
    }
    if (/\d/.test(next)) {
      const value = this.tenths(start, name);
      if (value !== null) side.tenths.set(letter, value);
      return;
    }
    if (side.rest !== null) {
      this.complain(
        'two-rests',
        start,
        `${nameOf(side.rest)} and ${name} both take the rest of the side.`,
        'Put a number behind one of them.',
      );
    }
    side.rest = letter;
  }

  private cell(start: number): CellFinding | null {
    const count = this.number() ?? 1;
    const kind = CELL_LETTERS[(this.text[this.pos] ?? '').toLowerCase()];
    if (!kind) {
      this.complain(
        'cell-kind',
        start,
        'Which kind of queen cell?',
        'Put one of u j o c e t behind it: cup, charged, open, capped, emerged, torn.',
        this.pos + 1,
      );
      return null;
    }
    this.pos += 1;
    if (!Number.isInteger(count) || count < 1 || count > 200) {
      this.complain(
        'cell-count',
        start,
        `${count} cells cannot be.`,
        'Use a whole number from 1 to 200.',
        this.pos,
      );
      return null;
    }
    let age: number | undefined;
    if (this.text[this.pos] === '@') {
      this.pos += 1;
      const value = this.number();
      if (value === null || value > 6) {
        this.complain(
          'larva-age',
          start,
          'How old is the larva, in days since it hatched?',
          'Put a number from 0 to 6 behind the @.',
          this.pos,
        );
        return null;
      }
      age = value;
    }
    const place = /^-([fbs])/i.exec(this.text.slice(this.pos));
    if (place) this.pos += 2;
    return {
      kind,
      count,
      ...(age === undefined ? {} : { larvaAgeDays: age }),
      ...(place ? { place: PLACE_LETTERS[place[1]!.toLowerCase()] } : {}),
    };
  }

  private finish(side: SideDraft, first: SideDraft, before: Side | null): Side | null {
    const amounts: Partial<Record<ContentClass, number>> = {};
    const add = (letter: string, tenths: number) => {
      for (const [c, share] of sharesOf(letter, tenths)) amounts[c] = (amounts[c] ?? 0) + share;
    };
    for (const [letter, value] of side.tenths) add(letter, value);
    const sum = sumOfTenths(amounts);
    if (sum > 10) {
      this.complain(
        'side-over-full',
        0,
        `The side holds ${sum} tenths; a side has ten.`,
        `Take ${sum - 10} tenths off one of its contents.`,
        this.text.length,
      );
      return null;
    }
    add(side.rest ?? 'x', 10 - sum);
    const bees = side.bees ?? first.bees ?? before?.bees ?? null;
    if (bees === null) {
      this.complain(
        'bees-missing',
        this.text.trimEnd().length - 1,
        'How many bees are on it?',
        'Add * and tenths of a side, as *8; later frames then take the same.',
      );
      return null;
    }
    const contents: Contents = Object.fromEntries(
      CONTENT_CLASSES.flatMap((c) => ((amounts[c] ?? 0) > 0 ? [[c, amounts[c]]] : [])),
    );
    return { contents, bees };
  }
}

const newSide = (): SideDraft => ({ tenths: new Map(), rest: null, bees: null });

/** Deals tenths out over what a letter stands for, in half tenths that add up exactly. */
function sharesOf(letter: string, tenths: number): [ContentClass, number][] {
  const content = CONTENT_LETTERS[letter];
  if (content) return [[content, tenths]];
  const shares = Object.entries(MIXED_LETTERS[letter] ?? {}) as [ContentClass, number][];
  let left = tenths;
  return shares.map(([c, share], i) => {
    const part = i === shares.length - 1 ? left : Math.min(left, Math.round(tenths * share * 2) / 2);
    left -= part;
    return [c, part];
  });
}
