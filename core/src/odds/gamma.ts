/** Coefficients of Lanczos's approximation for g = 7 and nine terms (Godfrey's table, from memory); held by a reference library. */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
] as const;

/**
 * The natural logarithm of the gamma function.
 *
 * @param x - more than 0
 */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const [first, ...rest]: readonly number[] = LANCZOS;
  const z = x - 1;
  const sum = rest.reduce((s, c, i) => s + c / (z + i + 1), first ?? 0);
  const t = z + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** The natural logarithm of the beta function. */
export const logBeta = (a: number, b: number): number => logGamma(a) + logGamma(b) - logGamma(a + b);

/** The natural logarithm of how many ways there are to choose k of n. */
export const logChoose = (n: number, k: number): number =>
  logGamma(n + 1) - logGamma(k + 1) - logGamma(n - k + 1);
