/** More hives than this at once is a slip of the finger. */
const MOST = 150;

/** What a name may be as long as. */
const LONGEST = 80;

/** Two or more names that are told in one breath: `A, B and C`. */
const JOINED = /\s+(?:and|&)\s+/i;

/**
 * The names that a short statement stands for: a range of numbers or of letters, names with commas or "and" between them, a
 * mere number of hives, or several of these.
 *
 * @example hiveNames('E1 to E3, Old hive') // => ['E1', 'E2', 'E3', 'Old hive']
 * @example hiveNames('A, B and C') // => ['A', 'B', 'C']
 * @example hiveNames('6') // => ['1', '2', '3', '4', '5', '6']
 */
export function hiveNames(text: string): string[] {
  const said = clean(text);
  // A number alone is how many: nobody has one hive called 6 and no other.
  const number = /^\d{1,3}$/.exec(said);
  if (number) return numbered('', 1, Number(said), 0);
  const names = said
    .split(/[,;]/)
    .flatMap((part) => part.replace(/^\s*(?:and|&)\s+/i, '').split(JOINED))
    .flatMap((part) => range(part.trim()));
  return [...new Set(names)].filter((n) => n !== '' && n.length <= LONGEST).slice(0, MOST);
}

/** Lines are as good as commas; what nobody can see is left out. */
const clean = (text: string): string =>
  text
    .replace(/[\r\n]+/g, ',')
    .replace(/[\p{Cc}\p{Cf}\p{Surrogate}]/gu, '')
    .trim();

function range(part: string): string[] {
  const numbers = /^(.*?)(\d+)\s*(?:to|–|-|\.\.)\s*(?:\1)?(\d+)$/i.exec(part);
  if (numbers) {
    const [, stem = '', from = '', to = ''] = numbers;
    return numbered(stem, Number(from), Number(to), from.startsWith('0') ? from.length : 0);
  }
  const letters = /^(\p{Lu}|\p{Ll})\s*(?:to|–|-|\.\.)\s*(\p{Lu}|\p{Ll})$/u.exec(part);
  if (!letters) return [part];
  const [from = 0, to = 0] = [letters[1], letters[2]].map((l) => l?.codePointAt(0) ?? 0);
  if (to < from || to - from >= MOST) return [];
  return Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i));
}

function numbered(stem: string, from: number, to: number, width: number): string[] {
  if (to < from || to - from >= MOST) return [];
  return Array.from({ length: to - from + 1 }, (_, i) => `${stem}${String(from + i).padStart(width, '0')}`);
}
