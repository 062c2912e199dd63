import { byteAt } from '../basics/index.ts';
import type { BreakUp } from './breakUpWorth.ts';
import type { CalledFrame } from './calledFrame.ts';

/** Frames in one order and where each is, by the same index; -1 while it has no place. */
export interface Settled {
  readonly frames: readonly CalledFrame[];
  readonly at: Int8Array;
}

/** Puts every frame that has no place where it leaves least short; combs that are hardest to place come first. */
export function placeAll(state: BreakUp, { frames, at }: Settled): void {
  const open = frames.map((f, i) => ({ f, i })).filter(({ i }) => (at[i] ?? -1) < 0);
  for (const { f, i } of open.toSorted((a, b) => use(b.f) - use(a.f))) {
    const place = state.bestPlace(f);
    at[i] = place;
    if (place >= 0) state.put(place, f);
  }
}

const use = (f: CalledFrame) => f.brood + 0.6 * f.stores;

/**
 * Moves and exchanges frames for as long as that leaves less short. A pair of places is tried again only after one of
 * them has changed.
 *
 * @param fixed - so many frames at the beginning stay where they are
 * @param rounds - so often at most all pairs are gone through
 * @param changed - places, one bit each, that have changed since all pairs were tried; at most 31 places
 */
export function improve(
  state: BreakUp,
  { frames, at }: Settled,
  fixed = 0,
  rounds = 20,
  changed = ALL_PLACES,
): void {
  const n = frames.length;
  let stirred = changed;
  for (let round = 0; round < rounds; round++) {
    let better = 0;
    for (let i = fixed; i < n; i++) {
      const a = frames[i] as CalledFrame;
      if ((at[i] ?? -1) < 0) continue;
      for (let to = 0; to < state.places.length; to++) {
        const from = byteAt(at, i);
        if (to === from || !((stirred | better) & ((1 << from) | (1 << to)))) continue;
        if (state.free(to) < 1 || !state.suits(to, a)) continue;
        if (state.changeBy(from, a, to, null) < -1e-9) {
          state.take(from, a);
          state.put(to, a);
          at[i] = to;
          better |= (1 << from) | (1 << to);
        }
      }
      for (let j = i + 1; j < n; j++) {
        const from = byteAt(at, i);
        const there = byteAt(at, j);
        if (there === from || there < 0) continue;
        if (!((stirred | better) & ((1 << from) | (1 << there)))) continue;
        const b = frames[j] as CalledFrame;
        if (!state.suits(there, a) || !state.suits(from, b)) continue;
        if (state.changeBy(from, a, there, b) < -1e-9) {
          state.exchange(from, a, there, b);
          at[i] = there;
          at[j] = from;
          better |= (1 << from) | (1 << there);
        }
      }
    }
    if (better === 0) return;
    stirred = better;
  }
}

const ALL_PLACES = ~0;
