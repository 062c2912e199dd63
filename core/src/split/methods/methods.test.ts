import { describe, expect, it } from 'vitest';
import { addDays } from '../../basics/day.ts';
import { bothSides, type FrameReading } from '../../comb/contents.ts';
import { seededIds } from '../../demo/seededIds.ts';
import { makePlan } from '../plan/makePlan.ts';
import { TestYard } from '../../testing/builders.ts';
import type { MethodId } from '../../records/bodies/methodId.ts';
import { METHODS, methodById } from './registry.ts';

const DAY = '2026-05-09';
const honey = bothSides({ honey: 8, beeBread: 1, drawn: 1 }, 8);
const young = bothSides({ eggs: 2, open: 4, beeBread: 1, honey: 1, drawn: 2 }, 9);
const capped = bothSides({ capped: 6, beeBread: 1, honey: 2, drawn: 1 }, 9);
const cells: FrameReading = { ...young, cells: [{ kind: 'charged', count: 3, larvaAgeDays: 1 }] };
const box = [honey, capped, young, young, capped, young, capped, capped, honey, honey];

function planOf(
  methodId: MethodId,
  options: Record<string, string> = {},
  frames: readonly FrameReading[] = box,
) {
  const yard = new TestYard();
  const colony = yard.hive('Old', [frames, box]);
  const plan = makePlan(
    yard.apiary,
    { colonyId: colony.id, methodId, day: DAY, newName: 'New', options },
    seededIds(4),
  );
  if (!plan.ok) throw new Error(plan.problems[0]?.message);
  const { work, steps } = plan.value.command;
  const { body } = work;
  const emergence = body.units.find((u) => u.parted?.emergence)?.parted?.emergence ?? null;
  const asked = body.asked.source === 'split' ? body.asked.options : {};
  return {
    body,
    parts: plan.value.parts,
    options: asked,
    emergence,
    steps,
    moves: body.moves,
    texts: steps.map((s) => `${s.text} ${s.detail}`).join('\n'),
  };
}

describe.each(METHODS.map((m) => [m.name, m] as const))('%s', (_name, method) => {
  it('is described, and each question has a default among its schools, every school with a reason', () => {
    for (const text of [method.aim, method.season, method.needs, method.shares, method.skips])
      expect(text.length).toBeGreaterThan(20);
    for (const o of method.options) {
      expect(o.schools.map((s) => s.id)).toContain(o.default);
      expect(o.schools.length).toBeGreaterThan(1);
      for (const s of o.schools) expect(s.why.length).toBeGreaterThan(10);
    }
    expect(method.goesWrong.length).toBeGreaterThan(1);
    expect(methodById(method.id)).toBe(method);
  });

  it('computes a plan for every combination of its schools', () => {
    const [first, ...rest] = method.options;
    for (const school of first?.schools ?? []) {
      for (const other of rest) {
        for (const s of other.schools) {
          const { options, steps } = planOf(method.id, { [first!.id]: school.id, [other.id]: s.id });
          expect(options).toMatchObject({ [first!.id]: school.id, [other.id]: s.id });
          expect(steps.length).toBeGreaterThan(5);
        }
      }
    }
  });
});

/** Brood that only goes above has no second hive to be closed, fed or kept warm. */
const parting = METHODS.filter((m) => m.id !== 'brood-above');
describe.each(parting.map((m) => [m.name, m] as const))('%s, its new part', (_name, method) => {
  it('takes an unknown school for the default', () => {
    expect(planOf(method.id, { nights: 'tropical' }).options['nights']).toBe('mild');
  });

  it('ends with the checks that must not be forgotten: entrances, tag', () => {
    const { steps } = planOf(method.id);
    const checks = steps.filter((s) => s.kind === 'check').map((s) => s.text);
    expect(checks.find((c) => !/^A dummy board|^See eggs/.test(c))).toBe('Every entrance is open again');
    expect(checks.at(-1)).toMatch(/^Tag New/);
  });

  it('names a place before anything is lifted, and carries a frame once', () => {
    const { steps, moves } = planOf(method.id);
    expect(steps[0]?.kind).toBe('prepare');
    const carried = moves.filter((m) => m.from !== null && m.from.boxId !== m.to?.boxId);
    expect(new Set(carried.map((m) => m.frameId)).size).toBe(carried.length);
    const slots = moves.map((m) => `${m.to?.boxId}/${m.to?.slot}`);
    expect(new Set(slots).size).toBe(slots.length);
  });

  it('warns of stings, fire, disease, and of missing drones', () => {
    const { body } = planOf(method.id);
    for (const word of ['Stings', 'Fire', 'notifiable', 'Lifting']) {
      expect(body.cautions.join('\n')).toContain(word);
    }
    // Only a queen that has to mate needs drones.
    const warns = body.cautions.some((c) => c.startsWith('Drones'));
    expect(warns).toBe(method.id !== 'caged-queen');
    const withDrones = [bothSides({ drone: 3, capped: 3, drawn: 4 }, 8), ...box.slice(1)];
    expect(planOf(method.id, {}, withDrones).body.cautions.some((c) => c.startsWith('Drones'))).toBe(false);
  });

  it('feeds when told to, and brings the feeder', () => {
    const fed = planOf(method.id, { feed: 'always' });
    expect(fed.texts).toMatch(/Set a feeder on New: it is fed 1:1 this evening/);
    expect(fed.body.kit.some((k) => k.what === 'feeder')).toBe(true);
  });

  it('asks for less brood a bee when nights are cold', () => {
    const threshold = (nights: string) =>
      planOf(method.id, { nights }).body.ledger.find((l) => l.id === 'cover-fresh')?.threshold;
    expect([threshold('mild'), threshold('cold')]).toEqual([0.8, 0.6]);
  });
});

const carried = METHODS.filter((m) => m.options.some((o) => o.id === 'distance'));
describe.each(carried.map((m) => [m.name, m] as const))('%s, away', (_name, method) => {
  it('carried beyond 3 km keeps nearly all bees, and says air and shade', () => {
    const near = planOf(method.id).parts[1].measure;
    const far = planOf(method.id, { distance: 'away' });
    const kept = (m: typeof near) => m.framesOfBeesAfterDrift / m.framesOfBeesNow;
    expect(kept(far.parts[1].measure)).toBeGreaterThanOrEqual(0.95 - 1e-9);
    expect(far.parts[0].measure.framesOfBeesAfterDrift).toBeGreaterThan(0);
    expect(far.texts).toMatch(/shade/);
  });
});

describe('even walk-away halves: kit and days', () => {
  it('lifts the upper box as it stands and says what it weighs', () => {
    const { body, texts } = planOf('walk-away-halves');
    expect(body.newHives[0]?.boxes).toMatchObject([{ from: 'old-hive' }]);
    expect(texts).toMatch(/Lift the upper box onto the floor of New/);
    expect(body.cautions.find((c) => c.startsWith('Lifting'))).toMatch(/about \d+ kg \(\d+ lb\)/);
  });

  it('looks on day 3 only when asked', () => {
    const topics = (day3: string) => planOf('walk-away-halves', { day3 }).body.looks.map((f) => f.topic);
    expect(topics('no')).toEqual(['bees-stay', 'which-part', 'rest', 'eggs-due']);
    expect(topics('yes').slice(0, 2)).toEqual(['bees-stay', 'early-capped']);
  });

  it('splits a colony in one box into a second box that is brought', () => {
    const yard = new TestYard();
    const colony = yard.hive('Old', [box]);
    const plan = makePlan(
      yard.apiary,
      { colonyId: colony.id, methodId: 'walk-away-halves', day: DAY, newName: 'New', options: {} },
      seededIds(4),
    );
    if (!plan.ok) throw new Error('no plan');
    const { body } = plan.value.command.work;
    expect(body.newHives[0]?.boxes).toMatchObject([{ from: 'kit', sizeId: 'langstroth-deep', slots: 10 }]);
    expect(body.kit.find((k) => k.shortBy)).toMatchObject({ count: 10, shortBy: 10 });
    expect(plan.value.parts[0].measure.frames + plan.value.parts[1].measure.frames).toBe(10);
  });

  it('leaves supers on the old stand', () => {
    const yard = new TestYard();
    const colony = yard.hive('Old', [box, box, [honey, honey]]);
    const top = Object.values(yard.apiary.box).find((b) => b.position === 2);
    yard.apiary = { ...yard.apiary, box: { ...yard.apiary.box, [top!.id]: { ...top!, role: 'super' } } };
    const plan = makePlan(
      yard.apiary,
      { colonyId: colony.id, methodId: 'walk-away-halves', day: DAY, newName: 'New', options: {} },
      seededIds(4),
    );
    if (!plan.ok) throw new Error('no plan');
    expect(plan.value.command.work.body.newHives[0]?.boxes).toHaveLength(1);
    expect(plan.value.parts[0].slots.some((s) => s.boxId === top!.id)).toBe(true);
  });
});

describe('queen moved out to a nuc: cells and days', () => {
  const swarming = box.map((r, i) => (i === 3 ? cells : r));

  it('with cells: reserves before removing, dates the queen by the larva', () => {
    const { body, emergence, texts } = planOf('queen-to-nuc', {}, swarming);
    expect(texts).toMatch(/Reserve the two best cells.*Then remove the others/);
    // Hatched one day before 9 May: egg age 4, so emergence in 12 days (16 − 4).
    expect(emergence).toEqual({
      window: { earliest: addDays(DAY, 11), likely: addDays(DAY, 12), latest: addDays(DAY, 13) },
      anchor: 'cells',
    });
    expect(body.looks.map((f) => f.topic)).toEqual([
      'bees-stay',
      'rhythm',
      'surplus-cells',
      'rest',
      'eggs-due',
    ]);
    expect(body.looks.find((f) => f.topic === 'surplus-cells')?.window.earliest).toBe(addDays(DAY, 7));
  });

  it('without cells the parent raises from eggs, and day 7 shows whether it does', () => {
    const { body, emergence } = planOf('queen-to-nuc');
    expect(emergence).toBeNull();
    expect(body.ledger.some((l) => l.id === 'eggs-stay')).toBe(true);
    expect(body.looks.map((f) => f.topic)).toEqual(['bees-stay', 'rhythm', 'which-part', 'rest', 'eggs-due']);
  });

  it.each([
    ['one', /Reserve the best cell/],
    ['all', /Leave all cells/],
  ])('keeps %s when told to', (school, expected) => {
    expect(planOf('queen-to-nuc', { cells: school }, swarming).texts).toMatch(expected);
  });

  it('looks for a queen that nobody has seen, and has a way out when she is not found', () => {
    const { steps } = planOf('queen-to-nuc');
    const find = steps.find((s) => s.kind === 'find');
    expect(find?.text).toBe('Find the queen in Old');
    expect(find?.detail).toMatch(/part the brood/);
  });
});
