import { expect, it } from 'vitest';
import { listInWords } from './listInWords.ts';

it('names stand one after the other as they are said', () => {
  expect(listInWords([])).toBe('');
  expect(listInWords(['Ash'])).toBe('Ash');
  expect(listInWords(['Ash', 'Birch'])).toBe('Ash and Birch');
  expect(listInWords(['Ash', 'Birch', 'Cherry'])).toBe('Ash, Birch and Cherry');
});
