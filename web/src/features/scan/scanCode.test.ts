import { expect, it } from 'vitest';
import { placeOfCode } from './scanCode.ts';

const ID = '0c5f8a9e-1d2b-4c3d-8e4f-5a6b7c8d9e0f';

it.each([
  [`https://hive.local:4443/colonies/${ID}`, `/colonies/${ID}`],
  [`http://127.0.0.1:4300/colonies/${ID}/count`, `/colonies/${ID}/count`],
  [` /queens/${ID} `, `/queens/${ID}`],
  [`https://elsewhere.example/shop?colonies/${ID}`, null],
  [`https://hive.local/colonies/../settings`, null],
  ['javascript:alert(1)', null],
  ['WIFI:S:Shed;T:WPA;P:secret;;', null],
  ['', null],
])('%s leads to %s', (said, place) => {
  expect(placeOfCode(said)).toBe(place);
});
