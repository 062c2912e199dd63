import { seededRandom } from '../../basics/index.ts';
import { describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { evaluate } from './evaluate.ts';
import { AT } from '../rules/measures.ts';
import { nothingMoved, STORE, type YardProblem } from '../problem/problem.ts';
import { NOBODY, YardState } from './yardState.ts';

function problem(seed = 2, limits?: { hives: number | null; frames: number | null }): YardProblem {
  const apiary = generatedYards({ colonies: 5, seed });
  return problemOf(apiary, requestFor(apiary, [nucs(2)], limits ? { limits } : {}));
}

/** Changes a plan at random so many times, within what frames may do. */
function shuffle(state: YardState, p: YardProblem, times: number, random: () => number): void {
  for (let n = 0; n < times; n++) {
    const i = Math.floor(random() * p.frames.length);
    const f = p.frames[i] as YardProblem['frames'][number];
    const to = [f.home, ...f.mayGoTo];
    if (random() < 0.7) state.place(i, to[Math.floor(random() * to.length)] as number);
    else if (state.to[i] === f.home && f.mayShakeFor.length > 0) {
      state.shake(i, random() < 0.3 ? NOBODY : (f.mayShakeFor[0] as number));
    }
    state.settle();
  }
}

describe('a plan in the making', () => {
  it('keeps by differences the sums that come out when all is added up anew', () => {
    const p = problem();
    const state = new YardState(p, nothingMoved(p));
    const random = seededRandom(4);
    for (let round = 0; round < 5; round++) {
      shuffle(state, p, 60, random);
      const price = state.price;
      const broken = state.broken;
      const sums = p.units.map((u) => state.sum(u.index, AT.bees));
      state.refresh();
      expect(state.price).toBeCloseTo(price, 6);
      expect(state.broken).toBe(broken);
      p.units.forEach((u, k) => expect(state.sum(u.index, AT.bees)).toBeCloseTo(sums[k] as number, 9));
    }
  });

  it('breaks a rule exactly when the evaluator says so', () => {
    const p = problem(3);
    const state = new YardState(p, nothingMoved(p));
    const random = seededRandom(5);
    for (let round = 0; round < 12; round++) {
      shuffle(state, p, 15, random);
      const seen = evaluate(p, state.assignment());
      expect(state.broken > 0).toBe(seen.broken.length > 0);
    }
  });

  it('costs what the evaluator says when it breaks none', () => {
    const p = problem(1);
    const state = new YardState(p, nothingMoved(p));
    expect(state.broken).toBe(0);
    expect(state.price).toBeCloseTo(evaluate(p, nothingMoved(p)).cost, 9);
  });

  it('charges less for broken rules while it is lenient, and all of it afterwards', () => {
    const p = problem(2);
    const state = new YardState(p, nothingMoved(p));
    const nuc = p.units.find((u) => u.kind === 'nuc');
    const frame = p.frames.find((f) => f.home !== STORE && f.mayGoTo.includes(nuc?.index ?? -9));
    state.place(frame?.index ?? 0, nuc?.index ?? 0);
    const strict = state.settle();
    expect(state.broken).toBe(1);
    state.setStrictness(0.1);
    expect(state.price).toBeLessThan(strict);
    state.setStrictness(1);
    expect(state.price).toBeCloseTo(strict, 9);
  });

  it('counts hives and frames against the limits of a day', () => {
    const p = problem(2, { hives: 1, frames: 2 });
    const state = new YardState(p, nothingMoved(p));
    const nuc = p.units.find((u) => u.kind === 'nuc')?.index ?? 0;
    const moved = p.frames.filter((f) => f.home !== STORE && f.mayGoTo.includes(nuc)).slice(0, 3);
    const within = moved.filter((f) => f.home === moved[0]?.home);
    for (const f of moved) state.place(f.index, nuc);
    state.settle();
    const seen = evaluate(p, state.assignment());
    expect(seen.broken.some((b) => b.id === 'limit/frames')).toBe(true);
    for (const f of moved.slice(2)) state.place(f.index, f.home);
    state.settle();
    expect(evaluate(p, state.assignment()).broken.some((b) => b.id === 'limit/frames')).toBe(false);
    expect(within.length).toBeGreaterThan(0);
  });

  it('takes over another plan as it is', () => {
    const p = problem(2);
    const a = new YardState(p, nothingMoved(p));
    shuffle(a, p, 40, seededRandom(9));
    const b = new YardState(p, nothingMoved(p));
    b.load(a.to, a.shakenFor);
    expect(b.price).toBeCloseTo(a.price, 6);
    expect(b.assignment()).toEqual(a.assignment());
  });
});
