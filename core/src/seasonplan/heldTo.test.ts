import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/index.ts';
import { demoScenario } from '../demo/index.ts';
import type { Apiary, Colony, SeasonPlan } from '../records/index.ts';
import { plainAim } from '../testing/seasonWorld/plainSeason.ts';
import { heldTo } from './heldTo.ts';

const { apiary } = demoScenario();
const alive = Object.values(apiary.colony).filter((c) => c.endedOn === null);
const n = alive.length;
const plan: SeasonPlan = {
  v: 1,
  madeOn: '2026-05-01',
  seed: 1,
  aim: plainAim({ colonies: n + 4 }),
  rounds: [
    { day: '2026-05-23', yardId: null, what: 'nucs', queen: 'raises', parts: 3 },
    { day: '2026-06-27', yardId: null, what: 'halves', queen: 'raises', parts: 2 },
  ],
  said: {
    odds: 0.8,
    weeks: Array.from({ length: 22 }, (_, w) => ({
      day: addDays('2026-05-01', 7 * w),
      colonies: [n - 1, n, n + 5] as [number, number, number],
      frames: [60, 120, 160] as [number, number, number],
      honeyKg: [0, 20, 60] as [number, number, number],
    })),
  },
};

/** As many more colonies as are made on these days. */
function withMade(days: readonly string[]): Apiary {
  const [like] = alive as [Colony];
  const made = days.map((day, i): [string, Colony] => [
    `made ${i}`,
    {
      ...like,
      id: `made ${i}`,
      startedOn: day,
      origin: { how: 'made', fromColonyId: null } as Colony['origin'],
    },
  ]);
  const kept = Object.entries(apiary.colony).filter(([, c]) => c.origin.how === 'entered');
  return { ...apiary, colony: Object.fromEntries([...kept, ...made]) };
}

describe('the season held against its plan', () => {
  const states = (a: Apiary, day: string) => heldTo(a, plan, day).rounds.map((r) => `${r.made} ${r.state}`);
  it('knows what is ahead, due, done in part, done and late', () => {
    expect(states(withMade([]), '2026-05-05')).toEqual(['0 ahead', '0 ahead']);
    expect(states(withMade([]), '2026-05-15')).toEqual(['0 due', '0 ahead']);
    expect(states(withMade([]), '2026-06-02')).toEqual(['0 late', '0 ahead']);
    expect(states(withMade(['2026-05-23', '2026-05-23']), '2026-06-02')).toEqual(['2 part', '0 ahead']);
    expect(states(withMade(['2026-05-20', '2026-05-23', '2026-05-23']), '2026-06-02')).toEqual([
      '3 done',
      '0 ahead',
    ]);
  });
  it('gives each new colony to the round that it falls to', () => {
    expect(states(withMade(['2026-05-23', '2026-05-23', '2026-05-24', '2026-06-28']), '2026-07-02')).toEqual([
      '3 done',
      '1 due',
    ]);
  });
  it('says when the season falls behind what eight of ten were said to bring', () => {
    expect(heldTo(apiary, plan, '2026-05-20').verdict).toBe('as-said');
    const fewer = { ...apiary, colony: Object.fromEntries(Object.entries(apiary.colony).slice(0, 4)) };
    expect(heldTo(fewer, plan, '2026-05-20').verdict).toBe('behind');
  });
  it('is behind once a round is overdue, however many stand there', () => {
    expect(heldTo(apiary, plan, '2026-05-29').verdict).toBe('as-said');
    expect(heldTo(apiary, plan, '2026-06-02').verdict).toBe('behind');
    expect(heldTo(withMade(['2026-05-23', '2026-05-23', '2026-05-24']), plan, '2026-06-02').verdict).toBe(
      'as-said',
    );
  });
  it('tells how many counts are too old to hold it against', () => {
    expect(heldTo(apiary, plan, '2026-05-15').stale).toBeLessThan(n / 2);
    expect(heldTo(apiary, plan, '2026-07-15').stale).toBe(n);
  });
});
