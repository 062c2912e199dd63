import { describe, expect, it } from 'vitest';
import { bothSides, type FrameReading } from '../comb/contents.ts';
import { noEvidence, type Evidence } from '../records/bodies/evidence.ts';
import { queenDoubts } from '../queen-verdict/queenDoubts.ts';
import { TestYard } from '../testing/builders.ts';
import { colonyState } from './colonyState.ts';

const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 3 }, 9);
const capped = bothSides({ capped: 6, honey: 4 }, 9);
const TODAY = '2026-05-12';

function seen(change: Partial<Evidence>, frame: FrameReading = brood, n = 10, today = TODAY) {
  const yard = new TestYard();
  const colony = yard.hive('A', [Array.from({ length: n }, () => frame)]);
  yard.run({
    type: 'recordCount',
    visitId: yard.newId(),
    colonyId: colony.id,
    day: '2026-05-10',
    note: '',
    readings: [],
    evidence: { ...noEvidence(n), ...change },
  });
  return { yard, state: colonyState(yard.apiary, yard.colony('A'), today) };
}

describe('what was seen outweighs strength', () => {
  it.each<[string, Partial<Evidence>, string, string]>([
    [
      'signs of disease',
      { diseaseSigns: { look: 'found', signs: ['smell', 'ropy'] } },
      'unfit',
      'Disease suspected (foul smell, ropy larvae): move nothing in or out, have it examined',
    ],
    [
      'several eggs on the walls',
      { eggs: { look: 'found', perCell: 'several', place: 'walls' } },
      'unfit',
      'Several eggs a cell, on the walls: laying workers likely',
    ],
    [
      'only domed caps',
      { cappedBrood: { look: 'found', cappings: 'domed', patch: 'scattered' } },
      'unfit',
      'Only domed caps: drone layer or laying workers',
    ],
    [
      'no eggs where one looked',
      { eggs: { look: 'notFound' } },
      'watch',
      'No eggs seen on Sun 10 May: inspect again on Fri 15 May',
    ],
    [
      'scattered brood',
      { cappedBrood: { look: 'found', cappings: 'flat', patch: 'scattered' } },
      'watch',
      'Scattered brood on Sun 10 May: inspect again on Sun 17 May',
    ],
  ])('%s', (_what, change, lane, words) => {
    expect(seen(change).state).toMatchObject({ lane, notice: { words } });
  });

  it('several eggs at the bottom are a young queen’s, no reason to doubt', () => {
    expect(seen({ eggs: { look: 'found', perCell: 'several', place: 'bottom' } }).state.lane).toBe('strong');
  });

  it('not looked for is not absent, and an old look no longer speaks', () => {
    expect(seen({ pollen: { look: 'found' } }).state.lane).toBe('strong');
    expect(seen({ eggs: { look: 'notFound' } }, brood, 10, '2026-07-01').state.lane).not.toBe('watch');
  });

  it('a whole count without eggs and larvae is doubtful, a rough one is not', () => {
    expect(seen({ pollen: { look: 'found' } }, capped).state).toMatchObject({
      lane: 'watch',
      notice: { words: 'No eggs or larvae counted: inspect again on Sat 16 May' },
    });
    expect(seen({ pollen: { look: 'found' } }, { ...capped, estimated: true }).state.lane).not.toBe('watch');
  });

  it('small with a compact nest needs time, not a merger (common practice, no source)', () => {
    const small = seen({ cappedBrood: { look: 'found', cappings: 'flat', patch: 'compact' } }, brood, 3);
    expect(small.state).toMatchObject({
      lane: 'watch',
      notice: { words: 'Small, with compact brood: give it time and food, count on Sat 16 May' },
    });
  });
});

describe('a dot that does not agree with the record', () => {
  const queenSeen = (dot: 'red' | 'blue' | 'none') => {
    const { yard } = seen({ queen: { look: 'found', build: 'long', dot } });
    const colonyId = yard.colony('A').id;
    yard.run({
      type: 'putQueen',
      queen: {
        id: yard.newId(),
        name: null,
        birthYear: 2025,
        dot: 'blue',
        mating: 'mated',
        whereabouts: { known: 'colony', colonyId },
      },
    });
    return queenDoubts(yard.apiary, yard.colony('A'));
  };

  it('is shown with both, and what could explain it', () => {
    expect(queenSeen('red')).toEqual([
      'On Sun 10 May she wore a red mark; the record says blue. She may be another queen, or one of the two was noted wrong.',
    ]);
    expect(queenSeen('none')[0]).toContain('she wore no mark; the record says blue');
    expect(queenSeen('blue')).toEqual([]);
  });
});
