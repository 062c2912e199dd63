import { describe, expect, it } from 'vitest';
import type { CellFinding } from '../comb/contents.ts';
import { cells, NO, read } from '../testing/queenLooks.ts';
import { datedByLooks } from './datedByLooks.ts';

const LOST = '2026-05-09';
const look = (day: string, ...found: CellFinding[]) => ({
  day,
  seen: read({ eggs: NO, cells: { look: 'found', cells: found } }),
});

// Days from the development clock: capped 8, emerged 16 days after the egg; a larva of one day makes the best queen.
describe('when a queen emerges, by looks', () => {
  it('is day 10 to 16 while nobody has looked', () => {
    expect(datedByLooks(LOST, null, []).emergence).toEqual({
      earliest: '2026-05-19',
      likely: '2026-05-21',
      latest: '2026-05-25',
    });
  });

  it('on day 3 is told by the open cells: those capped already are taken out', () => {
    const open = { kind: 'open', count: 2 } as const;
    const capped = { kind: 'capped', count: 1 } as const;
    const dated = datedByLooks(LOST, null, [look('2026-05-12', open, capped)]).emergence;
    expect(dated).toEqual(datedByLooks(LOST, null, [look('2026-05-12', open)]).emergence);
    expect(dated.earliest >= '2026-05-20').toBe(true);
    // With nothing beside them they stay: she is out on day 10 or 11.
    expect(datedByLooks(LOST, null, [look('2026-05-12', capped)]).emergence.latest).toBe('2026-05-20');
  });

  it('of a given cell is not told by emergency cells taken for too early', () => {
    const given = { earliest: '2026-05-11', likely: '2026-05-12', latest: '2026-05-14' };
    const seen = { day: '2026-05-11', seen: read({ eggs: NO, cells: cells('capped', 1) }) };
    const { emergence, contradictions } = datedByLooks(LOST, given, [seen]);
    expect(contradictions).toEqual([]);
    expect(emergence.latest).toBe('2026-05-14');
  });
});
