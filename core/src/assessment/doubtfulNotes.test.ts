import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { queenOf } from '../records/views.ts';
import { TestYard } from '../testing/builders.ts';
import { cells, eggs, NO, queen, read } from '../testing/queenLooks.ts';
import { NEST, QUEENLESS, Scene } from '../testing/scene.ts';
import { assess } from './assess.ts';

const DAY = '2026-05-04';

/** Four parts of one colony, of which nobody wrote down which got the queen. */
function fourParts() {
  const yard = new TestYard(4);
  const names = ['One', 'Two', 'Three', 'Four'];
  const partIds = names.map((name) => yard.hive(name, [NEST], DAY).id);
  yard.apiary = {
    ...yard.apiary,
    colony: Object.fromEntries(
      partIds.map((id) => [
        id,
        {
          ...yard.apiary.colony[id]!,
          separation: {
            v: 1 as const,
            day: DAY,
            workId: null,
            queen: 'unknown' as const,
            partIds,
            emergence: null,
          },
        },
      ]),
    ),
  };
  const look = (name: string, after: number, seen: Parameters<typeof read>[0]) =>
    yard.run({
      type: 'recordLook',
      followUpId: null,
      day: addDays(DAY, after),
      note: '',
      parts: [{ visitId: yard.newId(), colonyId: yard.colony(name).id, evidence: read(seen) }],
      newIds: Array.from({ length: 12 }, () => yard.newId()),
    });
  const on = (name: string, after: number) => assess(yard.apiary, yard.colony(name), addDays(DAY, after));
  return { yard, look, on };
}

describe('a note that is missing', () => {
  it('stays “one of four” until an inspection tells, and then tells of all four', () => {
    const { yard, look, on } = fourParts();
    const laying = on('Two', 3).belief.belief.odds.laying;
    expect(laying).toBeGreaterThan(0.1);
    expect(laying).toBeLessThan(0.4);
    look('Three', 7, { eggs: eggs(), cells: NO, queen: queen('long') });
    expect(yard.colony('Three').separation?.queen).toBe('here');
    for (const name of ['One', 'Two', 'Four']) expect(yard.colony(name).separation?.queen).toBe('elsewhere');
    expect(on('Two', 7).belief.belief.odds.laying).toBeLessThan(0.1);
  });

  it('is not settled by eggs that are too early to tell', () => {
    const { yard, look } = fourParts();
    look('One', 2, { eggs: eggs(), cells: NO });
    expect(yard.colony('One').separation?.queen).toBe('unknown');
  });
});

describe('notes that cannot all be true', () => {
  it('a cell that is out days before it can be: both are kept, and nothing is sure', () => {
    const s = new Scene(QUEENLESS, DAY);
    s.see(4, { eggs: NO, cells: cells('open', 3) });
    const v = s.verdict(6, { eggs: NO, cells: cells('emerged', 1) });
    expect(v.contradictions.length).toBeGreaterThan(0);
    s.see(6, { eggs: NO, cells: cells('emerged', 1) });
    const { odds, leading } = s.said(addDays(DAY, 6));
    expect(odds[leading]).toBeLessThan(0.99);
  });

  it('eggs in the part that was written down as queenless: the note is doubted, and no new queen is entered', () => {
    const s = new Scene(NEST, DAY);
    s.see(8, { eggs: eggs(), cells: NO });
    expect(queenOf(s.apiary, s.here.id)).toBeUndefined();
    expect(s.said(addDays(DAY, 8)).next).not.toMatch(/comb of eggs|shake/i);
  });

  it('a queen found and none found on one day: she was found', () => {
    const s = new Scene(NEST, null, 'elsewhere', '2026-05-09');
    s.see('2026-05-12', { queen: NO, eggs: NO });
    s.see('2026-05-12', { queen: queen('long'), eggs: eggs() });
    expect(s.said('2026-05-12').leading).toBe('laying');
    expect(s.said('2026-05-12').next).not.toMatch(/comb of eggs/i);
  });
});
