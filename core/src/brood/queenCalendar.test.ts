import { addDays as addDaysByDateFns, format } from 'date-fns';
import { describe, expect, it } from 'vitest';
import { emergenceFromCells, queenCalendar } from './queenCalendar.ts';

/** The date `n` days after Saturday 9 May 2026, by a library that the core does not use. */
const may9 = (n: number) => format(addDaysByDateFns(new Date(2026, 4, 9, 12), n), 'yyyy-MM-dd');

describe('the calendar of a part that lost its queen on Saturday 9 May 2026', () => {
  // Worked by hand from the development clock of Winston 1987 (values as remembered); each line was
  // also counted off on a wall calendar.
  const c = queenCalendar('2026-05-09');

  it.each([
    ['look for cells capped too early', c.earlyCappedLook, '2026-05-12'],
    ['first day on which eggs prove a layer', c.eggsProveQueen.earliest, '2026-05-13'],
    ['comfortable day for that', c.eggsProveQueen.likely, '2026-05-16'],
    ['last good larva', c.larvaeUsable.likely, '2026-05-13'],
    ['last usable larva', c.larvaeUsable.latest, '2026-05-15'],
    ['surplus cells can go from', c.surplusCells.earliest, '2026-05-16'],
    ['surplus cells can go until', c.surplusCells.latest, '2026-05-18'],
    ['earliest emergence', c.emergence.earliest, '2026-05-19'],
    ['usual emergence', c.emergence.likely, '2026-05-21'],
    ['latest emergence', c.emergence.latest, '2026-05-25'],
    ['leave alone from', c.handsOff.from, '2026-05-21'],
    ['leave alone until', c.handsOff.to, '2026-06-04'],
    ['first eggs, earliest sensible', c.firstEggs.earliest, '2026-05-29'],
    ['last old worker emerges', c.lastOldWorkerEmerges, '2026-05-30'],
    ['last old drone emerges', c.lastOldDroneEmerges, '2026-06-02'],
    ['first capped worker brood, earliest', c.firstCapped.earliest, '2026-06-07'],
    ['no capped worker brood from', c.broodless.from, '2026-05-30'],
    ['no capped worker brood until', c.broodless.to, '2026-06-11'],
    ['decide by', c.decideBy, '2026-06-18'],
    ['first new worker', c.firstNewWorker, '2026-06-23'],
  ])('%s', (_what, got, expected) => {
    expect(got).toBe(expected);
  });

  it('puts the egg look after the hands-off days and within reach of the first eggs', () => {
    expect(c.eggsLook.earliest >= c.handsOff.to).toBe(true);
    expect(c.eggsLook.likely <= c.eggsLook.latest).toBe(true);
    expect(c.eggsLook.likely).toBe(may9(28));
  });

  it('counts across a leap day and the end of a year', () => {
    expect(queenCalendar('2028-02-20').firstEggs.earliest).toBe('2028-03-11');
    expect(queenCalendar('2026-12-20').decideBy).toBe('2027-01-29');
  });
});

describe('emergence from cells that were seen', () => {
  it('a larva hatched two days ago makes a queen in eleven days, give or take one', () => {
    expect(emergenceFromCells([{ kind: 'charged', count: 1, larvaAgeDays: 2 }], '2026-05-09')).toEqual({
      earliest: may9(10),
      likely: may9(11),
      latest: may9(12),
    });
  });

  it('a capped cell of unknown age emerges within eight days', () => {
    expect(emergenceFromCells([{ kind: 'capped', count: 3 }], '2026-05-09')).toEqual({
      earliest: may9(0),
      likely: may9(4),
      latest: may9(8),
    });
  });

  it('goes by the most advanced cell', () => {
    const cells = [
      { kind: 'charged' as const, count: 4, larvaAgeDays: 0 },
      { kind: 'capped' as const, count: 1 },
    ];
    expect(emergenceFromCells(cells, '2026-05-09')?.likely).toBe(may9(4));
  });

  it('says nothing of cups and torn cells', () => {
    expect(
      emergenceFromCells(
        [
          { kind: 'cup', count: 5 },
          { kind: 'torn', count: 1 },
        ],
        '2026-05-09',
      ),
    ).toBeUndefined();
  });
});
