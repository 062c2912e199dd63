import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { adviseCall, bestCorrection } from './adviseCall.ts';
import { BreakUp, type Place } from './breakUpWorth.ts';
import type { CalledFrame } from './calledFrame.ts';
import { countError } from './expectation.ts';
import { inHindsight, playBreakUp, simulatedColony, simulatedPlaces } from '../testing/simulatedBreakUp.ts';
import { sampleSize } from '../testing/sampleSize.ts';

const frame = (brood: number, stores = 0, rest: Partial<CalledFrame> = {}): CalledFrame => ({
  brood,
  young: brood / 3,
  stores,
  empty: 1 - brood - stores,
  bees: 0.8,
  stays: 0.5,
  drones: false,
  home: 0,
  ...rest,
});
const giver = (rest: Partial<Place> = {}): Place => ({
  slots: 20,
  broodCombs: { min: 0, max: 40 },
  broodFrames: 0,
  storesCombs: 0,
  emptyCombs: 0,
  raises: false,
  giver: true,
  dissolved: false,
  ...rest,
});
const nuc: Place = {
  ...giver(),
  slots: 4,
  broodCombs: { min: 2, max: 2 },
  broodFrames: 1,
  storesCombs: 2,
  giver: false,
};
const CERTAIN = { brood: 1, stores: 1, spread: 0 };

describe('where a called frame goes', () => {
  it('keeps what the donor must keep when nothing more is expected', () => {
    const places = [giver({ broodCombs: { min: 1, max: 40 } }), { ...nuc, broodFrames: 0, storesCombs: 1 }];
    const state = new BreakUp(places, 0.8);
    state.put(1, frame(0.6));
    state.put(1, frame(0.6));
    expect(adviseCall(state, frame(0.5), [], CERTAIN, [], 1)[0]?.choice).toBe(0);
    expect(adviseCall(state, frame(0, 0.9), [], CERTAIN, [], 1)[0]?.choice).toBe(1);
  });

  it('knows what is still in the box: a poor brood comb stays when better ones are to come', () => {
    const state = new BreakUp([giver(), { ...nuc, slots: 2, storesCombs: 0, broodFrames: 1.5 }], 2);
    const poor = frame(0.3);
    const rich = [frame(0.9), frame(0.8)];
    expect(adviseCall(state, poor, rich, CERTAIN, [], 1)[0]?.choice).not.toBe(1);
    expect(adviseCall(state, poor, [], CERTAIN, [], 1)[0]?.choice).toBe(1);
  });

  it('gives a unit that raises its queen a comb with young brood', () => {
    const places = [giver(), { ...nuc, raises: true, slots: 2, storesCombs: 0, broodFrames: 0 }];
    const state = new BreakUp(places, 2);
    state.put(1, frame(0.5, 0, { young: 0 }));
    const young = frame(0.5, 0, { young: 0.3 });
    const capped = frame(0.5, 0, { young: 0 });
    const short = (f: CalledFrame) =>
      adviseCall(state, f, [], CERTAIN, [], 1).find((r) => r.choice === 1)?.short ?? 0;
    expect(short(young)).toBeLessThan(short(capped));
  });

  it('gives the same answer to the same question', () => {
    const { frames, counted } = simulatedColony(5, 18, 'honest');
    const ask = () =>
      adviseCall(
        new BreakUp(simulatedPlaces(5, 18, 3), 0.8),
        frames[0] as CalledFrame,
        counted.slice(1),
        countError([]),
        [],
        9,
      );
    expect(ask()).toEqual(ask());
  });
});

describe('what the called frames say about the rest', () => {
  it('finds that a count was too high, and believes it the more the more frames agree', () => {
    const pair = (n: number) =>
      Array.from({ length: n }, () => ({ expected: frame(0.8), called: frame(0.6) }));
    const few = countError(pair(2));
    const many = countError(pair(10));
    expect(few.brood).toBeLessThan(1);
    expect(many.brood).toBeLessThan(few.brood);
    expect(many.brood).toBeGreaterThan(0.75);
    // All are off by the same: the frames themselves are known well.
    expect(many.spread).toBeLessThan(few.spread);
  });
});

describe('the policy', () => {
  it('regrets much less than taking the best place now, with an honest count and with one that is off', () => {
    for (const kind of ['honest', 'misCalibrated'] as const) {
      let pad = 0;
      let now = 0;
      for (let seed = 1; seed <= sampleSize(10, 25); seed++) {
        const colony = simulatedColony(seed * 7919, 18, kind);
        const places = simulatedPlaces(seed, 18, 2);
        const least = inHindsight(colony.frames, places, seed);
        const played = (policy: Parameters<typeof playBreakUp>[2]) =>
          playBreakUp(colony, places, policy, seed, () => 0).short - least;
        pad += played('futuresCounted');
        now += played('bestNow');
      }
      expect(pad).toBeLessThan(now / 2);
    }
  });

  it('finds the best assignment of few frames, as trying all of them shows', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const { frames } = simulatedColony(seed, 6, 'honest');
        const places = [
          giver({ slots: 6, broodCombs: { min: 1, max: 40 } }),
          { ...nuc, slots: 2 },
          { ...nuc, slots: 2 },
        ];
        let least = Infinity;
        for (let code = 0; code < 3 ** 6; code++) {
          const state = new BreakUp(places, 0.8);
          let rest = code;
          let fits = true;
          for (const f of frames) {
            const at = rest % 3;
            rest = Math.floor(rest / 3);
            if (state.free(at) < 1) fits = false;
            state.put(at, f);
          }
          if (fits) least = Math.min(least, state.short());
        }
        expect(inHindsight(frames, places, seed)).toBeCloseTo(least, 6);
      }),
      { numRuns: 25, seed: 4 },
    );
  });

  it('offers an exchange only when it helps, and then by what it says', () => {
    const state = new BreakUp(
      [giver(), { ...nuc, slots: 2, storesCombs: 1 }, { ...nuc, slots: 2, storesCombs: 1 }],
      2,
    );
    const placed = [
      { frame: frame(0.9), place: 1 },
      { frame: frame(0.9), place: 1 },
      { frame: frame(0, 0.9), place: 2 },
      { frame: frame(0, 0.9), place: 2 },
    ];
    for (const p of placed) state.put(p.place, p.frame);
    const before = state.short();
    const better = bestCorrection(state, placed);
    expect(better?.against).not.toBeNull();
    const one = placed[better?.frame ?? 0];
    const other = placed[better?.against ?? 0];
    if (!one || !other) throw new Error('an exchange was found');
    state.exchange(one.place, one.frame, other.place, other.frame);
    expect(before - state.short()).toBeGreaterThan(better?.gain ?? Infinity);
    expect(bestCorrection(state, [])).toBeNull();
  });
});
