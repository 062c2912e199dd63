import { expect, it } from 'vitest';
import { inRegion } from './regionalWords.ts';

it.each([
  ['Bee bread', 'us', 'Bee bread'],
  ['Bee bread', 'commonwealth', 'Pollen'],
  ['capped brood', 'commonwealth', 'sealed brood'],
  ['roof', 'us', 'telescoping cover'],
  ['roof', 'commonwealth', 'roof'],
  ['inner cover', 'commonwealth', 'crown board'],
  ['Roof of the shed', 'us', 'Roof of the shed'],
  ['', 'us', ''],
] as const)('%s is in the %s words %s', (name, region, said) => {
  expect(inRegion(name, region)).toBe(said);
});
