import { addDays as plusDays, create, diff, toString } from 'temporal-polyfill/fns/PlainDate';
import { z } from 'zod';

/** A plain calendar day, `YYYY-MM-DD`. Bees do not care for time zones, so the core has no instants. */
export type Day = string;

/** A real calendar day of our time: 30 February is refused, and so is the year 0202. */
export const daySchema = z.iso.date().refine((day) => day >= '1980-01-01' && day <= '2199-12-31', {
  error: 'The year must be from 1980 to 2199.',
});

/** The calendar's own form of a day. @throws RangeError for a day that no calendar has */
const plainDate = (day: Day) => create(yearOf(day), monthOf(day), Number(day.slice(8, 10)));

const FIRST = create(1970, 1, 1);
/** Each day is worked out once: forecasts count days by the hundred thousand. */
const numbers = new Map<Day, number>();
const days = new Map<number, Day>();

/** Days since the first of 1970. */
function numberOf(day: Day): number {
  const known = numbers.get(day);
  if (known !== undefined) return known;
  const number = diff(FIRST, plainDate(day), { largestUnit: 'day' }).days;
  numbers.set(day, number);
  return number;
}

/** The day so many days after another (before it, when negative). */
export function addDays(day: Day, count: number): Day {
  const number = numberOf(day) + count;
  const known = days.get(number);
  if (known !== undefined) return known;
  const made = toString(plusDays(FIRST, number));
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

const MS_A_DAY = 86_400_000;
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
