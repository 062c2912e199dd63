import { expect, it } from 'vitest';
import { hiveNames } from './hiveNames.ts';

it.each([
  ['E1 to E3', ['E1', 'E2', 'E3']],
  ['E1-3, Old hive', ['E1', 'E2', 'E3', 'Old hive']],
  ['01 to 03', ['01', '02', '03']],
  ['Tansy', ['Tansy']],
  ['A, A', ['A']],
  ['A, B and C', ['A', 'B', 'C']],
  ['A, B, and C', ['A', 'B', 'C']],
  ['Fern & Rowan', ['Fern', 'Rowan']],
  ['Sandy', ['Sandy']],
  ['A to D', ['A', 'B', 'C', 'D']],
  ['6', ['1', '2', '3', '4', '5', '6']],
  ['6, 7', ['6', '7']],
  ['One\nTwo\r\nThree', ['One', 'Two', 'Three']],
  ['Bee\u0000\u200Bch', ['Beech']],
  ['O’Brien’s <b>1</b>', ['O’Brien’s <b>1</b>']],
  ['Übersee 2, 蜂', ['Übersee 2', '蜂']],
  ['x'.repeat(81), []],
  ['E9 to E3', []],
  ['1 to 999999', []],
  ['0', []],
  ['999', []],
  [' , ; ', []],
])('reads “%s”', (text, expected) => {
  expect(hiveNames(text)).toEqual(expected);
});
