import { describe, expect, it } from 'vitest';
import { bothSides, type FrameReading } from '../../comb/contents.ts';
import { closingFor, TestYard } from '../../testing/builders.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { goneUnits } from '../../work/goneUnits.ts';
import { makeYardPlan } from '../../yardplan/layout/makeYardPlan.ts';
import type { YardGoal } from '../../records/bodies/request.ts';
import { type CommandOf, command } from '../../records/commands.ts';
import {
  boxesOfColony,
  coloniesOfYard,
  framesInStore,
  framesOfColony,
  openFollowUps,
  queenOf,
} from '../../records/views.ts';

const brood = (tenths: number, bees = 9): FrameReading =>
  bothSides({ eggs: 1, open: 3, capped: tenths - 4, honey: 9 - tenths, beeBread: 1 }, bees);
const honey = (bees = 6): FrameReading => bothSides({ honey: 10 }, bees);
const box = (): FrameReading[] => [
  honey(),
  brood(7),
  brood(7),
  brood(7),
  brood(7),
  brood(7),
  honey(),
  honey(),
  honey(),
  honey(),
];
const withQueen = (f: FrameReading): FrameReading => ({ ...f, queenSeen: true });

function yardOf() {
  const yard = new TestYard();
  const giver = yard.hive(
    'Donor',
    [box(), [...box().slice(0, 3), withQueen(brood(7)), ...box().slice(4)]],
    '2026-05-14',
  );
  yard.hive('Other', [box()], '2026-05-14');
  yard.stock('drawn', 10);
  return { yard, giver };
}

function plan(yard: TestYard, goals: YardGoal[], names: Record<string, string> = {}): CommandOf<'saveWork'> {
  const problem = problemOf(yard.apiary, requestFor(yard.apiary, goals));
  const { plan: found } = planned(problem);
  return makeYardPlan(yard.apiary, problem, found, { names, bound: null, name: 'Plan' }, yard.newId);
}

function work(yard: TestYard, saved: CommandOf<'saveWork'>, day = '2026-05-15') {
  yard.run(saved);
  for (const step of saved.steps) yard.tick(step.id, day);
}

const frameIds = (yard: TestYard) => Object.keys(yard.apiary.frame).toSorted();

describe('a plan for a yard, kept and worked', () => {
  it('is a valid command, survives its schema, and begins as a draft', () => {
    const { yard } = yardOf();
    const saved = plan(yard, [nucs(2)]);
    expect(command.parse(JSON.parse(JSON.stringify(saved)))).toEqual(saved);
    yard.run(saved);
    expect(yard.apiary.work[saved.work.id]?.status).toBe('draft');
  });

  it('makes the nucs, with frames, queens, looks and descent as planned, and loses no frame', () => {
    const { yard, giver } = yardOf();
    const before = frameIds(yard);
    const saved = plan(yard, [nucs(2)], { 'nucs/x/1': 'unused' });
    const first = saved.steps[0]!;
    yard.run(saved);
    yard.tick(first.id, '2026-05-16');
    expect(yard.apiary.work[saved.work.id]?.status).toBe('working');
    yard.run({ type: 'tickStep', stepId: first.id, done: false, day: '2026-05-16' });
    expect(yard.apiary.work[saved.work.id]?.status).toBe('draft');
    // Nothing has moved before the last tick.
    expect(coloniesOfYard(yard.apiary, yard.yardId)).toHaveLength(2);
    for (const s of saved.steps) yard.tick(s.id, '2026-05-16');
    expect(yard.apiary.work[saved.work.id]?.status).toBe('done');
    const colonies = coloniesOfYard(yard.apiary, yard.yardId);
    expect(colonies.map((c) => c.name)).toEqual(['Donor', 'Other', 'Nuc 1', 'Nuc 2']);
    for (const nuc of colonies.slice(2)) {
      expect(framesOfColony(yard.apiary, nuc)).toHaveLength(5);
      expect(nuc.origin.how).toBe('split');
      expect(nuc.separation?.queen).toBe('elsewhere');
      const due = openFollowUps(yard.apiary).filter((f) => f.colonyIds.includes(nuc.id));
      expect(due.map((f) => f.topic).toSorted()).toEqual(['bees-stay', 'eggs-due', 'rest', 'surplus-cells']);
      // A day late: the look for surplus cells is on day 7 after the work, not after the plan.
      expect(due.find((f) => f.topic === 'surplus-cells')?.window.earliest).toBe('2026-05-23');
    }
    expect(frameIds(yard)).toEqual(before);
    expect(framesOfColony(yard.apiary, giver).length).toBeGreaterThan(10);
  });

  it('moves the old queen with her nuc; her colony raises another', () => {
    const { yard, giver } = yardOf();
    const queenId = yard.newId();
    yard.run({
      type: 'putQueen',
      queen: {
        id: queenId,
        name: null,
        birthYear: 2025,
        dot: 'blue',
        mating: 'mated',
        whereabouts: { known: 'colony', colonyId: giver.id },
      },
    });
    work(yard, plan(yard, [nucs(1, fiveFrames({ queen: 'old-queen' }))]));
    const nuc = yard.colony('Nuc 1');
    expect(queenOf(yard.apiary, nuc.id)?.id).toBe(queenId);
    expect(yard.colony('Donor').separation?.queen).toBe('elsewhere');
    expect(nuc.separation?.queen).toBe('here');
  });

  it('hives a nuc up: new box, same frames in order, old box in the store', () => {
    const yard = new TestYard();
    const nuc = yard.hive(
      'Nuc',
      [[honey(), brood(7), withQueen(brood(7)), brood(7), brood(7), honey()]],
      '2026-05-14',
      6,
    );
    yard.stock('foundation', 6);
    const order = framesOfColony(yard.apiary, nuc).map((p) => p.frame.id);
    const oldBox = boxesOfColony(yard.apiary, nuc)[0]?.id ?? '';
    work(yard, plan(yard, [{ id: 'up', kind: 'hiveUp', colonyId: nuc.id, slots: 10, importance: 2 }]));
    const [now, ...more] = boxesOfColony(yard.apiary, nuc);
    expect(more).toEqual([]);
    expect(now?.slots).toBe(10);
    expect(yard.apiary.box[oldBox]?.hiveId).toBeNull();
    const placed = framesOfColony(yard.apiary, yard.colony('Nuc'));
    expect(placed).toHaveLength(10);
    expect(placed.map((p) => p.frame.id).filter((id) => order.includes(id))).toEqual(order);
  });

  it('unites: boxes of the one stand on the other, and it ends', () => {
    const { yard, giver } = yardOf();
    const other = yard.colony('Other');
    const frames = framesOfColony(yard.apiary, giver).length + framesOfColony(yard.apiary, other).length;
    work(yard, plan(yard, [{ id: 'u', kind: 'unite', fromId: other.id, intoId: giver.id, importance: 2 }]));
    expect(yard.colony('Other').endedOn).toBe('2026-05-15');
    expect(framesOfColony(yard.apiary, yard.colony('Donor'))).toHaveLength(frames);
    expect(boxesOfColony(yard.apiary, yard.colony('Donor')).map((b) => b.position)).toEqual([0, 1, 2]);
  });

  it('is refused whole when a unit that it rests on has ended meanwhile, and says which and when', () => {
    const { yard, giver } = yardOf();
    const other = yard.colony('Other');
    const goals: YardGoal[] = [{ id: 'u', kind: 'unite', fromId: other.id, intoId: giver.id, importance: 2 }];
    const [first, second] = [plan(yard, goals), plan(yard, goals)];
    const alive = yard.apiary;
    yard.run(second);
    work(yard, first);
    const before = yard.apiary;
    for (const s of second.steps.slice(0, -1)) yard.tick(s.id, '2026-05-15');
    const last = second.steps.at(-1)?.id ?? '';
    expect(
      yard.refused({
        type: 'tickStep',
        stepId: last,
        done: true,
        day: '2026-05-15',
        ...closingFor(yard.apiary, last),
      }),
    ).toEqual(['colony-ended at stepId']);
    expect(yard.apiary.colony).toEqual(before.colony);
    expect(goneUnits(yard.apiary, second.work).map((p) => p.message)).toEqual([
      'Other ended on Fri 15 May: this work cannot be carried out as it was planned.',
    ]);
    expect(goneUnits(alive, second.work)).toEqual([]);
  });

  it('shrinks: what stays fits into the boxes that stay, and the empty box goes to the store', () => {
    const yard = new TestYard();
    const tall = yard.hive(
      'Tall',
      [
        [
          honey(),
          brood(7),
          brood(7),
          withQueen(brood(7)),
          honey(),
          bothSides({ drawn: 10 }, 1),
          bothSides({ drawn: 10 }, 1),
          bothSides({ drawn: 10 }, 1),
          bothSides({ drawn: 10 }, 1),
          bothSides({ drawn: 10 }, 1),
        ],
        [
          honey(),
          honey(),
          bothSides({ drawn: 10 }, 1),
          bothSides({ drawn: 10 }, 1),
          bothSides({ drawn: 10 }, 1),
        ],
      ],
      '2026-05-14',
    );
    const saved = plan(yard, [{ id: 's', kind: 'shrink', colonyId: tall.id, boxes: 1, importance: 2 }]);
    const texts = saved.steps.map((s) => s.text);
    const off = texts.indexOf('Take the upper box off Tall: no frame is left in it');
    // The upper box is empty before it comes off, and off before the lower one is worked.
    expect(off).toBeGreaterThan(texts.findLastIndex((t) => t.startsWith('Upper box')));
    expect(off).toBeLessThan(texts.findIndex((t) => t.startsWith('The comb set aside')));
    expect(texts.at(-2)).toBe('Close Tall');
    work(yard, saved);
    expect(boxesOfColony(yard.apiary, yard.colony('Tall'))).toHaveLength(1);
    expect(framesOfColony(yard.apiary, yard.colony('Tall')).length).toBeLessThanOrEqual(10);
    expect(framesInStore(yard.apiary).length).toBeGreaterThanOrEqual(5);
    expect(Object.values(yard.apiary.frame)).toHaveLength(15);
  });

  it('is refused when a frame has been moved meanwhile, a name is taken, or a step is ticked twice', () => {
    const { yard } = yardOf();
    const saved = plan(yard, [nucs(1)]);
    const moved = saved.work.body.moves.find((m) => m.from !== null)!;
    const stale = JSON.parse(JSON.stringify(saved)) as typeof saved;
    yard.run(saved);
    yard.run({ type: 'moveFrames', moves: [{ frameId: moved.frameId, to: { place: 'store' } }] });
    expect(yard.refused({ ...stale, work: { ...stale.work, id: yard.newId() } })[0]).toContain(
      'frame-elsewhere at work.body.moves.',
    );
    const [first, ...rest] = saved.steps;
    yard.tick(first!.id, '2026-05-15');
    expect(yard.refused({ type: 'tickStep', stepId: first!.id, done: true, day: '2026-05-15' })).toEqual([
      'step-done at stepId',
    ]);
    for (const s of rest.slice(0, -1)) yard.tick(s.id, '2026-05-15');
    expect(
      yard.refused({
        type: 'tickStep',
        stepId: rest.at(-1)!.id,
        done: true,
        day: '2026-05-15',
        ...closingFor(yard.apiary, rest.at(-1)!.id),
      }),
    ).toContain('frame-moved at stepId');
    expect(
      yard.refused({ type: 'tickStep', stepId: rest.at(-1)!.id, done: true, day: '2026-05-15' }),
    ).toEqual(['not-closed at closing']);
    const other = yardOf();
    const named = plan(other.yard, [nucs(1)], {});
    named.work.body.units.find((u) => u.state === 'new')!.name = 'Donor';
    expect(other.yard.refused(named)[0]).toContain('name-taken');
  });

  it('can be dropped, and then neither worked nor dropped once done', () => {
    const { yard } = yardOf();
    const saved = plan(yard, [nucs(1)]);
    yard.run(saved);
    yard.run({ type: 'dropWork', workId: saved.work.id });
    expect(
      yard.refused({ type: 'tickStep', stepId: saved.steps[0]!.id, done: true, day: '2026-05-15' }),
    ).toEqual(['plan-closed at stepId']);
    const again = plan(yard, [nucs(1)]);
    work(yard, again);
    expect(yard.refused({ type: 'dropWork', workId: again.work.id })).toEqual(['plan-done at workId']);
  });
});
