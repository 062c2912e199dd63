import { expect, it } from 'vitest';
import { hiveNames } from './hiveNames.ts';

it.each([
  ['E1 to E3', ['E1', 'E2', 'E3']],
  ['E1-3, Old hive', ['E1', 'E2', 'E3', 'Old hive']],
  ['01 to 03', ['01', '02', '03']],
  ['Tansy', ['Tansy']],
  ['A, A', ['A']],
  ['E9 to E3', []],
  ['1 to 999999', []],
  [' ', []],
])('reads “%s”', (text, expected) => {
  expect(hiveNames(text)).toEqual(expected);
});
