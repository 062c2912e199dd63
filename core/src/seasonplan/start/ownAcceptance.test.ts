import { describe, expect, it } from 'vitest';
import { meanOf } from '../../odds/distributions.ts';
import { newQueen } from '../../records/kinds/queen.ts';
import type { Queen } from '../../records/records.ts';
import { NEST } from '../../testing/nests.ts';
import { TestYard } from '../../testing/builders.ts';
import { chanceOfAcceptance, ownAcceptance } from './ownAcceptance.ts';

const TODAY = '2026-08-01';
type Deeds = Queen['history'];

function yardWith(...queens: readonly Partial<Queen>[]) {
  const yard = new TestYard();
  yard.hive('Quill', [[NEST.open()]]);
  for (const q of queens) {
    const id = yard.newId();
    const queen = { ...newQueen({ id, mating: 'mated', whereabouts: { known: 'gone' } }), ...q };
    yard.apiary = { ...yard.apiary, queen: { ...yard.apiary.queen, [id]: queen } };
  }
  return yard.apiary;
}
const put = (day: string, ...more: Deeds): Deeds => [{ day, did: 'put-in', colonyId: null }, ...more];

describe('queens that were put in', () => {
  it('count as kept once they lay or three weeks are over, and as refused when they are gone before', () => {
    const apiary = yardWith(
      { history: put('2026-06-01') },
      { history: put('2026-07-25', { day: '2026-07-31', did: 'laying', colonyId: null }) },
      { history: put('2026-06-01'), end: { day: '2026-06-09', how: 'lost' } },
      // Too early to tell; sold before anybody could; never put in; replaced a year later.
      { history: put('2026-07-20') },
      { history: put('2026-06-01'), end: { day: '2026-06-05', how: 'sold' } },
      { history: [] },
      { history: put('2025-06-01'), end: { day: '2026-06-05', how: 'replaced' } },
    );
    expect(ownAcceptance(apiary, TODAY)).toEqual({ accepted: 3, refused: 1 });
  });

  it('begin from nine of ten, and move it by one’s own: the mean of a beta distribution', () => {
    expect(meanOf(chanceOfAcceptance({ accepted: 0, refused: 0 }))).toBeCloseTo(0.9, 10);
    expect(meanOf(chanceOfAcceptance({ accepted: 2, refused: 8 }))).toBeCloseTo(11 / 20, 10);
  });
});
