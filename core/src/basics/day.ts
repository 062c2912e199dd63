import { z } from 'zod';

/** A plain calendar day, `YYYY-MM-DD`. Bees do not care for time zones, so the core has no instants. */
export type Day = string;

/** A real calendar day of our time: 30 February is refused, and so is the year 0202. */
export const daySchema = z.iso.date().refine((day) => day >= '1980-01-01' && day <= '2199-12-31', {
  error: 'The year must be from 1980 to 2199.',
});

const MS_A_DAY = 86_400_000;

// oxlint-disable-next-line no-restricted-globals -- its calendar alone, in UTC: no clock and no time zone is asked
const Calendar = Date;

/** Each day is worked out once: forecasts count days by the hundred thousand. */
const numbers = new Map<Day, number>();
const days = new Map<number, Day>();

/** A day by its number, by the calendar of the language itself, in UTC where every day has 24 hours. */
const dayOf = (number: number): Day => new Calendar(number * MS_A_DAY).toISOString().slice(0, 10);

/** Days since the first of 1970. @throws RangeError for a day that no calendar has */
function numberOf(day: Day): number {
  const known = numbers.get(day);
  if (known !== undefined) return known;
  const number = Calendar.UTC(yearOf(day), monthOf(day) - 1, Number(day.slice(8, 10))) / MS_A_DAY;
  if (!Number.isInteger(number) || dayOf(number) !== day.slice(0, 10)) throw new RangeError(`no day: ${day}`);
  numbers.set(day, number);
  return number;
}

/** The day so many days after another (before it, when negative). */
export function addDays(day: Day, count: number): Day {
  const number = numberOf(day) + count;
  const known = days.get(number);
  if (known !== undefined) return known;
  const made = dayOf(number);
  days.set(number, made);
  return made;
}

/** Whole days from `from` to `to`; negative when `to` is the earlier. */
export const daysBetween = (from: Day, to: Day): number => numberOf(to) - numberOf(from);

/** The calendar year of a day. */
export function yearOf(day: Day): number {
  return Number(day.slice(0, 4));
}

/** The month of a day, 1 to 12. */
export function monthOf(day: Day): number {
  return Number(day.slice(5, 7));
}

const dayFormats = new Map<string, Intl.DateTimeFormat>();

/** A day in words for one line of text, as in `Sat 9 May`. The year is left out on purpose. */
export function dayInWords(day: Day, locale = 'en-GB'): string {
  let format = dayFormats.get(locale);
  if (!format) {
    format = new Intl.DateTimeFormat(locale, {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      timeZone: 'UTC',
    });
    dayFormats.set(locale, format);
  }
  const parts = format.formatToParts(daysBetween('1970-01-01', day) * MS_A_DAY);
  const part = (type: string) => parts.find((p) => p.type === type)?.value ?? '';
  return `${part('weekday')} ${part('day')} ${part('month')}`;
}

/** The names of the twelve months in a language. */
export const monthNamesIn = (locale: string, month: 'long' | 'short'): string[] => {
  const format = new Intl.DateTimeFormat(locale, { month, timeZone: 'UTC' });
  return Array.from({ length: 12 }, (_, m) => format.format(Calendar.UTC(2026, m, 15)));
};
