import type { Known } from '../../odds/index.ts';

/** A number between 0 and 1 that belongs to three whole numbers: the same seed, season and purpose give the same luck on every device. */
export function luckOf(seed: number, season: number, purpose: number): number {
  let h = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(season + 0x632be5ab, 0xc2b2ae35);
  h = Math.imul(h ^ (h >>> 15) ^ purpose, 0x2c1b3c6d);
  h = Math.imul(h ^ (h >>> 12) ^ Math.imul(purpose, 0x27d4eb2f), 0x297a2d39);
  h = Math.imul(h ^ (h >>> 15), 0x85ebca6b);
  return ((h ^ (h >>> 13)) >>> 0) / 4294967296;
}

/** Steps of an additive recurrence in seven dimensions: powers of the inverse of the root of x⁸ = x + 1, so that few points fill the space evenly. */
const STEP = 1 / 1.0969815577985598;

/**
 * The same for what a whole season shares, the first seven purposes: spread evenly over the seasons, so that sixteen of them hold
 * good and bad years as sixteen hundred do.
 */
export function evenLuckOf(seed: number, season: number, purpose: number): number {
  const at = luckOf(seed, 0, purpose) + (season + 1) * STEP ** purpose;
  return at - Math.floor(at);
}

/** The normal deviate of a share (Acklam's rational approximation, from memory; its error is under 2e-9 of the value and is held against a reference). */
export function normalOf(share: number): number {
  const p = Math.min(1 - 1e-12, Math.max(1e-12, share));
  if (p < 0.02425) return tail(Math.sqrt(-2 * Math.log(p)));
  if (p > 0.97575) return -tail(Math.sqrt(-2 * Math.log(1 - p)));
  const q = p - 0.5;
  const r = q * q;
  const num =
    (((((-39.69683028665376 * r + 220.9460984245205) * r - 275.9285104469687) * r + 138.357751867269) * r -
      30.66479806614716) *
      r +
      2.506628277459239) *
    q;
  const den =
    ((((-54.47609879822406 * r + 161.5858368580409) * r - 155.6989798598866) * r + 66.80131188771972) * r -
      13.28068155288572) *
      r +
    1;
  return num / den;
}

function tail(q: number): number {
  const num =
    ((((-0.007784894002430293 * q - 0.3223964580411365) * q - 2.400758277161838) * q - 2.549732539343734) *
      q +
      4.374664141464968) *
      q +
    2.938163982698783;
  const den =
    (((0.007784695709041462 * q + 0.3224671290700398) * q + 2.445134137142996) * q + 3.754408661907416) * q +
    1;
  return num / den;
}

/**
 * A chance drawn from what is known of it, by its mean and spread on the scale of log-odds: near enough to the beta
 * distribution where neither side is under one, and a single number draws it, so that two kinds of chance can share their luck.
 */
export function chanceDrawn({ well, ill }: Known, deviate: number): number {
  const mean = Math.log(well / ill);
  // The variance of the log-odds of a beta distribution, by its leading terms.
  const spread = Math.sqrt(1 / Math.max(0.5, well) + 1 / Math.max(0.5, ill));
  return 1 / (1 + Math.exp(-(mean + spread * deviate)));
}
