import { CONTENT_NAMES } from '../comb/index.ts';
import { CELL_LETTERS, CONTENT_LETTERS, MIXED_LETTERS, nameOf } from './letters.ts';

/** What may be typed next, and what it would mean. */
export interface Completion {
  readonly insert: string;
  readonly means: string;
}

const CELL_WORDS = {
  cup: 'empty cups',
  charged: 'cups with a larva',
  open: 'open queen cells',
  capped: 'capped queen cells',
  emerged: 'emerged queen cells',
  torn: 'torn queen cells',
} as const;

/**
 * What may follow at the end of a line of shorthand, likeliest first.
 *
 * @example completeShorthand('h2 c6 ')[0] // => { insert: '*8', means: '8 tenths bees' }
 */
export function completeShorthand(text: string): Completion[] {
  const frame = text.split(/;|\n|\/\//).at(-1) ?? '';
  const side = frame.slice(frame.lastIndexOf('|') + 1).replace(/^\s*(?:\d+\/)?\d+:/, '');
  const cell = /k\d*$/i.exec(side);
  if (cell) {
    return Object.entries(CELL_LETTERS).map(([insert, kind]) => ({ insert, means: CELL_WORDS[kind] }));
  }
  const pending = /([a-z*])$/i.exec(side);
  const letter = pending?.[1]?.toLowerCase() ?? '';
  if (letter === '*' || letter in CONTENT_LETTERS || letter in MIXED_LETTERS) {
    const what = letter === '*' ? 'bees' : nameOf(letter);
    const numbers = ['2', '4', '6', '8', '10'].map((insert) => ({
      insert,
      means: `${insert} tenths ${what}`,
    }));
    return letter === '*' ? numbers : [...numbers, { insert: ' ', means: `the rest of the side is ${what}` }];
  }
  const used = new Set([...side.matchAll(/(?<![k\d@-])([a-z])/gi)].map((m) => m[1]!.toLowerCase()));
  const contents = [
    ...Object.entries(CONTENT_LETTERS).map(([insert, c]) => ({ insert, means: CONTENT_NAMES[c] })),
    ...Object.keys(MIXED_LETTERS).map((insert) => ({ insert, means: nameOf(insert) })),
  ].filter((c) => !used.has(c.insert));
  const hasText = side.trim() !== '';
  const whole = hasText
    ? []
    : [
        { insert: '=', means: 'as the frame before' },
        { insert: '"', means: 'as last time' },
        { insert: '-', means: 'not read' },
      ];
  const marks = hasText
    ? [
        ...(side.includes('*')
          ? [{ insert: '; ', means: 'next frame' }]
          : [{ insert: '*8', means: '8 tenths bees' }]),
        { insert: '| ', means: 'the other side' },
        { insert: 'q', means: 'the queen' },
        { insert: 'k', means: 'queen cells' },
      ].filter((m) => !used.has(m.insert) && !(m.insert === '| ' && frame.includes('|')))
    : [];
  return [...marks.slice(0, 1), ...whole, ...contents, ...marks.slice(1)];
}
