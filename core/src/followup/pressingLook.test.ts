import { expect, it } from 'vitest';
import type { Day } from '../basics/index.ts';
import type { FollowUp } from '../records/index.ts';
import { pressingLook } from './pressingLook.ts';

const look = (earliest: Day, latest: Day, kind: FollowUp['kind'] = 'look'): FollowUp => ({
  id: earliest,
  workId: null,
  colonyIds: ['a'],
  kind,
  topic: 'act',
  window: { earliest, likely: earliest, latest },
  expect: '',
  status: 'open',
});
const looks = [
  look('2026-05-03', '2026-05-04'),
  look('2026-05-07', '2026-05-09'),
  look('2026-05-11', '2026-05-25', 'hands-off'),
  look('2026-05-26', '2026-06-02'),
];

it.each([
  ['2026-05-01', '2026-05-03', 'the next to come'],
  ['2026-05-08', '2026-05-07', 'the one that is due'],
  ['2026-05-12', '2026-05-07', 'the last that was missed, though the next has its day'],
  ['2026-05-30', '2026-05-26', 'what is due overtakes what was missed'],
  ['2026-07-01', '2026-05-26', 'of all that were missed the last'],
])('on %s it is that of %s: %s', (today, id) => {
  expect(pressingLook(looks, today)?.id).toBe(id);
});

it('where nothing is to be looked at there is none', () => {
  expect(pressingLook([looks[2]!], '2026-05-12')).toBeUndefined();
});
