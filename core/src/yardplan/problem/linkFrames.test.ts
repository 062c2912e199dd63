import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { TestYard } from '../../testing/builders.ts';
import { NEST, STRONG_BOX, WEAK_BOX } from '../../testing/nests.ts';
import { fiveFrames, nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { combKind } from './effects.ts';
import { whyNotThere } from './linkFrames.ts';
import { STORE, type YardFrame, type YardProblem } from './problem.ts';
import type { YardGoal } from '../../records/bodies/request.ts';

const base = { importance: 2 } as const;
const level: YardGoal = { ...base, id: 'l', kind: 'level', by: 'capped' };

function problem(goals: YardGoal[], change = {}): YardProblem {
  const yard = new TestYard();
  yard.hive('Strong', [[...STRONG_BOX]], '2026-05-14');
  yard.hive('Weak', [[...WEAK_BOX]], '2026-05-14', 10);
  yard.stock('drawn', 3);
  yard.stock('foundation', 3);
  return problemOf(yard.apiary, requestFor(yard.apiary, goals, change));
}
const of = (p: YardProblem, name: string) => p.units.findIndex((u) => u.name === name);
const framesOf = (p: YardProblem, name: string) => p.frames.filter((f) => f.home === of(p, name));
const goesTo = (p: YardProblem, f: YardFrame) => f.mayGoTo.map((u) => p.units[u]?.name ?? 'store');
const coloniesFor = (p: YardProblem, f: YardFrame) => goesTo(p, f).filter((n) => n !== 'store');

describe('where a frame may go', () => {
  it('is a nuc for every comb of its size but the queen’s', () => {
    const p = problem([nucs(1)]);
    const strong = framesOf(p, 'Strong');
    expect(strong.filter((f) => !f.hasQueen).every((f) => goesTo(p, f).includes('Nuc 1'))).toBe(true);
    expect(
      goesTo(
        p,
        strong.find((f) => f.hasQueen)!,
      ),
    ).toEqual([]);
    const old = problem([nucs(1, fiveFrames({ queen: 'old-queen' }))]);
    expect(
      goesTo(
        old,
        framesOf(old, 'Strong').find((f) => f.hasQueen)!,
      ),
    ).toEqual(['Nuc 1']);
  });

  it('is another colony only where that is short of what the frame holds', () => {
    const p = problem([level]);
    for (const f of framesOf(p, 'Strong')) {
      expect(coloniesFor(p, f)).toEqual(f.capped >= 0.15 && !f.hasQueen ? ['Weak'] : []);
    }
    // Nobody is short of what the weak one has.
    const weak = framesOf(p, 'Weak').filter((f) => f.brood > 0.1);
    expect(weak.flatMap((f) => coloniesFor(p, f))).toEqual([]);
  });

  it('is the store for combs without brood of a colony that wants room or slots', () => {
    const p = problem([level]);
    const weak = framesOf(p, 'Weak').filter((f) => f.brood < 0.05);
    expect(weak.length).toBeGreaterThan(0);
    expect(weak.every((f) => goesTo(p, f).includes('store'))).toBe(true);
    const strong = framesOf(p, 'Strong').filter((f) => f.brood > 0.05);
    expect(strong.some((f) => goesTo(p, f).includes('store'))).toBe(false);
  });

  it('is a nuc for drawn combs of the store, not for foundation', () => {
    const p = problem([nucs(1)]);
    const store = p.frames.filter((f) => f.home === STORE);
    expect(store.map((f) => [combKind(f), goesTo(p, f)])).toContainEqual(['empty', ['Nuc 1']]);
    expect(store.filter((f) => combKind(f) === 'foundation').flatMap((f) => goesTo(p, f))).toEqual([]);
  });

  it('is nowhere else once it is decided, and not where it is forbidden', () => {
    const free = problem([nucs(1)]);
    const frame = framesOf(free, 'Strong').find((f) => f.brood > 0.3 && !f.hasQueen)!;
    const nuc = free.units.find((u) => u.kind === 'nuc')!;
    // The same yard is made of the same identifiers each time.
    const pinned = problem([nucs(1)], { pins: [{ frameId: frame.id, to: nuc.key }] });
    expect(pinned.frames[frame.index]).toMatchObject({ pinnedTo: nuc.index, mayGoTo: [], mayShakeFor: [] });
    const banned = problem([nucs(1)], { forbids: [{ frameId: frame.id, to: nuc.key }] });
    expect(banned.frames[frame.index]?.mayGoTo).toEqual([]);
  });
});

describe('for whom a frame may be shaken', () => {
  it('is a nuc, or a colony that is short of bees', () => {
    const forNuc = problem([nucs(1)]);
    const shaken = forNuc.frames.filter((f) => f.mayShakeFor.length > 0);
    expect(shaken.length).toBeGreaterThan(0);
    expect(shaken.every((f) => f.open + f.eggs >= 0.15 && !f.hasQueen)).toBe(true);
    const yard = problem([level]);
    expect(yard.frames.flatMap((f) => [...f.mayShakeFor])).toEqual([]);
    const weakId = yard.units[of(yard, 'Weak')]?.key ?? '';
    const raised = problem([
      {
        ...base,
        id: 'r',
        kind: 'raise',
        colonyIds: [weakId],
        by: 'bees',
        targetFrames: 6,
        onDay: '2026-05-15',
      },
    ]);
    const targets = new Set(framesOf(raised, 'Strong').flatMap((f) => [...f.mayShakeFor]));
    expect([...targets]).toEqual([of(raised, 'Weak')]);
  });
});

describe('why a frame cannot go somewhere', () => {
  it('is said, with what to do about it', () => {
    const p = problem([nucs(1)]);
    const queen = framesOf(p, 'Strong').find((f) => f.hasQueen)!;
    const brood = framesOf(p, 'Strong').find((f) => f.brood > 0.3 && !f.hasQueen)!;
    const nuc = p.units.findIndex((u) => u.kind === 'nuc');
    expect(whyNotThere(queen, nuc, p.units)?.message).toContain('carries the queen');
    expect(whyNotThere(brood, STORE, p.units)?.message).toContain('dies in the store');
    expect(whyNotThere(brood, nuc, p.units)).toBeNull();
    expect(whyNotThere(queen, queen.home, p.units)).toBeNull();
  });

  it('names another size of frame, another yard, a live cell', () => {
    const yard = new TestYard();
    const cell = { ...NEST.capped(), cells: [{ kind: 'capped' as const, count: 1 }] };
    yard.hive('Strong', [[cell, ...STRONG_BOX.slice(1)]], '2026-05-14');
    const p = problemOf(
      yard.apiary,
      requestFor(yard.apiary, [nucs(1, fiveFrames({ sizeId: 'national-deep' }))]),
    );
    const [withCell, other] = p.frames.filter((f) => f.home === 0);
    expect(p.units.filter((u) => u.kind === 'nuc')).toEqual([]);
    const elsewhere = [{ ...p.units[0]!, index: 1, yardId: 'other' }];
    const small = [{ ...p.units[0]!, index: 1, sizeId: 'national-deep' as const }];
    expect(whyNotThere(withCell!, 1, [p.units[0]!, ...elsewhere])?.message).toContain('live queen cell');
    expect(whyNotThere(other!, 1, [p.units[0]!, ...elsewhere])?.message).toContain('in another yard');
    expect(whyNotThere(other!, 1, [p.units[0]!, ...small])?.message).toContain('takes another size');
    expect(bothSides({ drawn: 10 }, 0).queenSeen).toBe(false);
  });
});
