import { byteAt, seededRandom } from '../basics/index.ts';
import type { BreakUp } from './breakUpWorth.ts';
import type { CalledFrame } from './calledFrame.ts';
import { sampleFrame, type CountError } from './expectation.ts';
import { improve, placeAll, type Settled } from './settleFrames.ts';

/**
 * So many ways in which the rest may turn out are tried for each frame: fewer where there are many places. Each
 * then takes longer, and the regret hardly differs (see `npm run bench`).
 */
const FUTURES = { few: 16, many: 8, manyPlaces: 4 } as const;

/** Combs that may lie aside at a time: more chill, and nobody knows any more whose they are. */
const MOST_ASIDE = 3;
/** What it costs to handle a comb twice, in points of which 100 are a frame of brood. Judgement, no source. */
const HANDLED_TWICE = 2;

/** Of two places that are as good, the unit is served now: a comb in it is certain. */
const PUT_OFF = 1;

/** Where a frame may go: a place by its index, or aside until more is known. */
type Choice = number | 'aside';

/** A choice with what is then expected to fall short, in points; the best first. */
export interface RatedChoice {
  readonly choice: Choice;
  readonly short: number;
}

/**
 * Where a called frame should go: the rest of the boxes is imagined in eight or sixteen ways, each is brought to the best end
 * for every place that the frame may have, and the mean of what then falls short decides. Sampling whole futures is
 * what pays: the place that looks best now gives away what a later frame could have done.
 *
 * @param rest - what is expected of the frames that are still to be called
 * @param error - how far that may be off, for all or for each
 * @param aside - frames that lie aside, to be placed at the end
 */
export function adviseCall(
  now: BreakUp,
  frame: CalledFrame,
  rest: readonly CalledFrame[],
  error: CountError | readonly CountError[],
  aside: readonly CalledFrame[],
  seed: number,
): RatedChoice[] {
  const random = seededRandom(seed);
  const free = now.places.flatMap((_, i) => (now.free(i) >= 1 && now.suits(i, frame) ? [i] : []));
  // Of units that are alike so far only the first is tried: that is most of them while most is unknown.
  const places = free.filter((p, k) => !free.slice(0, k).some((q) => now.alike(p, q)));
  const mayLie = rest.length > 0 && aside.length < MOST_ASIDE;
  const sums = new Float64Array(places.length);
  let freely = 0;
  const trial = now.copy();
  const best = now.copy();
  const at = new Int8Array(1 + rest.length + aside.length).fill(-1);
  const tried = now.places.length >= FUTURES.manyPlaces ? FUTURES.many : FUTURES.few;
  const futures = rest.length === 0 ? 1 : tried;
  // The same futures for every choice, so that luck does not decide between them.
  for (let n = 0; n < futures; n++) {
    const others = rest.map((f, i) =>
      sampleFrame(f, 'length' in error ? (error[i] ?? CERTAIN) : error, random),
    );
    const frames = [frame, ...others, ...aside];
    best.become(now);
    // The end of one future is a good beginning for the next.
    if (n === 0) placeAll(best, { frames, at });
    else frames.forEach((f, i) => byteAt(at, i) >= 0 && best.put(byteAt(at, i), f));
    improve(best, { frames, at }, 0, 3);
    freely += best.short();
    places.forEach((place, k) => {
      trial.become(best);
      const forced = { frames, at: at.slice() };
      const found = at[0] ?? -1;
      if (found !== place && !(found >= 0 && now.alike(found, place))) {
        force(trial, forced, place);
        improve(trial, forced, 1, 1, (1 << place) | (found < 0 ? 0 : 1 << found));
      }
      sums[k] = (sums[k] ?? 0) + trial.short();
    });
  }
  const rated: RatedChoice[] = places.map((choice, k) => ({
    choice,
    short: (sums[k] ?? 0) / futures + (now.places[choice]?.giver ? PUT_OFF : 0),
  }));
  // Laid aside it can go wherever the future turns out to want it.
  if (mayLie) rated.push({ choice: 'aside', short: freely / futures + HANDLED_TWICE });
  return rated.toSorted((a, b) => a.short - b.short);
}

const CERTAIN: CountError = { brood: 1, stores: 1, spread: 0 };

/** The frame in hand goes to a place; where that is full, another frame of the future makes room. */
function force(trial: BreakUp, { frames, at }: Settled, place: number): void {
  const frame = frames[0] as CalledFrame;
  const from = byteAt(at, 0);
  if (from >= 0) trial.take(from, frame);
  if (trial.free(place) < 1) {
    const out = at.findIndex(
      (p, i) => i > 0 && p === place && (from < 0 || trial.suits(from, frames[i] as CalledFrame)),
    );
    const other = frames[out];
    if (other) {
      trial.take(place, other);
      at[out] = from;
      if (from >= 0) trial.put(from, other);
    }
  }
  trial.put(place, frame);
  at[0] = place;
}

/** Two placed frames that should change places, or one that should go elsewhere. */
export interface Correction {
  /** Index of a placed frame. */
  readonly frame: number;
  /** Where it should go. */
  readonly to: number;
  /** The frame that comes back in exchange; null when there is room. */
  readonly against: number | null;
  /** What less then falls short, in points. */
  readonly gain: number;
}

/** The one exchange that helps most once frames are placed; null when none is worth the handling. */
export function bestCorrection(
  now: BreakUp,
  placed: readonly { readonly frame: CalledFrame; readonly place: number }[],
): Correction | null {
  const before = now.short();
  let best: Correction | null = null;
  const trial = now.copy();
  const consider = (c: Omit<Correction, 'gain'>) => {
    const gain = before - trial.short() - HANDLED_TWICE * (c.against === null ? 1 : 2);
    if (gain > (best?.gain ?? WORTH_IT)) best = { ...c, gain };
  };
  placed.forEach((a, i) => {
    for (let to = 0; to < now.places.length; to++) {
      if (to === a.place || now.free(to) < 1 || !now.suits(to, a.frame)) continue;
      trial.take(a.place, a.frame);
      trial.put(to, a.frame);
      consider({ frame: i, to, against: null });
      trial.become(now);
    }
    placed.slice(i + 1).forEach((b, j) => {
      if (a.place === b.place || !now.suits(b.place, a.frame) || !now.suits(a.place, b.frame)) return;
      trial.take(a.place, a.frame);
      trial.take(b.place, b.frame);
      trial.put(b.place, a.frame);
      trial.put(a.place, b.frame);
      consider({ frame: i, to: b.place, against: i + 1 + j });
      trial.become(now);
    });
  });
  return best;
}

/** Less than a twelfth of a frame of brood is not worth opening a box again. */
const WORTH_IT = 8;
