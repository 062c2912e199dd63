import { describe, expect, it } from 'vitest';
import { TestYard } from '../testing/builders.ts';
import { FULL_BOX, methodPlan } from '../testing/methodPlans.ts';
import { combLines, shoppingList } from './combStore.ts';

describe('combs in the store', () => {
  it('are counted by size and kind, with those that are too old', () => {
    const yard = new TestYard();
    yard.run({
      type: 'addToStore',
      frames: [2016, 2024, null].map((combYear) => ({
        id: yard.newId(),
        sizeId: 'langstroth-deep',
        blank: 'drawn',
        combYear,
      })),
    });
    yard.stock('foundation', 4);
    expect(combLines(yard.apiary, 2026)).toEqual([
      { sizeId: 'langstroth-deep', kind: 'drawn', count: 3, promised: 0, old: 1, oldest: 2016 },
      { sizeId: 'langstroth-deep', kind: 'foundation', count: 4, promised: 0, old: 0, oldest: null },
    ]);
  });

  it('are spoken for by plans that are kept, until these are dropped', () => {
    const { yard, command } = methodPlan('walk-away-halves', [FULL_BOX, FULL_BOX]);
    yard.run(command);
    const fromStore = command.work.body.moves.filter((m) => m.from === null).length;
    const promised = () => combLines(yard.apiary, 2026).reduce((n, l) => n + l.promised, 0);
    expect(promised()).toBe(fromStore);
    yard.run({ type: 'dropWork', workId: command.work.id });
    expect(promised()).toBe(0);
  });
});

describe('the shopping list', () => {
  it('names what is counted and too little, and nothing that nobody has counted', () => {
    const { yard, command } = methodPlan('queen-to-nuc', [FULL_BOX, FULL_BOX]);
    yard.run(command);
    const floor = command.work.body.kit.find((k) => k.shortBy === null);
    const named = () => shoppingList(yard.apiary).map((l) => l.what);
    expect(named()).not.toContain(floor?.what);
    yard.run({ type: 'setKit', items: [{ id: yard.newId(), what: floor?.what ?? '', count: 0 }] });
    expect(shoppingList(yard.apiary)).toContainEqual({ what: floor?.what, count: floor?.count });
  });
});
