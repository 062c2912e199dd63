import { expect, it } from 'vitest';
import { dayInWords } from './day.ts';
import { weekOf } from './weeks.ts';

it.each([
  ['2026-05-15', 'monday', '2026-05-11'],
  ['2026-05-15', 'sunday', '2026-05-10'],
  ['2026-05-17', 'monday', '2026-05-11'],
  ['2026-05-17', 'sunday', '2026-05-17'],
  ['2026-01-01', 'monday', '2025-12-29'],
  ['1969-12-31', 'sunday', '1969-12-28'],
] as const)('the week of %s, from %s on, begins on %s', (day, start, first) => {
  expect(weekOf(day, start)).toBe(first);
  expect(dayInWords(first)).toMatch(start === 'monday' ? /^Mon/ : /^Sun/);
});
