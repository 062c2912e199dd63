import { describe, expect, it } from 'vitest';
import { TestYard } from '../../testing/builders.ts';
import { NEST, STRONG_BOX, WEAK_BOX } from '../../testing/nests.ts';
import { fiveFrames, nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { evaluate, ledgerOf } from './evaluate.ts';
import { AT } from '../rules/measures.ts';
import { PRICES, priceOfMove, priceOfShake } from '../problem/prices.ts';
import { nothingMoved, STORE, type Assignment, type YardProblem } from '../problem/problem.ts';
import type { YardGoal, YardPlanRequest } from '../../records/bodies/request.ts';

function problem(goals: YardGoal[], change: Partial<YardPlanRequest> = {}): YardProblem {
  const yard = new TestYard();
  yard.hive('Strong', [[...STRONG_BOX], [...STRONG_BOX.slice(0, 4), NEST.honey(8)]], '2026-05-14');
  yard.hive('Weak', [[...WEAK_BOX]], '2026-05-14', 10);
  yard.stock('drawn', 2);
  return problemOf(yard.apiary, requestFor(yard.apiary, goals, change));
}
const raise = (p: YardProblem): YardGoal => ({
  id: 'r',
  kind: 'raise',
  colonyIds: [p.units.find((u) => u.name === 'Weak')!.key],
  by: 'brood',
  targetFrames: 2,
  onDay: '2026-05-15',
  importance: 2,
});
const moved = (p: YardProblem, moves: Record<number, number>): Assignment => {
  const plan = nothingMoved(p);
  return { ...plan, to: plan.to.map((to, i) => moves[i] ?? to) };
};
const at = (p: YardProblem, name: string) => p.units.findIndex((u) => u.name === name);

describe('a plan weighed up', () => {
  it('that moves nothing breaks nothing and costs what is missed', () => {
    const p = problem([nucs(2)]);
    const seen = evaluate(p, nothingMoved(p));
    expect(seen).toMatchObject({ broken: [], nucsMade: 0, hivesOpened: 0, combsCarried: 0, framesShaken: 0 });
    expect(seen.cost).toBe(2 * PRICES.nucMissing);
    expect(seen.shortfalls).toMatchObject([{ missing: 2, text: '0 of 2 nucs can be made.' }]);
    expect(seen.present.filter(Boolean)).toHaveLength(2);
  });

  it('costs the combs carried and the hives opened for them', () => {
    const first = problem([]);
    const p = problem([raise(first)]);
    const comb = p.frames.find((f) => f.home === at(p, 'Strong') && f.capped > 0.5)!;
    const plan = moved(p, { [comb.index]: at(p, 'Weak') });
    const seen = evaluate(p, plan);
    const before = evaluate(p, nothingMoved(p));
    const wish = (s: typeof seen) => s.shortfalls[0]?.missing ?? 0;
    const price = p.units[at(p, 'Weak')]!.rules.find((r) => !r.hard)!.price;
    expect(seen).toMatchObject({ hivesOpened: 2, combsCarried: 1, combsFromStore: 0 });
    expect(before.cost - seen.cost).toBeCloseTo(
      price * (wish(before) - wish(seen)) -
        2 * PRICES.hiveOpened -
        priceOfMove(p, comb, p.units[at(p, 'Weak')]!),
      6,
    );
    // Its bees stay at home.
    expect(seen.after[at(p, 'Weak')]?.[AT.bees]).toBeCloseTo(before.after[at(p, 'Weak')]?.[AT.bees] ?? 0, 6);
  });

  it('names every rule of a nuc that lacks what it needs', () => {
    const p = problem([nucs(1)]);
    const nuc = at(p, 'Nuc 1');
    const empty = p.frames.find((f) => f.home === at(p, 'Weak') && f.brood < 0.05)!;
    const seen = evaluate(p, moved(p, { [empty.index]: nuc }));
    const labels = seen.broken.map((l) => l.label);
    expect(labels).toContain('Bees after drift · Nuc 1');
    expect(labels).toContain('Brood · Nuc 1');
    expect(labels).toContain('Eggs to raise a queen from · Nuc 1');
    expect(seen.nucsMade).toBe(1);
  });

  it('does not let bees be shaken for a nuc that is not made', () => {
    const p = problem([nucs(1)]);
    const nurse = p.frames.find((f) => f.home === at(p, 'Strong') && f.mayShakeFor.length > 0)!;
    const plan = nothingMoved(p);
    const seen = evaluate(p, {
      ...plan,
      shakenFor: plan.shakenFor.map((s, i) => (i === nurse.index ? at(p, 'Nuc 1') : s)),
    });
    expect(seen.broken.map((l) => l.label)).toEqual(['Bees shaken for a nuc that is not made · Nuc 1']);
    expect(seen.framesShaken).toBe(1);
  });

  it('keeps the limits of the day', () => {
    const first = problem([]);
    const p = problem([raise(first)], { limits: { hives: 1, frames: 1 } });
    const combs = p.frames.filter((f) => f.home === at(p, 'Strong') && f.capped > 0.5).slice(0, 2);
    const plan = moved(p, Object.fromEntries(combs.map((c) => [c.index, at(p, 'Weak')])));
    const limits = evaluate(p, plan).broken.filter((l) => l.id.startsWith('limit/'));
    expect(limits.map((l) => [l.label, l.value, l.threshold])).toEqual([
      ['Hives opened', 2, 1],
      ['Frames carried', 2, 1],
    ]);
  });

  it('that takes a comb out of the store takes no bees from anybody', () => {
    const p = problem([nucs(1, fiveFrames())]);
    const comb = p.frames.find((f) => f.home === STORE)!;
    const seen = evaluate(p, moved(p, { [comb.index]: at(p, 'Nuc 1') }));
    expect(seen).toMatchObject({ combsFromStore: 1, combsCarried: 0, hivesOpened: 0 });
    expect(seen.after[at(p, 'Nuc 1')]?.[AT.bees]).toBe(0);
    expect(seen.after[at(p, 'Nuc 1')]?.[AT.emptyCombs]).toBe(1);
  });
});

describe('the ledger', () => {
  it('is about units that are touched, or of which something is wished', () => {
    const p = problem([nucs(1)]);
    expect(ledgerOf(p, evaluate(p, nothingMoved(p)))).toEqual([]);
    const wished = problem([raise(problem([]))]);
    const lines = ledgerOf(wished, evaluate(wished, nothingMoved(wished)));
    expect(lines.map((l) => wished.units[l.unit]?.name)).toEqual(['Weak']);
    expect(lines[0]?.lines.find((l) => l.label.startsWith('Brood wanted'))).toMatchObject({ state: 'near' });
  });

  it('leaves out rules that nothing can miss', () => {
    const p = problem([nucs(1, fiveFrames({ queen: 'cell', emptyCombs: 0 }))]);
    const nuc = at(p, 'Nuc 1');
    const comb = p.frames.find((f) => f.home === at(p, 'Strong') && f.capped > 0.5)!;
    const lines = ledgerOf(p, evaluate(p, moved(p, { [comb.index]: nuc }))).find(
      (l) => l.unit === nuc,
    )!.lines;
    expect(lines.some((l) => l.id.endsWith('/eggs'))).toBe(false);
    expect(lines.some((l) => l.id.endsWith('/empty'))).toBe(false);
    expect(lines.some((l) => l.id.endsWith('/bees'))).toBe(true);
  });
});

describe('what a move costs', () => {
  it('is less from the stronger of two, and less for capped than for open brood', () => {
    const first = problem([]);
    const p = problem([raise(first)]);
    const weak = p.units[at(p, 'Weak')]!;
    const strong = p.frames.filter((f) => f.home === at(p, 'Strong') && !f.hasQueen);
    const capped = strong.find((f) => f.capped > 0.5)!;
    const open = strong.find((f) => f.open > 0.4)!;
    expect(priceOfMove(p, capped, weak)).toBeLessThan(priceOfMove(p, open, weak));
    const asWeak = { ...capped, home: at(p, 'Weak') };
    expect(priceOfMove(p, capped, weak)).toBeLessThan(priceOfMove(p, asWeak, p.units[at(p, 'Strong')]!));
    expect(priceOfMove(p, { ...capped, boxesAbove: 0 }, null)).toBe(PRICES.combCarried);
  });

  it('is less for the comb whose box stands on top, to carry and to shake', () => {
    const p = problem([]);
    const weak = p.units[at(p, 'Weak')]!;
    const comb = p.frames.find((f) => f.home === at(p, 'Strong') && !f.hasQueen)!;
    const [top, below] = [0, 1].map((boxesAbove) => ({ ...comb, boxesAbove }));
    expect(priceOfMove(p, top!, weak)).toBeLessThan(priceOfMove(p, below!, weak));
    expect(priceOfShake(top!)).toBeLessThan(priceOfShake(below!));
  });

  it('keeps eggs away from a nuc that is given a cell, and drone comb from any', () => {
    const price = (queen: 'raises' | 'cell') => {
      const p = problem([nucs(1, fiveFrames({ queen }))]);
      const eggs = p.frames.find((f) => f.home === at(p, 'Strong') && f.eggs > 0.1 && !f.hasQueen)!;
      return priceOfMove(p, eggs, p.units[at(p, 'Nuc 1')]!);
    };
    expect(price('raises')).toBeLessThan(price('cell'));
  });
});
