import { describe, expect, it } from 'vitest';
import { operationOf, type SeasonPlan } from '../../records/index.ts';
import { TestYard } from '../../testing/builders.ts';
import { honey } from '../../testing/scene.ts';
import { plainAim } from '../../testing/seasonWorld/plainSeason.ts';

const plan = (rounds: SeasonPlan['rounds']): SeasonPlan => ({
  v: 1,
  madeOn: '2026-05-01',
  seed: 1,
  aim: plainAim(),
  rounds,
  said: { odds: 0.5, weeks: [] },
});
const round = (day: string, yardId: string | null = null) =>
  ({ day, yardId, what: 'nucs', queen: 'raises', parts: 2 }) as const;

describe('the season plan that is followed', () => {
  it('is one at a time, and none when it is let go', () => {
    const yard = new TestYard();
    yard.run({ type: 'keepSeasonPlan', plan: plan([round('2026-05-20')]) });
    yard.run({ type: 'keepSeasonPlan', plan: plan([round('2026-06-20', yard.yardId)]) });
    expect(operationOf(yard.apiary).seasonPlan?.rounds[0]?.day).toBe('2026-06-20');
    yard.run({ type: 'keepSeasonPlan', plan: null });
    expect(operationOf(yard.apiary).seasonPlan).toBeNull();
  });
  it('is refused with a yard that is not there, or a round behind its end', () => {
    const yard = new TestYard();
    const refused = yard.refused({
      type: 'keepSeasonPlan',
      plan: plan([round('2026-05-20', yard.newId()), round('2026-10-20')]),
    });
    expect(refused.some((r) => r.includes('plan.rounds.0.yardId'))).toBe(true);
    expect(refused.some((r) => r.includes('plan.rounds.1.day'))).toBe(true);
  });
  it('lets honey be taken of a colony that is there, and of no other', () => {
    const yard = new TestYard();
    const hive = yard.hive('A', [[honey]]);
    const harvest = (colonyId: string, day: string) =>
      ({ type: 'noteHarvest', eventId: yard.newId(), colonyId, day, kg: 12 }) as const;
    yard.run(harvest(hive.id, '2026-07-20'));
    expect(yard.refused(harvest(yard.newId(), '2026-07-20')).length).toBeGreaterThan(0);
    // Before it was there nothing can have been taken of it.
    expect(yard.refused(harvest(hive.id, '2026-01-20')).length).toBeGreaterThan(0);
  });
});
