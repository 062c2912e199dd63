import { seededRandom } from '../basics/index.ts';
import { adviseCall, bestCorrection } from '../callout/adviseCall.ts';
import { BreakUp, type Place } from '../callout/breakUpWorth.ts';
import type { CalledFrame } from '../callout/calledFrame.ts';
import {
  countError,
  sampleFrame,
  UNCOUNTED,
  UNCOUNTED_SPREAD,
  type CountError,
} from '../callout/expectation.ts';
import { improve, placeAll } from '../callout/settleFrames.ts';

/**
 * Break-ups of made-up colonies, to measure policies by: what falls short against the best that could have been done by
 * one who knew every frame beforehand.
 */

/** A colony to be broken up, and what its last count says. */
export interface SimulatedColony {
  /** In the order in which they are called. */
  readonly frames: readonly CalledFrame[];
  readonly counted: readonly CalledFrame[];
}

/** How the last count of a made-up colony came about. */
export type CountKind = 'honest' | 'misCalibrated';

const clamp = (x: number, most = 1) => Math.min(most, Math.max(0, x));

/** A nest of brood in the middle, stores outside, called box by box from one wall to the other. */
export function simulatedColony(seed: number, frames: number, kind: CountKind): SimulatedColony {
  const random = seededRandom(seed);
  const strength = 0.5 + 0.5 * random();
  const boxes = frames > 12 ? 2 : 1;
  const per = Math.ceil(frames / boxes);
  const truth = Array.from({ length: frames }, (_, i): CalledFrame => {
    const middle = 1 - Math.abs((i % per) - (per - 1) / 2) / (per / 2);
    const brood = clamp(
      strength * (0.25 + 1.1 * middle) * (0.6 + 0.6 * random()) - (random() < 0.15 ? 0.4 : 0),
      0.95,
    );
    const broodShare = middle < 0.25 || brood < 0.08 ? 0 : brood;
    const stores = clamp((0.9 - broodShare) * (1.15 - middle) * (0.4 + 0.9 * random()), 1 - broodShare);
    const young = broodShare * (0.15 + 0.4 * random());
    return {
      brood: broodShare,
      young,
      stores,
      empty: clamp(1 - broodShare - stores),
      bees: clamp(0.35 + 0.5 * middle + 0.3 * (random() - 0.5)),
      stays: young > broodShare - young && broodShare > 0.25 ? 0.65 : broodShare > 0.25 ? 0.5 : 0.35,
      drones: false,
      home: 0,
    };
  });
  // An honest count is off by a sixth of a frame here and there; another counter sees a quarter too much throughout.
  const bias = kind === 'honest' ? 1 : 1.25 + 0.15 * random();
  const spread = kind === 'honest' ? 0.12 : 0.2;
  const counted = truth.map((f) => sampleFrame(f, { brood: bias, stores: 1 / bias, spread }, random));
  return { frames: truth, counted };
}

/** Places of a usual break-up: a giver that keeps something, or is broken up wholly, and so many nucs. */
export function simulatedPlaces(seed: number, frames: number, nucs: number): Place[] {
  const random = seededRandom(seed ^ 0x5bd1e995);
  const whole = random() < 0.4;
  const raises = random() < 0.6;
  const four = random() < 0.5;
  const giver: Place = {
    slots: frames,
    broodCombs: { min: whole ? 0 : 2, max: 40 },
    broodFrames: whole ? 0 : 1,
    storesCombs: whole ? 0 : 1,
    emptyCombs: 0,
    raises: false,
    giver: true,
    dissolved: whole,
  };
  const nuc: Place = {
    slots: four ? 4 : 5,
    broodCombs: { min: 2, max: 2 },
    broodFrames: four ? 1 : 1.2,
    storesCombs: four ? 2 : 1,
    emptyCombs: four ? 0 : 1,
    raises,
    giver: false,
    dissolved: false,
  };
  return [giver, ...Array.from({ length: nucs }, () => nuc)];
}

/** A rule by which called frames are given places. */
export type Policy = 'fillInOrder' | 'bestNow' | 'expectedContents' | 'futuresUncounted' | 'futuresCounted';

/** What a break-up by a policy came to. */
export interface Played {
  /** What falls short in the end, in points. */
  readonly short: number;
  /** The same after up to two exchanges at the end. */
  readonly corrected: number;
  /** Milliseconds for each answer. */
  readonly answers: readonly number[];
}

const COVER = 0.8;

/** Calls a colony frame by frame and does as the policy says. */
export function playBreakUp(
  colony: SimulatedColony,
  places: readonly Place[],
  policy: Policy,
  seed: number,
  now: () => number,
): Played {
  const state = new BreakUp(places, COVER);
  const placed: { frame: CalledFrame; place: number }[] = [];
  const aside: CalledFrame[] = [];
  const outcomes: { expected: CalledFrame; called: CalledFrame }[] = [];
  const answers: number[] = [];
  const put = (frame: CalledFrame, place: number) => {
    state.put(place, frame);
    placed.push({ frame, place });
  };
  colony.frames.forEach((frame, i) => {
    const started = now();
    const choice = choose(i, frame);
    answers.push(now() - started);
    if (choice === 'aside') aside.push(frame);
    else put(frame, choice);
    const expected = colony.counted[i];
    if (expected) outcomes.push({ expected, called: frame });
  });
  for (let frame = aside.shift(); frame; frame = aside.shift()) {
    const [best] = adviseCall(state, frame, [], [], aside, seed);
    put(frame, typeof best?.choice === 'number' ? best.choice : 0);
  }
  const short = state.short();
  for (let n = 0; n < 2; n++) {
    const better = bestCorrection(state, placed);
    if (!better) break;
    const one = placed[better.frame];
    const other = better.against === null ? null : placed[better.against];
    if (!one) break;
    state.take(one.place, one.frame);
    if (other) {
      state.take(other.place, other.frame);
      state.put(one.place, other.frame);
      other.place = one.place;
    }
    state.put(better.to, one.frame);
    one.place = better.to;
  }
  return { short, corrected: state.short(), answers };

  function choose(i: number, frame: CalledFrame): number | 'aside' {
    const best = () => Math.max(0, state.bestPlace(frame));
    const exact: CountError = { brood: 1, stores: 1, spread: 0 };
    switch (policy) {
      case 'fillInOrder': {
        const at = places.findIndex((p, k) => !p.giver && state.free(k) >= 1);
        return at < 0 ? 0 : at;
      }
      case 'bestNow':
        return best();
      case 'expectedContents':
        return (
          adviseCall(state, frame, colony.counted.slice(i + 1), exact, asideFull, seed)[0]?.choice ?? best()
        );
      case 'futuresUncounted': {
        const rest = colony.frames.slice(i + 1).map(() => UNCOUNTED);
        const error = { brood: 1, stores: 1, spread: UNCOUNTED_SPREAD };
        return adviseCall(state, frame, rest, error, aside, seed + i)[0]?.choice ?? best();
      }
      case 'futuresCounted':
        return (
          adviseCall(state, frame, colony.counted.slice(i + 1), countError(outcomes), aside, seed + i)[0]
            ?.choice ?? best()
        );
    }
  }
}

/** No frame may be laid aside. */
const asideFull: readonly CalledFrame[] = [];

/** The least that could have fallen short, had every frame been known: the best of many improved assignments. */
export function inHindsight(
  frames: readonly CalledFrame[],
  places: readonly Place[],
  seed: number,
  starts = 24,
): number {
  const random = seededRandom(seed);
  let least = Infinity;
  for (let n = 0; n < starts; n++) {
    const state = new BreakUp(places, COVER);
    const all = { frames, at: new Int8Array(frames.length).fill(-1) };
    // The first start is a careful one, the others are thrown like dice.
    if (n > 0) {
      frames.forEach((f, i) => {
        const open = places.flatMap((_, k) => (state.free(k) >= 1 && state.suits(k, f) ? [k] : []));
        const place = open[Math.floor(random() * open.length)] ?? -1;
        all.at[i] = place;
        if (place >= 0) state.put(place, f);
      });
    }
    placeAll(state, all);
    improve(state, all);
    least = Math.min(least, state.short());
  }
  return least;
}
