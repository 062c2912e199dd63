import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import type { YardGoal } from '../../records/bodies/request.ts';
import type { CellFinding } from '../../comb/index.ts';
import { TestYard } from '../../testing/builders.ts';
import { requestFor } from '../../testing/yardRequests.ts';
import { problemsOfRequest } from './requestProblems.ts';

/** Two hives of nine frames of bees; the first has these cells on its middle comb, seen on 10 May. */
function yardWith(cells: readonly CellFinding[]) {
  const yard = new TestYard();
  const combs = (found: readonly CellFinding[]) =>
    Array.from({ length: 9 }, (_, i) =>
      bothSides({ eggs: 1, open: 2, capped: 4, honey: 2 }, 10, i === 4 ? { cells: [...found] } : {}),
    );
  const swarming = yard.hive('Alder', [combs(cells)], '2026-05-10');
  const calm = yard.hive('Birch', [combs([])], '2026-05-10');
  const problems = (...goals: YardGoal[]) =>
    problemsOfRequest(yard.apiary, requestFor(yard.apiary, goals, { day: '2026-05-11' })).map((p) =>
      [p.code, p.path.join('.'), p.message, p.remedy].join(' | '),
    );
  return { swarming: swarming.id, calm: calm.id, problems };
}

const CHARGED: CellFinding = { kind: 'charged', count: 5 };

describe('a colony with swarm cells', () => {
  it('is not told that it has room and brood in order: nothing but a split stops it', () => {
    const { swarming, problems } = yardWith([CHARGED]);
    const [only] = problems({ id: 'c', kind: 'calm', colonyIds: [swarming], importance: 2 });
    expect(only).toMatch(
      /^swarm-cells \| goals\.0\.colonyIds\.0 \| Alder has swarm cells: less brood and more room do not stop it/,
    );
    expect(only).toMatch(/Divide it by .* May: its page says which split method suits\.$/);
  });

  it('is united with none, from either side', () => {
    const { swarming, calm, problems } = yardWith([CHARGED]);
    const into = problems({ id: 'u', kind: 'unite', fromId: calm, intoId: swarming, importance: 2 });
    const from = problems({ id: 'u', kind: 'unite', fromId: swarming, intoId: calm, importance: 2 });
    expect(into.join()).toMatch(/swarm-cells \| goals\.0\.intoId \| Alder has swarm cells: united/);
    expect(from.join()).toMatch(/swarm-cells \| goals\.0\.fromId \| Alder has swarm cells: united/);
  });

  it('is another thing than one with empty cups, which may be calmed and united', () => {
    const { swarming, calm, problems } = yardWith([{ kind: 'cup', count: 6 }]);
    expect(problems({ id: 'c', kind: 'calm', colonyIds: [swarming], importance: 2 })).toEqual([]);
    expect(problems({ id: 'u', kind: 'unite', fromId: swarming, intoId: calm, importance: 2 })).toEqual([]);
  });
});
