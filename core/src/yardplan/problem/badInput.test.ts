import loadSolver from 'highs';
import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { TestYard } from '../../testing/builders.ts';
import { generatedYards } from '../../testing/generatedYards.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import type { Apiary } from '../../records/records.ts';
import { noEvidence, type Evidence } from '../../records/bodies/evidence.ts';
import { buildProblem } from './buildProblem.ts';
import { evaluate } from '../search/evaluate.ts';
import { AT } from '../rules/measures.ts';
import { faultsOfPlan } from '../layout/outcome.ts';
import type { YardGoal, YardPlanRequest } from '../../records/bodies/request.ts';
import { shortageOf } from '../bound/shortage.ts';

const apiary = generatedYards({ colonies: 4, seed: 9 });
const [first] = Object.values(apiary.colony);
const firstId = first?.id ?? '';

/** The faults of a request, as `code at path`. */
const faults = (goals: YardGoal[], change: Partial<YardPlanRequest> = {}, of: Apiary = apiary) => {
  const built = buildProblem(of, requestFor(of, goals, change));
  return built.ok ? [] : built.problems.map((p) => `${p.code} at ${p.path.join('.')}`);
};

/** Something seen in all eight frames of a colony. */
function look(yard: TestYard, colonyId: string, seen: Partial<Evidence>): void {
  yard.run({
    type: 'recordLook',
    followUpId: null,
    day: '2026-05-11',
    note: '',
    newIds: Array.from({ length: 4 }, yard.newId),
    parts: [{ visitId: yard.newId(), colonyId, evidence: { ...noEvidence(8), framesRead: 8, ...seen } }],
  });
}

describe('a request that cannot be', () => {
  it('names a colony that is gone', () => {
    const gone: Apiary = {
      ...apiary,
      colony: { ...apiary.colony, [firstId]: { ...first!, endedOn: '2026-05-01', hiveId: null } },
    };
    const goal: YardGoal = { id: 'c', kind: 'calm', colonyIds: [firstId], importance: 2 };
    const built = buildProblem(gone, requestFor(gone, [goal]));
    expect(built.ok).toBe(false);
    expect(built.ok ? [] : built.problems).toMatchObject([
      {
        code: 'unknown-id',
        path: ['goals', 0, 'colonyIds', 0],
        message: `${first?.name} is not there any more: it ended on 2026-05-01.`,
        remedy: 'Take it out of the goal or choose another.',
      },
    ]);
  });

  it('names a recipe that no box can hold', () => {
    expect(faults([nucs(1, fiveFrames({ slots: 3, storesCombs: 2 }))])).toEqual([
      'recipe-too-large at goals.0.recipe.slots',
    ]);
    expect(faults([nucs(1, fiveFrames({ broodCombs: { min: 3, max: 2 } }))])).toEqual([
      'recipe-turned-round at goals.0.recipe.broodCombs',
    ]);
    expect(faults([nucs(1, fiveFrames({ broodFrames: 2.5 }))])).toEqual([
      'recipe-too-full at goals.0.recipe.broodFrames',
    ]);
  });

  it('names pins that contradict each other, or that cannot be', () => {
    const problem = problemOf(apiary, requestFor(apiary, [nucs(1)]));
    const queen = problem.frames.find((f) => f.hasQueen);
    const brood = problem.frames.find((f) => f.brood > 0.3 && !f.hasQueen);
    const nuc = problem.units.find((u) => u.kind === 'nuc')?.key ?? '';
    const pin = (frameId = '', to = '') => ({ frameId, to });
    expect(faults([nucs(1)], { pins: [pin(brood?.id, nuc), pin(brood?.id, firstId)] })).toEqual([
      'pins-contradict at pins.1',
    ]);
    expect(faults([nucs(1)], { pins: [pin(queen?.id, nuc)] })).toEqual(['pin-impossible at pins.0']);
    expect(faults([nucs(1)], { pins: [pin(brood?.id, 'store')] })).toEqual(['pin-impossible at pins.0']);
    expect(faults([nucs(1)], { pins: [pin(brood?.id, 'elsewhere')] })).toEqual(['pin-impossible at pins.0']);
    expect(faults([nucs(1)], { pins: [pin(brood?.id, nuc)], forbids: [pin(brood?.id, nuc)] })).toEqual([
      'pin-forbidden at pins.0',
    ]);
  });

  it('names a yard that is gone, a box too small, a colony united with itself', () => {
    expect(faults([], { yardIds: ['00000000-0000-4000-8000-000000000000'] })).toEqual([
      'unknown-yard at yardIds.0',
    ]);
    const up: YardGoal = { id: 'u', kind: 'hiveUp', colonyId: firstId, slots: 6, importance: 2 };
    expect(faults([up])).toEqual(['box-too-small at goals.0.slots']);
    const self: YardGoal = { id: 'u', kind: 'unite', fromId: firstId, intoId: firstId, importance: 2 };
    expect(faults([self])).toEqual(['unite-with-itself at goals.0.intoId']);
  });

  it('says of a colony of one box that it cannot be brought down', () => {
    const yard = new TestYard();
    const one = yard.hive(
      'One',
      [Array.from({ length: 8 }, () => bothSides({ capped: 8 }, 8))],
      '2026-05-10',
    );
    const goal: YardGoal = { id: 's', kind: 'shrink', colonyId: one.id, boxes: 1, importance: 2 };
    const built = buildProblem(yard.apiary, requestFor(yard.apiary, [goal]));
    expect(built.ok ? [] : built.problems).toMatchObject([
      {
        code: 'nothing-to-shrink',
        message: 'One has 1 brood box already.',
        remedy: 'It cannot be brought down further: choose another colony.',
      },
    ]);
  });

  it('says what keeps a colony out that a goal names', () => {
    const yard = new TestYard();
    const sick = yard.hive(
      'Sick',
      [Array.from({ length: 8 }, () => bothSides({ capped: 8 }, 8))],
      '2026-05-10',
    );
    yard.hive('Well', [Array.from({ length: 8 }, () => bothSides({ capped: 8 }, 8))], '2026-05-10');
    look(yard, sick.id, { diseaseSigns: { look: 'found', signs: ['smell'] } });
    expect(faults([{ id: 'c', kind: 'calm', colonyIds: [sick.id], importance: 2 }], {}, yard.apiary)).toEqual(
      ['goal-for-left-out at goals.0'],
    );
    const problem = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(1)]));
    expect(problem.leftOut.map((l) => [l.name, l.why.startsWith('Disease suspected')])).toEqual([
      ['Sick', true],
    ]);
  });

  it('keeps out what is treated, what was never counted, and what the beekeeper leaves alone', () => {
    const yard = new TestYard();
    const treated = yard.hive(
      'Treated',
      [Array.from({ length: 8 }, () => bothSides({ capped: 8 }, 8))],
      '2026-05-10',
    );
    const left = yard.hive(
      'Left',
      [Array.from({ length: 8 }, () => bothSides({ capped: 8 }, 8))],
      '2026-05-10',
    );
    yard.hive('In', [Array.from({ length: 8 }, () => bothSides({ capped: 8 }, 8))], '2026-05-10');
    look(yard, treated.id, { treatment: { look: 'found', what: 'Strips' } });
    const problem = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(1)], { leftOutIds: [left.id] }));
    expect(problem.leftOut.map((l) => l.name).toSorted()).toEqual(['Left', 'Treated']);
    expect(problem.units.filter((u) => u.kind === 'colony').map((u) => u.name)).toEqual(['In']);
  });
});

describe('decisions of the beekeeper', () => {
  it('a pinned frame goes where it is pinned, a forbidden move is not made', () => {
    const free = problemOf(apiary, requestFor(apiary, [nucs(1)]));
    const before = planned(free);
    const taken = free.frames.find(
      (f, i) => free.units[before.plan.to[i] ?? -1]?.kind === 'nuc' && f.brood > 0.3,
    );
    const spared = free.frames.findLast(
      (f, i) => before.plan.to[i] === f.home && f.brood > 0.5 && !f.hasQueen && f.mayGoTo.length > 0,
    );
    const nuc = free.units.find((u) => u.kind === 'nuc')?.key ?? '';
    const problem = problemOf(
      apiary,
      requestFor(apiary, [nucs(1)], {
        pins: [{ frameId: spared?.id ?? '', to: nuc }],
        forbids: [{ frameId: taken?.id ?? '', to: nuc }],
      }),
    );
    const { plan, feasible } = planned(problem);
    expect(feasible).toBe(true);
    expect(problem.units[plan.to[spared?.index ?? 0] ?? -1]?.key).toBe(nuc);
    expect(problem.units[plan.to[taken?.index ?? 0] ?? -1]?.key).not.toBe(nuc);
    expect(evaluate(problem, plan).broken).toEqual([]);
  });

  it('a pin that no plan can live with is named with the rule that it breaks', () => {
    const problem = problemOf(apiary, requestFor(apiary, [nucs(1)]));
    const weakest = problem.units
      .filter((u) => u.kind === 'colony')
      .toSorted((a, b) => (a.before[AT.brood] ?? 0) - (b.before[AT.brood] ?? 0))[0];
    const all = problem.frames.filter((f) => f.home === weakest?.index && f.brood > 0.3 && !f.hasQueen);
    const nuc = problem.units.find((u) => u.kind === 'nuc')?.key ?? '';
    const pinned = problemOf(
      apiary,
      requestFor(apiary, [nucs(1)], { pins: all.map((f) => ({ frameId: f.id, to: nuc })) }),
    );
    const { plan, feasible } = planned(pinned);
    expect(feasible).toBe(false);
    const named = faultsOfPlan(pinned, plan);
    expect(named.map((p) => p.code)).toContain('pins-break-rule');
    expect(named.some((p) => p.message.includes(weakest?.name ?? '?'))).toBe(true);
  });

  it('limits of the day are kept', () => {
    const problem = problemOf(apiary, requestFor(apiary, [nucs(3)], { limits: { hives: 1, frames: 5 } }));
    const { plan } = planned(problem);
    const seen = evaluate(problem, plan);
    expect(seen.broken).toEqual([]);
    expect(seen.hivesOpened).toBeLessThanOrEqual(1);
    expect(seen.combsCarried).toBeLessThanOrEqual(5);
  });

  it('colonies of two yards do not exchange frames', () => {
    const two = generatedYards({ colonies: 6, yards: 2, seed: 4 });
    const problem = problemOf(
      two,
      requestFor(two, [nucs(2), { id: 'l', kind: 'level', by: 'brood', importance: 2 }]),
    );
    const { plan } = planned(problem);
    const crossed = problem.frames.filter((f, i) => {
      const to = problem.units[plan.to[i] ?? -1];
      const home = problem.units[f.home];
      return to && home && to.yardId !== home.yardId;
    });
    expect(crossed).toEqual([]);
  });
});

describe('what is missing', () => {
  it('is told by the model, as a floor, and by the first day on which it is there', async () => {
    const solver = await loadSolver();
    const request = requestFor(apiary, [nucs(12)]);
    const problem = problemOf(apiary, request);
    const { plan } = planned(problem);
    const seen = evaluate(problem, plan);
    expect(seen.nucsMade).toBeLessThan(12);
    const shortages = shortageOf(problem, solver);
    expect(shortages.length).toBeGreaterThan(0);
    expect(shortages.every((s) => s.missing > 0)).toBe(true);
    // What can be made lacks nothing.
    const enough = problemOf(apiary, requestFor(apiary, [nucs(seen.nucsMade)]));
    expect(shortageOf(enough, solver)).toEqual([]);
  });

  it('with nothing in the store names drawn comb', async () => {
    const solver = await loadSolver();
    const bare = generatedYards({ colonies: 4, seed: 9, drawn: 0, foundation: 0 });
    const hungry = fiveFrames({ slots: 8, emptyCombs: 4 });
    const problem = problemOf(bare, requestFor(bare, [nucs(4, hungry)]));
    expect(shortageOf(problem, solver).map((s) => s.what)).toContain('drawn comb');
  });
});
