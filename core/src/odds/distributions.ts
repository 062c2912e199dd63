import { logBeta, logChoose } from './gamma.ts';

/** Chances of 0, 1, 2 … successes; they add up to one. */
export type Distribution = readonly number[];

/** So many successes of n tries, each with the same chance p that is known. */
export function binomial(n: number, p: number): Distribution {
  if (p <= 0) return Array.from({ length: n + 1 }, (_, k) => (k === 0 ? 1 : 0));
  if (p >= 1) return Array.from({ length: n + 1 }, (_, k) => (k === n ? 1 : 0));
  return Array.from({ length: n + 1 }, (_, k) =>
    Math.exp(logChoose(n, k) + k * Math.log(p) + (n - k) * Math.log1p(-p)),
  );
}

/** What is known of a chance: as if so many had gone well and so many not. Both more than 0; need not be whole. */
export interface Known {
  readonly well: number;
  readonly ill: number;
}

/**
 * So many successes of n tries that share a chance which is itself known only so well. All of them fare well or ill together, as in
 * a hard winter: the middle is that of the binomial, the ends are likelier.
 */
export function betaBinomial(n: number, { well, ill }: Known): Distribution {
  const all = logBeta(well, ill);
  return Array.from({ length: n + 1 }, (_, k) =>
    Math.exp(logChoose(n, k) + logBeta(k + well, n - k + ill) - all),
  );
}

/** The mean of what is known. */
export const meanOf = ({ well, ill }: Known): number => well / (well + ill);

/** The chance of at least so many. */
export const atLeast = (of: Distribution, k: number): number =>
  Math.min(
    1,
    of.slice(Math.max(0, k)).reduce((s, p) => s + p, 0),
  );

/** The number that is not reached with less than a share of chances: 0.1 for the low end of eight in ten. */
export function quantileOf(of: Distribution, share: number): number {
  let sum = 0;
  for (const [k, p] of of.entries()) {
    sum += p;
    if (sum >= share - 1e-12) return k;
  }
  return of.length - 1;
}

/** The sum of two numbers that know nothing of each other. */
export function sumOf(a: Distribution, b: Distribution): Distribution {
  const sum = Array.from({ length: a.length + b.length - 1 }, () => 0);
  a.forEach((p, i) => b.forEach((q, j) => (sum[i + j] = (sum[i + j] ?? 0) + p * q)));
  return sum;
}
