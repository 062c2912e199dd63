import { describe, expect, it } from 'vitest';
import { generatedYards } from '../testing/generatedYards.ts';
import { FULL_BOX, methodPlan, withQueen } from '../testing/methodPlans.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor } from '../testing/yardRequests.ts';
import { seededIds } from '../demo/seededIds.ts';
import { makeYardPlan } from '../yardplan/layout/makeYardPlan.ts';
import { tagsOfWork } from './hiveTags.ts';

const seen = FULL_BOX.map((c, i) => (i === 3 ? withQueen(c) : c));

function tags(method: Parameters<typeof methodPlan>[0]) {
  const { yard, command } = methodPlan(method, [seen, FULL_BOX]);
  yard.run(command);
  const plan = yard.apiary.work[command.work.id];
  if (!plan) throw new Error('not kept');
  return tagsOfWork(yard.apiary, plan);
}

describe('tags of a split', () => {
  it('say which part raises and until when it is left alone', () => {
    const [old, nuc] = tags('queen-to-nuc');
    expect(nuc).toMatchObject({ name: 'New', mother: 'Old', queen: 'old queen of Old', note: 'Laying.' });
    // By hand: rest from 21 May to 4 June, as in the calendar of the split.
    expect(old).toMatchObject({
      queen: 'raising, not mated yet',
      year: 2026,
      note: 'Hands off Thu 21 May to Thu 4 Jun.',
    });
  });

  it('do not claim to know where a queen is that nobody looked for', () => {
    expect(tags('walk-away-halves').map((t) => t.queen)).toEqual([
      'unknown until day 7',
      'unknown until day 7',
    ]);
  });

  it('name the queen that was given', () => {
    const [old, nuc] = tags('caged-queen');
    expect(old?.queen).toBe('its old queen');
    expect(nuc).toMatchObject({ queen: 'mated, given in a cage', year: null });
  });
});

describe('tags of a yard plan', () => {
  it.each([
    ['raises', 'raising, not mated yet', /^Hands off/],
    ['mated', 'mated, given in a cage', /^Cage on day 3 to 5/],
    ['cell', 'ripe cell, not mated yet', /^Hands off/],
  ] as const)('of nucs whose queen is: %s', (queen, words, note) => {
    const apiary = generatedYards({ colonies: 4, seed: 3 });
    const problem = problemOf(apiary, requestFor(apiary, [nucs(1, fiveFrames({ queen }))]));
    const { plan } = planned(problem, 1);
    const made = makeYardPlan(apiary, problem, plan, { names: {}, bound: null, name: 'x' }, seededIds(9));
    const [tag] = tagsOfWork(apiary, made.work);
    expect(tag?.queen).toBe(words);
    expect(tag?.note).toMatch(note);
    expect(Object.values(apiary.colony).map((c) => c.name)).toContain(tag?.mother);
    expect(tag?.day).toBe('2026-05-15');
  });
});
