import { describe, expect, it } from 'vitest';
import type { FollowUp } from '../records/records.ts';
import { framesOfColony } from '../records/views.ts';
import type { FrameReading } from '../comb/contents.ts';
import { unitFacts } from '../remedies/unit/unitFacts.ts';
import { watchOn } from '../remedies/watchOn.ts';
import { NEST } from '../testing/nests.ts';
import { FULL_OF_BROOD, WEAK_DAY, WeakYard } from '../testing/weakYard.ts';
import { watchVerdict } from './watchVerdict.ts';

const OUTSIDE = { coldNights: false };

/** A unit put on watch on the day it is judged. */
function watched() {
  const yard = new WeakYard(FULL_OF_BROOD);
  yard.flow(WEAK_DAY);
  const followUp = watchOn(unitFacts(yard.apiary, yard.weak, WEAK_DAY, OUTSIDE), yard.newId());
  yard.run({ type: 'fileFollowUp', followUp });
  const filed = () => yard.apiary.followUp[followUp.id]!;
  const count = (day: string, combs: readonly FrameReading[]) =>
    yard.run({
      type: 'recordCount',
      visitId: yard.newId(),
      colonyId: yard.weak.id,
      day,
      note: '',
      readings: framesOfColony(yard.apiary, yard.weak).map((p, i) => ({
        id: yard.newId(),
        frameId: p.frame.id,
        body: combs[i] as never,
      })),
    });
  return { yard, followUp, count, verdict: (f: FollowUp = filed()) => watchVerdict(yard.apiary, f) };
}

const MORE_BROOD = [NEST.honey(2), NEST.open(9, 10), NEST.capped(9, 9), NEST.capped(9, 9), NEST.capped(9, 9)];
const LESS = [NEST.honey(2), NEST.open(4, 4), NEST.capped(4, 4), NEST.empty(1), NEST.empty(1)];

describe('a watch', () => {
  it('asks for a little more brood than now, or more bees, within a week', () => {
    const { followUp } = watched();
    expect(followUp.window).toEqual({ earliest: '2026-05-22', likely: '2026-05-23', latest: '2026-05-25' });
    expect(followUp.test!.since).toBe(WEAK_DAY);
    expect(followUp.expect).toContain(`${followUp.test!.brood.toFixed(1)} frames of brood`);
    expect(followUp.expect).toContain(`more bees than ${followUp.test!.bees.toFixed(1)}`);
  });

  it('is open until it is counted after its first day', () => {
    const { verdict, count } = watched();
    expect(verdict()).toEqual({ is: 'uncounted' });
    count(WEAK_DAY, MORE_BROOD);
    expect(verdict()).toEqual({ is: 'uncounted' });
  });

  it('is stood as soon as a count shows it, before its day too', () => {
    const { verdict, count } = watched();
    count('2026-05-19', MORE_BROOD);
    expect(verdict()).toMatchObject({ is: 'stood', day: '2026-05-19' });
  });

  it('is failed by a count on its day, but not by an earlier one', () => {
    const { verdict, count } = watched();
    count('2026-05-19', LESS);
    expect(verdict()).toMatchObject({ is: 'early' });
    count('2026-05-22', LESS);
    expect(verdict()).toMatchObject({ is: 'failed', day: '2026-05-22' });
  });

  it('is stood by bees alone as well', () => {
    const { verdict, count, followUp } = watched();
    count('2026-05-22', LESS);
    const fewer = { ...followUp, test: { ...followUp.test!, bees: 1 } };
    expect(verdict(fewer)).toMatchObject({ is: 'stood' });
  });

  it('of words alone is judged by nobody', () => {
    const { verdict, followUp } = watched();
    expect(verdict({ ...followUp, test: null })).toBeNull();
  });
});
