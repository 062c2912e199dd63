/** More hives than this at once is a slip of the finger. */
const MOST = 150;

/**
 * The names that a short statement stands for: a range, names with commas, or both.
 *
 * @example hiveNames('E1 to E3, Old hive') // => ['E1', 'E2', 'E3', 'Old hive']
 */
export function hiveNames(text: string): string[] {
  const names = text.split(/[,;\n]/).flatMap((part) => {
    const range = /^\s*(.*?)(\d+)\s*(?:to|–|-|\.\.)\s*(?:\1)?(\d+)\s*$/i.exec(part);
    if (!range) return part.trim() === '' ? [] : [part.trim()];
    const [, stem = '', from = '', to = ''] = range;
    const [a, b] = [Number(from), Number(to)];
    if (b < a || b - a >= MOST) return [];
    const width = from.startsWith('0') ? from.length : 0;
    return Array.from({ length: b - a + 1 }, (_, i) => `${stem}${String(a + i).padStart(width, '0')}`);
  });
  return [...new Set(names)].slice(0, MOST);
}
