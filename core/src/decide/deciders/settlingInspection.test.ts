import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { noEvidence, type Evidence } from '../../records/bodies/evidence.ts';
import { openFollowUps, queenOf } from '../../records/views.ts';
import { makePlan } from '../../split/plan/makePlan.ts';
import { TestYard } from '../../testing/builders.ts';

const young = bothSides({ eggs: 2, open: 3, beeBread: 1, honey: 2, drawn: 2 }, 9);
const capped = bothSides({ capped: 5, beeBread: 1, honey: 3, drawn: 1 }, 9);
const box = [capped, young, capped, young, capped, young, capped, capped];
const DAY = '2026-05-16';

/** Two halves of 9 May, their queen in one of the two. */
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

const eggs = { look: 'found', perCell: 'one', place: 'bottom' } as const;
const seen = (change: Partial<Evidence>): Evidence => ({ ...noEvidence(8), framesRead: 8, ...change });

/** What was seen of B on day 7, entered as a count without frames, or as an inspection. */
function entered(as: 'count' | 'look', evidence: Evidence, withIds = true) {
  const yard = halves();
  const colonyId = yard.colony('B').id;
  const newIds = Array.from({ length: 12 }, yard.newId);
  yard.run(
    as === 'count'
      ? {
          type: 'recordCount',
          visitId: yard.newId(),
          colonyId,
          day: DAY,
          note: '',
          readings: [],
          evidence,
          ...(withIds && { newIds }),
        }
      : {
          type: 'recordLook',
          followUpId: null,
          day: DAY,
          note: '',
          parts: [{ visitId: yard.newId(), colonyId, evidence }],
          newIds,
        },
  );
  const due = openFollowUps(yard.apiary).map(
    (f) => `${f.topic} ${f.window.likely} ${f.colonyIds.map((id) => yard.apiary.colony[id]?.name).join()}`,
  );
  return {
    queen: queenOf(yard.apiary, colonyId)?.name ?? null,
    parts: ['A', 'B'].map((name) => yard.colony(name).separation?.queen),
    due: due.toSorted((a, b) => a.localeCompare(b)),
  };
}

describe('an inspection is one thing, whatever it came with', () => {
  it.each([
    ['eggs of the old queen', seen({ eggs, cells: { look: 'notFound' } })],
    [
      'cells and no eggs',
      seen({ eggs: { look: 'notFound' }, cells: { look: 'found', cells: [{ kind: 'open', count: 6 }] } }),
    ],
    ['signs of disease', seen({ diseaseSigns: { look: 'found', signs: ['smell'] }, eggs })],
  ])('%s settle and file the same from a count as from an inspection', (_what, evidence) => {
    expect(entered('count', evidence)).toEqual(entered('look', evidence));
  });

  it('eggs counted on day 7 put the queen into that half, and take the question from both', () => {
    const { queen, parts, due } = entered('count', seen({ eggs, cells: { look: 'notFound' } }));
    expect(queen).toBe('Q');
    expect(parts).toEqual(['elsewhere', 'here']);
    expect(due.some((d) => d.startsWith('which-part') && d.endsWith('B'))).toBe(false);
  });

  it('who only noted the temper asked nothing of the queen', () => {
    const before = entered('count', seen({ mood: 'calm' }), false);
    expect(entered('count', seen({ mood: 'calm' }))).toEqual(before);
  });
});
