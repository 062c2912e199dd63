import { CONTENT_NAMES, type CellKind, type CellPlace, type ContentClass } from '../comb/index.ts';

/**
 * The letters of the shorthand. They are the keys of the recorder's buttons, so that both are learned at
 * once; the first letter of the word where it is free.
 */
export const CONTENT_LETTERS: Readonly<Record<string, ContentClass>> = {
  h: 'honey',
  n: 'nectar',
  b: 'beeBread',
  g: 'eggs',
  o: 'open',
  c: 'capped',
  e: 'emerging',
  d: 'drone',
  x: 'drawn',
  f: 'foundation',
};

/** Letters that stand for several contents at once, with the shares that each gets. */
export const MIXED_LETTERS: Readonly<Record<string, Readonly<Partial<Record<ContentClass, number>>>>> = {
  // Steady laying leaves eggs : open : capped as 3 : 6 : 12, by the days in each stage.
  m: { eggs: 3 / 21, open: 6 / 21, capped: 12 / 21 },
  y: { eggs: 3 / 9, open: 6 / 9 },
};

export const CELL_LETTERS: Readonly<Record<string, CellKind>> = {
  u: 'cup',
  j: 'charged',
  o: 'open',
  c: 'capped',
  e: 'emerged',
  t: 'torn',
};

export const PLACE_LETTERS: Readonly<Record<string, CellPlace>> = {
  f: 'face',
  b: 'bottom-edge',
  s: 'side-edge',
};

/** The letter of a value in one of the tables above. */
export function letterOf<V>(table: Readonly<Record<string, V>>, value: V): string {
  const found = Object.entries(table).find(([, v]) => v === value);
  if (!found) throw new RangeError(`no letter for ${String(value)}`);
  return found[0];
}

/** What a letter stands for, in words. */
export function nameOf(letter: string): string {
  const content = CONTENT_LETTERS[letter];
  if (content) return CONTENT_NAMES[content];
  return letter === 'm' ? 'mixed brood' : 'eggs and larvae';
}
