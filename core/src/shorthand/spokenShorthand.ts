import type { CellKind } from '../comb/index.ts';
import { CELL_LETTERS, letterOf } from './letters.ts';

/** Words of numbers up to ten; more tenths than that no side has. */
const NUMBERS: Readonly<Record<string, number>> = Object.fromEntries(
  [
    ['zero', 'no', 'none'],
    ['one', 'won'],
    ['two', 'to', 'too'],
    ['three'],
    ['four', 'for'],
    ['five'],
    ['six'],
    ['seven'],
    ['eight', 'ate'],
    ['nine'],
    ['ten'],
  ].flatMap((words, n) => words.map((w) => [w, n])),
);

/** What is said, and what it is written as. Several words for one thing, as they are said in the yard. */
const SAID: Readonly<Record<string, string>> = {
  honey: 'h',
  stores: 'h',
  nectar: 'n',
  pollen: 'b',
  bread: 'b',
  eggs: 'g',
  egg: 'g',
  open: 'o',
  larvae: 'o',
  larva: 'o',
  capped: 'c',
  sealed: 'c',
  emerging: 'e',
  drone: 'd',
  drones: 'd',
  empty: 'x',
  drawn: 'x',
  foundation: 'f',
  mixed: 'm',
  bees: '*',
  queen: 'q',
  next: ';',
  frame: ';',
  same: '=',
  skip: '-',
  box: '//',
};

/** Said along, and nothing by themselves: "capped brood", "empty comb", "eight tenths", "capped the rest". */
const SILENT = new Set([
  'brood',
  'comb',
  'of',
  'and',
  'tenths',
  'tenth',
  'a',
  'the',
  'with',
  'seen',
  'bee',
  'rest',
]);

const numberIn = (word: string): number | undefined =>
  /^\d/.test(word) ? Number(word.replace(',', '.')) : NUMBERS[word];

const CELL_KINDS: Readonly<Record<string, CellKind>> = {
  open: 'open',
  capped: 'capped',
  sealed: 'capped',
  charged: 'charged',
  emerged: 'emerged',
  torn: 'torn',
};

/**
 * A queen cell is not the queen: "three two capped queen cells" are two of them. Without its kind it is a cup, as when it is tapped;
 * the number behind "bees" is theirs.
 */
const QUEEN_CELLS = new RegExp(
  String.raw`(?:(?<!\bbees )\b(\d+|${Object.keys(NUMBERS).join('|')}) )?\b(?:(${Object.keys(CELL_KINDS).join('|')}) )?(?:queen (?:cell|cup)|cup)s?\b`,
  'g',
);

/** Queen cells as their token; none is nothing. */
function cells(number: string | undefined, kind: string | undefined): string {
  const n = number === undefined ? 1 : (numberIn(number) ?? 1);
  return n === 0 ? ' ' : ` k${n}${letterOf(CELL_LETTERS, CELL_KINDS[kind ?? ''] ?? 'cup')} `;
}

/** What several words mean together, before each is read by itself. */
const phrases = (said: string): string =>
  said
    .replace(/\b(?:the )?(?:same )?as last time\b/g, ' " ')
    .replace(/\b(?:the )?(?:same )?as (?:the )?(?:frame |one )?before\b/g, ' = ')
    .replace(/\bnot read\b/g, ' - ')
    .replace(QUEEN_CELLS, (_, number?: string, kind?: string) => cells(number, kind));

const WRITTEN = /^(?:["=-]|k\d+[uojcet])$/;

/**
 * What was said at the hive as a line of shorthand: "honey three capped bees eight, next" for `h3 c *8;`. A word that means nothing
 * here stays as it is, so that it is marked where it stands. "Next" at the start ends the frame that was said before.
 *
 * @example spokenShorthand('honey three capped bees eight next mixed bees nine queen') // => 'h3 c *8; m *9 q'
 */
export function spokenShorthand(said: string): string {
  const words =
    phrases(said.toLowerCase()).match(/k\d+[uojcet](?!\p{L})|\p{L}+|\d+(?:[.,]5)?|(?<!\S)["=-](?!\S)/gu) ??
    [];
  let line = '';
  for (const word of words) {
    const number = numberIn(word);
    if (word === 'half' && /\d$/.test(line)) line += '.5';
    else if (number !== undefined) line += /[a-z*]$/.test(line) ? String(number) : ` ${number}`;
    else {
      const token = WRITTEN.test(word) ? word : (SAID[word] ?? (SILENT.has(word) ? '' : word));
      // "Next frame" is one end, and so is "box" after it.
      if (token === ';') line = line.endsWith(';') ? line : `${line};`;
      else if (token === '//') line = `${line.replace(/;$/, '')} //`;
      else if (token !== '') line += line === '' ? token : ` ${token}`;
    }
  }
  return line.trim();
}

/**
 * A line with what was said next behind it. A pause is no end of a frame: "next" is, whether it is said with the frame or after a
 * breath, and said twice it still ends one frame.
 */
export function withSpoken(text: string, line: string): string {
  const open = text.trimEnd();
  const more = /^$|;$/.test(open) ? line.replace(/^;\s*/, '') : line;
  if (open === '') return more;
  if (more === '') return text;
  return more.startsWith(';') ? `${open}${more}` : `${open} ${more}`;
}
