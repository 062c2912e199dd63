import { expect, it } from 'vitest';
import { inRegion } from './regionalWords.ts';

it.each([
  ['Bee bread', 'us', 'Bee bread'],
  ['Bee bread', 'commonwealth', 'Pollen'],
  ['capped brood', 'commonwealth', 'sealed brood'],
  ['roof', 'us', 'telescoping cover'],
  ['roof', 'commonwealth', 'roof'],
  ['2 inner covers', 'commonwealth', '2 crown boards'],
  ['Remove the 3 capped, leave the 1 open.', 'commonwealth', 'Remove the 3 sealed, leave the 1 open.'],
  ['Uncapped honey, capped honey', 'commonwealth', 'Unsealed honey, sealed honey'],
  ['On the upturned roof', 'us', 'On the upturned telescoping cover'],
  ['cappings, a roofer', 'us', 'cappings, a roofer'],
  ['cappings, handicapped', 'commonwealth', 'cappings, handicapped'],
  ['', 'us', ''],
] as const)('%s is in the %s words %s', (text, region, said) => {
  expect(inRegion(text, region)).toBe(said);
  // Said twice it does not change again.
  expect(inRegion(said, region)).toBe(said);
});
