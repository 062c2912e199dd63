import { demoScenario } from '@incremen/core/demo';
import { yardPlanRequest, newYardPlanRequest, type YardGoal } from '@incremen/core/records';
import { describe, expect, it } from 'vitest';
import { GOAL_KINDS } from './goalWords.ts';
import { goalColonies, newGoal } from './newGoal.ts';

const TODAY = '2026-05-15';
const { apiary } = demoScenario();
const idOf = (name: string) => Object.values(apiary.colony).find((c) => c.name === name)?.id ?? '';
const colonies = [
  { id: idOf('Burnet'), lane: 'weak', slots: 10 },
  { id: idOf('Tansy'), lane: 'strong', slots: 20 },
  { id: idOf('Clary'), lane: 'even', slots: 5 },
] as const;
const begin = (kind: YardGoal['kind']) => newGoal(kind, `${kind}1`, colonies, TODAY);

describe('a goal to begin with', () => {
  it('of every kind is one that can be asked', () => {
    for (const { kind } of GOAL_KINDS) {
      const yardId = Object.keys(apiary.yard)[0] ?? '';
      const request = { ...newYardPlanRequest([yardId], '2026-05-15'), goals: [begin(kind)] };
      expect(yardPlanRequest.parse(request)).toEqual(request);
    }
  });

  it('is about the colony that most would mean', () => {
    expect(begin('hiveUp')).toMatchObject({ colonyId: idOf('Clary') });
    expect(begin('shrink')).toMatchObject({ colonyId: idOf('Tansy') });
    expect(begin('calm')).toMatchObject({ colonyIds: [idOf('Tansy')] });
    expect(begin('unite')).toMatchObject({ fromId: idOf('Burnet'), intoId: idOf('Tansy') });
  });

  it('unites a weak colony with one of middling strength in a full-size hive, whoever asks', () => {
    const yard = [...colonies, { id: idOf('Yarrow'), lane: 'even', slots: 10 }] as const;
    expect(newGoal('unite', 'u', yard, TODAY)).toMatchObject({
      fromId: idOf('Burnet'),
      intoId: idOf('Yarrow'),
    });
    expect(newGoal('unite', 'u', yard, TODAY, idOf('Yarrow'))).toMatchObject({
      fromId: idOf('Yarrow'),
      intoId: idOf('Tansy'),
    });
  });

  it('is not about one that has swarm cells, while there is another', () => {
    const there = goalColonies(apiary, Object.keys(apiary.yard), TODAY);
    expect(there.at(-1)?.id).toBe(idOf('Sorrel'));
    expect(newGoal('calm', 'c', there, TODAY)).toMatchObject({ colonyIds: [idOf('Tansy')] });
  });
});
