import { describe, expect, it } from 'vitest';
import { bothSides, type FrameReading } from '../../comb/contents.ts';
import { TestYard } from '../../testing/builders.ts';
import { fiveFrames, nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { DEFAULT_HOUSE_RULES, stayShares } from '../../rules/houseRules.ts';
import { combKind, effectsOfPlace, effectsOfShake, isShakable } from './effects.ts';
import { AT } from '../rules/measures.ts';
import { STORE, type YardFrame, type YardProblem } from './problem.ts';

// Shares that stay are common practice, no source: 0.65 on open brood, 0.5 on capped, 0.35 on stores, 0.95 away.

const open = bothSides({ eggs: 2, open: 5, capped: 1, honey: 1, beeBread: 1 }, 10);
const capped = bothSides({ capped: 9, honey: 1 }, 10);
const honey = bothSides({ honey: 10 }, 10);
const empty = bothSides({ drawn: 10 }, 4);

function problem(distance: 'same-yard' | 'away' = 'same-yard'): YardProblem {
  const yard = new TestYard();
  const queen: FrameReading = { ...open, queenSeen: true };
  const box = [honey, open, capped, queen, open, capped, open, open, honey, empty];
  const above = [honey, open, capped, open, open, capped, open, open, honey, empty];
  yard.hive('Donor', [box, above], '2026-05-15');
  yard.stock('drawn', 2);
  return problemOf(yard.apiary, requestFor(yard.apiary, [nucs(1, fiveFrames({ distance }))]));
}
const nucOf = (p: YardProblem) => p.units.findIndex((u) => u.kind === 'nuc');
const frameOf = (p: YardProblem, slot: number) =>
  p.frames.find((f) => f.home === 0 && f.slot === slot) as YardFrame;
const place = (p: YardProblem, f: YardFrame, to: number) =>
  effectsOfPlace(f, to, p.units, (g, d) => g.stay[d]);

describe('what a frame adds where it ends', () => {
  it('takes its bees to a nuc, less those that fly home to the stand', () => {
    const p = problem();
    for (const [slot, share] of [
      [2, 0.65],
      [3, 0.5],
      [1, 0.35],
    ] as const) {
      const [left, brought] = place(p, frameOf(p, slot), nucOf(p));
      expect(brought?.by[AT.bees]).toBeCloseTo(share, 6);
      expect(left?.by[AT.bees]).toBeCloseTo(1 - share, 6);
    }
    const away = problem('away');
    expect(place(away, frameOf(away, 1), nucOf(away))[1]?.by[AT.bees]).toBeCloseTo(0.95, 6);
  });

  it('leaves its bees at home when it goes into the store', () => {
    const p = problem();
    const [left, ...rest] = place(p, frameOf(p, 10), STORE);
    expect(rest).toEqual([]);
    expect(left?.by[AT.bees]).toBeCloseTo(0.4, 6);
    expect(left?.by[AT.frames]).toBe(0);
  });

  it('shaken bees that are nurses stay with the nuc, the rest go home', () => {
    const p = problem();
    const [left, given] = effectsOfShake(frameOf(p, 2), nucOf(p), p.units, stayShares(DEFAULT_HOUSE_RULES));
    expect(given?.by[AT.bees]).toBeCloseTo(0.65, 6);
    expect(left?.by[AT.bees]).toBeCloseTo(-0.65, 6);
    expect(left?.by[AT.shaken]).toBe(1);
  });

  it('adds nothing up twice and loses nothing, wherever it ends', () => {
    const p = problem();
    for (const f of p.frames.filter((g) => g.home === 0)) {
      const at = (to: number, m: number) => place(p, f, to).reduce((n, e) => n + (e.by[m] ?? 0), 0);
      for (const m of [AT.bees, AT.brood, AT.stores, AT.eggsTenths]) {
        expect(at(nucOf(p), m)).toBeCloseTo(at(0, m), 6);
      }
    }
  });
});

describe('a comb', () => {
  it('is called by what it mostly is', () => {
    const p = problem();
    expect([1, 2, 3, 10].map((s) => combKind(frameOf(p, s)))).toEqual(['stores', 'brood', 'brood', 'empty']);
  });

  it('is shaken only where nurses are, and never with the queen on it', () => {
    const p = problem();
    expect([1, 2, 3, 4].map((s) => isShakable(frameOf(p, s)))).toEqual([false, true, false, false]);
  });
});
