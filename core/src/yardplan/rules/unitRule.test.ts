import { describe, expect, it } from 'vitest';
import { AT, noMeasures } from './measures.ts';
import { lineOf, missingOf, noticedOf, type UnitRule } from './unitRule.ts';

const rule = (hard: boolean): UnitRule => ({
  id: 'hive/brood',
  label: 'Brood',
  unit: 'frames of brood',
  terms: [['brood', 1]],
  sense: 'atLeast',
  threshold: 2,
  nearWithin: 0,
  why: 'It is wanted.',
  mend: (n) => `Short by ${n}.`,
  price: 1,
  hard,
  goalId: null,
});
const withBrood = (brood: number) => {
  const measured = noMeasures();
  measured[AT.brood] = brood;
  return measured;
};

describe('a rule missed by less than a count can tell', () => {
  it('is as good as met where it is a wish, and broken where it must hold', () => {
    const nearly = withBrood(1.97);
    expect(lineOf(rule(false), nearly, 'Tansy')).toMatchObject({ state: 'met', mend: '' });
    expect(lineOf(rule(true), nearly, 'Tansy')).toMatchObject({ state: 'broken', mend: 'Short by 0.1.' });
    expect([noticedOf(rule(false), nearly), noticedOf(rule(true), nearly)]).toEqual([
      0,
      missingOf(rule(true), nearly),
    ]);
  });

  it('is told from a tenth of a side on', () => {
    const short = withBrood(1.9);
    expect(lineOf(rule(false), short, 'Tansy')).toMatchObject({ state: 'near', mend: 'Short by 0.1.' });
    expect(noticedOf(rule(false), short)).toBeCloseTo(0.1, 9);
  });
});
