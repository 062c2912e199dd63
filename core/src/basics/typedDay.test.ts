import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, dayInWords, yearOf } from './day.ts';
import { typedDay } from './typedDay.ts';

const TODAY = '2026-05-15';

describe('a day as it is typed', () => {
  it.each([
    ['2026-06-05', '2026-06-05'],
    ['2026/6/5', '2026-06-05'],
    ['5.6.2026', '2026-06-05'],
    ['5.6.26', '2026-06-05'],
    ['05-06-2026', '2026-06-05'],
    ['5/6/2026', '2026-06-05'],
    ['5 June', '2026-06-05'],
    ['June 5th, 2026', '2026-06-05'],
    ['Fri 5 Jun 2026', '2026-06-05'],
    ['5. Juni 2026', '2026-06-05'],
    ['5 juin', '2026-06-05'],
    ['5 de junio', '2026-06-05'],
    ['1er août 2026', '2026-08-01'],
    ['3 sept', '2026-09-03'],
    ['tomorrow', '2026-05-16'],
    ['Yesterday', '2026-05-14'],
    ['28.12.', '2025-12-28'],
    ['3.1.', '2026-01-03'],
  ])('%s', (text, day) => {
    expect(typedDay(text, TODAY)).toBe(day);
  });

  it('of numbers alone is read as the reader writes it, and the other way where only that is a day', () => {
    expect(typedDay('6/5/2026', TODAY, 'month-first')).toBe('2026-06-05');
    expect(typedDay('5/6/2026', TODAY, 'day-first')).toBe('2026-06-05');
    expect(typedDay('6/25/2026', TODAY, 'day-first')).toBe('2026-06-25');
    expect(typedDay('25/6/2026', TODAY, 'month-first')).toBe('2026-06-25');
    // Points are not used where the month stands first.
    expect(typedDay('5.6.2026', TODAY, 'month-first')).toBe('2026-06-05');
  });

  it.each(['', ' ', 'soon', '31.2.2026', '2026-13-01', '5', '1.2.3.4', '99999', '5 June July', 'x5'])(
    'that is none is not guessed: “%s”',
    (text) => {
      expect(typedDay(text, TODAY)).toBeNull();
    },
  );

  it('is what stands in the field, whatever day that is', () => {
    fc.assert(
      fc.property(fc.integer({ min: -12_000, max: 12_000 }), (n) => {
        const day = addDays(TODAY, n);
        expect(typedDay(`${dayInWords(day)} ${yearOf(day)}`, TODAY)).toBe(day);
        expect(typedDay(day, TODAY)).toBe(day);
      }),
    );
  });
});
