import { describe, expect, it } from 'vitest';
import { byteAt, cellAt, floatAt, intAt, numberAt } from './numberAt.ts';

const readers = {
  list: (i: number) => numberAt([1, 0, 3], i),
  floats: (i: number) => floatAt(Float64Array.of(1, 0, 3), i),
  'whole numbers': (i: number) => intAt(Int32Array.of(1, 0, 3), i),
  'small whole numbers': (i: number) => byteAt(Int8Array.of(1, 0, 3), i),
  'rows of floats': (i: number) => cellAt([Float64Array.of(), Float64Array.of(1, 0, 3)], 1, i),
};

describe('a number is read from its place', () => {
  it.each(Object.entries(readers))('of a %s, zero included, and no other place', (_, read) => {
    expect([0, 1, 2].map(read)).toEqual([1, 0, 3]);
    expect(() => read(3)).toThrow(new RangeError('There is no number at 3 of 3.'));
    expect(() => read(-1)).toThrow(RangeError);
  });

  it('of a row that is there', () => {
    expect(() => cellAt([], 0, 0)).toThrow(RangeError);
  });
});
