/** The value below which a share of the samples lies. @throws RangeError without samples */
export function quantile(samples: readonly number[], share: number): number {
  if (samples.length === 0) throw new RangeError('no samples');
  const sorted = samples.toSorted((a, b) => a - b);
  const at = (sorted.length - 1) * share;
  const below = sorted[Math.floor(at)] as number;
  const above = sorted[Math.ceil(at)] as number;
  return below + (above - below) * (at - Math.floor(at));
}

/** The middle of the samples. */
export function median(samples: readonly number[]): number {
  return quantile(samples, 0.5);
}

/** Milliseconds in one decimal. */
export function ms(value: number): string {
  return `${value.toFixed(1)} ms`;
}
