import { describe, expect, it } from 'vitest';
import { NEST } from '../testing/nests.ts';
import { TestYard } from '../testing/builders.ts';
import { yearReview, yearsOnRecord } from './yearReview.ts';

describe('a year in numbers', () => {
  it('counts what began, what ended and how, what was fed; an entry by mistake is no colony', () => {
    const yard = new TestYard();
    const [quill, rush, oops] = ['Quill', 'Rush', 'Oops'].map((n) => yard.hive(n, [[NEST.open()]]));
    const end = (colonyId: string | undefined, how: 'dead' | 'error') =>
      yard.run({
        type: 'endColony',
        colonyId: colonyId ?? '',
        day: '2027-02-01',
        how,
        cause: how === 'dead' ? 'not-infectious' : null,
        words: '',
        combs: how === 'dead' ? 'store' : 'gone',
      });
    yard.run({
      type: 'setOrigin',
      colonyId: rush?.id ?? '',
      origin: { how: 'bought', from: 'a neighbour' },
      startedOn: '2026-05-01',
      queenlessSince: null,
      newIds: [],
    });
    yard.run({
      type: 'give',
      given: {
        id: yard.newId(),
        colonyId: quill?.id ?? '',
        day: '2026-09-01',
        body: { kind: 'feed', what: 'syrup-thick', kg: 6, purpose: 'winter', leftKg: null },
        outOn: null,
        note: '',
      },
      newIds: [yard.newId()],
    });
    for (const [day, what, amount] of [
      ['2026-03-02', 'Sugar, 25 kg', 31.5],
      ['2026-06-01', 'Two queens', 60],
      ['2027-01-10', 'A box', 40],
    ] as const)
      yard.run({ type: 'noteExpense', expenseId: yard.newId(), day, what, amount });
    const [mistaken] = Object.values(yard.apiary.expense).filter((e) => e.what === 'A box');
    yard.run({ type: 'dropExpense', expenseId: mistaken?.id ?? '' });
    end(quill?.id, 'dead');
    end(oops?.id, 'error');
    expect(yearsOnRecord(yard.apiary)).toEqual([2027, 2026]);
    expect(yearReview(yard.apiary, 2026)).toMatchObject({
      atStart: 0,
      atEnd: 2,
      entered: 1,
      bought: 1,
      fedKg: 6,
      spent: 91.5,
      ended: [],
    });
    // What was there, came and went adds up to what is there.
    for (const year of [2026, 2027]) {
      const r = yearReview(yard.apiary, year);
      const gone = r.ended.reduce((n, e) => n + e.count, 0);
      expect(r.atStart + r.entered + r.made + r.bought + r.swarmsHived - gone).toBe(r.atEnd);
    }
    expect(yearReview(yard.apiary, 2027)).toMatchObject({
      atStart: 2,
      atEnd: 1,
      ended: [{ how: 'dead', words: 'died out', count: 1 }],
    });
  });
});
