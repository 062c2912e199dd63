import type { CalledFrame } from './calledFrame.ts';

/** What was expected of a frame, and what it turned out to hold. */
export interface Outcome {
  readonly expected: CalledFrame;
  readonly called: CalledFrame;
}

/** How far the last count has been off so far. */
export interface CountError {
  /** Brood that was there for each frame of brood that was expected. */
  readonly brood: number;
  readonly stores: number;
  /** Spread of a single frame around that, in frames. */
  readonly spread: number;
}

/** So many frames of what was expected weigh as much as what has been called. Judgement, no source. */
const TRUST = 2.5;
/** A count is believed to a sixth of a frame until frames have been called. Judgement, no source. */
const FIRST_SPREAD = 0.16;

/** What the frames called so far say about the rest of the box. */
export function countError(outcomes: readonly Outcome[], spread = FIRST_SPREAD): CountError {
  const sum = (of: (o: Outcome) => number) => outcomes.reduce((s, o) => s + of(o), 0);
  const ratio = (of: (f: CalledFrame) => number) =>
    (sum((o) => of(o.called)) + TRUST) / (sum((o) => of(o.expected)) + TRUST);
  const brood = ratio((f) => f.brood);
  const stores = ratio((f) => f.stores);
  const squares = sum((o) => (o.called.brood - o.expected.brood * brood) ** 2);
  const known = 5;
  return { brood, stores, spread: Math.sqrt((squares + known * spread ** 2) / (outcomes.length + known)) };
}

/** What is taken for granted of a frame that nobody has counted: a comb of the middle of a nest, more or less. */
export const UNCOUNTED: CalledFrame = {
  brood: 0.35,
  young: 0.12,
  stores: 0.3,
  empty: 0.3,
  bees: 0.5,
  stays: 0.5,
  drones: false,
  home: 0,
};
/** How far such a frame may be off. */
export const UNCOUNTED_SPREAD = 0.3;

/** One way in which a frame may turn out. */
export function sampleFrame(expected: CalledFrame, error: CountError, random: () => number): CalledFrame {
  const clamp = (x: number, most = 1) => Math.min(most, Math.max(0, x));
  const noise = () => (random() + random() + random() - 1.5) * 2 * error.spread;
  const off = noise();
  const brood = clamp(expected.brood * error.brood + off);
  const stores = clamp(expected.stores * error.stores + noise(), 1 - brood);
  const young = expected.brood > 0.05 ? (brood * expected.young) / expected.brood : brood / 3;
  return {
    brood,
    young: clamp(young, brood),
    stores,
    drones: expected.drones,
    empty: expected.drones ? 0 : clamp(1 - brood - stores),
    bees: clamp(expected.bees + off * 0.5),
    stays: expected.stays,
    home: expected.home,
  };
}
