/** A day of a window, with its share of all cases. */
export interface Share {
  readonly after: number;
  readonly share: number;
}

/**
 * Whole days from the earliest to the latest with their shares, by the beta distribution of three-point estimates with
 * weight 4 on the likeliest (Malcolm, Roseboom, Clark and Fazar 1959). The ends themselves count half a day each side.
 */
export function spread({
  earliest,
  likely,
  latest,
}: {
  readonly earliest: number;
  readonly likely: number;
  readonly latest: number;
}): readonly Share[] {
  const from = earliest - 0.5;
  const length = latest - earliest + 1;
  const a = 1 + (4 * (likely - from)) / length;
  const b = 1 + (4 * (latest + 0.5 - likely)) / length;
  const days = Array.from({ length: Math.round(length) }, (_, i) => earliest + i);
  const weights = days.map((day) => {
    const x = (day - from) / length;
    return x ** (a - 1) * (1 - x) ** (b - 1);
  });
  const sum = weights.reduce((s, w) => s + w, 0);
  return days
    .map((after, i) => ({ after, share: (weights[i] ?? 0) / sum }))
    .filter(({ share }) => share >= LEAST_SHARE);
}

/** Days with less are not told apart from never: thousands of courses would be weighed for nothing. */
const LEAST_SHARE = 0.01;
