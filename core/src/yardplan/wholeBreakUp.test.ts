import { describe, expect, it } from 'vitest';
import { seededIds } from '../demo/seededIds.ts';
import { NEST, STRONG_UPPER, withQueen } from '../testing/nests.ts';
import { nestsAfter } from '../testing/nestsAfter.ts';
import { replaySteps } from '../testing/replaySteps.ts';
import { TestYard } from '../testing/builders.ts';
import { nucs, planned, problemOf, requestFor, twoAndTwo } from '../testing/yardRequests.ts';
import { restsOn } from '../testing/restsOn.ts';
import { buildProblem } from './problem/buildProblem.ts';
import { evaluate } from './search/evaluate.ts';
import { makeYardPlan } from './layout/makeYardPlan.ts';
import { AT } from './rules/measures.ts';
import { openFollowUps } from '../records/index.ts';
import type { Colony } from '../records/records.ts';
import { boxesOfColony, framesOfColony, placeOf, queenOf } from '../records/views.ts';
import type { NucRecipe, YardGoal, YardGoalOf } from '../records/bodies/request.ts';
import { bothSides, type FrameReading } from '../comb/contents.ts';
import type { FrameSizeId } from '../comb/index.ts';

// A colony torn down into nucs, all off its stand at dusk: worked out by hand (common practice, no source).

const { capped, open, honey, bread } = NEST;
const LOWER = [
  honey(6),
  capped(7, 9),
  capped(7, 9),
  open(7, 9),
  withQueen(open(7, 9)),
  capped(7, 9),
  capped(7, 9),
  open(6, 9),
  honey(6),
  bread(7),
];
const SUPER = [honey(4), honey(6), honey(7), honey(7), honey(7), honey(7), honey(6), honey(5), honey(3)];

/** The top box is a super over an excluder, its frames of a size. */
function makeSuper(yard: TestYard, colony: Colony, sizeId: FrameSizeId) {
  const box = boxesOfColony(yard.apiary, colony).at(-1)!;
  const combs = Object.values(yard.apiary.frame).filter((f) => f.boxId === box.id);
  yard.apiary = {
    ...yard.apiary,
    box: { ...yard.apiary.box, [box.id]: { ...box, role: 'super', excluderBelow: true, sizeId } },
    frame: { ...yard.apiary.frame, ...Object.fromEntries(combs.map((f) => [f.id, { ...f, sizeId }])) },
  };
}

function tornDown(
  recipe: Partial<NucRecipe> = {},
  upper: readonly FrameReading[] = STRONG_UPPER,
  above: FrameReading[] = [],
  size: FrameSizeId = 'langstroth-medium',
) {
  restsOn('minBeesNewPart', 'coverWarm', 'minStoresNoField');
  const yard = new TestYard();
  const moss = yard.hive('Moss', above.length > 0 ? [LOWER, upper, above] : [LOWER, upper], '2026-05-14');
  if (above.length > 0) makeSuper(yard, moss, size);
  const goal: YardGoal = {
    ...(nucs(null, twoAndTwo({ queen: 'cell', ...recipe })) as YardGoalOf<'makeNucs'>),
    wholeOfId: moss.id,
  };
  const problem = problemOf(yard.apiary, requestFor(yard.apiary, [goal]));
  const { plan } = planned(problem);
  const seen = evaluate(problem, plan);
  const finish = { names: {}, bound: null, name: 'Torn down' };
  const made = makeYardPlan(yard.apiary, problem, plan, finish, seededIds(7));
  return { yard, moss, problem, plan, seen, made };
}

describe('a colony of two boxes broken up whole', () => {
  it('gives five units of four combs: all its bees, brood in each, honey in each, the queen in one', () => {
    const { problem, seen } = tornDown();
    expect(seen.broken).toEqual([]);
    expect(seen.shortfalls).toEqual([]);
    // 20 combs in fours.
    expect(seen.nucsMade).toBe(4);
    const after = problem.units.filter((u) => seen.present[u.index]).map((u) => seen.after[u.index]!);
    expect(after).toHaveLength(5);
    const sum = (m: keyof typeof AT) => after.reduce((n, a) => n + a[AT[m]]!, 0);
    // Nobody flies home: the bees of all units are the bees of the colony.
    expect(sum('bees')).toBeCloseTo(problem.units[0]!.before[AT.bees]!, 6);
    expect(sum('queens')).toBe(1);
    for (const a of after) {
      expect(a[AT.frames]).toBe(4);
      // 13 combs of brood: two or three in each, a comb of honey beside them.
      expect([2, 3]).toContain(a[AT.broodCombs]);
      expect(a[AT.storesCombs]).toBeGreaterThanOrEqual(1);
      expect(a[AT.bees]).toBeGreaterThan(2.5);
    }
  });

  it('a colony that keeps its stand gives fewer: its field bees fly home', () => {
    const { yard } = tornDown();
    const kept = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(null, twoAndTwo({ queen: 'cell' }))]));
    expect(evaluate(kept, planned(kept).plan).nucsMade).toBeLessThan(4);
  });

  it('is worked from the top, each box taken off before the next, and nothing is named twice', () => {
    const { yard, made } = tornDown();
    expect(replaySteps(yard.apiary, made.work, made.steps)).toEqual([]);
    const texts = made.steps.map((s) => s.text);
    const off = texts.findIndex((t) => t.startsWith('Take the upper box off Moss'));
    const fromUpper = texts.findLastIndex((t) => /upper box/i.test(t) && !t.startsWith('Take'));
    const fromLower = texts.findIndex((t) => /lower box, frame \d+ →/i.test(t));
    expect(off).toBeGreaterThan(fromUpper);
    expect(fromLower).toBeGreaterThan(off);
    expect(texts.some((t) => /excluder between floor and box/.test(t))).toBe(true);
    for (const nest of nestsAfter(yard.apiary, made.work))
      expect({ [nest.hangs]: nest.faults }).toEqual({ [nest.hangs]: [] });
  });

  it('carried out: her nuc on a stand of its own, an excluder under it, the old stand empty, the evening on the agenda', () => {
    const { yard, moss, made } = tornDown();
    const queen = queenOf(yard.apiary, moss.id);
    const before = placeOf(yard.apiary, moss).stand;
    yard.run(made);
    for (const step of made.steps) yard.tick(step.id, '2026-05-15');
    const after = yard.apiary.colony[moss.id]!;
    expect(after.endedOn).toBeNull();
    expect(queenOf(yard.apiary, moss.id)?.id).toBe(queen?.id);
    expect(framesOfColony(yard.apiary, after)).toHaveLength(4);
    const [box, ...more] = boxesOfColony(yard.apiary, after);
    expect(more).toEqual([]);
    expect(box).toMatchObject({ slots: 4, excluderBelow: true, role: 'brood' });
    const now = placeOf(yard.apiary, after).stand;
    expect(now?.id).not.toBe(before?.id);
    expect(Object.values(yard.apiary.hive).filter((h) => h.standId === before?.id)).toEqual([]);
    const evening = openFollowUps(yard.apiary).filter((f) => f.topic === 'empty-stand');
    expect(evening).toHaveLength(1);
    expect(evening[0]?.colonyIds).toHaveLength(5);
    expect(evening[0]?.expect).toMatch(/^At dusk, .*Nothing is left on the old stand/);
    const hers = openFollowUps(yard.apiary).filter((f) => f.colonyIds.includes(moss.id));
    expect(hers.map((f) => f.topic).toSorted()).toEqual(['act', 'bees-stay', 'empty-stand', 'rhythm']);
  });

  it('a comb of drones has no place in a nuc: it goes out, to be frozen or melted', () => {
    const drones = bothSides({ drone: 7, drawn: 3 }, 6);
    const { problem, plan, seen } = tornDown({}, [drones, ...STRONG_UPPER.slice(1)]);
    expect(seen.broken).toEqual([]);
    const at = problem.frames.findIndex((f) => f.label.endsWith('upper box, frame 1'));
    expect(plan.to[at]).toBe(-1);
  });

  it('takes a super of another size off first, its bees with the old queen, its combs to the store', () => {
    const { yard, problem, seen, made, moss } = tornDown({}, STRONG_UPPER, SUPER);
    expect(seen.broken).toEqual([]);
    expect(seen.nucsMade).toBe(4);
    const texts = made.steps.map((s) => s.text);
    const off = texts.indexOf('Take the super off Moss, its bees brushed down into the hive');
    expect(off).toBeGreaterThan(texts.indexOf('Open Moss'));
    expect(off).toBeLessThan(texts.findIndex((t) => t.startsWith('Box 2')));
    expect(replaySteps(yard.apiary, made.work, made.steps)).toEqual([]);
    yard.run(made);
    for (const step of made.steps) yard.tick(step.id, '2026-05-14');
    expect(boxesOfColony(yard.apiary, yard.apiary.colony[moss.id]!)).toHaveLength(1);
    expect(Object.values(yard.apiary.box).filter((b) => b.hiveId === null)).toHaveLength(3);
    const inStore = Object.values(yard.apiary.frame).filter((f) => f.place === 'store');
    expect(inStore.filter((f) => f.readingId !== null)).toHaveLength(SUPER.length);
    // No bee is lost: those of the super are with the old queen.
    const after = seen.after.reduce((n, a) => n + a[AT.bees]!, 0);
    expect(after).toBeCloseTo(problem.units[0]!.before[AT.bees]!, 6);
  });

  it('takes one of the same size off as well: food of the nucs comes out of the nest', () => {
    const { yard, seen, made } = tornDown({}, STRONG_UPPER, SUPER, 'langstroth-deep');
    expect(seen.broken).toEqual([]);
    expect(seen.nucsMade).toBe(4);
    expect(made.work.body.moves.filter((m) => m.to === null)).toHaveLength(SUPER.length);
    expect(replaySteps(yard.apiary, made.work, made.steps)).toEqual([]);
  });

  it('is refused with brood in the super, and when another goal changes its boxes', () => {
    const { yard, moss } = tornDown();
    const whole = { ...(nucs(null) as YardGoalOf<'makeNucs'>), wholeOfId: moss.id };
    const down: YardGoal = { id: 's', kind: 'shrink', colonyId: moss.id, boxes: 1, importance: 2 };
    const faults = (goals: YardGoal[]) => {
      const built = buildProblem(yard.apiary, requestFor(yard.apiary, goals));
      return built.ok ? [] : built.problems.map((p) => p.code);
    };
    expect(faults([whole])).toEqual([]);
    expect(faults([whole, down])).toContain('goals-contradict');
    const [top] = boxesOfColony(yard.apiary, moss).toReversed();
    yard.apiary = { ...yard.apiary, box: { ...yard.apiary.box, [top!.id]: { ...top!, role: 'super' } } };
    expect(faults([whole])).toEqual(['supers-on']);
  });
});
