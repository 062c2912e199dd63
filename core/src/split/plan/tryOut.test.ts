import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { cellLedger } from '../../cells/index.ts';
import { DEMO_DAY, demoScenario } from '../../demo/scenario.ts';
import { framesOfColony } from '../../records/views.ts';
import { seededIds } from '../../demo/seededIds.ts';
import { DEFAULT_HOUSE_RULES } from '../../rules/houseRules.ts';
import { Scene } from '../../testing/scene.ts';
import { withCells } from '../../testing/methodPlans.ts';
import { situationOf, type Situation } from '../base/situation.ts';
import { findMethods } from '../methods/findMethods.ts';
import { makePlan } from './makePlan.ts';
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

/** A queenless part that was given a comb of another size with eggs on 9 May; the count shows six capped cells on it. */
function testComb(counted: string) {
  const food = bothSides({ honey: 8, beeBread: 1, drawn: 1 }, 8);
  const old = bothSides({ capped: 1, drawn: 6, honey: 3 }, 8);
  const drawn = bothSides({ drawn: 9, beeBread: 1 }, 7);
  const test = withCells(bothSides({ drawn: 5, honey: 4, beeBread: 1 }, 8), 'capped', 6);
  const s = new Scene([food, old, drawn, test, drawn, old, food, food], null, 'elsewhere', counted);
  const { frame } = framesOfColony(s.apiary, s.here).find((p) => p.slot === 4) ?? {};
  if (!frame) throw new Error('no comb');
  s.apiary = {
    ...s.apiary,
    frame: { ...s.apiary.frame, [frame.id]: { ...frame, sizeId: 'langstroth-medium' } },
    colony: {
      ...s.apiary.colony,
      [s.here.id]: { ...s.here, broodGiven: [{ day: '2026-05-09', young: true }] },
    },
  };
  return s;
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
    const { looks, after } = advice(weekOld(6, 8), { secondYard: false });
    expect(looks.ranked[0]).toMatchObject({ method: { id: 'spare-cells' } });
    expect(looks.waitBecause).toEqual([]);
    expect(after.waitBecause.join()).toMatch(
      /spare cells: .*falls short.*Bees left in the new part: \d\.\d+ where at least 2\.5/,
    );
    expect(after.ranked.find((r) => r.method.id === 'spare-cells')?.fit.reasons[0]?.text).toMatch(
      /falls short/,
    );
  });

  it('make one where field bees divide between two hives left and right of the old place', () => {
    const { after, trials } = advice(weekOld(8, 8), { secondYard: true });
    expect(trials['spare-cells']).toEqual({ options: { distance: 'beside' }, shortOf: [] });
    expect(after.ranked[0]?.fit.reasons[0]?.text).toMatch(/left and right of the old place/);
  });

  it('another way is tried in the other yard, where field bees do not fly home', () => {
    const { apiary } = demoScenario();
    const yarrow = Object.values(apiary.colony).find((c) => c.name === 'Yarrow');
    if (!yarrow) throw new Error('no Yarrow');
    const now = situationOf(apiary, yarrow, DEMO_DAY);
    const looks = findMethods(now, DEFAULT_HOUSE_RULES);
    const trials = tryOut(apiary, yarrow.id, now, DEMO_DAY, looks, seededIds(3));
    expect(trials['shake-down']).toEqual({ options: { distance: 'away' }, shortOf: [] });
    const told = afterTrials(looks, trials).ranked.find((r) => r.method.id === 'shake-down');
    expect(told?.fit.reasons[0]?.text).toMatch(/other yard.*fly home/);
  });

  it('in the same yard where nurses shaken off mixed brood make up for the field bees', () => {
    const { apiary } = demoScenario();
    const sorrel = Object.values(apiary.colony).find((c) => c.name === 'Sorrel');
    if (!sorrel) throw new Error('no Sorrel');
    const result = makePlan(
      apiary,
      { colonyId: sorrel.id, methodId: 'queen-to-nuc', day: DEMO_DAY, newName: 'Sorrel II', options: {} },
      seededIds(3),
    );
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    const { body } = result.value.command.work;
    expect(body.ledger.filter((r) => r.state === 'broken')).toEqual([]);
    // Three combs of brood with the queen's, one of food, and a shake or two: not five combs because bees are wanting.
    expect(body.shakes.length).toBeGreaterThan(0);
    expect(body.moves.filter((m) => m.fromKey === sorrel.id && m.toKey === 'new')).toHaveLength(4);
  });
});

// Division was refused there for want of brood, three days before the queens were out: common practice, no source.
describe('all cells on one comb of another size, from eggs that were given', () => {
  it('are dated by the day of the gift, cut out when they are ripe, and divided without any brood', () => {
    const s = testComb('2026-05-20');
    const line = cellLedger(s.apiary, '2026-05-20').find((l) => l.colonyId === s.here.id);
    expect(line).toMatchObject({ datedBy: 'eggs-given', stage: 'due', sizeId: 'langstroth-medium' });
    const now = situationOf(s.apiary, s.here, '2026-05-20');
    expect(now.brood).toBeLessThan(0.5);
    const looks = findMethods(now, DEFAULT_HOUSE_RULES);
    const trials = tryOut(s.apiary, s.here.id, now, '2026-05-20', looks, seededIds(3));
    expect(trials['spare-cells']).toEqual({ options: { cells: 'cut-out', distance: 'beside' }, shortOf: [] });
    expect(afterTrials(looks, trials).waitBecause).toEqual([]);
  });

  it('are not cut while they are tender', () => {
    const s = testComb('2026-05-16');
    const now = situationOf(s.apiary, s.here, '2026-05-16');
    const looks = findMethods(now, DEFAULT_HOUSE_RULES);
    const trials = tryOut(s.apiary, s.here.id, now, '2026-05-16', looks, seededIds(3));
    const told = afterTrials(looks, trials);
    expect(trials['spare-cells']?.shortOf.join()).toMatch(/Cells/);
    expect(told.waitBecause).toHaveLength(1);
  });
});
