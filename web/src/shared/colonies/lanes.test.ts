import { coloniesOfYard } from '@incremen/core/records';
import { colonyState } from '@incremen/core/colony';
import { DEMO_DAY, demoScenario } from '@incremen/core/demo';
import { describe, expect, it } from 'vitest';
import { arranged, LANES } from './lanes.ts';

const { apiary } = demoScenario();
const [yard] = Object.values(apiary.yard);
const states = coloniesOfYard(apiary, yard!.id).map((c) => colonyState(apiary, c, DEMO_DAY));
const names = (view: Partial<Parameters<typeof arranged>[1]>) =>
  arranged(states, { sort: 'stand', find: '', lane: null, ...view }).map((s) => s.colony.name);

describe('a board put in order', () => {
  it('keeps the order of stands unless told otherwise', () => {
    expect(names({})).toEqual(states.map((s) => s.colony.name));
  });

  it.each(['bees', 'brood', 'stores'] as const)('most %s first', (sort) => {
    const by = { bees: 'framesOfBees', brood: 'broodFrames', stores: 'storesFrames' } as const;
    const values = arranged(states, { sort, find: '', lane: null }).map((s) => {
      const v = s.strength[by[sort]];
      return typeof v === 'number' ? v : v.likely;
    });
    expect(values).toEqual(values.toSorted((a, b) => b - a));
  });

  it('names with numbers count up as people do', () => {
    const numbered = ['E10', 'E2', 'E1'].map((name) => ({
      ...states[0]!,
      colony: { ...states[0]!.colony, name },
    }));
    expect(arranged(numbered, { sort: 'name', find: '', lane: null }).map((s) => s.colony.name)).toEqual([
      'E1',
      'E2',
      'E10',
    ]);
  });

  it('finds by part of a name and by lane; every lane has its place', () => {
    expect(names({ find: 'tan' })).toEqual(['Tansy']);
    expect(LANES.map((l) => l.lane)).toEqual(expect.arrayContaining(states.map((s) => s.lane)));
    const givers = arranged(states, { sort: 'stand', find: '', lane: 'strong' });
    expect(givers.length).toBeGreaterThan(0);
    expect(givers.every((s) => s.lane === 'strong')).toBe(true);
  });
});
