import { describe, expect, it } from 'vitest';
import { TestYard } from '../testing/builders.ts';
import { FULL_BOX, methodPlan } from '../testing/methodPlans.ts';
import { bothSides } from '../comb/contents.ts';
import { framesApart } from '../records/views.ts';
import { combLines, combsToReplace, shoppingList } from './combStore.ts';

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

describe('combs that have served their years', () => {
  it('are listed by hive and in the store, oldest first; those of unknown age are not', () => {
    const yard = new TestYard();
    const hive = yard.hive('Old', [[bothSides({ drawn: 10 }, 0), bothSides({ drawn: 10 }, 0)]]);
    const [one] = Object.keys(yard.apiary.frame);
    yard.run({
      type: 'careForCombs',
      frameIds: [one ?? ''],
      day: '2026-05-10',
      change: { what: 'year', combYear: 2015 },
    });
    yard.stock('drawn', 2);
    const found = combsToReplace(yard.apiary, 2026);
    expect(found.hives).toMatchObject([{ hive: { id: hive.hiveId }, frames: [{ id: one }], oldest: 2015 }]);
    expect(found.store).toEqual([]);
    expect(combsToReplace(yard.apiary, 2016).hives).toEqual([]);
  });

  it('with wax moth lie apart until they are clean again', () => {
    const yard = new TestYard();
    yard.stock('drawn', 3);
    const [one = ''] = Object.keys(yard.apiary.frame);
    const moth = (there: boolean) =>
      yard.run({
        type: 'careForCombs',
        frameIds: [one],
        day: '2026-05-10',
        change: { what: 'moth', there },
      });
    moth(true);
    expect(combLines(yard.apiary, 2026)).toMatchObject([{ count: 2 }]);
    expect(framesApart(yard.apiary).map((f) => f.id)).toEqual([one]);
    moth(false);
    expect(combLines(yard.apiary, 2026)).toMatchObject([{ count: 3 }]);
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
