import { describe, expect, it } from 'vitest';
import { isInspection } from '../../followup/topics.ts';
import { bothSides } from '../../comb/contents.ts';
import { makePlan } from '../../split/plan/makePlan.ts';
import { noEvidence, type Evidence } from '../../records/bodies/evidence.ts';
import { TestYard } from '../../testing/builders.ts';
import { openFollowUps, queenOf } from '../../records/views.ts';

const young = bothSides({ eggs: 2, open: 3, beeBread: 1, honey: 2, drawn: 2 }, 9);
const capped = bothSides({ capped: 5, beeBread: 1, honey: 3, drawn: 1 }, 9);
const box = [capped, young, capped, young, capped, young, capped, capped];
const seen = (change: Partial<Evidence>): Evidence => ({
  ...noEvidence(8),
  framesRead: 8,
  eggs: { look: 'notFound' },
  cells: { look: 'notFound' },
  ...change,
});
const eggs = { look: 'found', perCell: 'one', place: 'bottom' } as const;
const sixCells = { look: 'found', cells: [{ kind: 'open', count: 6 }] } as Evidence['cells'];

/** Two halves of 9 May with their queen in one of the two. */
function halves(): TestYard {
  const yard = new TestYard();
  const a = yard.hive('A', [box, box], '2026-05-09', 8);
  yard.run({
    type: 'putQueen',
    queen: {
      id: yard.newId(),
      name: 'Q',
      birthYear: 2025,
      dot: 'blue',
      mating: 'mated',
      whereabouts: { known: 'colony', colonyId: a.id },
    },
  });
  const plan = makePlan(
    yard.apiary,
    { colonyId: a.id, methodId: 'walk-away-halves', day: '2026-05-09', newName: 'B', options: {} },
    yard.newId,
  );
  if (!plan.ok) throw new Error('no plan');
  yard.run(plan.value.command);
  for (const s of plan.value.command.steps) yard.tick(s.id, '2026-05-09');
  return yard;
}

function look(yard: TestYard, day: string, parts: Record<string, Evidence>): void {
  const followUp = openFollowUps(yard.apiary).find(isInspection);
  yard.run({
    type: 'recordLook',
    followUpId: followUp?.id ?? null,
    day,
    note: '',
    parts: Object.entries(parts).map(([name, evidence]) => ({
      visitId: yard.newId(),
      colonyId: yard.colony(name).id,
      evidence,
    })),
    newIds: Array.from({ length: 12 }, yard.newId),
  });
}

const due = (yard: TestYard, name: string) =>
  openFollowUps(yard.apiary)
    .filter((f) => f.colonyIds.includes(yard.colony(name).id))
    .map((f) => f.topic);

describe('a look that settles where the queen is', () => {
  it('puts her where the eggs are, and each half gets its own dates', () => {
    const yard = halves();
    look(yard, '2026-05-16', { A: seen({ cells: sixCells }), B: seen({ eggs }) });
    expect(queenOf(yard.apiary, yard.colony('B').id)?.name).toBe('Q');
    expect(yard.colony('A').separation?.queen).toBe('elsewhere');
    expect(yard.colony('B').separation?.queen).toBe('here');
    expect(due(yard, 'A')).toEqual(['rest', 'eggs-due']);
    expect(due(yard, 'B')).toEqual(['rhythm']);
  });

  it('two days after the split settles nothing and files the look again', () => {
    const yard = halves();
    look(yard, '2026-05-11', { A: seen({ eggs }), B: seen({ eggs }) });
    expect(yard.colony('A').separation?.queen).toBe('unknown');
    const again = openFollowUps(yard.apiary).filter((f) => f.topic === 'which-part');
    expect(again).toHaveLength(1);
    expect(again[0]?.colonyIds).toHaveLength(2);
    expect(again[0]?.window.earliest).toBe('2026-05-13');
  });

  it('one half opened keeps the question open, and the look due for the other', () => {
    const yard = halves();
    look(yard, '2026-05-16', { A: seen({ cells: sixCells }) });
    expect(yard.colony('A').separation?.queen).toBe('unknown');
    expect(due(yard, 'B')).toContain('which-part');
  });

  it('goes on to the first eggs of the new queen and to the proof that she mated', () => {
    const yard = halves();
    look(yard, '2026-05-16', { A: seen({ cells: sixCells }), B: seen({ eggs }) });
    look(yard, '2026-06-06', { A: seen({ eggs }) });
    expect(queenOf(yard.apiary, yard.colony('A').id)).toMatchObject({ birthYear: 2026, mating: 'unknown' });
    expect(due(yard, 'A')).toEqual(['capped-due']);
    look(yard, '2026-06-15', {
      A: seen({ eggs, cappedBrood: { look: 'found', cappings: 'flat', patch: 'compact' } }),
    });
    expect(queenOf(yard.apiary, yard.colony('A').id)?.mating).toBe('mated');
  });

  it('two nucs with the same dates keep a look each: what is seen in one says nothing of the other', () => {
    const yard = new TestYard();
    const workId = yard.newId();
    for (const name of ['N', 'M']) {
      const { id } = yard.hive(name, [box], '2026-05-09', 8);
      const separation = {
        v: 1 as const,
        day: '2026-05-09',
        workId,
        queen: 'elsewhere' as const,
        partIds: [yard.newId(), id],
        emergence: null,
      };
      yard.apiary = {
        ...yard.apiary,
        colony: { ...yard.apiary.colony, [id]: { ...yard.colony(name), separation } },
      };
    }
    look(yard, '2026-05-16', { N: seen({ cells: sixCells }) });
    look(yard, '2026-05-16', { M: seen({ cells: sixCells }) });
    expect(openFollowUps(yard.apiary).map((f) => f.colonyIds.length)).toEqual([1, 1, 1, 1]);
    look(yard, '2026-06-06', { N: seen({ eggs }) });
    expect(due(yard, 'N')).toEqual(['capped-due']);
    expect(due(yard, 'M')).toEqual(['rest', 'eggs-due']);
  });

  it('leaves what is to be done, and answers whether the bees have stayed', () => {
    const yard = halves();
    const { hiveId } = yard.colony('B');
    yard.run({
      type: 'setEntrance',
      hiveId: hiveId ?? '',
      day: '2026-05-09',
      state: 'shut',
      newIds: [yard.newId(), yard.newId()],
    });
    expect(due(yard, 'B').filter((t) => t === 'bees-stay' || t === 'entrance')).toHaveLength(2);
    look(yard, '2026-05-16', { B: seen({ eggs }) });
    expect(due(yard, 'B')).toContain('entrance');
    expect(due(yard, 'B')).not.toContain('bees-stay');
  });

  it('a look that several share is done for those that were looked at', () => {
    const yard = halves();
    const [before] = openFollowUps(yard.apiary).filter((f) => f.topic === 'which-part');
    look(yard, '2026-05-16', { A: seen({ cells: sixCells }) });
    const [a, b] = [yard.colony('A').id, yard.colony('B').id];
    expect(yard.apiary.followUp[before?.id ?? '']).toMatchObject({ status: 'done', colonyIds: [a] });
    const rest = openFollowUps(yard.apiary).filter((f) => f.topic === 'which-part');
    expect(rest.flatMap((f) => f.colonyIds)).toContain(b);
  });

  it('dated before the split is refused', () => {
    const yard = halves();
    expect(
      yard.refused({
        type: 'recordLook',
        followUpId: null,
        day: '2026-05-08',
        note: '',
        parts: [{ visitId: yard.newId(), colonyId: yard.colony('A').id, evidence: seen({ eggs }) }],
        newIds: Array.from({ length: 6 }, yard.newId),
      }),
    ).toEqual(['before-colony at day']);
  });
});
