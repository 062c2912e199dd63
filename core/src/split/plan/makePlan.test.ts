import { describe, expect, it } from 'vitest';
import { framesOfColony, openFollowUps, queenOf, queenPerhapsIn } from '../../records/views.ts';
import { bothSides, type FrameReading } from '../../comb/contents.ts';
import { DEMO_DAY, demoScenario, seededIds } from '../../demo/index.ts';
import { METHODS } from '../methods/registry.ts';
import type { MethodId } from '../../records/bodies/methodId.ts';
import { closingFor, TestYard } from '../../testing/builders.ts';
import { makePlan, type WorkedPlan } from './makePlan.ts';

const honey = bothSides({ honey: 8, beeBread: 1, drawn: 1 }, 8);
const young = bothSides({ eggs: 2, open: 4, beeBread: 1, honey: 1, drawn: 2 }, 9);
const capped = bothSides({ capped: 6, beeBread: 1, honey: 2, drawn: 1 }, 9);
const empty = bothSides({ drawn: 9, honey: 1 }, 6);
const withQueen = (r: FrameReading): FrameReading => ({ ...r, queenSeen: true });
const withCells = (r: FrameReading): FrameReading => ({
  ...r,
  cells: [{ kind: 'charged', count: 3, larvaAgeDays: 3 }],
});

const lower = [honey, empty, capped, young, young, capped, capped, empty, honey, honey];
const upper = [honey, capped, young, young, young, capped, honey, honey, honey, honey];

function planned(
  yard: TestYard,
  name: string,
  methodId: MethodId,
  options: Record<string, string> = {},
  day = '2026-05-09',
): WorkedPlan {
  const result = makePlan(
    yard.apiary,
    { colonyId: yard.colony(name).id, methodId, day, newName: 'New', options },
    seededIds(11),
  );
  if (!result.ok) throw new Error(result.problems.map((p) => p.message).join(' '));
  return result.value;
}

const line = (plan: WorkedPlan, id: string) => {
  const found = plan.command.work.body.ledger.find((l) => l.id === id);
  if (!found) throw new Error(`no rule ${id}`);
  return found;
};

function workOff(yard: TestYard, plan: WorkedPlan, day = '2026-05-09'): void {
  yard.run(plan.command);
  for (const s of plan.command.steps) yard.tick(s.id, day);
}

describe('even walk-away halves', () => {
  it('moves eggs to a half without any, and says so', () => {
    const yard = new TestYard();
    const noEggs = upper.map((r) => (r === young ? capped : r));
    yard.hive('A', [lower, noEggs]);
    const plan = planned(yard, 'A', 'walk-away-halves', { frames: 'as-they-stand' });
    expect(line(plan, 'eggs-fresh').state).not.toBe('broken');
    expect(plan.command.work.body.moves.some((m) => m.reason.includes('eggs in New would be 0 of 1'))).toBe(
      true,
    );
  });

  it('leaves halves that have what they need as they stand, when told to', () => {
    const yard = new TestYard();
    yard.hive('A', [lower, upper]);
    expect(
      planned(yard, 'A', 'walk-away-halves', { frames: 'as-they-stand' }).command.work.body.moves,
    ).toEqual([]);
    const even = planned(yard, 'A', 'walk-away-halves').parts;
    expect(Math.abs(even[0].measure.broodFrames - even[1].measure.broodFrames)).toBeLessThan(0.6);
  });

  it('reckons bees after drift by hand: stayers of the upper box, the rest home to the old stand', () => {
    const yard = new TestYard();
    yard.hive('A', [lower, upper]);
    const [stay, fresh] = planned(yard, 'A', 'walk-away-halves', { frames: 'as-they-stand' }).parts;
    // Upper box: 3 young frames at 0.65, 2 capped at 0.5, 5 honey at 0.35 (common practice, no source).
    const stays = 3 * 0.9 * 0.65 + 2 * 0.9 * 0.5 + 5 * 0.8 * 0.35;
    expect(fresh.measure.framesOfBeesAfterDrift).toBeCloseTo(stays, 6);
    const all = stay.measure.framesOfBeesNow + fresh.measure.framesOfBeesNow;
    expect(stay.measure.framesOfBeesAfterDrift + fresh.measure.framesOfBeesAfterDrift).toBeCloseTo(all, 6);
    const away = planned(yard, 'A', 'walk-away-halves', { frames: 'as-they-stand', distance: 'away' }).parts;
    expect(away[1].measure.framesOfBeesAfterDrift).toBeCloseTo(0.95 * fresh.measure.framesOfBeesNow, 6);
  });

  it('shows a broken rule with its number and what would mend it, and still plans', () => {
    const yard = new TestYard();
    const weak = lower.map((r) => ({
      ...r,
      sides: [
        { ...r.sides[0], bees: 2 },
        { ...r.sides[1], bees: 2 },
      ] as const,
    }));
    yard.hive('A', [weak, weak]);
    const rule = line(planned(yard, 'A', 'walk-away-halves'), 'strength');
    expect(rule).toMatchObject({ state: 'broken', value: 4, threshold: 12 });
    expect(rule.mend).toContain('Short by 8 frames of bees');
  });

  it('says that no part has eggs when there are none to share', () => {
    const yard = new TestYard();
    const noEggs = [...lower, ...upper].map((r) => (r === young ? capped : r));
    yard.hive('A', [noEggs.slice(0, 10), noEggs.slice(10)]);
    const plan = planned(yard, 'A', 'walk-away-halves');
    expect(line(plan, 'eggs-stay').state).toBe('broken');
    expect(line(plan, 'eggs-fresh').mend).toMatch(/another healthy colony/);
  });

  it('worked off: two hives, the upper box on a new stand, the queen in one of the two, a look on day 7', () => {
    const yard = new TestYard();
    const a = yard.hive('A', [lower, upper]);
    yard.run({
      type: 'putQueen',
      queen: {
        id: yard.newId(),
        name: 'Q',
        birthYear: 2025,
        dot: 'blue',
        mating: 'mated',
        whereabouts: { known: 'colony', colonyId: a.id },
      },
    });
    workOff(yard, planned(yard, 'A', 'walk-away-halves', { day3: 'yes' }));
    const fresh = yard.colony('New');
    expect(framesOfColony(yard.apiary, yard.colony('A'))).toHaveLength(10);
    expect(framesOfColony(yard.apiary, fresh)).toHaveLength(10);
    expect(fresh.origin).toMatchObject({ how: 'split', fromColonyId: a.id });
    expect(queenOf(yard.apiary, a.id)).toBeUndefined();
    expect(queenPerhapsIn(yard.apiary, fresh.id)?.name).toBe('Q');
    const due = openFollowUps(yard.apiary).map((f) => [f.topic, f.window.likely]);
    expect(due).toEqual([
      ['bees-stay', '2026-05-10'],
      ['early-capped', '2026-05-12'],
      ['which-part', '2026-05-16'],
      ['rest', '2026-05-21'],
      ['eggs-due', '2026-06-06'],
    ]);
  });
});

it('work done two days late moves the dates that hang on the split', () => {
  const yard = new TestYard();
  yard.hive('A', [lower, upper]);
  workOff(yard, planned(yard, 'A', 'walk-away-halves'), '2026-05-11');
  expect(yard.colony('A').separation?.day).toBe('2026-05-11');
  expect(openFollowUps(yard.apiary).find((f) => f.topic === 'which-part')?.window.likely).toBe('2026-05-18');
});

describe('queen moved out to a nuc', () => {
  const swarming = lower.map((r, i) => (i === 3 ? withQueen(r) : i === 4 ? withCells(r) : r));

  it('takes her cell-free frame, no cell, and leaves the parent its cells and its floor', () => {
    const yard = new TestYard();
    yard.hive('A', [swarming, upper]);
    const plan = planned(yard, 'A', 'queen-to-nuc');
    const queenFrame = plan.frames.find((f) => f.hasQueen);
    const move = plan.command.work.body.moves.find((m) => m.frameId === queenFrame?.id);
    expect(move?.reason).toMatch(/^The queen is on it/);
    expect(plan.parts[1].measure.liveCells).toBe(0);
    expect(plan.command.work.body.ledger.filter((l) => l.state === 'broken')).toEqual([]);
    expect(
      plan.command.work.body.moves.filter(
        (m) => m.to?.boxId !== move?.to?.boxId && m.from !== null && m.from.boxId !== m.to?.boxId,
      ),
    ).toEqual([]);
  });

  it('never moves the frame that she shares with cells; she is carried over by hand', () => {
    const yard = new TestYard();
    const both = lower.map((r, i) => (i === 4 ? withQueen(withCells(r)) : r));
    yard.hive('A', [both, upper]);
    const plan = planned(yard, 'A', 'queen-to-nuc');
    const queenFrame = plan.frames.find((f) => f.hasQueen);
    expect(plan.command.work.body.moves.some((m) => m.frameId === queenFrame?.id)).toBe(false);
    expect(plan.command.steps.find((s) => s.kind === 'find')?.detail).toMatch(
      /That frame has cells and stays/,
    );
  });

  it('shakes nurses in when the frames alone leave too few bees, and only off open brood without cells', () => {
    const yard = new TestYard();
    yard.hive('A', [swarming, upper]);
    yard.run({ type: 'changeSettings', houseRules: { minBeesNewPart: 3.5 } });
    const plan = planned(yard, 'A', 'queen-to-nuc');
    const { parts } = plan;
    const { shakes } = plan.command.work.body;
    expect(shakes.length).toBeGreaterThan(0);
    for (const s of shakes) {
      const frame = plan.frames.find((f) => f.id === s.frameId);
      expect(frame?.liveCells).toBe(0);
      expect((frame?.open ?? 0) + (frame?.eggs ?? 0)).toBeGreaterThan(frame?.capped ?? 1);
    }
    expect(parts[1].measure.framesOfBeesAfterDrift).toBeGreaterThanOrEqual(3.5);
  });

  it('takes less brood for a nuc that is to spare the honey crop', () => {
    const yard = new TestYard();
    yard.hive('A', [swarming, upper]);
    const of = (purpose: string) =>
      planned(yard, 'A', 'queen-to-nuc', { purpose }).parts[1].measure.broodFrames;
    expect(of('honey')).toBeLessThan(of('increase'));
  });

  it('worked off: she is in the nuc, the parent is raising, and rests from emergence', () => {
    const yard = new TestYard();
    const a = yard.hive('A', [swarming, upper]);
    yard.stock('drawn', 3);
    yard.run({
      type: 'putQueen',
      queen: {
        id: yard.newId(),
        name: 'Q',
        birthYear: 2024,
        dot: 'green',
        mating: 'mated',
        whereabouts: { known: 'colony', colonyId: a.id },
      },
    });
    workOff(yard, planned(yard, 'A', 'queen-to-nuc'));
    expect(queenOf(yard.apiary, yard.colony('New').id)?.name).toBe('Q');
    expect(yard.colony('A').separation?.queen).toBe('elsewhere');
    const rest = openFollowUps(yard.apiary).find((f) => f.kind === 'hands-off');
    // The larva was three days old on 9 May: 16 − 6 = 10 days to emergence.
    expect(rest?.window).toMatchObject({ earliest: '2026-05-19', latest: '2026-06-02' });
    for (const f of openFollowUps(yard.apiary)) {
      expect(f.window.earliest <= f.window.likely && f.window.likely <= f.window.latest).toBe(true);
    }
  });
});

describe('what cannot be planned is said at once', () => {
  it('a colony that was never counted, a day before the count, a colony that is gone', () => {
    const yard = new TestYard();
    const a = yard.hive('A', [lower]);
    const ask = (change: object) =>
      makePlan(
        yard.apiary,
        {
          colonyId: a.id,
          methodId: 'walk-away-halves',
          day: '2026-05-09',
          newName: 'New',
          options: {},
          ...change,
        },
        seededIds(1),
      );
    const code = (r: ReturnType<typeof ask>) => (r.ok ? 'planned' : r.problems[0]?.code);
    expect(code(ask({ day: '2026-05-02' }))).toBe('before-count');
    expect(code(ask({ colonyId: 'x' }))).toBe('unknown-id');
    yard.apiary = { ...yard.apiary, reading: {} };
    expect(code(ask({}))).toBe('not-counted');
  });

  it('a plan whose frames were moved meanwhile is not carried out by half', () => {
    const yard = new TestYard();
    yard.hive('A', [lower, upper]);
    const plan = planned(yard, 'A', 'queen-to-nuc');
    yard.run(plan.command);
    const moved = plan.command.work.body.moves[0];
    yard.run({ type: 'moveFrames', moves: [{ frameId: moved?.frameId ?? '', to: { place: 'store' } }] });
    const steps = [...plan.command.steps];
    const last = steps.pop();
    for (const s of steps) yard.tick(s.id, '2026-05-09');
    const before = yard.apiary;
    const lastId = last?.id ?? '';
    const tick = { type: 'tickStep' as const, stepId: lastId, done: true, day: '2026-05-09' };
    expect(yard.refused({ ...tick, ...closingFor(yard.apiary, lastId) })).toEqual(['frame-moved at stepId']);
    expect(yard.apiary).toBe(before);
  });
});

describe('a colony that is raising its queen', () => {
  it('is not divided before she lays: neither part would have one', () => {
    const { apiary } = demoScenario();
    const melilot = Object.values(apiary.colony).find((c) => c.name === 'Melilot')!;
    for (const { id } of METHODS) {
      const result = makePlan(
        apiary,
        { colonyId: melilot.id, methodId: id, day: DEMO_DAY, newName: 'New', options: {} },
        seededIds(3),
      );
      const refused = !result.ok && result.problems[0]?.code === 'queen-gone';
      expect([id, refused]).toEqual([id, id !== 'spare-cells' && id !== 'caged-queen']);
    }
  });
});
