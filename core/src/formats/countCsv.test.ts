import { describe, expect, it } from 'vitest';
import { bothSides, shareOf } from '../comb/contents.ts';
import { framesOfColony } from '../records/views.ts';
import { TestYard } from '../testing/builders.ts';
import { planCountImport, type CountRow } from './countCsv.ts';

const header = [
  'yard',
  'hive',
  'box',
  'slot',
  'day',
  'bees',
  'eggs',
  'capped',
  'honey',
  'queen',
  'capped_cells',
];
const rows = (...lines: string[]): CountRow[] =>
  lines.map((l, i) => {
    const values = l.split(';');
    return { line: i + 2, fields: Object.fromEntries(header.map((h, k) => [h, values[k] ?? ''])) };
  });
const TODAY = '2026-05-15';

describe('a file of counts', () => {
  it('sets up a new hive in its yard and counts it', () => {
    const yard = new TestYard();
    const plan = planCountImport(
      yard.apiary,
      rows(
        'Home;Elm;1;1;2026-05-14;6;;;8;;',
        'Home;Elm;1;2;2026-05-14;9;1;5,5;2;yes;',
        'Home;Elm;2;1;2026-05-14;4;;;9;;',
      ),
      TODAY,
      yard.newId,
    );
    expect(plan.problems).toEqual([]);
    expect(plan.counts).toEqual([{ hive: 'Elm', day: '2026-05-14', frames: 3, isNew: true }]);
    yard.run({ type: 'batch', commands: plan.commands as never });
    const frames = framesOfColony(yard.apiary, yard.colony('Elm'));
    expect(frames.map((f) => f.slot)).toEqual([1, 2, 1]);
    expect(shareOf(frames[1]!.reading!.body, 'capped')).toBeCloseTo(0.55, 9);
    expect(frames[1]!.reading!.body.queenSeen).toBe(true);
  });

  it('counts a hive that is there, and explains each bad row without spoiling the good ones', () => {
    const yard = new TestYard();
    const empty = bothSides({ drawn: 10 }, 0);
    yard.hive('Ash', [[empty, empty, empty]]);
    const plan = planCountImport(
      yard.apiary,
      rows(
        ';Ash;1;1;2026-05-14;6;;4;5;;',
        ';Ash;1;2;2026-05-14;6;;8;5;;',
        ';Ash;1;9;2026-05-14;6;;1;1;;',
        ';Ash;1;3;14.5.2026;many;;1;1;;',
        ';Oak;1;1;2026-05-14;6;;1;1;;',
      ),
      TODAY,
      yard.newId,
    );
    expect(plan.rowsTaken).toBe(2);
    expect(plan.problems.map((p) => [p.line, p.column])).toEqual([
      [3, ''],
      [5, 'day'],
      [5, 'bees'],
      [4, 'slot'],
    ]);
    expect(plan.problems[0]?.message).toBe('The frame holds 13 tenths; a side has ten.');
    // One yard only, so a new hive needs no yard to be named.
    expect(plan.counts.map((c) => c.hive)).toEqual(['Ash', 'Oak']);
    yard.run({ type: 'batch', commands: plan.commands as never });
  });

  it('refuses the same frame twice and a day in the future', () => {
    const yard = new TestYard();
    const plan = planCountImport(
      yard.apiary,
      rows(
        'Yard;Elm;1;1;2026-05-14;6;;;8;;',
        'Yard;Elm;1;1;2026-05-14;5;;;8;;',
        'Yard;Elm;1;2;2026-06-14;5;;;8;;',
      ),
      TODAY,
      yard.newId,
    );
    expect(plan.counts).toEqual([]);
    expect(plan.problems.map((p) => p.message).join(' ')).toMatch(/in the future.*read twice/);
  });

  it('names missing and unknown columns', () => {
    const yard = new TestYard();
    const plan = planCountImport(
      yard.apiary,
      [{ line: 2, fields: { hive: 'Elm', colour: 'red' } }],
      TODAY,
      yard.newId,
    );
    expect(plan.commands).toEqual([]);
    expect(plan.problems.map((p) => p.column)).toEqual(['box', 'slot', 'day', 'bees', 'colour']);
  });
});
