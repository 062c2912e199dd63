import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/index.ts';
import { hasNurses } from './drift.ts';

describe('nurses that can be shaken off', () => {
  it.each([
    ['a comb of the middle of a steady nest', { honey: 1, eggs: 1, open: 2, capped: 5, drawn: 1 }, true],
    ['a small patch of eggs and larvae', { honey: 6, open: 2, capped: 1, drawn: 1 }, true],
    ['capped brood with a rim of larvae', { honey: 1, open: 1, capped: 7, drawn: 1 }, false],
    ['food', { honey: 8, drawn: 2 }, false],
  ] as const)('%s', (_, contents, is) => {
    expect(hasNurses(bothSides(contents, 8))).toBe(is);
  });
});
