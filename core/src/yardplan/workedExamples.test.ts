import { describe, expect, it } from 'vitest';
import { bothSides, type FrameReading } from '../comb/contents.ts';
import { TestYard } from '../testing/builders.ts';
import { restsOn } from '../testing/restsOn.ts';
import { reasonOfMove } from './layout/moveReasons.ts';
import { NEST, STRONG_BOX, WEAK_BOX, withQueen } from '../testing/nests.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor, twoAndTwo } from '../testing/yardRequests.ts';
import { evaluate } from './search/evaluate.ts';
import { combKind } from './problem/effects.ts';
import { layOutYard } from './layout/layOutYard.ts';
import { AT } from './rules/measures.ts';
import { STORE, type YardProblem } from './problem/problem.ts';
import type { YardGoal } from '../records/bodies/request.ts';
import { framesInStore } from '../records/views.ts';

// Worked examples of the trade: common practice, no source.

const { capped, open, honey, bread, empty } = NEST;
const seven = STRONG_BOX;
const small = WEAK_BOX;

const unit = (problem: YardProblem, name: string) => {
  const u = problem.units.find((v) => v.name === name);
  if (!u) throw new Error(`no unit ${name}`);
  return u;
};

const goal = {
  level: { id: 'level', kind: 'level', by: 'capped', importance: 2 } as YardGoal,
  raise: (
    id: string,
    targetFrames: number,
    by: 'bees' | 'brood' = 'brood',
    onDay = '2026-05-15',
  ): YardGoal => ({
    id: 'raise',
    kind: 'raise',
    colonyIds: [id],
    by,
    targetFrames,
    onDay,
    importance: 3,
  }),
};

describe('donor floors', () => {
  it('a colony of seven brood combs before a flow gives one capped comb and keeps six', () => {
    restsOn('giftKeepShare', 'donorFloorBrood');
    const yard = new TestYard();
    const rowan = yard.hive('Rowan', [seven], '2026-05-14');
    const weak = yard.hive('Weak', [small], '2026-05-14', 10);
    const problem = problemOf(yard.apiary, requestFor(yard.apiary, [goal.raise(weak.id, 3)]));
    const { plan } = planned(problem);
    const given = problem.frames.filter(
      (f, i) => f.home === unit(problem, 'Rowan').index && plan.to[i] !== f.home,
    );
    expect(given).toHaveLength(1);
    expect(given[0]?.capped).toBeGreaterThan(0.5);
    const after = evaluate(problem, plan).after[unit(problem, 'Rowan').index];
    expect(after?.[AT.broodCombs]).toBe(6);
    expect(rowan.name).toBe('Rowan');
  });

  it('in midsummer three brood frames and food stay; in build-up two do', () => {
    restsOn('donorFloorBrood', 'donorFloorDearth', 'minStoresDearth');
    const yard = new TestYard();
    yard.hive('Bryony', [seven], '2026-05-14');
    yard.stock('drawn', 10);
    const keptIn = (season: 'build-up' | 'dearth') => {
      const recipe = twoAndTwo({ storesCombs: 0, broodFrames: 0.8, distance: 'away' });
      const problem = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(null, recipe)], { season }));
      const { plan } = planned(problem);
      const seen = evaluate(problem, plan);
      return { seen, after: seen.after[0], nucs: seen.nucsMade };
    };
    const summer = keptIn('dearth');
    const spring = keptIn('build-up');
    expect(summer.after?.[AT.brood]).toBeGreaterThanOrEqual(3);
    expect(summer.after?.[AT.stores]).toBeGreaterThanOrEqual(1);
    expect(spring.after?.[AT.brood]).toBeGreaterThanOrEqual(2);
    expect(spring.nucs).toBeGreaterThanOrEqual(summer.nucs);
    expect(summer.nucs).toBeGreaterThanOrEqual(1);
  });
});

// Emerging brood first for every small unit, drone comb and the youngest brood stay, one honey comb at least, of young brood
// only as much as a queen is raised from: common practice, no source.
describe('which combs a nuc of three frames of bees gets', () => {
  const cobble = {
    honey: bothSides({ honey: 10 }, 6),
    drone: bothSides({ drone: 6, honey: 2, drawn: 2 }, 7),
    emerging: bothSides({ emerging: 6, beeBread: 2, honey: 2 }, 9),
    fresh: bothSides({ eggs: 1, open: 8, honey: 1 }, 9),
    large: bothSides({ open: 6, beeBread: 1, honey: 2, drawn: 1 }, 9),
    halfDrawn: bothSides({ drawn: 4, foundation: 6 }, 2),
    young: bothSides({ eggs: 3, open: 3, honey: 2, beeBread: 1, drawn: 1 }, 9),
    capped: bothSides({ capped: 6, honey: 3, beeBread: 1 }, 9),
    hers: withQueen(bothSides({ capped: 5, eggs: 2, honey: 2, beeBread: 1 }, 9)),
    more: bothSides({ honey: 9, drawn: 1 }, 6),
  };
  const names = Object.keys(cobble) as (keyof typeof cobble)[];
  const given = (queen: 'cell' | 'raises') => {
    const yard = new TestYard();
    yard.hive('Cobble', [Object.values(cobble)], '2026-05-14');
    yard.stock('drawn', 4);
    const recipe = twoAndTwo({ storesCombs: 1, queen, distance: 'away' });
    const problem = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(1, recipe)], { day: '2026-05-14' }));
    const { plan } = planned(problem);
    const nuc = problem.units.findIndex((u) => u.kind === 'nuc');
    const seen = evaluate(problem, plan);
    const went = problem.frames.flatMap((f, i) => (plan.to[i] === nuc && f.home !== STORE ? [i] : []));
    const reasons = layOutYard(problem, plan, seen, framesInStore(yard.apiary)).moves.map((m) =>
      reasonOfMove(problem, plan, seen, m),
    );
    return { names: went.map((i) => names[problem.frames[i]!.slot - 1]), broken: seen.broken, reasons };
  };

  it('with a ripe cell: the emerging comb, another of brood, honey; never the freshest, nor drones', () => {
    const { names: went, broken, reasons } = given('cell');
    expect(broken).toEqual([]);
    // Each comb with why it is not the next best.
    expect(reasons.filter((r) => / Not frame \d+: /.test(r)).length).toBeGreaterThanOrEqual(2);
    expect(went).toContain('emerging');
    expect(went).toContain('capped');
    expect(went.some((n) => n === 'honey' || n === 'more')).toBe(true);
    expect(went).not.toContain('fresh');
    expect(went).not.toContain('drone');
  });

  it('that raises its own queen: the emerging comb, and one on which a part is eggs and newly hatched larvae', () => {
    const { names: went, broken } = given('raises');
    expect(broken).toEqual([]);
    expect(went).toContain('emerging');
    expect(went).toContain('young');
    expect(went).not.toContain('fresh');
    expect(went).not.toContain('drone');
  });
});

describe('recipes', () => {
  const strong = (crowded = false) => {
    const full = (r: FrameReading): FrameReading =>
      crowded ? { ...r, sides: r.sides.map((s) => ({ ...s, bees: 10 })) as never } : r;
    const yard = new TestYard();
    yard.hive(
      'Donor',
      [
        seven.map(full),
        [honey(6), honey(6), open(6), capped(6), open(6), bread(), bread(), empty(6), empty(5), honey(6)].map(
          full,
        ),
      ],
      '2026-05-14',
    );
    yard.stock('drawn', 6);
    yard.stock('foundation', 6);
    return yard;
  };
  const contents = (recipe: ReturnType<typeof fiveFrames>, crowded = false) => {
    const yard = strong(crowded);
    const problem = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(1, recipe)], { day: '2026-05-14' }));
    const { plan } = planned(problem);
    const seen = evaluate(problem, plan);
    expect(seen.broken).toEqual([]);
    const laid = layOutYard(problem, plan, seen, framesInStore(yard.apiary));
    const nuc = problem.units.find((u) => u.kind === 'nuc');
    const frames = laid.units[nuc?.index ?? -1] ?? [];
    return { problem, plan, seen, frames, nuc };
  };
  const kinds = (frames: ReturnType<typeof contents>['frames'], problem: YardProblem) =>
    frames.map((l) => {
      const f = problem.frames.find((g) => g.id === l.frame.id);
      return f ? combKind(f) : l.frame.drawn > 0.5 ? 'empty' : 'foundation';
    });

  it('four frames are two brood and two honey', () => {
    restsOn('minStoresNoField', 'coverWarm');
    const { frames, problem, seen, nuc } = contents(twoAndTwo());
    const what = kinds(frames, problem);
    expect(frames).toHaveLength(4);
    expect(what.filter((k) => k === 'brood')).toHaveLength(2);
    expect(what.filter((k) => k === 'stores').length).toBeGreaterThanOrEqual(2);
    expect(seen.after[nuc?.index ?? 0]?.[AT.bees]).toBeGreaterThanOrEqual(2.5);
  });

  it('five frames are two with brood, one honey, one drawn, the rest filled from the store', () => {
    restsOn('minStoresNoField', 'coverWarm');
    const { frames, problem } = contents(fiveFrames());
    const what = kinds(frames, problem);
    expect(frames).toHaveLength(5);
    expect(what.filter((k) => k === 'brood')).toHaveLength(2);
    expect(what.filter((k) => k === 'stores').length).toBeGreaterThanOrEqual(1);
    expect(what.filter((k) => k === 'empty').length).toBeGreaterThanOrEqual(1);
  });

  it('a part that raises its own queen gets the eggs of one comb, one that gets a cell does without', () => {
    restsOn('minEggsTenths', 'minBeeBreadFrames');
    // Bees enough on every comb and none fly home, so that brood alone decides.
    const raising = contents(fiveFrames({ queen: 'raises', distance: 'away' }), true);
    const withCell = contents(fiveFrames({ queen: 'cell', distance: 'away' }), true);
    const eggs = (c: ReturnType<typeof contents>) => c.seen.after[c.nuc?.index ?? 0]?.[AT.eggsTenths] ?? 0;
    // Two tenths on either side of one open comb; the other comb of brood is capped.
    expect(eggs(raising)).toBe(4);
    expect(eggs(withCell)).toBe(0);
  });

  it('made in the same yard it is reckoned with about half the bees on its combs, and nurses are shaken in', () => {
    restsOn('stayCappedBrood', 'stayOpenBrood', 'stayStores', 'minBeesNewPart');
    const { seen, nuc, problem, plan } = contents(fiveFrames());
    const onCombs = problem.frames.reduce((n, f, i) => n + (plan.to[i] === nuc?.index ? f.bees : 0), 0);
    const shaken = problem.frames.reduce((n, f, i) => n + (plan.shakenFor[i] === nuc?.index ? f.bees : 0), 0);
    const after = seen.after[nuc?.index ?? 0]?.[AT.bees] ?? 0;
    const stayed = after - shaken * problem.rules.stayOpenBrood;
    expect(stayed / onCombs).toBeGreaterThan(0.35);
    expect(stayed / onCombs).toBeLessThan(0.65);
    expect(seen.framesShaken).toBeGreaterThanOrEqual(1);
    expect(after).toBeGreaterThanOrEqual(problem.rules.minBeesNewPart);
  });

  it('carried beyond 3 km it keeps more of its bees and needs no more shakes', () => {
    restsOn('stayAway', 'stayCappedBrood', 'stayOpenBrood', 'minBeesNewPart');
    const near = contents(fiveFrames());
    const far = contents(fiveFrames({ distance: 'away' }));
    expect(far.seen.framesShaken).toBeLessThanOrEqual(near.seen.framesShaken);
  });

  it('the old queen goes along when the recipe says so, and her colony keeps eggs', () => {
    restsOn('minEggsTenths', 'donorFloorBrood');
    const { seen, nuc } = contents(fiveFrames({ queen: 'old-queen' }));
    expect(seen.after[nuc?.index ?? 0]?.[AT.queens]).toBe(1);
    expect(seen.after[0]?.[AT.queens]).toBe(0);
    expect(seen.after[0]?.[AT.eggsTenths]).toBeGreaterThanOrEqual(1);
  });

  it('no frame with a live cell is moved', () => {
    const yard = new TestYard();
    const withCell: FrameReading = { ...capped(7), cells: [{ kind: 'open', count: 2 }] };
    yard.hive('Donor', [[...seven.slice(0, 1), withCell, ...seven.slice(2)]], '2026-05-14');
    yard.stock('drawn', 4);
    const problem = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(1)]));
    const { plan } = planned(problem);
    const frame = problem.frames.findIndex((f) => f.liveCells > 0);
    expect(plan.to[frame]).toBe(problem.frames[frame]?.home);
  });
});

describe('levelling and raising', () => {
  it('levels by capped brood: who has most gives one capped comb to who has least', () => {
    restsOn('levelWithin', 'giftKeepShare');
    const yard = new TestYard();
    yard.hive('Most', [seven], '2026-05-14');
    yard.hive(
      'Even',
      [[honey(5), capped(6), open(6), withQueen(open(5)), capped(5), honey(5), bread(), empty()]],
      '2026-05-14',
    );
    yard.hive('Least', [[...small, honey(3)]], '2026-05-14', 10);
    const problem = problemOf(yard.apiary, requestFor(yard.apiary, [goal.level]));
    const { plan } = planned(problem);
    const moved = problem.frames.flatMap((f, i) =>
      plan.to[i] === f.home ? [] : [[problem.units[f.home]?.name, problem.units[plan.to[i] ?? -1]?.name]],
    );
    expect(moved).toEqual([['Most', 'Least']]);
    expect(evaluate(problem, plan).broken).toEqual([]);
  });

  it('gives no brood to who cannot cover it on cold nights, but nurses', () => {
    restsOn('coverCold', 'weakBees', 'shakesPerGiver');
    const yard = new TestYard();
    yard.hive('Donor', [seven, Array.from({ length: 10 }, () => honey(8))], '2026-05-14');
    // Three frames of bees on three of brood.
    const dusk = yard.hive(
      'Dusk',
      [[open(9, 7), withQueen(open(9, 8)), capped(9, 8), honey(4), empty(3)]],
      '2026-05-14',
      10,
    );
    const problem = problemOf(
      yard.apiary,
      requestFor(yard.apiary, [goal.raise(dusk.id, 5, 'bees')], { nights: 'cold' }),
    );
    const { plan } = planned(problem);
    const at = unit(problem, 'Dusk').index;
    const arrivals = problem.frames.filter((f, i) => plan.to[i] === at && f.home !== at);
    expect(arrivals.filter((f) => f.brood > 0.2)).toEqual([]);
    expect(plan.shakenFor.filter((s) => s === at).length).toBeGreaterThanOrEqual(1);
    expect(plan.shakenFor.filter((s) => s === at).length).toBeLessThanOrEqual(3);
  });
});

describe('a nuc that has outgrown its box beside a honey-bound neighbour', () => {
  it('is hived up as its six, two of honey and three to draw; the neighbour gets two to draw', () => {
    restsOn('hiveUpStores', 'roomToLay');
    const yard = new TestYard();
    const nuc = yard.hive(
      'Nuc',
      [[bread(8), capped(8, 10), withQueen(open(8, 10)), open(8, 10), capped(7, 10), honey(9)]],
      '2026-05-14',
      6,
    );
    const neighbour = yard.hive(
      'Neighbour',
      [
        [
          honey(),
          honey(),
          honey(),
          open(7),
          withQueen(capped(7)),
          honey(),
          honey(),
          honey(),
          honey(),
          bread(),
        ],
      ],
      '2026-05-14',
    );
    yard.stock('foundation', 8);
    const problem = problemOf(
      yard.apiary,
      requestFor(
        yard.apiary,
        [
          { id: 'up', kind: 'hiveUp', colonyId: nuc.id, slots: 11, importance: 2 },
          { id: 'free', kind: 'relieve', colonyIds: [neighbour.id], importance: 2 },
        ],
        { day: '2026-05-14' },
      ),
    );
    const { plan } = planned(problem);
    const seen = evaluate(problem, plan);
    expect(seen.broken).toEqual([]);
    expect(seen.shortfalls).toEqual([]);
    const laid = layOutYard(problem, plan, seen, framesInStore(yard.apiary));
    const box = (laid.units[unit(problem, 'Nuc').index] ?? []).toSorted((a, b) => a.slot - b.slot);
    expect(box).toHaveLength(11);
    const own = box.filter((l) => !l.isNew);
    expect(own).toHaveLength(6);
    // Its own frames keep their order.
    expect(own.map((l) => l.frame.slot)).toEqual([1, 2, 3, 4, 5, 6]);
    expect(box.filter((l) => l.isNew && l.frame.stores > 0.8)).toHaveLength(2);
    expect(box.filter((l) => l.isNew && l.frame.stores < 0.1)).toHaveLength(3);
    const got = laid.moves.filter(
      (m) => m.toUnit === unit(problem, 'Neighbour').index && m.fromUnit === STORE,
    );
    expect(got).toHaveLength(2);
  });
});
