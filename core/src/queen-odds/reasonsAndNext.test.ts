import { describe, expect, it } from 'vitest';
import { BLIND, caps, cells, eggs, NO, on, queen, read, WITHOUT, believe } from '../testing/queenLooks.ts';
import { nextObservation } from './nextObservation.ts';
import { queenBelief } from './queenOdds.ts';

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

describe('a queen that has stopped to lay', () => {
  const look = (said: Parameters<typeof read>[0]) =>
    queenBelief(
      { separatedOn: null, emergence: null, queenHere: 1 },
      [{ day: on(0), seen: read({ framesRead: 5, framesTotal: 5, ...said }) }],
      on(0),
    );

  it('stands beside one that lays, where she is seen with capped brood and no eggs', () => {
    const belief = look({
      queen: queen('long'),
      eggs: NO,
      cells: NO,
      cappedBrood: caps('both', 'scattered'),
    });
    expect(belief.odds['not-laying']).toBeGreaterThan(0.3);
    expect(belief.odds.laying).toBeGreaterThan(0.3);
    expect(belief.open || belief.rival.chance > 0.3).toBe(true);
    // Larvae part them: from eggs that were overlooked they come, from none they do not; eggs were looked for today.
    const next = nextObservation(belief, on(0));
    expect(next.what === 'Look for larvae' || next.day > on(0)).toBe(true);
  });

  it('is none that lays neatly', () => {
    const belief = look({ queen: queen('long'), eggs: eggs(), cappedBrood: caps('flat', 'compact') });
    // Eggs are seen for three days after the last one.
    expect(belief.odds['not-laying']).toBeLessThan(0.02);
  });
});

describe('the observation that would settle it', () => {
  it('is not before it could: after two days one waits until eggs prove a queen', () => {
    const belief = believe(BLIND, [[2, { eggs: eggs() }]]);
    const next = nextObservation(belief, on(2));
    expect(next.day > on(2)).toBe(true);
    expect(next.sure).toBeGreaterThan(0.9);
  });

  it('for neat eggs of a new queen is the caps of their brood, nine days on', () => {
    const belief = believe(WITHOUT, [
      [7, { cells: cells('capped') }],
      [24, { eggs: eggs(), cappedBrood: NO }],
    ]);
    const next = nextObservation(belief, on(25));
    expect(next.sure).toBeGreaterThan(0.85);
  });
});
