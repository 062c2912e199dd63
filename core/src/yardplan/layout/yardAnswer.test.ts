import { describe, expect, it } from 'vitest';
import { TestYard } from '../../testing/builders.ts';
import { NEST, STRONG_BOX, WEAK_BOX } from '../../testing/nests.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import type { YardGoal } from '../../records/bodies/request.ts';
import { evaluate } from '../search/evaluate.ts';
import { yardAnswer } from './yardAnswer.ts';

const level: YardGoal = { id: 'l', kind: 'level', by: 'brood', importance: 2 };

function answer(goals: YardGoal[], boxes: Readonly<Record<string, readonly (typeof STRONG_BOX)[]>>): string {
  const yard = new TestYard();
  for (const [name, own] of Object.entries(boxes)) yard.hive(name, own, '2026-05-14');
  yard.stock('drawn', 8);
  const problem = problemOf(yard.apiary, requestFor(yard.apiary, goals));
  const { plan } = planned(problem);
  return yardAnswer(problem, plan, evaluate(problem, plan), (u) => problem.units[u]?.name ?? '?');
}

const upper = [NEST.honey(6), NEST.open(8), NEST.capped(8), NEST.open(8), NEST.capped(8), NEST.bread()];

describe('a yard plan in one sentence', () => {
  it('says which combs go from whom to whom', () => {
    expect(answer([level], { Strong: [STRONG_BOX, upper], Weak: [WEAK_BOX] })).toMatch(
      /^Move .*combs? of (capped )?brood.* from Strong to Weak/,
    );
  });

  it('says what a nuc is made of', () => {
    expect(answer([nucs(1, fiveFrames())], { Strong: [STRONG_BOX, upper] })).toMatch(
      /^Make Nuc 1 with .*combs? of .* from Strong/,
    );
  });

  it('of several nucs says who gives how much', () => {
    expect(
      answer([nucs(2, fiveFrames())], { Strong: [STRONG_BOX, upper], Other: [STRONG_BOX, upper] }),
    ).toMatch(
      /^Make 2 nucs with \d+ combs from (Strong|Other)( and \d+ combs? from (Strong|Other|the store))*/,
    );
  });

  it('tells a wish that is met from one that cannot be', () => {
    expect(answer([level], { One: [STRONG_BOX], Two: [STRONG_BOX] })).toMatch(/is there already/);
    expect(
      answer([{ ...level, by: 'brood' }], { One: [WEAK_BOX], Two: [[NEST.honey(2), NEST.open(2, 4)]] }),
    ).toMatch(/^(Nothing can be moved|What you want is there)/);
  });

  it('says that a hive gets another box, or fewer, even where no comb changes hands', () => {
    const yard = new TestYard();
    const nuc = yard.hive(
      'Nuc',
      [[NEST.honey(6), NEST.open(9), NEST.capped(9), NEST.open(9), NEST.honey(6)]],
      '2026-05-14',
    );
    const half = [NEST.honey(4), NEST.open(6), NEST.capped(6), NEST.honey(4)];
    const tall = yard.hive('Tall', [half, half.slice(1, 3)], '2026-05-14');
    yard.stock('drawn', 8);
    const said = (goal: YardGoal) => {
      const problem = problemOf(yard.apiary, requestFor(yard.apiary, [goal]));
      const { plan } = planned(problem);
      return yardAnswer(problem, plan, evaluate(problem, plan), (u) => problem.units[u]?.name ?? '?');
    };
    expect(said({ id: 'h', kind: 'hiveUp', colonyId: nuc.id, slots: 10, importance: 2 })).toMatch(
      /^Move Nuc into a box of 10 frames[;.]/,
    );
    expect(said({ id: 's', kind: 'shrink', colonyId: tall.id, boxes: 1, importance: 2 })).toMatch(
      /^Bring Tall down to one box[;.]/,
    );
  });
});
