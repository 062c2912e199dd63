import { describe, expect, it } from 'vitest';
import { seededIds } from '../demo/seededIds.ts';
import { demoScenario } from '../demo/scenario.ts';
import { framesOfColony } from '../records/views.ts';
import { planCountImport } from './countCsv.ts';
import { toBundle, fromBundle } from './bundle.ts';
import { colonyTable, countTable, queenTable, storeTable } from './tables.ts';

const { apiary } = demoScenario();
const asRows = ({ columns, rows }: ReturnType<typeof countTable>) =>
  rows.map((row, i) => ({
    line: i + 2,
    fields: Object.fromEntries(columns.map((c, k) => [c, String(row[k] ?? '')])),
  }));

describe('tables for a spreadsheet', () => {
  it('of counts can be read in again, row by row, without a complaint', () => {
    const table = countTable(apiary);
    expect(table.rows.length).toBeGreaterThan(100);
    const plan = planCountImport(apiary, asRows(table), '2026-05-15', seededIds(9));
    expect(plan.problems).toEqual([]);
    expect(plan.rowsTaken).toBe(table.rows.length);
  });

  it('have a row for every colony, queen and comb of the store', () => {
    expect(colonyTable(apiary).rows).toHaveLength(Object.keys(apiary.colony).length);
    expect(queenTable(apiary).rows).toHaveLength(Object.keys(apiary.queen).length);
    const combs = Object.values(apiary.frame).filter((f) => f.place === 'store').length;
    expect(storeTable(apiary).rows.filter((row) => row[0] === 'comb')).toHaveLength(combs);
  });
});

describe('a file that was edited by hand', () => {
  const read = (change: (file: ReturnType<typeof toBundle>) => void) => {
    const file = JSON.parse(JSON.stringify(toBundle(apiary, []))) as ReturnType<typeof toBundle>;
    change(file);
    const result = fromBundle(file);
    return result.ok
      ? []
      : result.problems.map((p) => `${p.code} ${p.path.slice(0, 2).join('.')}: ${p.message}`);
  };

  it('with contents over ten tenths is refused as a count would be', () => {
    const problems = read((file) => {
      const reading = file.records.reading[0];
      if (reading) reading.body.sides[0].contents = { honey: 8, capped: 8 };
    });
    expect(problems[0]).toMatch(/^side-over-full records\.reading/);
  });

  it('with another frame’s reading, or a ring of descent, says where', () => {
    const [colony] = Object.values(apiary.colony).filter((c) => framesOfColony(apiary, c).length > 2);
    const [one, two] = colony ? framesOfColony(apiary, colony) : [];
    expect(
      read((file) => {
        const frame = file.records.frame.find((f) => f.id === one?.frame.id);
        if (frame) frame.readingId = two?.frame.readingId ?? null;
      }),
    ).toEqual(['bundle-unsound records.frame: It shows the reading of another frame.']);
    expect(
      read((file) => {
        const first = file.records.colony.find((c) => c.id === colony?.id);
        if (first) first.origin = { how: 'made', fromColonyId: first.id };
      }),
    ).toEqual(['bundle-unsound records.colony: The colony descends from itself.']);
  });
});
