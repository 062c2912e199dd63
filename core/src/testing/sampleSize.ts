import { inject } from 'vitest';

declare module 'vitest' {
  interface ProvidedContext {
    /** Whether checks of many cases run in their full size. */
    soak: boolean;
  }
}

/**
 * How many cases a check of many runs through: a sample in `npm test`, all of them in `npm run soak`. The sample is
 * the beginning of the full run, from the same seed.
 */
export function sampleSize(sample: number, full: number): number {
  return inject('soak') ? full : sample;
}

/** The cases that a check runs through: the first of them in `npm test`, all in `npm run soak`. */
export function sampleOf<T>(sample: number, all: readonly T[]): readonly T[] {
  return all.slice(0, sampleSize(sample, all.length));
}
