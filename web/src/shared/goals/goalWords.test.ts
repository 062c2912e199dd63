import { DEMO_DAY, demoScenario } from '@incremen/core/demo';
import type { YardGoal } from '@incremen/core/records';
import { describe, expect, it } from 'vitest';
import { labelOf, titleOf } from './goalWords.ts';
import { goalColonies, newGoal } from './newGoal.ts';

const { apiary } = demoScenario();
const idOf = (name: string) => Object.values(apiary.colony).find((c) => c.name === name)?.id ?? '';
const there = goalColonies(apiary, Object.keys(apiary.yard), DEMO_DAY);
const begin = (kind: YardGoal['kind']) => newGoal(kind, `${kind}1`, there, DEMO_DAY);

describe('a plan in a few words', () => {
  const words = (
    goal: Partial<YardGoal> & { kind: YardGoal['kind'] },
    units: 'metric' | 'imperial' = 'metric',
  ) => labelOf([{ ...begin(goal.kind), ...goal } as YardGoal], apiary, units);

  it('says how many nucs and how they get their queens', () => {
    expect(words({ kind: 'makeNucs' })).toBe('2 nucs, own queens');
    expect(words({ kind: 'makeNucs', count: 1 })).toBe('1 nuc, own queens');
    expect(words({ kind: 'makeNucs', count: null })).toBe('most nucs, own queens');
    const { recipe } = begin('makeNucs') as Extract<YardGoal, { kind: 'makeNucs' }>;
    expect(words({ kind: 'makeNucs', recipe: { ...recipe, queen: 'cell', distance: 'away' } })).toBe(
      '2 nucs, ripe cells, away',
    );
  });

  it('names colonies, targets and amounts', () => {
    expect(words({ kind: 'level' })).toBe('level by capped brood');
    expect(words({ kind: 'raise' })).toBe('raise the weak to 6 of bees by Fri 15 May');
    expect(words({ kind: 'calm' })).toBe('calm Tansy');
    expect(words({ kind: 'shrink' })).toBe('Vetch down to 1 box');
    expect(words({ kind: 'relieve' })).toBe('free honey-bound nests');
    expect(words({ kind: 'relieve', colonyIds: [idOf('Mallow')] })).toBe('free Mallow');
    expect(words({ kind: 'provision' })).toBe('12 kg for each');
    expect(words({ kind: 'provision' }, 'imperial')).toBe('26 lb for each');
    expect(words({ kind: 'unite' })).toBe('unite Burnet into Yarrow');
    expect(words({ kind: 'hiveUp' })).toBe('move Clary into a full-size hive');
  });

  it('strings several together, and says when nothing is asked', () => {
    expect(labelOf([begin('level'), begin('hiveUp')], apiary, 'metric')).toBe(
      'level by capped brood, move Clary into a full-size hive',
    );
    expect(labelOf([], apiary, 'metric')).toBe('Nothing asked');
    expect(titleOf('calm')).toBe('Take swarm pressure off');
  });
});
