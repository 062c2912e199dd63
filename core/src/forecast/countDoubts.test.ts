import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/index.ts';
import { bothSides } from '../comb/contents.ts';
import { newQueen } from '../records/kinds/queen.ts';
import { framesOfColony } from '../records/views.ts';
import { TestYard } from '../testing/builders.ts';
import { colonyOn } from './colonyOn.ts';

const DAY = '2026-05-04';
const comb = (bees: number) => bothSides({ eggs: 1, open: 1, capped: 1, honey: 4, drawn: 3 }, bees);

function yardOf(bees = 5) {
  const yard = new TestYard();
  const colony = yard.hive('A', [Array.from({ length: 6 }, () => comb(bees))], DAY);
  const on = (day: string) => colonyOn(yard.apiary, yard.colony('A'), day);
  const countAgain = (day: string, now: number, combs = 6) =>
    yard.run({
      type: 'recordCount',
      visitId: yard.newId(),
      colonyId: colony.id,
      day,
      note: '',
      readings: framesOfColony(yard.apiary, colony)
        .slice(0, combs)
        .map((f) => ({ id: yard.newId(), frameId: f.frame.id, body: comb(now) as never })),
    });
  return { yard, colony, on, countAgain };
}

describe('counts that contradict each other', () => {
  it('are said and kept, and the forecast widens', () => {
    const { on, countAgain } = yardOf(3);
    countAgain('2026-05-08', 10);
    const { doubts, doubt } = on('2026-05-09');
    expect(doubts).toHaveLength(1);
    expect(doubts[0]?.words).toMatch(
      /count of Fri 8 May found 6\.0 frames of bees where .* let [12]\.\d expect/,
    );
    expect(doubt).toBeGreaterThan(0.4);
    // The count itself stands.
    expect(on('2026-05-08').frames.every((f) => f.reading?.body.sides[0].bees === 10)).toBe(true);
    // A later count that agrees with it settles the matter.
    countAgain('2026-05-13', 10);
    expect(on('2026-05-13').doubts).toEqual([]);
    expect(on('2026-05-13').doubt).toBeLessThan(0.2);
  });

  it('are not said of what can be: growth, an uncertain old count, a part of its combs', () => {
    const grown = yardOf(5);
    grown.countAgain(addDays(DAY, 14), 7);
    expect(grown.on(addDays(DAY, 15)).doubts).toEqual([]);
    const old = yardOf(3);
    old.countAgain(addDays(DAY, 150), 8);
    expect(old.on(addDays(DAY, 150)).doubts).toEqual([]);
    const part = yardOf(3);
    part.countAgain(addDays(DAY, 4), 10, 2);
    expect(part.on(addDays(DAY, 4)).doubts).toEqual([]);
  });
});

describe('a forecast', () => {
  it('on a count older than a year says so, and is hardly one', () => {
    const { on } = yardOf();
    const { doubts, doubt } = on('2027-05-20');
    expect(doubts[0]?.words).toMatch(/Last counted on Mon 4 May 2026/);
    expect(doubt).toBe(0.9);
  });

  it('says when something of its queen is dated before the colony began', () => {
    const { yard, colony, on } = yardOf();
    const id = yard.newId();
    yard.run({ type: 'putQueen', queen: newQueen({ id, whereabouts: { known: 'stock' }, mating: 'mated' }) });
    yard.run({
      type: 'noteQueen',
      queenId: id,
      day: '2026-04-20',
      did: 'put-in',
      into: { colonyId: colony.id, caged: false, beside: false },
      newIds: [yard.newId(), yard.newId(), yard.newId(), yard.newId()],
    });
    expect(on('2026-05-10').doubts[0]?.words).toMatch(/dated Mon 20 Apr 2026, before the colony began/);
    expect(on('2026-05-10').doubt).toBeGreaterThanOrEqual(0.3);
  });
});
