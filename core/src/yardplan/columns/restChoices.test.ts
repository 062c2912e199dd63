import { seededRandom } from '../../basics/index.ts';
import { describe, expect, it } from 'vitest';
import { restChoices, type RestMarket } from './restChoices.ts';

/** Combs of two kinds, of which the first is needed, with whatever they add to three rules. */
function market(seed: number, change: Partial<RestMarket> = {}): RestMarket {
  const random = seededRandom(seed);
  const count = 9;
  const prices = Float64Array.from({ length: count }, () => random() * 2 - 0.2);
  return {
    kinds: [
      { items: [0, 1, 2, 3, 4], least: 1 },
      { items: [5, 6, 7, 8], least: 0 },
    ],
    prices,
    net: prices,
    values: Array.from({ length: count }, () => Float64Array.from({ length: 3 }, () => random() * 1.5 - 0.3)),
    copies: (i) => (i === 8 ? 2 : 1),
    isShakable: () => false,
    enough: new Float64Array(3).fill(Infinity),
    most: 3,
    below: Infinity,
    ...change,
  };
}

/** Every choice there is. */
function all({ kinds, copies, most, prices, values }: RestMarket) {
  const items = kinds.flatMap((k) => k.items);
  const choices: number[][] = [[]];
  for (const i of items) {
    const before = choices.slice();
    for (let n = 1; n <= copies(i); n++) {
      for (const c of before) choices.push([...c, ...Array.from({ length: n }, () => i)]);
    }
  }
  return choices
    .filter(
      (c) => c.length <= most && kinds.every((k) => c.filter((i) => k.items.includes(i)).length >= k.least),
    )
    .map((c) => ({
      price: c.reduce((sum, i) => sum + (prices[i] as number), 0),
      values: [0, 1, 2].map((r) => c.reduce((sum, i) => sum + (values[i]?.[r] as number), 0)),
      items: c,
    }));
}

/** The least price of those that add as much as is asked for. */
function cheapest(
  choices: readonly { price: number; values: ArrayLike<number> }[],
  needs: readonly number[],
) {
  return choices
    .filter(({ values }) => needs.every((n, r) => (values[r] as number) >= n - 1e-9))
    .reduce((least, c) => Math.min(least, c.price), Infinity);
}

describe('combs beside the brood', () => {
  it('hold the cheapest for whatever is needed, as trying all shows', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const given = market(seed);
      const some = restChoices(given);
      const every = all(given);
      expect(some.length).toBeLessThan(every.length);
      const random = seededRandom(seed + 100);
      for (let n = 0; n < 30; n++) {
        const needs = [0, 1, 2].map(() => random() * 3 - 1);
        expect(cheapest(some, needs)).toBeCloseTo(cheapest(every, needs), 9);
      }
    }
  });

  it('are as many as fit, with the kinds that are needed, and add up', () => {
    const given = market(3);
    for (const { items, price, values } of restChoices(given)) {
      expect(items.length).toBeLessThanOrEqual(3);
      expect(items.some((i) => i <= 4)).toBe(true);
      expect(price).toBeCloseTo(
        items.reduce((sum, i) => sum + (given.prices[i] as number), 0),
        9,
      );
      expect(values[1]).toBeCloseTo(
        items.reduce((sum, i) => sum + (given.values[i]?.[1] as number), 0),
        9,
      );
    }
  });

  it('that are too dear are left out, and none that is not', () => {
    const given = market(5);
    const below = 1.2;
    const some = restChoices({ ...given, below });
    expect(some.length).toBeGreaterThan(0);
    for (const { price } of some) expect(price).toBeLessThan(below);
    const limited = (needs: readonly number[]) => {
      const least = cheapest(all(given), needs);
      return least < below ? least : Infinity;
    };
    for (const needs of [
      [-1, -1, -1],
      [0.5, 0, -1],
      [0, 1, 0],
    ]) {
      expect(cheapest(some, needs)).toBeCloseTo(limited(needs), 9);
    }
  });

  it('do not outdo others by a comb that may be shaken instead', () => {
    const values = Array.from({ length: 9 }, () => Float64Array.from([1, 1, 1]));
    const prices = Float64Array.from([0.1, 0.2, 0.3, 0.4, 0.5, 1, 1, 1, 1]);
    const alike = market(1, { values, prices, net: prices, most: 1 });
    expect(restChoices(alike).map((c) => c.items)).toEqual([[0]]);
    const shakable = restChoices({ ...alike, isShakable: (i) => i === 0 });
    expect(shakable.map((c) => c.items)).toEqual([[0], [1]]);
  });

  it('are told apart no further than can be of use', () => {
    const given = market(7);
    const enough = new Float64Array(3).fill(0.2);
    const fewer = restChoices({ ...given, enough });
    expect(fewer.length).toBeLessThan(restChoices(given).length);
    expect(cheapest(fewer, [0.2, 0.2, 0.2])).toBeCloseTo(cheapest(all(given), [0.2, 0.2, 0.2]), 9);
  });
});
