import { describe, expect, it } from 'vitest';
import type { CommandOf } from '../records/commands.ts';
import { framesOfColony } from '../records/views.ts';
import { bothSides, shareOf, shareOfBees } from '../comb/contents.ts';
import { TestYard } from '../testing/builders.ts';
import { framesBack, framesOn } from './colonyOn.ts';
import { descentOf } from '../colony/descent.ts';
import { strengthHistory } from '../colony/strengthHistory.ts';
import { makePlan } from '../split/plan/makePlan.ts';

const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 3 }, 6);
const honey = bothSides({ honey: 8, drawn: 2 }, 4);

/** A yard with one colony, counted again in part. */
function yardOf() {
  const yard = new TestYard();
  const colony = yard.hive('A', [[honey, brood, brood, honey]], '2026-05-09');
  return { yard, colony };
}

function countAgain(yard: TestYard, day: string, slots: readonly number[], body = brood): void {
  const colony = yard.colony('A');
  yard.run({
    type: 'recordCount',
    visitId: yard.newId(),
    colonyId: colony.id,
    day,
    note: '',
    readings: framesOfColony(yard.apiary, colony)
      .filter((f) => slots.includes(f.slot))
      .map((f) => ({ id: yard.newId(), frameId: f.frame.id, body: body as never })),
  } satisfies CommandOf<'recordCount'>);
}

describe('a colony on another day', () => {
  it('is its count brought forward under a queen that goes on laying', () => {
    const { yard, colony } = yardOf();
    const on = framesOn(yard.apiary, colony, '2026-05-19');
    const of = (c: Parameters<typeof shareOf>[1]) => on.reduce((n, f) => n + shareOf(f.reading!.body, c), 0);
    // Ten of twelve days: most of the capped brood that was there is out, and as much was capped since.
    expect(of('eggs')).toBeGreaterThan(0.1);
    expect(of('capped')).toBeGreaterThan(0.3);
    expect(on.every((f) => f.reading!.body.estimated)).toBe(true);
    // Four frames of bees eat, and nothing says that nectar comes in.
    expect(of('honey')).toBeLessThan(2.2);
  });

  it('on the day of its count is the count, and an uncounted colony stays so', () => {
    const { yard, colony } = yardOf();
    expect(framesOn(yard.apiary, colony, '2026-05-09')).toEqual(framesOfColony(yard.apiary, colony));
    expect(framesOn(yard.apiary, colony, '2026-05-01')).toEqual(framesOfColony(yard.apiary, colony));
  });

  it('brings frames of an older count up to the newer one first', () => {
    const { yard, colony } = yardOf();
    countAgain(yard, '2026-05-15', [2]);
    const on = framesOn(yard.apiary, colony, '2026-05-15');
    const readAgain = on.find((f) => f.slot === 2)!.reading!.body;
    const aged = on.find((f) => f.slot === 3)!.reading!.body;
    expect(readAgain).toEqual(brood);
    expect(shareOfBees(aged)).toBeGreaterThan(shareOfBees(brood));
  });

  it('without a queen nothing is laid: after 21 days there is no brood', () => {
    const { yard } = yardOf();
    const plan = makePlan(
      yard.apiary,
      {
        colonyId: yard.colony('A').id,
        methodId: 'queen-to-nuc',
        day: '2026-05-09',
        newName: 'B',
        options: {},
      },
      yard.newId,
    );
    if (!plan.ok) throw new Error('no plan');
    yard.run(plan.value.command);
    for (const s of plan.value.command.steps) yard.tick(s.id, '2026-05-09');
    const kin = Object.values(yard.apiary.colony);
    const queenless = kin.find((c) => c.separation?.queen === 'elsewhere')!;
    const on = framesOn(yard.apiary, queenless, '2026-05-31');
    expect(
      on.reduce((n, f) => n + (f.reading ? shareOf(f.reading.body, 'eggs', 'open', 'capped') : 0), 0),
    ).toBeCloseTo(0, 6);
    expect(descentOf(yard.apiary, yard.colony('B'))).toMatchObject({
      kin: [
        { colony: { name: 'A' }, generation: -1 },
        { colony: { name: 'B' }, generation: 0 },
      ],
      lines: [{ from: yard.colony('A').id, to: yard.colony('B').id }],
    });
    expect(descentOf(yard.apiary, yard.colony('A')).kin.map((k) => [k.colony.name, k.generation])).toEqual([
      ['A', 0],
      ['B', 1],
    ]);
  });

  it('on a past day is what was read by then, brought to that day', () => {
    const { yard, colony } = yardOf();
    const before = Object.values(yard.apiary.reading);
    countAgain(yard, '2026-05-15', [1, 2, 3, 4], honey);
    const back = framesBack(yard.apiary, colony, before, '2026-05-09');
    expect(back.map((f) => f.reading!.body)).toEqual([honey, brood, brood, honey]);
    expect(framesBack(yard.apiary, colony, before, '2026-05-08')).toEqual([]);
    expect(framesBack(yard.apiary, colony, before, '2026-05-12').some((f) => f.reading!.body.estimated)).toBe(
      true,
    );
  });
});

describe('the history of strength', () => {
  it('has a point a count, by hand; a look at one frame is none', () => {
    const { yard, colony } = yardOf();
    const readings = () =>
      Object.values(yard.apiary.reading).filter(
        (r) => yard.apiary.visit[r.visitId ?? '']?.colonyId === colony.id,
      );
    const first = readings();
    countAgain(yard, '2026-05-20', [2, 3], honey);
    countAgain(yard, '2026-06-20', [2]);
    const history = strengthHistory(yard.apiary, [...first, ...readings()], 'langstroth-deep');
    expect(history.map((p) => p.day)).toEqual(['2026-05-09', '2026-05-20', '2026-06-20']);
    // 2 × 0.4 + 2 × 0.6 frames of bees; 2 × 0.7 of brood; 2 × 0.8 + 2 × 0.3 of stores.
    expect(history[0]).toMatchObject({
      bees: expect.closeTo(2, 9),
      brood: expect.closeTo(1.4, 9),
      stores: expect.closeTo(2.2, 9),
      combs: 4,
      estimated: false,
    });
    countAgain(yard, '2026-06-10', [1, 2, 3, 4], honey);
    const again = strengthHistory(yard.apiary, [...first, ...readings()], 'langstroth-deep');
    expect(again.map((p) => p.day)).not.toContain('2026-06-20');
  });
});
