import { describe, expect, it } from 'vitest';
import { cappingOf, dateCell, eggsGivenOn, emergenceOf } from './cellDating.ts';

const lost = (day: string) => ({
  separation: {
    v: 1 as const,
    day,
    workId: null,
    queen: 'elsewhere' as const,
    partIds: ['a'],
    emergence: null,
  },
  broodGiven: [],
});
const whole = { separation: null, broodGiven: [] };

// Worked by hand from 3 days to hatching, 8 to capping and 16 to emergence (Winston 1987, from memory).
describe('the age of a cell', () => {
  it('is told by its larva: two days old on the 10th, egg of the 5th, capped the 13th, out the 21st', () => {
    const age = dateCell({ kind: 'charged', count: 1, larvaAgeDays: 2 }, '2026-05-10', whole);
    expect(age).toMatchObject({ datedBy: 'larva', egg: { likely: '2026-05-05' } });
    expect(age && cappingOf(age).likely).toBe('2026-05-13');
    expect(age && emergenceOf(age).likely).toBe('2026-05-21');
  });

  it('capped alone is 8 to 16 days from the egg; the day its part lost its queen narrows that', () => {
    const capped = { kind: 'capped' as const, count: 3 };
    expect(dateCell(capped, '2026-05-20', whole)?.egg).toEqual({
      earliest: '2026-05-04',
      likely: '2026-05-08',
      latest: '2026-05-12',
    });
    // Queenless since the 10th: from eggs of the 4th to the 10th.
    expect(dateCell(capped, '2026-05-20', lost('2026-05-10'))).toEqual({
      egg: { earliest: '2026-05-04', likely: '2026-05-06', latest: '2026-05-10' },
      datedBy: 'queen-lost',
    });
  });

  it('of a cell that was there before the queen went is told by its looks', () => {
    const capped = { kind: 'capped' as const, count: 1 };
    expect(dateCell(capped, '2026-05-11', lost('2026-05-10'))?.datedBy).toBe('stage');
  });

  it('of an empty cup, a torn and an emerged cell is nobody’s', () => {
    for (const kind of ['cup', 'torn', 'emerged'] as const)
      expect(dateCell({ kind, count: 1 }, '2026-05-11', whole)).toBeNull();
  });

  it('of eggs that were given is at most three days more', () => {
    expect(emergenceOf(eggsGivenOn('2026-05-10'))).toEqual({
      earliest: '2026-05-23',
      likely: '2026-05-25',
      latest: '2026-05-26',
    });
  });
});
