import { describe, expect, it } from 'vitest';
import { addDays } from '../../basics/day.ts';
import { generatedYards } from '../../testing/generatedYards.ts';
import { TestYard } from '../../testing/builders.ts';
import { NEST, STRONG_BOX, WEAK_BOX } from '../../testing/nests.ts';
import { fiveFrames, nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { buildProblem } from './buildProblem.ts';
import { kitBoxKey } from './newBoxes.ts';
import { AT } from '../rules/measures.ts';
import { nucKey } from './nucCandidates.ts';
import { STORE } from './problem.ts';
import type { YardGoal } from '../../records/bodies/request.ts';

const two = () => {
  const yard = new TestYard();
  const strong = yard.hive('Strong', [[...STRONG_BOX]], '2026-05-14');
  const weak = yard.hive('Weak', [[...WEAK_BOX]], '2026-05-14', 10);
  return { yard, strong, weak };
};

describe('yards brought to the day of the work', () => {
  it('are their colonies with what they have, in frames', () => {
    const { yard } = two();
    const p = problemOf(yard.apiary, requestFor(yard.apiary, [], { day: '2026-05-14' }));
    const strong = p.units.find((u) => u.name === 'Strong')!;
    const b = (m: keyof typeof AT) => strong.before[AT[m]] as number;
    // Four combs of 7 tenths capped; eggs and open brood on three.
    expect(b('capped')).toBeCloseTo(2.8, 6);
    expect(b('open')).toBeCloseTo(0.7 + 0.7 + 0.6, 6);
    expect(b('brood')).toBeCloseTo(4.8, 6);
    expect(b('broodCombs')).toBe(7);
    expect(b('frames')).toBe(10);
    expect(b('queens')).toBe(1);
    expect(strong.slots).toBe(10);
    expect(p.countedOn).toBe('2026-05-14');
  });

  it('rest on counts carried forward: brood hatches, and she lays on', () => {
    const { yard } = two();
    const on = (day: string) =>
      problemOf(yard.apiary, requestFor(yard.apiary, [], { day })).units.find((u) => u.name === 'Strong')!;
    const bees = (day: string) => on(day).before[AT.bees] as number;
    expect(bees(addDays('2026-05-14', 6))).toBeGreaterThan(bees('2026-05-14'));
  });

  it('leave out a colony that was counted after that day', () => {
    const { yard } = two();
    const built = buildProblem(yard.apiary, requestFor(yard.apiary, [], { day: '2026-05-13' }));
    expect(built.ok).toBe(false);
    expect(built.ok ? [] : built.problems.map((p) => p.code)).toEqual(['nothing-to-plan']);
  });

  it('leave out a colony that was never counted, and say so', () => {
    const { yard } = two();
    yard.run({
      type: 'addHives',
      yardId: yard.yardId,
      day: '2026-05-01',
      hives: [
        {
          hiveId: yard.newId(),
          standId: yard.newId(),
          colonyId: yard.newId(),
          name: 'New',
          boxes: [{ id: yard.newId(), sizeId: 'langstroth-deep', slots: 10, role: 'brood', frames: [] }],
        },
      ],
    });
    const p = problemOf(yard.apiary, requestFor(yard.apiary, []));
    expect(p.leftOut).toMatchObject([{ name: 'New', why: 'It was never counted: count it first.' }]);
  });

  it('keep colonies in an order that does not hang on how they are kept', () => {
    const apiary = generatedYards({ colonies: 5, seed: 6 });
    const keys = problemOf(apiary, requestFor(apiary, [])).units.map((u) => u.key);
    expect(keys).toEqual(keys.toSorted());
  });
});

describe('nucs that may be made', () => {
  it('are no more than are asked for, nor than brood and bees would allow', () => {
    const { yard } = two();
    const made = (count: number | null) =>
      problemOf(yard.apiary, requestFor(yard.apiary, [nucs(count)])).units.filter((u) => u.kind === 'nuc');
    expect(made(1).map((u) => u.name)).toEqual(['Nuc 1']);
    // One colony of seven brood combs and some 7 frames of bees.
    expect(made(50).length).toBeLessThanOrEqual(3);
    expect(made(null).length).toBe(made(50).length);
    expect(made(1)[0]?.key).toBe(nucKey('nucs', yard.yardId, 1));
  });

  it('with the old queen are no more than queens were seen', () => {
    const { yard } = two();
    const recipe = fiveFrames({ queen: 'old-queen', broodFrames: 0.1 });
    const p = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(null, recipe)]));
    expect(p.units.filter((u) => u.kind === 'nuc').length).toBeLessThanOrEqual(2);
  });

  it('of another frame size find no donor', () => {
    const { yard } = two();
    const p = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(2, fiveFrames({ sizeId: 'zander' }))]));
    expect(p.units.filter((u) => u.kind === 'nuc')).toEqual([]);
  });
});

describe('goals that change hives', () => {
  it('give a nuc its new box, with slots that are not there yet', () => {
    const yard = new TestYard();
    const nuc = yard.hive('Nuc', [[NEST.honey(), NEST.capped(), NEST.open(), NEST.honey()]], '2026-05-14', 5);
    const goal: YardGoal = { id: 'u', kind: 'hiveUp', colonyId: nuc.id, slots: 10, importance: 2 };
    const [unit] = problemOf(yard.apiary, requestFor(yard.apiary, [goal])).units;
    expect(unit?.slots).toBe(10);
    expect(unit?.boxes.map((b) => b.id)).toEqual([kitBoxKey(nuc.id)]);
    // Its frames count for the new box.
    expect(unit?.before[AT.frames]).toBe(4);
  });

  it('make one colony of two that are united, with one queen', () => {
    const { yard, strong, weak } = two();
    const goal: YardGoal = { id: 'u', kind: 'unite', fromId: weak.id, intoId: strong.id, importance: 2 };
    const p = problemOf(yard.apiary, requestFor(yard.apiary, [goal]));
    expect(p.units.map((u) => u.name)).toEqual(['Strong']);
    expect(p.units[0]?.before[AT.queens]).toBe(1);
    expect(p.units[0]?.slots).toBe(20);
    expect(p.frames.filter((f) => f.home === 0)).toHaveLength(15);
    expect(p.unions).toMatchObject([{ fromName: 'Weak', intoId: strong.id }]);
  });
});

describe('combs of the store', () => {
  it('come in only as many as could find a place', () => {
    const { yard } = two();
    yard.stock('drawn', 40);
    yard.stock('foundation', 40);
    const store = (goals: YardGoal[]) =>
      problemOf(yard.apiary, requestFor(yard.apiary, goals)).frames.filter((f) => f.home === STORE).length;
    expect(store([])).toBe(0);
    expect(store([nucs(1)])).toBeGreaterThan(0);
    expect(store([nucs(1)])).toBeLessThanOrEqual(4);
    expect(store([nucs(1, fiveFrames({ emptyCombs: 0 }))])).toBe(0);
  });
});
