import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { atLeast, betaBinomial, binomial, meanOf, quantileOf, sumOf } from './distributions.ts';
import { logBeta, logChoose, logGamma } from './gamma.ts';

const sum = (d: readonly number[]) => d.reduce((s, p) => s + p, 0);
const mean = (d: readonly number[]) => d.reduce((s, p, k) => s + k * p, 0);

describe('gamma and beta', () => {
  it.each([0.1, 0.5, 1, 1.5, 2, 7, 8.5, 20, 150.25])(
    'agree with the reference library (jstat) at %d',
    (x) => {
      expect(logGamma(x)).toBeCloseTo(jstat.gammaln(x), 9);
      expect(logBeta(x, 3.25)).toBeCloseTo(jstat.betaln(x, 3.25), 9);
    },
  );

  it('count ways to choose', () => {
    expect(Math.exp(logChoose(10, 3))).toBeCloseTo(120, 6);
    expect(Math.exp(logChoose(7, 0))).toBeCloseTo(1, 9);
  });
});

describe('so many of so many', () => {
  it('is binomial where the chance is known: the reference library (jstat)', () => {
    for (const [n, p] of [
      [6, 2 / 3],
      [40, 0.15],
      [150, 0.9],
    ] as const)
      binomial(n, p).forEach((chance, k) => expect(chance).toBeCloseTo(jstat.binomial.pdf(k, n, p), 9));
  });

  it('is what the table of the trade says: four wanted at two in three (worked by the binomial)', () => {
    const four = (n: number) => Math.round(100 * atLeast(binomial(n, 2 / 3), 4));
    expect([four(6), four(7), four(8)]).toEqual([68, 83, 91]);
  });

  it('spreads wider where the chance itself is in doubt, about the same mean', () => {
    const known = { well: 8, ill: 2 };
    const sure = binomial(20, meanOf(known));
    const unsure = betaBinomial(20, known);
    expect(mean(unsure)).toBeCloseTo(mean(sure), 9);
    expect(quantileOf(unsure, 0.1)).toBeLessThan(quantileOf(sure, 0.1));
    // Much experience makes the two one.
    const experienced = betaBinomial(20, { well: 80_000, ill: 20_000 });
    experienced.forEach((p, k) => expect(p).toBeCloseTo(sure[k] ?? 0, 3));
  });

  it('adds up to one, and sums have the sum of the means', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 0, max: 30 }),
        fc.double({ min: 0.2, max: 40, noNaN: true }),
        fc.double({ min: 0.2, max: 40, noNaN: true }),
        (n, m, well, ill) => {
          const a = betaBinomial(n, { well, ill });
          const b = binomial(m, well / (well + ill));
          const both = sumOf(a, b);
          expect(sum(a)).toBeCloseTo(1, 6);
          expect(sum(both)).toBeCloseTo(1, 6);
          expect(mean(both)).toBeCloseTo(mean(a) + mean(b), 4);
          expect(both).toHaveLength(n + m + 1);
        },
      ),
    );
  });

  it('keeps its head at the ends', () => {
    expect(binomial(3, 0)).toEqual([1, 0, 0, 0]);
    expect(binomial(3, 1)).toEqual([0, 0, 0, 1]);
    expect(betaBinomial(0, { well: 1, ill: 1 })).toHaveLength(1);
    expect(atLeast([0.5, 0.5], -2)).toBe(1);
    expect(atLeast([0.5, 0.5], 5)).toBe(0);
  });
});
