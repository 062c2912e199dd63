import { GLOSSARY } from './glossary.ts';

/** A piece of a sentence; `word` is the entry that explains it, null where nothing needs explaining. */
export interface Piece {
  readonly text: string;
  readonly word: string | null;
}

/** Words that everybody knows who has bees: a mark under each of them would be noise. */
const KNOWN = new Set([
  'Yard',
  'Stand',
  'Box',
  'Super',
  'Excluder',
  'Honey',
  'Stores',
  'Eggs',
  'Nectar',
  'Split',
  'Foundation',
  'Queen cell',
  'Donor',
]);

/** Every name of every entry that is explained in running text, with its entry; longer names before shorter ones. */
const NAMES: readonly (readonly [name: string, word: string])[] = GLOSSARY.flatMap((g) => g.entries)
  .filter((e) => !KNOWN.has(e.word))
  .flatMap((e) => [e.word, ...(e.also ?? [])].map((name) => [name.toLowerCase(), e.word] as const))
  .toSorted((a, b) => b[0].length - a[0].length);

const WORD_OF = new Map(NAMES);
const escaped = (name: string) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const ANY = new RegExp(`\\b(?:${NAMES.map(([name]) => escaped(name)).join('|')})s?\\b`, 'gi');

/**
 * A sentence taken apart at the trade words in it: each is marked where it first stands, so that it can be explained there.
 *
 * @example termsIn('Drift takes bees home.') // => [{ text: 'Drift', word: 'Drift' }, { text: ' takes bees home.', word: null }]
 */
export function termsIn(sentence: string): Piece[] {
  const pieces: Piece[] = [];
  const seen = new Set<string>();
  let from = 0;
  for (const found of sentence.matchAll(ANY)) {
    const [text] = found;
    const name = text.toLowerCase();
    const word = WORD_OF.get(name) ?? WORD_OF.get(name.replace(/s$/, '')) ?? null;
    if (word === null || seen.has(word)) continue;
    seen.add(word);
    if (found.index > from) pieces.push({ text: sentence.slice(from, found.index), word: null });
    pieces.push({ text, word });
    from = found.index + text.length;
  }
  if (from < sentence.length) pieces.push({ text: sentence.slice(from), word: null });
  return pieces;
}
