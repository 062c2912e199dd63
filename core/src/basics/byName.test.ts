import { expect, it } from 'vitest';
import { byName } from './byName.ts';

it('counts in names: E2 comes before E10', () => {
  const names = ['E10', 'Yarrow', 'E2', 'Agrimony'].map((name) => ({ name }));
  expect(names.toSorted(byName).map((n) => n.name)).toEqual(['Agrimony', 'E2', 'E10', 'Yarrow']);
});
