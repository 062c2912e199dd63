import { describe, expect, it } from 'vitest';
import { hasLiveCell } from '../../comb/contents.ts';
import { seededIds } from '../../demo/seededIds.ts';
import type { YardGoal } from '../../records/bodies/request.ts';
import { framesOfColony, readingOf } from '../../records/views.ts';
import { NamedHives } from '../../testing/namedHives.ts';
import { nucs, planned, problemOf, requestFor, twoAndTwo } from '../../testing/yardRequests.ts';
import { makeYardPlan } from '../../yardplan/layout/makeYardPlan.ts';

/** A nuc of a colony with open cells beside its queen: the plan has them cut out, and the work is done. */
function worked() {
  const named = new NamedHives({ Alder: ['HPcey*yo!cPH', 'HdceyocDPH'] });
  const { yard, colony } = named;
  const alder = colony['Alder']!;
  const goals: YardGoal[] = [nucs(1, twoAndTwo({ queen: 'cell' }))];
  const problem = problemOf(yard.apiary, requestFor(yard.apiary, goals, { day: '2026-05-14' }));
  const made = makeYardPlan(
    yard.apiary,
    problem,
    planned(problem, 10).plan,
    { names: {}, bound: null, name: 'p' },
    seededIds(5),
  );
  const withCells = () =>
    framesOfColony(yard.apiary, alder)
      .filter((f) => hasLiveCell(readingOf(f)))
      .map((f) => f.frame.id);
  return { yard, made, withCells };
}

describe('cells that work has cut out', () => {
  it('are on no comb any more once it is done, and what the inspection showed is kept', () => {
    const { yard, made, withCells } = worked();
    const [comb = ''] = withCells();
    const seen = yard.apiary.frame[comb]?.readingId ?? '';
    expect(made.work.body.effects).toContainEqual(
      expect.objectContaining({ kind: 'cells-cut', frameId: comb, what: 'all' }),
    );
    yard.run(made);
    for (const step of made.steps) yard.tick(step.id, '2026-05-14');
    expect(withCells()).toEqual([]);
    expect(yard.apiary.reading[seen]?.body.cells).toHaveLength(1);
  });

  it('end with their comb’s history where they are followed one by one', () => {
    const { yard, made, withCells } = worked();
    const [frameId = ''] = withCells();
    const [id = ''] = [1].map(seededIds(31));
    yard.run({
      type: 'enterCells',
      cells: [
        {
          id,
          frameId,
          place: 'side-edge',
          egg: { earliest: '2026-05-08', likely: '2026-05-09', latest: '2026-05-10' },
          datedBy: 'larva',
          notedOn: '2026-05-14',
          quality: null,
          origin: 'swarm',
          reserved: true,
          fromColonyId: null,
          fate: null,
          history: [],
        },
      ],
    });
    yard.run(made);
    for (const step of made.steps) yard.tick(step.id, '2026-05-14');
    expect(yard.apiary.cell[id]).toMatchObject({
      reserved: false,
      fate: { day: '2026-05-14', how: 'broken' },
    });
  });
});
