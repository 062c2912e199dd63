import { describe, expect, it } from 'vitest';
import { BLIND, cells, eggs, NO, on, WITHOUT, believe } from '../testing/queenLooks.ts';
import { nextObservation } from './nextObservation.ts';

describe('what it rests on', () => {
  it('is told for and against', () => {
    const belief = believe(BLIND, [[7, { eggs: eggs(), cells: NO, mood: 'roaring' }]]);
    expect(belief.reasonsFor.map((r) => r.words)).toContain('eggs seen');
    expect(belief.reasonsAgainst.map((r) => r.words)).toContain('the hive roars');
  });

  it('does not count what was not looked for', () => {
    const bare = believe(BLIND, []);
    expect(believe(BLIND, [[7, {}]], 7).odds).toEqual(believe(BLIND, [], 7).odds);
    expect(bare.reasonsFor).toEqual([]);
  });

  it('is little after a look that came too early: eggs on day 2 prove nothing', () => {
    const early = believe(BLIND, [[2, { eggs: eggs() }]]);
    expect(early.chance).toBeLessThan(0.6);
    expect(early.reasonsFor).toEqual([]);
  });

  it('grows when a look of one box becomes a look of all', () => {
    const some = believe(WITHOUT, [[8, { eggs: NO, cells: NO }, [5, 20]]]);
    const all = believe(WITHOUT, [[8, { eggs: NO, cells: NO }, [20, 20]]]);
    expect(all.odds.hopeless).toBeGreaterThan(some.odds.hopeless * 1.5);
  });
});

describe('the observation that would settle it', () => {
  it('is not before it could: after two days one waits until eggs prove a queen', () => {
    const { courses } = believe(BLIND, [[2, { eggs: eggs() }]]);
    const next = nextObservation(courses, on(2));
    expect(next.day > on(2)).toBe(true);
    expect(next.sure).toBeGreaterThan(0.9);
  });

  it('for neat eggs of a new queen is the caps of their brood, nine days on', () => {
    const { courses } = believe(WITHOUT, [
      [7, { cells: cells('capped') }],
      [24, { eggs: eggs(), cappedBrood: NO }],
    ]);
    const next = nextObservation(courses, on(25));
    expect(next.sure).toBeGreaterThan(0.85);
  });
});
