import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { seededIds } from '../demo/seededIds.ts';
import { TestYard } from '../testing/builders.ts';
import type { CommandOf } from '../records/commands.ts';
import { decide } from './decide.ts';
import { undoChanges } from './undo.ts';
import { framesOfColony, queenOf } from '../records/views.ts';
import { applyChanges } from '../records/change.ts';

const frame = bothSides({ capped: 5, honey: 3, drawn: 2 }, 6);
const ids = seededIds(99);

function countOf(
  yard: TestYard,
  name: string,
  change: Partial<CommandOf<'recordCount'>> = {},
): CommandOf<'recordCount'> {
  const colony = yard.colony(name);
  return {
    type: 'recordCount',
    visitId: ids(),
    colonyId: colony.id,
    day: '2026-05-12',
    note: '',
    readings: framesOfColony(yard.apiary, colony).map((p) => ({
      id: ids(),
      frameId: p.frame.id,
      body: frame as never,
    })),
    ...change,
  };
}

describe('a count', () => {
  it('becomes the present state of its frames', () => {
    const yard = new TestYard();
    const colony = yard.hive('A', [[frame, frame]]);
    const count = countOf(yard, 'A');
    yard.run(count);
    for (const p of framesOfColony(yard.apiary, colony)) expect(p.reading?.visitId).toBe(count.visitId);
  });

  it('that arrives late stays in the diary and overwrites nothing newer', () => {
    const yard = new TestYard();
    yard.hive('A', [[frame]], '2026-05-09');
    const late = countOf(yard, 'A', { day: '2026-05-05' });
    yard.run(late);
    expect(yard.apiary.visit[late.visitId]).toBeDefined();
    expect(framesOfColony(yard.apiary, yard.colony('A'))[0]?.reading?.day).toBe('2026-05-09');
  });

  const impossible: [string, (yard: TestYard) => CommandOf<'recordCount'>, string][] = [
    [
      'contents over ten tenths a side',
      (y) => {
        const count = countOf(y, 'A');
        return {
          ...count,
          readings: [{ ...count.readings[0]!, body: bothSides({ capped: 8, honey: 3 }, 5) as never }],
        };
      },
      'side-over-full at readings.0.body.sides.0.contents',
    ],
    [
      'bees beyond what comb can carry',
      (y) => {
        const count = countOf(y, 'A');
        return {
          ...count,
          readings: [{ ...count.readings[0]!, body: bothSides({ drawn: 10 }, 10.5) as never }],
        };
      },
      'bees-beyond-comb at readings.0.body.sides.0.bees',
    ],
    [
      'two queens in one chamber',
      (y) => {
        const count = countOf(y, 'A');
        const withQueen = { ...frame, queenSeen: true } as never;
        return { ...count, readings: count.readings.map((r) => ({ ...r, body: withQueen })) };
      },
      'two-queens at readings.1.body.queenSeen',
    ],
    ['an unknown colony', (y) => countOf(y, 'A', { colonyId: ids() }), 'unknown-id at colonyId'],
    [
      'a day before the colony existed',
      (y) => countOf(y, 'A', { day: '2026-04-30' }),
      'before-colony at day',
    ],
    [
      'a frame of another colony',
      (y) => {
        y.hive('B', [[frame]]);
        return countOf(y, 'A', { readings: countOf(y, 'B').readings });
      },
      'frame-elsewhere at readings.0.frameId',
    ],
  ];

  it.each(impossible)('is refused with the field named: %s', (_what, make, expected) => {
    const yard = new TestYard();
    yard.hive('A', [[frame, frame]]);
    const command = make(yard);
    const before = yard.apiary;
    expect(yard.refused(command)).toContain(expected);
    expect(yard.apiary).toBe(before);
  });
});

describe('queens', () => {
  it('one colony has room for one', () => {
    const yard = new TestYard();
    const colony = yard.hive('A', [[frame]]);
    const queen = {
      id: ids(),
      name: 'One',
      birthYear: 2025,
      dot: null,
      mating: 'mated' as const,
      whereabouts: { known: 'colony' as const, colonyId: colony.id },
    };
    yard.run({ type: 'putQueen', queen });
    expect(queenOf(yard.apiary, colony.id)?.name).toBe('One');
    expect(yard.refused({ type: 'putQueen', queen: { ...queen, id: ids() } })).toEqual([
      'two-queens at queen.whereabouts',
    ]);
  });
});

describe('taking back', () => {
  it('restores the records exactly', () => {
    const yard = new TestYard();
    yard.hive('A', [[frame, frame]]);
    const before = yard.apiary;
    const result = decide(before, countOf(yard, 'A'));
    if (!result.ok) throw new Error('refused');
    const after = applyChanges(before, result.value);
    const undo = undoChanges(after, result.value);
    if (!undo.ok) throw new Error('refused');
    expect(applyChanges(after, undo.value)).toEqual(before);
  });

  it('refuses when a record was changed since', () => {
    const yard = new TestYard();
    yard.hive('A', [[frame, frame]]);
    const first = decide(yard.apiary, countOf(yard, 'A'));
    if (!first.ok) throw new Error('refused');
    yard.apiary = applyChanges(yard.apiary, first.value);
    yard.run(countOf(yard, 'A', { day: '2026-05-13' }));
    const undo = undoChanges(yard.apiary, first.value);
    expect(undo.ok ? [] : undo.problems.map((p) => p.code)).toEqual(['changed-since']);
  });
});

describe('a batch', () => {
  it('happens as a whole or not at all, and names the part that is wrong', () => {
    const yard = new TestYard();
    yard.hive('A', [[frame]]);
    const good = countOf(yard, 'A');
    const bad = countOf(yard, 'A', { day: '2026-01-01' });
    expect(yard.refused({ type: 'batch', commands: [good, bad] })).toEqual([
      'before-colony at commands.1.day',
    ]);
  });
});

describe('settings', () => {
  it('refuses a house rule outside its range and names it', () => {
    const yard = new TestYard();
    expect(yard.refused({ type: 'changeSettings', houseRules: { coverWarm: 9 } })).toEqual([
      'rule-out-of-range at houseRules.coverWarm',
    ]);
  });
});
