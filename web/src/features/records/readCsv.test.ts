import { expect, it } from 'vitest';
import { readCsv } from './readCsv.ts';

it('reads commas, semicolons and a byte order mark, and keeps the line numbers', () => {
  const expected = [
    { line: 2, fields: { hive: 'Elm', slot: '1' } },
    { line: 3, fields: { hive: 'Elm, old', slot: '2' } },
  ];
  expect(readCsv('\uFEFFhive,slot\nElm,1\n"Elm, old",2\n')).toEqual(expected);
  expect(readCsv('hive;slot\r\nElm;1\r\nElm, old;2\r\n')).toEqual(expected);
});

it('gives no rows for an empty file', () => {
  expect(readCsv('')).toEqual([]);
});
