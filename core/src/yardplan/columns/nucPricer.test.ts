import { seededRandom } from '../../basics/index.ts';
import loadSolver from 'highs';
import { describe, expect, it } from 'vitest';
import { sampleOf } from '../../testing/sampleSize.ts';
import { generatedYards } from '../../testing/generatedYards.ts';
import { nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { AT } from '../rules/measures.ts';
import { INFINITE, LinearModel, solveModel } from '../model/linearModel.ts';
import { NucPricer, type NucItem } from './nucPricer.ts';
import { pooledModel } from '../model/pooledModel.ts';
import type { YardUnit } from '../problem/problem.ts';
import { missingOf, sumOf } from '../rules/unitRule.ts';

/** Everything that the first nuc of a generated yard may be given. */
function market(colonies: number, seed: number) {
  const apiary = generatedYards({ colonies, seed });
  const problem = problemOf(apiary, requestFor(apiary, [nucs(2)]));
  const { ways, pools } = pooledModel(problem);
  const nuc = pools[0]?.nucs[0] as YardUnit;
  const items: NucItem[] = ways
    .filter((w) => w.pool === pools[0])
    .map((w) => ({
      thing: w.frame.index,
      isShake: w.isShake,
      home: w.frame.home,
      most: w.most,
      brings: w.brings,
    }));
  return { nuc, items, pricer: new NucPricer(items, nuc.rules, nuc.slots) };
}

/** The same question as a model for the solver. */
function asModel(items: readonly NucItem[], nuc: YardUnit, prices: Float64Array): LinearModel {
  const model = new LinearModel();
  items.forEach((it, i) => model.column(prices[i] as number, 0, Math.min(it.most, nuc.slots), true));
  for (const rule of nuc.rules) {
    const isLeast = rule.sense === 'atLeast';
    const row = model.row(isLeast ? rule.threshold : -INFINITE, isLeast ? INFINITE : rule.threshold);
    items.forEach((it, i) => model.add(row, i, sumOf(rule, it.brings)));
  }
  for (const thing of new Set(items.filter((it) => it.home >= 0).map((it) => it.thing))) {
    const row = model.row(-INFINITE, 1);
    items.forEach((it, i) => (it.thing === thing ? model.add(row, i, 1) : undefined));
  }
  return model;
}

const pricesOf = (items: readonly NucItem[], spread: number, random: () => number) =>
  Float64Array.from(items, (it) => (it.isShake ? 1.5 : it.home < 0 ? 0.3 : 1) + spread * random());

describe('the cheapest nuc', () => {
  it('costs what the solver says that it costs, at many prices', async () => {
    const solver = await loadSolver();
    for (const seed of sampleOf(1, [1, 2])) {
      const { nuc, items, pricer } = market(4, seed);
      const random = seededRandom(seed);
      for (const spread of [0, 0.2, 1, 2]) {
        const prices = pricesOf(items, spread, random);
        pricer.setPrices(prices);
        const found = pricer.cheapest();
        const solved = solveModel(solver, asModel(items, nuc, prices), { nodes: 5000, seconds: 20 });
        expect(found?.price).toBeCloseTo(solved.cost as number, 3);
      }
    }
  });

  it('keeps every rule, and adds up', () => {
    const { nuc, items, pricer } = market(6, 3);
    const prices = pricesOf(items, 1, seededRandom(9));
    pricer.setPrices(prices);
    const found = pricer.cheapest();
    const taken = found?.items ?? [];
    const sum = new Float64Array(items[0]?.brings.length ?? 0);
    for (const i of taken) items[i]?.brings.forEach((by, m) => (sum[m] = (sum[m] as number) + by));
    for (const rule of nuc.rules) expect(missingOf(rule, sum)).toBeLessThan(1e-6);
    expect(taken.reduce((n, i) => n + (prices[i] as number), 0)).toBeCloseTo(found?.price ?? -1, 9);
    const things = taken.flatMap((i) => (items[i] && items[i].home >= 0 ? [items[i].thing] : []));
    expect(new Set(things).size).toBe(things.length);
  });

  it('is not shown when it is no cheaper than asked for', () => {
    const { items, pricer } = market(4, 1);
    pricer.setPrices(pricesOf(items, 1, seededRandom(4)));
    const price = pricer.cheapest()?.price ?? 0;
    expect(pricer.cheapest({ below: price })).toBeNull();
    expect(pricer.cheapest({ below: price + 0.01 })?.price).toBeCloseTo(price, 9);
  });

  it('is found for every brood comb, when that is asked for', () => {
    const { items, pricer } = market(4, 2);
    const prices = pricesOf(items, 1, seededRandom(6));
    pricer.setPrices(prices);
    const below = (pricer.cheapest()?.price ?? 0) + 0.3;
    const found = pricer.cheaper({ below, ofEach: prices.map(() => Infinity) });
    expect(found.at(-1)?.price).toBeCloseTo(pricer.cheapest()?.price ?? 0, 9);
    expect(found.length).toBeGreaterThan(1);
    const isBrood = (i: number) => !items[i]?.isShake && (items[i]?.brings[AT.broodCombs] ?? 0) > 0;
    items.forEach((_, comb) => {
      if (!isBrood(comb)) return;
      // Made so cheap that every cheapest nuc has it.
      const cheap = prices.map((p, i) => (i === comb ? p - 50 : p));
      pricer.setPrices(cheap);
      const own = (pricer.cheapest()?.price ?? Infinity) + 50;
      const shown = Math.min(...found.filter((n) => n.items.includes(comb)).map((n) => n.price));
      expect(shown).toBeCloseTo(own < below - 1e-6 ? own : Infinity, 9);
    });
  });

  it('comes from the hives that are allowed', () => {
    const { items, pricer } = market(6, 2);
    pricer.setPrices(pricesOf(items, 1, seededRandom(8)));
    const all = pricer.cheapest();
    const homes = [...new Set(items.map((it) => it.home))].filter((h) => h >= 0);
    for (const home of homes) {
      const own = pricer.cheapest({ only: new Set([home]) });
      if (!own) continue;
      expect(own.price).toBeGreaterThanOrEqual((all?.price ?? 0) - 1e-9);
      for (const i of own.items) expect([home, -1]).toContain(items[i]?.home);
    }
  });

  it('is found again and again in what those before it leave', () => {
    const { nuc, items, pricer } = market(6, 3);
    const prices = pricesOf(items, 1, seededRandom(5));
    pricer.setPrices(prices);
    const gone = new Set<number>();
    const found: (readonly number[])[] = [];
    const thingOf = (i: number) => items[i]?.thing ?? -1;
    const isLeft = (i: number) => (items[i]?.home ?? -1) < 0 || !gone.has(thingOf(i));
    pricer.besideEachOther({}, 2, isLeft, (taken) => {
      found.push(taken);
      for (const i of taken) gone.add(thingOf(i));
      return null;
    });
    expect(found).toHaveLength(2);
    const priceOf = (taken: readonly number[]) => taken.reduce((n, i) => n + (prices[i] as number), 0);
    expect(priceOf(found[0] ?? [])).toBeCloseTo(pricer.cheapest()?.price ?? 0, 9);
    expect(found.map(priceOf)).toEqual(found.map(priceOf).toSorted((a, b) => a - b));
    const frames = found.flat().filter((i) => (items[i]?.home ?? -1) >= 0);
    expect(new Set(frames.map(thingOf)).size).toBe(frames.length);
    for (const taken of found) {
      const sum = new Float64Array(items[0]?.brings.length ?? 0);
      for (const i of taken) items[i]?.brings.forEach((by, m) => (sum[m] = (sum[m] as number) + by));
      for (const rule of nuc.rules) expect(missingOf(rule, sum)).toBeLessThan(1e-6);
    }
  });

  it('is looked for until what is left makes none', () => {
    for (const seed of [1, 2, 3]) {
      const { items, pricer } = market(6, seed);
      // Combs that cost nothing outdo each other by what they hold alone.
      pricer.setPrices(Float64Array.from(items, (it) => (it.isShake ? 1 : 0)));
      const gone = new Set<number>();
      const isLeft = (i: number) => (items[i]?.home ?? -1) < 0 || !gone.has(items[i]?.thing ?? -1);
      let made = 0;
      pricer.besideEachOther({}, Infinity, isLeft, (taken) => {
        for (const i of taken) gone.add(items[i]?.thing ?? -1);
        made++;
        return null;
      });
      expect(made).toBeGreaterThan(3);
      const left = pricer.among(items.filter((_, i) => isLeft(i)));
      left.setPrices(Float64Array.from(left.items, () => 0));
      expect(left.cheapest()).toBeNull();
    }
  });

  it('does without what is too much together with the rest of it', () => {
    const { items, pricer } = market(6, 3);
    const prices = pricesOf(items, 1, seededRandom(5));
    pricer.setPrices(prices);
    const cheapest = pricer.cheapest()?.items ?? [];
    const refused = cheapest.find((i) => (items[i]?.home ?? -1) >= 0) as number;
    const taken: (readonly number[])[] = [];
    pricer.besideEachOther(
      {},
      1,
      () => true,
      (nuc) => {
        if (nuc.includes(refused)) return refused;
        taken.push(nuc);
        return null;
      },
    );
    expect(taken).toHaveLength(1);
    pricer.setPrices(prices.map((p, i) => (i === refused ? p + 1000 : p)));
    const priceOf = (nuc: readonly number[]) => nuc.reduce((sum, i) => sum + (prices[i] as number), 0);
    expect(priceOf(taken[0] ?? [])).toBeCloseTo(pricer.cheapest()?.price ?? 0, 9);
  });

  it('counts bees that are better than free as free, and gives the rest back in its floor', () => {
    const { items, pricer } = market(4, 1);
    const prices = pricesOf(items, 0, seededRandom(1));
    const shake = items.findIndex((it) => it.isShake);
    prices[shake] = -2;
    pricer.setPrices(prices);
    const found = pricer.cheapest();
    expect(found?.price).toBeGreaterThanOrEqual(0);
    expect(pricer.floor(found?.price ?? 0)).toBeCloseTo((found?.price ?? 0) - 2, 9);
  });
});
