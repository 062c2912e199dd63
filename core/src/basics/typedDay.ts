import { addDays, daySchema, daysBetween, monthNamesIn, yearOf, type Day } from './day.ts';

/** How a day of numbers alone is read where it could be either: 5/6 is the fifth of June, or the sixth of May. */
export type NumberOrder = 'day-first' | 'month-first';

/** Languages whose names of months are read. */
const LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pl', 'sv'];

/** Names of months, without accents and dots. */
const monthNames = new Map<string, number>();

function monthOfName(name: string): number | undefined {
  if (monthNames.size === 0) {
    for (const language of LANGUAGES)
      for (const length of ['long', 'short'] as const)
        monthNamesIn(language, length).forEach((name, m) => {
          if (!monthNames.has(plainly(name))) monthNames.set(plainly(name), m + 1);
        });
  }
  const exact = monthNames.get(name);
  if (exact !== undefined || name.length < 3) return exact;
  // As much of a name as leaves no doubt: “sept”.
  const fits = new Set([...monthNames].flatMap(([known, m]) => (known.startsWith(name) ? [m] : [])));
  return fits.size === 1 ? [...fits][0] : undefined;
}

const plainly = (word: string): string =>
  word
    .toLowerCase()
    .normalize('NFD')
    .replaceAll(/[^\p{Letter}\p{Number}]/gu, '');

const NEAR: Readonly<Record<string, number>> = { yesterday: -1, today: 0, tomorrow: 1 };

/**
 * A day as people type it: `15 May`, `May 15, 2026`, `15.5.26`, `5/15/2026`, `2026-05-15`, `15 mai`, `tomorrow`. Without
 * a year it is the nearest such day.
 *
 * @param order - how numbers are read where both could be meant; where only one is a day, that one is
 * @returns null when it is no day
 */
export function typedDay(text: string, today: Day, order: NumberOrder = 'day-first'): Day | null {
  const near = NEAR[plainly(text)];
  if (near !== undefined) return addDays(today, near);
  const words = text
    .split(/[\s,./\-–]+/)
    .map((w) => plainly(w).replace(/^(\d+)(st|nd|rd|th|e|er|º)$/, '$1'))
    .filter((w) => w !== '');
  const numbers = words.filter((w) => /^\d+$/.test(w));
  const months = words.flatMap((w) => (/^\d/.test(w) ? [] : (monthOfName(w) ?? [])));
  if (months.length > 1 || words.some((w) => /\d/.test(w) && !/^\d{1,4}$/.test(w))) return null;
  const [month] = months;
  if (month !== undefined) {
    const [a = '', b] = numbers;
    if (numbers.length > 2) return null;
    return a.length === 4 ? dated(a, month, Number(b ?? 0), today) : dated(b, month, Number(a), today);
  }
  // A word that is no month is a day of the week, or nothing that is known.
  if (words.length !== numbers.length) return null;
  const [a = '', b = '', c] = numbers;
  if (numbers.length < 2 || numbers.length > 3) return null;
  if (a.length === 4) return c === undefined ? null : dated(a, Number(b), Number(c), today);
  // Points and dashes stand in countries that write the day first.
  const monthFirst = order === 'month-first' && text.includes('/');
  const [first, second] = [dated(c, Number(b), Number(a), today), dated(c, Number(a), Number(b), today)];
  return monthFirst ? (second ?? first) : (first ?? second);
}

/** A real day; without a year the one nearest to today. */
function dated(year: string | undefined, month: number, day: number, today: Day): Day | null {
  const two = (n: number) => String(n).padStart(2, '0');
  const inYear = (y: number) => {
    const made = `${y}-${two(month)}-${two(day)}`;
    return daySchema.safeParse(made).success ? made : null;
  };
  if (year !== undefined) return inYear(year.length === 4 ? Number(year) : 2000 + Number(year));
  const now = yearOf(today);
  const [nearest = null] = [now, now - 1, now + 1]
    .flatMap((y) => inYear(y) ?? [])
    .toSorted((p, q) => Math.abs(daysBetween(today, p)) - Math.abs(daysBetween(today, q)));
  return nearest;
}
