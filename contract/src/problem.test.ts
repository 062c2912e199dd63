import { expect, it } from 'vitest';
import { pointerOf } from './problem.ts';

it('writes JSON Pointers as RFC 6901 section 5 does', () => {
  // Examples of the RFC: keys "foo", "a/b" and "m~n".
  expect(pointerOf([])).toBe('');
  expect(pointerOf(['foo', 0])).toBe('/foo/0');
  expect(pointerOf(['a/b'])).toBe('/a~1b');
  expect(pointerOf(['m~n'])).toBe('/m~0n');
});
