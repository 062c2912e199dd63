import { Temporal } from 'temporal-polyfill';
import { z } from 'zod';

/** A plain calendar day, `YYYY-MM-DD`. Bees do not care for time zones, so the core has no instants. */
export type Day = string;

/** A real calendar day of our time: 30 February is refused, and so is the year 0202. */
export const daySchema = z.iso.date().refine((day) => day >= '1980-01-01' && day <= '2199-12-31', {
  error: 'The year must be from 1980 to 2199.',
});

/** The day `days` after `day` (before it, when negative). */
export function addDays(day: Day, days: number): Day {
  return Temporal.PlainDate.from(day).add({ days }).toString();
}

/** Whole days from `from` to `to`; negative when `to` is the earlier. */
export function daysBetween(from: Day, to: Day): number {
  return Temporal.PlainDate.from(from).until(Temporal.PlainDate.from(to), { largestUnit: 'day' }).days;
}

/** The calendar year of a day. */
export function yearOf(day: Day): number {
  return Temporal.PlainDate.from(day).year;
}

/** The month of a day, 1 to 12. */
export function monthOf(day: Day): number {
  return Temporal.PlainDate.from(day).month;
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
  const parts = format.formatToParts(Temporal.PlainDate.from(day).toZonedDateTime('UTC').epochMilliseconds);
  const part = (type: string) => parts.find((p) => p.type === type)?.value ?? '';
  return `${part('weekday')} ${part('day')} ${part('month')}`;
}
