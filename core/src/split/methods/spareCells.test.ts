import { describe, expect, it } from 'vitest';
import { FULL_BOX, methodPlan, withCells } from '../../testing/methodPlans.ts';

const queenless = FULL_BOX.map((c, i) => (i === 1 || i === 5 ? withCells(c, 'capped', 3) : c));

describe('second split on spare cells', () => {
  it('leaves two good cells or more in each part', () => {
    const { stay, fresh, broken } = methodPlan('spare-cells', [queenless]);
    expect(broken).toEqual([]);
    expect(stay.measure.liveCells).toBeGreaterThanOrEqual(2);
    expect(fresh.measure.liveCells).toBeGreaterThanOrEqual(2);
    expect([stay.queen, fresh.queen]).toEqual(['elsewhere', 'elsewhere']);
  });

  it('says how many are missing when all sit on one comb, and offers to cut them out', () => {
    const oneComb = FULL_BOX.map((c, i) => (i === 5 ? withCells(c, 'capped', 5) : c));
    expect(methodPlan('spare-cells', [oneComb]).broken).toHaveLength(1);
    // Capped, and nobody knows since when: by their looks they open in four days, and bear no knife before Sunday.
    const cut = methodPlan('spare-cells', [oneComb], { cells: 'cut-out' });
    expect(cut.broken).toEqual(['cells-ripe']);
    expect(cut.texts).toMatch(/thumb’s width of comb/);
  });

  it('never shakes a comb with a cell on it', () => {
    const { body, stayed } = methodPlan('spare-cells', [queenless]);
    const shaken = new Set(body.shakes.map((s) => s.frameId));
    expect(stayed.filter((f) => shaken.has(f.id) && f.liveCells > 0)).toEqual([]);
  });

  // By hand: capped cells are 8 to 16 days old, so a queen is out 0 to 8 days after 9 May, likely on 13 May. Rest for
  // 14 days, to 27 May; the latest first eggs 21 days after, 3 June. Both parts alike.
  it('dates both parts by the cells', () => {
    const { looks, body } = methodPlan('spare-cells', [queenless]);
    expect(looks).toEqual([
      ['bees-stay', '2026-05-10', '2026-05-11'],
      ['rest', '2026-05-13', '2026-05-27'],
      ['eggs-due', '2026-05-27', '2026-06-03'],
    ]);
    expect(body.looks.slice(1).every((f) => f.colonyIds.length === 2)).toBe(true);
  });
});
