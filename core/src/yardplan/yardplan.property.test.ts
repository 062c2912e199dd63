import fc from 'fast-check';
import loadSolver from 'highs';
import { describe, expect, it } from 'vitest';
import { sampleOf, sampleSize } from '../testing/sampleSize.ts';
import { generatedYards } from '../testing/generatedYards.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor } from '../testing/yardRequests.ts';
import { operationOf, type Apiary } from '../records/records.ts';
import type { HouseRuleChanges } from '../rules/houseRules.ts';
import { proofsOf, proveYard } from './bound/proveYard.ts';
import { evaluate, measure } from './search/evaluate.ts';
import { layOutYard } from './layout/layOutYard.ts';
import { AT } from './rules/measures.ts';
import { framesInStore } from '../records/views.ts';
import { nothingMoved, STORE, type Assignment, type YardProblem } from './problem/problem.ts';
import { STORE_KEY, type YardGoal } from '../records/bodies/request.ts';
import { YardSearch } from './search/searchYard.ts';
import { YardState } from './search/yardState.ts';

const withRules = (apiary: Apiary, changes: HouseRuleChanges): Apiary => {
  const operation = operationOf(apiary);
  return { ...apiary, operation: { [operation.id]: { ...operation, houseRules: { v: 1, changes } } } };
};

/** Rules under which even colonies of four combs can give. */
const LOOSE: HouseRuleChanges = {
  weakBees: 1,
  donorFloorBrood: 0.5,
  minBeesNewPart: 1,
  minStoresNoField: 0.25,
  minBeeBreadFrames: 0.05,
  minStoresOnStand: 0,
  minEggsTenths: 0.5,
  giftKeepShare: 0.5,
  coverWarm: 1.2,
};

const SMALL = fiveFrames({
  slots: 3,
  broodCombs: { min: 1, max: 2 },
  broodFrames: 0.4,
  storesCombs: 0,
  emptyCombs: 0,
});

const level: YardGoal = { id: 'level', kind: 'level', by: 'brood', importance: 2 };

/** Every plan there is, by trying them all. */
function cheapestOfAll(problem: YardProblem): number {
  const to = problem.frames.map((f) => f.home);
  const shakenFor: (number | null)[] = problem.frames.map(() => null);
  let best = Infinity;
  const tryFrom = (i: number) => {
    const frame = problem.frames[i];
    if (!frame) {
      const seen = evaluate(problem, { to, shakenFor });
      if (seen.broken.length === 0) best = Math.min(best, seen.cost);
      return;
    }
    for (const target of [frame.home, ...frame.mayGoTo]) {
      to[i] = target;
      tryFrom(i + 1);
    }
    to[i] = frame.home;
    for (const target of frame.mayShakeFor) {
      shakenFor[i] = target;
      tryFrom(i + 1);
    }
    shakenFor[i] = null;
  };
  tryFrom(0);
  return best;
}

/** Frames that are where they may not go, or shaken out for whom they may not be. */
const strays = (problem: YardProblem, { to, shakenFor }: Assignment) =>
  problem.frames.filter((f, i) => {
    const [unit, shaken] = [to[i] as number, shakenFor[i] as number | null];
    const mayGo = unit === f.home || f.mayGoTo.includes(unit);
    return !mayGo || (shaken !== null && !f.mayShakeFor.includes(shaken));
  });

describe('a plan for a yard', () => {
  it('breaks no rule, keeps every frame once, and costs what the evaluator says', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 2, max: 7 }),
        fc.integer({ min: 1, max: 5 }),
        fc.constantFrom<YardGoal[]>([], [level]),
        (seed, colonies, count, more) => {
          const apiary = generatedYards({ colonies, seed });
          const problem = problemOf(apiary, requestFor(apiary, [nucs(count), ...more]));
          const best = planned(problem, 1);
          const seen = evaluate(problem, best.plan);
          expect(seen.broken).toEqual([]);
          expect(seen.cost).toBeCloseTo(best.price, 5);

          // Frames are conserved: in the sums, and in the slots.
          const after = measure(problem, best.plan);
          const total = (m: number, of: readonly Float64Array[]) => of.reduce((n, u) => n + (u[m] ?? 0), 0);
          const before = problem.units.map((u) => u.before);
          expect(total(AT.brood, after)).toBeCloseTo(total(AT.brood, before), 6);
          expect(total(AT.bees, after)).toBeCloseTo(total(AT.bees, before), 6);
          const laid = layOutYard(problem, best.plan, seen, framesInStore(apiary));
          const hung = laid.units.flat();
          expect(new Set(hung.map((l) => l.frame.id)).size).toBe(hung.length);
          expect(new Set(hung.map((l) => `${l.boxId}/${l.slot}`)).size).toBe(hung.length);
          const inHives = problem.frames.filter((f) => f.home >= 0).map((f) => f.id);
          const left = laid.moves.filter((m) => m.toUnit === -1).map((m) => m.frame.id);
          expect(inHives.filter((id) => !hung.some((l) => l.frame.id === id))).toEqual(left);
        },
      ),
      { numRuns: sampleSize(8, 25), seed: 11 },
    );
  });

  it('makes no move that is ruled out, whoever finds it: search or proof', async () => {
    const solver = await loadSolver();
    for (const seed of sampleOf(1, [1, 2, 3])) {
      const apiary = generatedYards({ colonies: 6, seed });
      const goals = [nucs(2)];
      const free = problemOf(apiary, requestFor(apiary, goals));
      const { plan } = planned(free, 3);
      expect(strays(free, plan)).toEqual([]);
      // Half of what goes into nucs is ruled out for the nuc that it goes to.
      const forbids = free.frames.flatMap((f, i) => {
        const unit = free.units[plan.to[i] as number];
        return i % 2 === 0 && f.home !== STORE && unit?.kind === 'nuc'
          ? [{ frameId: f.id, to: unit.key }]
          : [];
      });
      expect(forbids.length).toBeGreaterThan(0);
      const problem = problemOf(apiary, requestFor(apiary, goals, { forbids }));
      const found = [planned(problem, 3).plan, proveYard(problem, solver, 'thorough').better?.plan];
      for (const other of found.filter((p) => p !== undefined)) {
        expect(strays(problem, other)).toEqual([]);
        const inNucs = (f: { frameId: string }) => {
          const frame = problem.frames.find((g) => g.id === f.frameId);
          return problem.units[other.to[frame?.index ?? 0] as number]?.kind === 'nuc';
        };
        expect(forbids.filter(inNucs)).toEqual([]);
      }
    }
  });

  it('is as cheap as the cheapest of all plans in small yards, and dearer than the bound', async () => {
    const solver = await loadSolver();
    for (const seed of sampleOf(3, [1, 2, 3, 4, 5, 6])) {
      const apiary = withRules(
        generatedYards({ colonies: 2, seed, combs: 5, drawn: 0, foundation: 0 }),
        LOOSE,
      );
      const goals = seed % 2 === 0 ? [nucs(1, SMALL)] : [nucs(1, SMALL), level];
      const problem = problemOf(apiary, requestFor(apiary, goals));
      const cheapest = cheapestOfAll(problem);
      expect(planned(problem, 4).price).toBeCloseTo(cheapest, 6);
      for (const effort of ['quick', 'thorough'] as const) {
        expect(proveYard(problem, solver, effort).bound).toBeLessThanOrEqual(cheapest + 1e-6);
      }
    }
  });

  it('keeps to bans, limits and bounds whatever is asked for together', async () => {
    const solver = await loadSolver();
    const goals = fc.tuple(
      fc.constantFrom<YardGoal[]>([], [nucs(null)], [nucs(1)], [nucs(9)]),
      fc.constantFrom<YardGoal[]>([], [level], [{ ...level, id: 'free', kind: 'relieve', colonyIds: [] }]),
      fc.constantFrom('raises', 'cell', 'mated', 'old-queen'),
    );
    const limits = fc.record({ hives: fc.constantFrom(null, 1, 3), frames: fc.constantFrom(null, 4, 15) });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 2, max: 5 }),
        fc.integer({ min: 1, max: 2 }),
        goals,
        limits,
        fc.constantFrom('build-up', 'dearth'),
        (seed, colonies, yards, [some, more, queen], most, season) => {
          const apiary = generatedYards({ colonies, yards, seed });
          const recipe = fiveFrames({ queen: queen as 'raises' });
          const asked = [...some.map((g) => ({ ...g, recipe }) as YardGoal), ...more];
          const change = { limits: most, season: season as 'dearth', nights: 'cold' as const };
          const free = problemOf(apiary, requestFor(apiary, asked, change));
          const first = planned(free, 1).plan;
          const banned = free.frames.find((f, i) => first.to[i] !== f.home && f.home !== STORE);
          const to = banned && (free.units[first.to[banned.index] as number]?.key ?? STORE_KEY);
          const forbids = banned && to ? [{ frameId: banned.id, to }] : [];
          const problem = problemOf(apiary, requestFor(apiary, asked, { ...change, forbids }));
          const search = planned(problem, 1);
          let steps = 0;
          for (const { bound, better, mostNucs } of proofsOf(problem, solver)) {
            for (const plan of [search.plan, better?.plan]) {
              if (!plan) continue;
              const seen = evaluate(problem, plan);
              expect(seen.broken).toEqual([]);
              expect(strays(problem, plan)).toEqual([]);
              expect(seen.cost).toBeGreaterThanOrEqual((bound ?? -Infinity) - 1e-4);
              expect(seen.nucsMade).toBeLessThanOrEqual(mostNucs ?? Infinity);
            }
            if (++steps === 4) break;
          }
        },
      ),
      { numRuns: sampleSize(4, 15), seed: 5 },
    );
  });

  it('never has a price below the bound', async () => {
    const solver = await loadSolver();
    for (const seed of [21, 22, 23, 24]) {
      const apiary = generatedYards({ colonies: 5, seed });
      const problem = problemOf(apiary, requestFor(apiary, [nucs(2), level]));
      const { bound } = proveYard(problem, solver, 'quick');
      expect(bound).not.toBeNull();
      expect(planned(problem, 2).price).toBeGreaterThanOrEqual(bound ?? Infinity);
    }
  });

  it('never gets dearer when a rule is relaxed', () => {
    for (const seed of [1, 2, 3, 4]) {
      const small = generatedYards({ colonies: 2, seed, combs: 5, drawn: 0, foundation: 0 });
      const priceUnder = (changes: HouseRuleChanges) => {
        const apiary = withRules(small, { ...LOOSE, ...changes });
        return cheapestOfAll(problemOf(apiary, requestFor(apiary, [nucs(1, SMALL)])));
      };
      const strict = priceUnder({ minBeesNewPart: 1.5, donorFloorBrood: 1 });
      expect(priceUnder({ minBeesNewPart: 1, donorFloorBrood: 1 })).toBeLessThanOrEqual(strict + 1e-9);
      expect(priceUnder({ minBeesNewPart: 1.5, donorFloorBrood: 0.5 })).toBeLessThanOrEqual(strict + 1e-9);
    }
  });

  it('does not hang on the order in which colonies are kept', () => {
    const apiary = generatedYards({ colonies: 6, seed: 3 });
    const turned: Apiary = {
      ...apiary,
      colony: Object.fromEntries(Object.entries(apiary.colony).toReversed()),
      frame: Object.fromEntries(Object.entries(apiary.frame).toReversed()),
      stand: Object.fromEntries(
        Object.entries(apiary.stand).map(([id, s]) => [id, { ...s, order: 99 - s.order }]),
      ),
    };
    const name = (problem: YardProblem, plan: Assignment) =>
      problem.frames.map((f, i) => `${f.id}>${problem.units[plan.to[i] ?? -1]?.key ?? 'store'}`).toSorted();
    const a = problemOf(apiary, requestFor(apiary, [nucs(2), level]));
    const b = problemOf(turned, requestFor(turned, [nucs(2), level]));
    expect(name(b, planned(b, 2).plan)).toEqual(name(a, planned(a, 2).plan));
  });

  it('is the same every time it is asked for', () => {
    const apiary = generatedYards({ colonies: 6, seed: 8 });
    const problem = problemOf(apiary, requestFor(apiary, [nucs(3)]));
    expect(planned(problem, 2)).toEqual(planned(problem, 2));
  });

  it('keeps its sums right through any changes', () => {
    const apiary = generatedYards({ colonies: 4, seed: 5 });
    const problem = problemOf(apiary, requestFor(apiary, [nucs(2), level]));
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(), fc.nat(), fc.boolean()), { minLength: 1, maxLength: 60 }),
        (changes) => {
          const state = new YardState(problem, nothingMoved(problem));
          for (const [f, t, shake] of changes) {
            const frame = problem.frames[f % problem.frames.length] as YardProblem['frames'][number];
            if (shake && frame.mayShakeFor.length > 0 && state.to[frame.index] === frame.home) {
              state.shake(frame.index, frame.mayShakeFor[t % frame.mayShakeFor.length] ?? -2);
            } else {
              const targets = [frame.home, ...frame.mayGoTo];
              state.place(frame.index, targets[t % targets.length] ?? frame.home);
            }
            state.settle();
          }
          const seen = evaluate(problem, state.assignment());
          expect(state.broken > 0).toBe(seen.broken.length > 0);
          // The search pays for broken rules on its way; where none is, the prices are the same.
          expect(state.broken === 0 ? state.price : seen.cost).toBeCloseTo(seen.cost, 6);
          const settled = state.price;
          state.refresh();
          expect(state.price).toBeCloseTo(settled, 6);
        },
      ),
      { numRuns: 60, seed: 5 },
    );
  });

  it('gets better with every round or stays as it is', () => {
    const apiary = generatedYards({ colonies: 8, seed: 2 });
    const search = new YardSearch(problemOf(apiary, requestFor(apiary, [nucs(3), level])));
    search.first();
    let price = search.best().price;
    for (let r = 0; r < 4; r++) {
      search.round();
      expect(search.best().price).toBeLessThanOrEqual(price);
      price = search.best().price;
    }
  });
});
