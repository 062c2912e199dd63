import { describe, expect, it } from 'vitest';
import { FULL_BOX, methodPlan, withQueen } from '../../testing/methodPlans.ts';

const seen = FULL_BOX.map((c, i) => (i === 3 ? withQueen(c) : c));

describe('brood over an excluder', () => {
  it('is sure that the queen is below, found or not', () => {
    for (const lower of [FULL_BOX, seen]) {
      const { stay, fresh, broken } = methodPlan('shake-down', [lower, FULL_BOX]);
      expect([stay.queen, fresh.queen]).toEqual(['here', 'elsewhere']);
      expect(broken).toEqual([]);
    }
  });

  it('sends up brood with eggs, for it has to raise a queen, and leaves the floor below', () => {
    const { stay, fresh, moved } = methodPlan('shake-down', [seen, FULL_BOX]);
    expect(fresh.measure.eggsTenths).toBeGreaterThan(0);
    expect(stay.measure.broodFrames).toBeGreaterThan(2);
    expect(moved.reduce((n, f) => n + f.brood, 0)).toBeCloseTo(fresh.measure.broodFrames, 9);
  });

  it('sends up twice as much when a whole box is wanted', () => {
    const brood = (much: string) =>
      methodPlan('shake-down', [seen, FULL_BOX], { much }).fresh.measure.broodFrames;
    expect(brood('nuc')).toBeGreaterThan(1.7);
    expect(brood('nuc')).toBeLessThan(2.8);
    expect(brood('box')).toBeGreaterThan(3.4);
  });

  it('shakes the bees off what goes up, lifts it off the next day, and brings an excluder', () => {
    const { texts, body } = methodPlan('shake-down', [seen, FULL_BOX]);
    expect(texts).toMatch(/Shake its bees below first/);
    expect(texts).not.toMatch(/Bees stay on it/);
    expect(texts.indexOf('Excluder on Old')).toBeLessThan(texts.indexOf('Next day: lift the top box off'));
    expect(body.kit).toContainEqual({
      size: 'Langstroth deep',
      what: 'queen excluder',
      count: 1,
      shortBy: null,
    });
    expect(body.cautions.some((c) => c.startsWith('Shaking'))).toBe(true);
  });
});
