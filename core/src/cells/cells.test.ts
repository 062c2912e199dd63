import { describe, expect, it } from 'vitest';
import { TestYard } from '../testing/builders.ts';
import { NEST } from '../testing/nests.ts';
import { deliveryForDay, deliveryFromGraft } from './cellDelivery.ts';
import { cellLedger } from './cellLedger.ts';
import { oddsOfAny, oddsOfPart, partsFor, partsForSure, raisingOdds } from './cellOdds.ts';
import { shareCells } from './shareCells.ts';

type Kind = 'charged' | 'capped' | 'open' | 'cup' | 'emerged';
const withCells = (kind: Kind, count: number, larvaAgeDays?: number) => ({
  ...NEST.open(),
  cells: [{ kind, count, ...(larvaAgeDays === undefined ? {} : { larvaAgeDays }) }],
});

/** A hive whose frames hold these cells, read on 10 May. */
function ledgerOn(day: string, ...cells: ReturnType<typeof withCells>[]) {
  const yard = new TestYard();
  yard.hive('Quill', [cells], '2026-05-10');
  return cellLedger(yard.apiary, day);
}

describe('the ledger of cells', () => {
  it('dates a cell by its larva: capped in two days, out in ten (hand-worked from 8 and 16 days)', () => {
    // A larva of three days is six days from the egg.
    const [line] = ledgerOn('2026-05-10', withCells('charged', 1, 3));
    expect(line?.capped.likely).toBe('2026-05-12');
    expect(line?.emerges.likely).toBe('2026-05-20');
    expect(line?.stage).toBe('open');
    expect(line?.move).toContain('With its frame');
  });

  it('says when a cell is tender, ripe, due and over', () => {
    const stage = (day: string) => ledgerOn(day, withCells('charged', 1, 3))[0]?.stage;
    expect(stage('2026-05-14')).toBe('tender');
    expect(stage('2026-05-17')).toBe('ripe');
    expect(stage('2026-05-19')).toBe('due');
    expect(stage('2026-05-22')).toBe('over');
  });

  it('leaves out cups and cells that are empty, and puts the ripest first', () => {
    const lines = ledgerOn(
      '2026-05-10',
      withCells('cup', 5),
      withCells('charged', 2, 1),
      withCells('capped', 3),
      withCells('emerged', 1),
    );
    expect(lines.map((l) => [l.kind, l.count])).toEqual([
      ['capped', 3],
      ['charged', 2],
    ]);
  });
});

describe('sharing cells out', () => {
  const part = (id: string, sizeId = 'langstroth-deep') => ({
    id,
    name: id,
    sizeId: sizeId as 'langstroth-deep',
  });

  it('gives nobody a second before all have one, and the frame to the first', () => {
    const lines = ledgerOn('2026-05-17', withCells('charged', 4, 3));
    const shared = shareCells(lines, [part('A'), part('B'), part('C')], 'two', 0);
    expect(shared.gifts.map((g) => [g.part.id, g.count, g.how])).toEqual([
      ['A', 2, 'frame'],
      ['B', 1, 'cut'],
      ['C', 1, 'cut'],
    ]);
    expect(shared.left).toBe(0);
    expect(shared.short).toEqual([]);
  });

  it('cuts no tender cell, and says who goes short', () => {
    const lines = ledgerOn('2026-05-14', withCells('charged', 4, 3));
    const shared = shareCells(lines, [part('A'), part('B')], 'one', 0);
    expect(shared.gifts.map((g) => g.part.id)).toEqual(['A']);
    expect(shared.short.map((p) => p.id)).toEqual(['B']);
  });

  it('hangs no frame into a box that it does not fit: its ripe cells are cut out', () => {
    const lines = ledgerOn('2026-05-17', withCells('charged', 2, 3));
    const shared = shareCells(lines, [part('A', 'national-deep')], 'one', 0);
    expect(shared.gifts.map((g) => g.how)).toEqual(['cut']);
  });

  it('leaves the cells that are to stay', () => {
    const lines = ledgerOn('2026-05-17', withCells('charged', 3, 3));
    const shared = shareCells(lines, [part('A'), part('B'), part('C')], 'one', 1);
    expect(shared.gifts).toHaveLength(2);
    expect(shared.short.map((p) => p.id)).toEqual(['C']);
  });
});

describe('odds', () => {
  it('of several parts insure each other: 1 − (1 − p)^k', () => {
    expect(oddsOfAny(1, 0.7)).toBeCloseTo(0.7);
    expect(oddsOfAny(2, 0.7)).toBeCloseTo(0.91);
    expect(oddsOfAny(0, 0.7)).toBe(0);
  });

  it('of more cells in one part do not mend a lost mating flight', () => {
    const one = oddsOfPart(1, 0.75);
    const three = oddsOfPart(3, 0.75);
    expect(one).toBeCloseTo(0.75);
    expect(three).toBeGreaterThan(one);
    expect(three).toBeLessThan(0.82);
    expect(oddsOfPart(1, 0.75, 0.2)).toBeCloseTo(0.6);
  });

  it('tell how many to make: four at two in three are six, at seven in eight five (worked examples of the trade)', () => {
    expect(partsFor(4, 2 / 3)).toBe(6);
    expect(partsFor(4, 7 / 8)).toBe(5);
    // Nine chances in ten: eight of them, worked by the binomial (six give 68 %, seven 83 %, eight 91 %).
    expect(partsForSure(4, 2 / 3, 0.9)).toBe(8);
    expect(partsForSure(1, 0, 0.9)).toBeNull();
  });

  it('begin with four in five and follow what one has seen', () => {
    expect(raisingOdds({ raised: 0, failed: 0 }).likely).toBeCloseTo(0.8);
    // Beta(4, 1): below x lies x to the fourth, so the tenth parts are at 0.1 and 0.9 to the power of a quarter.
    expect(raisingOdds({ raised: 0, failed: 0 }).low).toBeCloseTo(0.1 ** 0.25, 6);
    expect(raisingOdds({ raised: 0, failed: 0 }).high).toBeCloseTo(0.9 ** 0.25, 6);
    const bad = raisingOdds({ raised: 2, failed: 8 });
    expect(bad.likely).toBeCloseTo(0.4);
    expect(bad.low).toBeLessThan(bad.likely);
    expect(
      raisingOdds({ raised: 40, failed: 10 }).high - raisingOdds({ raised: 40, failed: 10 }).low,
    ).toBeLessThan(0.2);
  });
});

describe('cells that are brought', () => {
  it('are ripe ten days after grafting and out on the twelfth: worked forwards and backwards by hand', () => {
    const forwards = deliveryFromGraft('2026-05-04');
    expect(forwards.giveOn).toBe('2026-05-14');
    expect(forwards.giveLatest).toBe('2026-05-15');
    expect(forwards.emergence.likely).toBe('2026-05-16');
    expect(forwards.makeUnits).toEqual({
      earliest: '2026-05-11',
      likely: '2026-05-12',
      latest: '2026-05-13',
    });
    // Eggs are looked for after the hands-off days: fourteen after emergence, and two for good measure.
    expect(forwards.eggsLook.likely).toBe('2026-06-01');
    expect(deliveryForDay('2026-05-14')).toEqual(forwards);
  });
});
