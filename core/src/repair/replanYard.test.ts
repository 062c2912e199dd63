import { describe, expect, it } from 'vitest';
import { framesOfColony, openFollowUps } from '../records/views.ts';
import { TestYard } from '../testing/builders.ts';
import { NEST, STRONG_BOX } from '../testing/nests.ts';
import { nucs, planned, problemOf, requestFor } from '../testing/yardRequests.ts';
import { makeYardPlan } from '../yardplan/layout/makeYardPlan.ts';
import { reportWork } from './reportWork.ts';
import type { WorkReport } from '../records/bodies/workReport.ts';

const DAY = '2026-05-15';

/** A plan of two nucs from two strong colonies, kept, with what is done to it. */
function begun() {
  const yard = new TestYard();
  const upper = [
    NEST.honey(6),
    NEST.open(8),
    NEST.capped(8),
    NEST.open(8),
    NEST.capped(8),
    NEST.bread(),
    NEST.empty(6),
    NEST.honey(6),
  ];
  const giver = yard.hive('Donor', [[...STRONG_BOX], upper], '2026-05-14');
  const other = yard.hive('Other', [[...STRONG_BOX], upper], '2026-05-14');
  yard.stock('drawn', 12);
  const request = requestFor(yard.apiary, [nucs(2)]);
  const problem = problemOf(yard.apiary, request);
  const saved = makeYardPlan(
    yard.apiary,
    problem,
    planned(problem).plan,
    { names: {}, bound: null, name: 'Two nucs' },
    yard.newId,
  );
  yard.run(saved);
  const workId = saved.work.id;
  const body = () => yard.apiary.work[workId]!.body;
  const steps = () =>
    Object.values(yard.apiary.workStep)
      .filter((s) => s.workId === workId)
      .toSorted((a, b) => a.order - b.order);
  const left = () => steps().filter((s) => s.doneOn === null);
  const tickNext = () => {
    const [step] = left();
    if (!step) throw new Error('nothing is left');
    yard.tick(step.id, DAY);
    return step;
  };
  /** Ticks up to, and without, the first frame that is carried. */
  const toFirstMove = () => {
    while (left()[0]?.kind !== 'move') tickNext();
    return left()[0]!;
  };
  const tell = (what: WorkReport) => {
    const done = reportWork(yard.apiary, workId, what, DAY, yard.newId);
    if (!done.ok) throw new Error(done.problems[0]?.message);
    yard.run(done.value);
  };
  const finish = () => {
    while (left().length > 0) tickNext();
  };
  const nuc = (n: number) => body().units.filter((u) => u.state === 'new')[n]!;
  const framesIn = (colonyId: string) => {
    const colony = yard.apiary.colony[colonyId];
    return colony ? framesOfColony(yard.apiary, colony).map((p) => p.frame.id) : [];
  };
  return {
    yard,
    giver,
    other,
    workId,
    body,
    steps,
    left,
    tickNext,
    toFirstMove,
    tell,
    finish,
    nuc,
    framesIn,
  };
}

describe('a yard plan while it is worked', () => {
  it('takes a frame that went into the other nuc as it is, and fills both by the rules', () => {
    const w = begun();
    const step = w.toFirstMove();
    const [frameId = ''] = step.frameIds;
    const planned = w.body().moves.find((m) => m.frameId === frameId)?.toKey;
    const elsewhere = w.body().units.find((u) => u.state === 'new' && u.key !== planned)!;
    const ids = [w.nuc(0).colonyId, w.nuc(1).colonyId];
    w.tell({ what: 'frame-went', frameId, toColonyId: elsewhere.colonyId, slot: null });
    expect(w.body().moves.find((m) => m.frameId === frameId)?.toKey).toBe(elsewhere.key);
    // The nucs are the same nucs, under the same identifiers.
    expect(
      w
        .body()
        .newHives.map((h) => h.colonyId)
        .toSorted(),
    ).toEqual(ids.toSorted());
    expect(w.body().ledger.filter((l) => l.state === 'broken')).toEqual([]);
    w.finish();
    expect(w.framesIn(elsewhere.colonyId)).toContain(frameId);
    for (const id of ids) expect(w.framesIn(id)).toHaveLength(5);
  });

  it('keeps what was carried where it was carried, and asks for it no more', () => {
    const w = begun();
    w.toFirstMove();
    const first = w.tickNext();
    const [carried = ''] = first.frameIds;
    const [stayed = ''] = w.left()[0]!.frameIds;
    w.tell({ what: 'frame-went', frameId: stayed, toColonyId: w.giver.id, slot: null });
    expect(w.left().some((s) => s.frameIds.includes(carried))).toBe(false);
    w.finish();
    const hung = [w.nuc(0), w.nuc(1)].flatMap((n) => w.framesIn(n.colonyId));
    expect(hung).toContain(carried);
    expect(hung).not.toContain(stayed);
    expect(w.framesIn(w.giver.id)).toContain(stayed);
  });

  it('counts bees that were shaken in, and does not shake them twice', () => {
    const w = begun();
    while (w.left().length > 0 && w.left()[0]?.kind !== 'shake') w.tickNext();
    const [step] = w.left();
    if (!step) throw new Error('this plan shakes bees in');
    const [shaken = ''] = step.frameIds;
    w.tickNext();
    w.tell({ what: 'queen-found', colonyId: w.giver.id, frameId: null });
    expect(w.body().shakes.map((s) => s.frameId)).toContain(shaken);
    expect(w.left().some((s) => s.kind === 'shake' && s.frameIds.includes(shaken))).toBe(false);
  });

  it('a frame in a nuc that turns out to have the queen on it is carried back', () => {
    const w = begun();
    w.toFirstMove();
    const [frameId = ''] = w.tickNext().frameIds;
    const from = w.body().moves.find((m) => m.frameId === frameId)!.fromKey;
    w.tell({ what: 'queen-found', colonyId: from, frameId });
    expect(w.left()[0]?.text).toMatch(/^Carry back: /);
    expect(w.left()[0]?.detail).toMatch(/carries the queen, who stays/);
    w.finish();
    expect(w.framesIn(from)).toContain(frameId);
  });

  it('a virgin seen in a nuc gets a look of her own', () => {
    const w = begun();
    const { colonyId } = w.nuc(0);
    w.tell({ what: 'virgin-seen', colonyId });
    w.finish();
    expect(
      openFollowUps(w.yard.apiary).filter(
        (f) => f.colonyIds.includes(colonyId) && f.expect.includes('virgin'),
      ),
    ).not.toEqual([]);
  });

  it('one nuc more than planned: its frames are out of the plan', () => {
    const w = begun();
    const moved = new Set(w.body().moves.map((m) => m.frameId));
    const two = w
      .framesIn(w.other.id)
      .filter((id) => !moved.has(id))
      .slice(0, 2);
    w.tell({ what: 'unit-added', fromColonyId: w.other.id, name: 'Extra', frameIds: two });
    w.finish();
    const extra = Object.values(w.yard.apiary.colony).find((c) => c.name === 'Extra');
    expect(w.framesIn(extra?.id ?? '')).toEqual(two);
  });
});
