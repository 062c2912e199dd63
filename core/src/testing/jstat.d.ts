/** What the tests ask of the reference library, which has no types of its own. */
declare module 'jstat' {
  export const gammaln: (x: number) => number;
  export const betaln: (a: number, b: number) => number;
  export const binomial: {
    pdf: (k: number, n: number, p: number) => number;
    cdf: (k: number, n: number, p: number) => number;
  };
  export const normal: { inv: (p: number, mean: number, spread: number) => number };
  export const beta: { inv: (p: number, a: number, b: number) => number };
}
