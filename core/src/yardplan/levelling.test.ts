import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { TestYard } from '../testing/builders.ts';
import { withQueen } from '../testing/nests.ts';
import { planned, problemOf, requestFor } from '../testing/yardRequests.ts';
import { yardAnswer } from './layout/yardAnswer.ts';
import { evaluate } from './search/evaluate.ts';

// Levelling before a flow: one comb from each of several donors, emerging while nights are cold. Common practice, no source.

const food = bothSides({ honey: 9, drawn: 1 }, 6);
const young = bothSides({ eggs: 2, open: 5, honey: 2, beeBread: 1 }, 9);
const bare = bothSides({ drawn: 10 }, 0);

/** Two strong hives with five capped or emerging combs, and two weak ones whose bees cover little more than they have. */
function levelled(
  kind: 'capped' | 'emerging',
  nights: 'mild' | 'cold',
  change: { readonly strong?: number } = {},
) {
  const comb = bothSides({ [kind]: change.strong ?? 8, honey: 9 - (change.strong ?? 8), beeBread: 1 }, 9);
  const strong = [food, comb, comb, young, withQueen(young), comb, young, comb, comb, food];
  const few = (honey: number) => bothSides({ eggs: 1, open: 4, honey, drawn: 5 - honey }, 7);
  const weak = [
    bothSides({ honey: 8, drawn: 2 }, 5),
    few(5),
    withQueen(few(5)),
    bothSides({ honey: 5, drawn: 5 }, 4),
    bare,
    bare,
    bare,
    bare,
    bare,
    bothSides({ honey: 9, drawn: 1 }, 1),
  ];
  const yard = new TestYard(9);
  for (const name of ['Tansy', 'Yarrow']) yard.hive(name, [strong], '2026-05-10');
  for (const name of ['Burnet', 'Clary']) yard.hive(name, [weak], '2026-05-10');
  const problem = problemOf(
    yard.apiary,
    requestFor(yard.apiary, [{ id: 'l', kind: 'level', by: 'capped', importance: 2 }], {
      day: '2026-05-10',
      nights,
    }),
  );
  const { plan } = planned(problem);
  const seen = evaluate(problem, plan);
  const nameOf = (u: number) => problem.units[u]?.name ?? 'the store';
  const given = problem.frames.flatMap((f, i) =>
    plan.to[i] !== f.home && (plan.to[i] ?? -1) >= 0 && f.brood > 0.2
      ? [`${nameOf(f.home)} to ${nameOf(plan.to[i] ?? -1)}`]
      : [],
  );
  return { given, answer: yardAnswer(problem, plan, seen, nameOf), broken: seen.broken };
}

describe('levelling', () => {
  it('on mild nights each strong hive gives one capped comb, each weak one gets one', () => {
    const { given, broken } = levelled('capped', 'mild');
    expect(broken).toEqual([]);
    expect(given).toHaveLength(2);
    expect(new Set(given.map((g) => g.split(' ')[0]))).toEqual(new Set(['Tansy', 'Yarrow']));
    expect(new Set(given.map((g) => g.split(' ')[2]))).toEqual(new Set(['Burnet', 'Clary']));
  });

  it('on cold nights it goes by emerging combs, which are bees before they have to be warmed', () => {
    const { given, answer } = levelled('emerging', 'cold');
    expect(given).toHaveLength(2);
    expect(answer).toMatch(/one comb of emerging brood from (Tansy|Yarrow) to (Burnet|Clary)/);
  });

  it('where nothing can be done it names the comb, the hive and the rule that forbids it', () => {
    const { given, answer } = levelled('capped', 'cold');
    expect(given).toEqual([]);
    expect(answer).toMatch(
      /^Nothing is moved towards what you want: leave everything where it hangs\. Frame \d+ of (Tansy|Yarrow) for (Burnet|Clary): brood to bees in (Burnet|Clary) would be 0\.\d+ where at most 0\.6 is allowed\./,
    );
  });

  it('where what is missing is less than a comb it says so, and names no rule', () => {
    const { given, answer } = levelled('capped', 'mild', { strong: 4 });
    expect(given).toEqual([]);
    expect(answer).toMatch(/would bring less than the opening of two hives costs|is there already/);
  });
});
