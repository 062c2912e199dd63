import { describe, expect, it } from 'vitest';
import { newQueen } from '../records/kinds/queen.ts';
import { NEST } from '../testing/nests.ts';
import { TestYard } from '../testing/builders.ts';
import { queenKin, queenRegister } from './queenRegister.ts';

function scene() {
  const yard = new TestYard();
  const quill = yard.hive('Quill', [[NEST.open()]]);
  const rush = yard.hive('Rush', [[NEST.open()]]);
  const put = (rest: object) => {
    const id = yard.newId();
    yard.run({ type: 'putQueen', queen: newQueen({ id, mating: 'mated', ...rest } as never) });
    return id;
  };
  const ada = put({
    name: 'Ada',
    birthYear: 2023,
    dot: 'red',
    whereabouts: { known: 'colony', colonyId: quill.id },
  });
  const bea = put({
    name: 'Bea',
    bornWithin: { from: null, to: 2026 },
    motherQueenId: ada,
    whereabouts: { known: 'colony', colonyId: rush.id },
  });
  const cay = put({
    name: 'Cay',
    motherQueenId: bea,
    birthYear: 2026,
    whereabouts: { known: 'stock' },
    cagedSince: '2026-05-10',
  });
  return { yard, ada, bea, cay };
}

describe('the register of queens', () => {
  it('tells their seasons, whom to mark in which colour, and whom to replace by the house rule', () => {
    const { yard } = scene();
    const { present, stock, gone } = queenRegister(yard.apiary, '2026-05-15');
    expect(present.map((l) => [l.queen.name, l.colony?.name, l.seasons, l.toMark, l.toReplace])).toEqual([
      ['Ada', 'Quill', 4, null, true],
      // Born by 2026, whose colour is white: years that end in 1 and 6 (international convention).
      ['Bea', 'Rush', 1, 'white', false],
    ]);
    expect(stock.map((l) => l.queen.name)).toEqual(['Cay']);
    expect(gone).toEqual([]);
  });

  it('keeps those that are gone, latest first', () => {
    const { yard, ada, bea } = scene();
    for (const [queenId, day] of [
      [ada, '2026-05-16'],
      [bea, '2026-05-20'],
    ] as const)
      yard.run({ type: 'noteQueen', queenId, day, did: 'lost', newIds: [yard.newId()] });
    expect(queenRegister(yard.apiary, '2026-05-25').gone.map((l) => l.queen.name)).toEqual(['Bea', 'Ada']);
  });

  it('draws a line from mothers to daughters', () => {
    const { yard, ada, bea, cay } = scene();
    const middle = yard.apiary.queen[bea];
    const { kin, lines } = middle ? queenKin(yard.apiary, middle) : { kin: [], lines: [] };
    expect(kin.map((k) => [k.queen.name, k.generation])).toEqual([
      ['Ada', -1],
      ['Bea', 0],
      ['Cay', 1],
    ]);
    expect(lines).toEqual([
      { from: ada, to: bea },
      { from: bea, to: cay },
    ]);
  });
});
