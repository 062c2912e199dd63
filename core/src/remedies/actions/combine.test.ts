import { describe, expect, it } from 'vitest';
import { DEMO_DAY, demoScenario } from '../../demo/scenario.ts';
import { allFacts } from '../remedies.ts';
import { combine } from './combine.ts';

const { apiary } = demoScenario();
const all = allFacts(apiary, DEMO_DAY, { coldNights: false });
const of = (name: string) => {
  const facts = all.find((f) => f.colony.name === name);
  if (!facts) throw new Error(`no ${name}`);
  return facts;
};

describe('a union with a colony that has swarm cells', () => {
  it('is never the one that is proposed, from either side', () => {
    const plan = combine(of('Burnet'), all, {});
    expect(plan).not.toBeNull();
    expect(plan?.units.map((u) => u.facts.colony.name)).not.toContain('Sorrel');
    expect(combine(of('Sorrel'), all, {})).toBeNull();
  });

  it('is told off where somebody asks for it by name', () => {
    const plan = combine(of('Burnet'), all, { partnerId: of('Sorrel').colony.id });
    expect(plan?.cautions.join(' ')).toContain(
      'Sorrel has swarm cells: it would swarm with the bees of both.',
    );
    const other = combine(of('Burnet'), all, { partnerId: of('Yarrow').colony.id });
    expect(other?.cautions.join(' ')).not.toContain('swarm cells');
  });
});
