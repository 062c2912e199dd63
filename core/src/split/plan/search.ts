import { seededRandom } from '../../basics/index.ts';
import type { Choice } from '../base/measure.ts';

/** What a search may change and how a choice is priced. Lower is better. */
export interface SearchSpace {
  readonly size: number;
  /** Frames that may change parts. */
  readonly movable: readonly number[];
  /** Frames that may be shaken while they stay. */
  readonly shakable: readonly number[];
  readonly maxShakes: number;
  /** Least and most frames in the new part. */
  readonly newPart: { readonly min: number; readonly max: number };
  readonly price: (choice: Choice) => number;
}

/** A priced choice. */
export interface Found {
  readonly choice: Choice;
  readonly price: number;
  /** Choices priced on the way. */
  readonly tried: number;
}

interface State {
  part: (0 | 1)[];
  shaken: boolean[];
}

const copy = (s: State): State => ({ part: [...s.part], shaken: [...s.shaken] });

/**
 * Looks for the cheapest choice: steepest descent over moves, swaps and shakes, then restarts from
 * disturbed copies of the best.
 *
 * Deterministic for the same space and start. It promises a local optimum, no more; on small colonies the
 * tests hold it against exhaustive search.
 *
 * @param budget - choices to price at most; about 15,000 take well under 100 ms
 */
export function searchChoice(space: SearchSpace, start: Choice, budget = 15_000): Found {
  let tried = 0;
  const price = (s: State) => {
    tried++;
    return space.price(s);
  };
  const random = seededRandom(space.size * 7919 + space.movable.length);

  const descend = (from: State, fromPrice: number): { state: State; price: number } => {
    let state = from;
    let best = fromPrice;
    while (tried < budget) {
      let better: State | undefined;
      for (const next of neighbours(space, state)) {
        const p = price(next);
        if (p < best - 1e-9) {
          best = p;
          better = copy(next);
        }
        if (tried >= budget) break;
      }
      if (!better) break;
      state = better;
    }
    return { state, price: best };
  };

  const first: State = { part: [...start.part], shaken: [...start.shaken] };
  let best = descend(first, price(first));
  let idle = 0;
  while (tried < budget && idle < 25) {
    const shaken = disturb(space, best.state, random);
    const found = descend(shaken, price(shaken));
    if (found.price < best.price - 1e-9) {
      best = found;
      idle = 0;
    } else idle++;
  }
  return { choice: best.state, price: best.price, tried };
}

/**
 * Every choice one change away. Yields the same object each time, changed in place: copy what is kept.
 */
function* neighbours(space: SearchSpace, from: State): Generator<State> {
  const s = copy(from);
  const inNew = s.part.reduce<number>((n, p) => n + p, 0);
  const shakes = s.shaken.filter(Boolean).length;
  for (const i of space.movable) {
    const grows = s.part[i] === 0;
    if (grows ? inNew < space.newPart.max : inNew > space.newPart.min) {
      const wasShaken = s.shaken[i] as boolean;
      s.part[i] = grows ? 1 : 0;
      s.shaken[i] = false;
      yield s;
      s.part[i] = grows ? 0 : 1;
      s.shaken[i] = wasShaken;
    }
  }
  for (const i of space.movable) {
    if (s.part[i] !== 0) continue;
    for (const j of space.movable) {
      if (s.part[j] !== 1) continue;
      const wasShaken = s.shaken[i] as boolean;
      s.part[i] = 1;
      s.part[j] = 0;
      s.shaken[i] = false;
      yield s;
      s.part[i] = 0;
      s.part[j] = 1;
      s.shaken[i] = wasShaken;
    }
  }
  for (const i of space.shakable) {
    if (s.part[i] !== 0 || (!s.shaken[i] && shakes >= space.maxShakes)) continue;
    s.shaken[i] = !s.shaken[i];
    yield s;
    s.shaken[i] = !s.shaken[i];
  }
}

/** Moves or swaps up to four frames and changes a shake at random, within what is allowed. */
function disturb(space: SearchSpace, from: State, random: () => number): State {
  const s = copy(from);
  const pick = (list: readonly number[]): number | undefined => list[Math.floor(random() * list.length)];
  const put = (i: number | undefined, part: 0 | 1) => {
    if (i === undefined) return;
    s.part[i] = part;
    s.shaken[i] = false;
  };
  const changes = 1 + Math.floor(random() * 4);
  for (let k = 0; k < changes; k++) {
    const inNew = s.part.reduce<number>((n, p) => n + p, 0);
    const stays = space.movable.filter((m) => s.part[m] === 0);
    const goes = space.movable.filter((m) => s.part[m] === 1);
    const kind = Math.floor(random() * 3);
    if (kind === 0 && inNew < space.newPart.max) put(pick(stays), 1);
    else if (kind === 1 && inNew > space.newPart.min) put(pick(goes), 0);
    else if (stays.length > 0 && goes.length > 0) {
      put(pick(stays), 1);
      put(pick(goes), 0);
    }
  }
  const shaken = pick(space.shakable.filter((i) => s.part[i] === 0));
  if (shaken !== undefined && (s.shaken[shaken] || s.shaken.filter(Boolean).length < space.maxShakes)) {
    s.shaken[shaken] = !s.shaken[shaken];
  }
  return s;
}

/**
 * The cheapest choice by trying every one. Only for small spaces; the search is checked against it.
 *
 * @throws RangeError if there are more than 2^22 choices
 */
export function searchExhaustively(space: SearchSpace, start: Choice): Found {
  const { movable, shakable } = space;
  if (movable.length + shakable.length > 22) throw new RangeError('too many choices to try them all');
  let best: Found | undefined;
  let tried = 0;
  for (let m = 0; m < 1 << movable.length; m++) {
    const s: State = { part: [...start.part], shaken: start.part.map(() => false) };
    movable.forEach((i, bit) => (s.part[i] = (m >> bit) & 1 ? 1 : 0));
    const inNew = s.part.reduce<number>((n, p) => n + p, 0);
    if (inNew < space.newPart.min || inNew > space.newPart.max) continue;
    for (let k = 0; k < 1 << shakable.length; k++) {
      let shakes = 0;
      let allowed = true;
      shakable.forEach((i, bit) => {
        const on = ((k >> bit) & 1) === 1;
        s.shaken[i] = on;
        if (on) shakes++;
        if (on && s.part[i] !== 0) allowed = false;
      });
      if (!allowed || shakes > space.maxShakes) continue;
      tried++;
      const price = space.price(s);
      if (!best || price < best.price) best = { choice: copy(s), price, tried };
    }
  }
  if (!best) throw new RangeError('no choice is allowed');
  return { ...best, tried };
}
