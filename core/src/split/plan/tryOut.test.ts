import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { seededIds } from '../../demo/seededIds.ts';
import { DEFAULT_HOUSE_RULES } from '../../rules/houseRules.ts';
import { Scene } from '../../testing/scene.ts';
import { withCells } from '../../testing/methodPlans.ts';
import { situationOf, type Situation } from '../base/situation.ts';
import { findMethods } from '../methods/findMethods.ts';
import { afterTrials, tryOut } from './tryOut.ts';

const DAY = '2026-05-09';

/** A part left without its queen a week ago: fourteen capped cells on two combs, bees so many tenths a side. */
function weekOld(bees: number, combs: number) {
  const brood = bothSides({ capped: 6, honey: 3, beeBread: 1 }, bees);
  const food = bothSides({ honey: 9, drawn: 1 }, bees);
  const row = [food, ...Array.from({ length: combs - 2 }, () => brood), food];
  const cells = new Map([
    [2, 8],
    [combs - 3, 6],
  ]);
  const nest = row.map((c, i) => (cells.has(i) ? withCells(c, 'capped', cells.get(i) ?? 0) : c));
  return new Scene(nest, '2026-05-02', 'elsewhere', DAY);
}

function advice(scene: Scene, change: Partial<Situation> = {}) {
  const now = { ...situationOf(scene.apiary, scene.here, DAY), ...change };
  const looks = findMethods(now, DEFAULT_HOUSE_RULES);
  const trials = tryOut(scene.apiary, scene.here.id, now, DAY, looks, seededIds(3));
  return { looks, trials, after: afterTrials(looks, trials) };
}

// Bees are the limit, not cells: common practice, no source.
describe('fourteen cells on two combs', () => {
  it('make no nuc where too few bees stay with it, however good the way looks', () => {
    const { looks, after } = advice(weekOld(7, 8), { secondYard: false });
    expect(looks.ranked[0]).toMatchObject({ method: { id: 'spare-cells' } });
    expect(looks.waitBecause).toEqual([]);
    expect(after.waitBecause.join()).toMatch(
      /spare cells: .*falls short.*Bees left in the new part: \d\.\d+ where at least 2\.5/,
    );
    expect(after.ranked.find((r) => r.method.id === 'spare-cells')?.fit.reasons[0]?.text).toMatch(
      /falls short/,
    );
  });

  it('make one in the other yard, where field bees do not fly home', () => {
    const { after, trials } = advice(weekOld(8, 8), { secondYard: true });
    expect(trials['spare-cells']).toEqual({ options: { distance: 'away' }, shortOf: [] });
    expect(after.ranked[0]?.fit.reasons[0]?.text).toMatch(/other yard.*fly home/);
  });
});
