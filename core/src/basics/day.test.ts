import { addDays as addDaysByDateFns, differenceInCalendarDays, format } from 'date-fns';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, dayInWords, daySchema, daysBetween, type Day } from './day.ts';

const anyDay = fc
  .date({ min: new Date(2000, 0, 1, 12), max: new Date(2060, 11, 31, 12), noInvalidDate: true })
  .map((d) => format(d, 'yyyy-MM-dd'));

describe('calendar days', () => {
  it('agrees with date-fns on adding days', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: -800, max: 800 }), (day, n) => {
        expect(addDays(day, n)).toBe(format(addDaysByDateFns(new Date(`${day}T12:00`), n), 'yyyy-MM-dd'));
      }),
    );
  });

  it('agrees with date-fns on the distance between days', () => {
    fc.assert(
      fc.property(anyDay, anyDay, (a, b) => {
        expect(daysBetween(a, b)).toBe(
          differenceInCalendarDays(new Date(`${b}T12:00`), new Date(`${a}T12:00`)),
        );
      }),
    );
  });

  it('names the weekday: 9 May 2026 is a Saturday', () => {
    expect(dayInWords('2026-05-09')).toBe('Sat 9 May');
  });

  it('refuses a day that is not in the calendar', () => {
    expect(daySchema.safeParse('2026-02-30').success).toBe(false);
    expect(daySchema.safeParse('2028-02-29').success).toBe(true);
  });

  it.each(['2026-02-30', '2026-13-01', '2026-00-10', 'tomorrow', ''] as Day[])(
    'counts nothing from %j',
    (day) => {
      expect(() => addDays(day, 1)).toThrow(RangeError);
      expect(() => daysBetween('2026-05-01', day)).toThrow(RangeError);
    },
  );

  it('knows the leap days of four hundred years', () => {
    expect(addDays('1999-12-31', 60)).toBe('2000-02-29');
    expect(addDays('2099-12-31', 60)).toBe('2100-03-01');
    expect(daysBetween('1980-01-01', '2199-12-31')).toBe(80_353);
  });
});
