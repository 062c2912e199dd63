import { describe, expect, it } from 'vitest';
import { demoScenario } from '../../demo/index.ts';
import type { Apiary, HiveEvent } from '../../records/index.ts';
import { ownFlows } from './ownFlows.ts';

const { apiary } = demoScenario();
const [colony] = Object.values(apiary.colony);
const harvests = (perYear: readonly number[]): Apiary => ({
  ...apiary,
  yard: {},
  event: Object.fromEntries(
    perYear.map((kg, i): [string, HiveEvent] => [
      `h${i}`,
      { id: `h${i}`, colonyId: colony!.id, day: `${2020 + i}-07-20`, body: { what: 'harvested', kg } },
    ]),
  ),
});

describe('what yields are learned from', () => {
  it('is a usual year while nothing is known, with a wide spread', () => {
    const none = ownFlows(harvests([]));
    expect(none.likely).toBe(1);
    expect(none.flows).toBe(0);
    expect(none.spread).toBeGreaterThan(0.5);
  });
  it('moves towards one’s own harvests, the more the longer they are known', () => {
    const rich = ownFlows(harvests([50, 50, 50]));
    expect(rich.likely).toBeCloseTo(1.5, 6);
    expect(ownFlows(harvests([50])).likely).toBeLessThan(rich.likely);
    expect(ownFlows(harvests([10, 12])).likely).toBeLessThan(1);
    expect(rich.spread).toBeLessThan(ownFlows(harvests([])).spread);
  });
});
