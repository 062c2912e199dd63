import { describe, expect, it } from 'vitest';
import { bothSides, type Contents } from '../comb/contents.ts';
import { readNest } from './nestReading.ts';
import { after, FLOW, modelOf } from '../testing/modelOf.ts';
import type { NestFrame } from './layingRates.ts';

const nest = (...frames: Contents[]): NestFrame[] =>
  frames.map((c, i) => ({ id: String(i), size: 'langstroth-deep', reading: bothSides(c, 8) }));

describe('reading a nest by arithmetic (by hand from 3 days as egg, 6 open, 12 capped; Winston 1987, as remembered)', () => {
  it('a full deep frame of eggs, cells on both sides, speaks for 7,040 cells in three days', () => {
    expect(readNest(nest({ eggs: 10 })).rates.fromEggs).toBeCloseTo(7040 / 3, 6);
  });

  it.each<[string, Contents, boolean | null, string]>([
    [
      'no eggs, young larvae present: 3 to 5 days ago',
      { open: 2, capped: 4 },
      true,
      'No eggs: stopped laying 3–5 days ago, or eggs were not seen',
    ],
    [
      'no eggs, only older larvae: 5 to 9',
      { open: 2, capped: 4 },
      false,
      'No eggs: stopped laying 5–9 days ago, or eggs were not seen',
    ],
    [
      'no eggs, nobody looked how old: 3 to 9',
      { open: 2, capped: 4 },
      null,
      'No eggs: stopped laying 3–9 days ago, or eggs were not seen',
    ],
    [
      'capped only: 9 to 21',
      { capped: 4 },
      null,
      'No eggs or larvae: stopped laying 9–21 days ago, or eggs were not seen',
    ],
    ['no brood at all', { honey: 4 }, null, 'No brood: nothing was laid that lived in the last 21 days'],
    ['eggs only: she began', { eggs: 1 }, null, 'Began to lay 0–3 days ago'],
    ['eggs and larvae, none capped', { eggs: 1, open: 1 }, null, 'Began to lay 3–9 days ago'],
    [
      'eggs and capped without open: a pause',
      { eggs: 1, capped: 2 },
      null,
      'No open brood between eggs and capped: she paused for up to 6 days and lays again',
    ],
    ['3 : 6 : 12', { eggs: 0.5, open: 1, capped: 2 }, null, 'Lays as steadily as two weeks ago'],
    [
      'more young than old',
      { eggs: 1, open: 2, capped: 2 },
      null,
      'Lays more than two weeks ago: building up',
    ],
    [
      'less young than old',
      { eggs: 0.5, open: 0.5, capped: 4 },
      null,
      'Laying has slowed over two weeks: out of room, or the nest is shrinking',
    ],
  ])('%s', (_what, contents, young, words) => {
    expect(readNest(nest(contents), young).words).toBe(words);
  });

  it('dates a stop that is known: four days without laying leave larvae and no eggs', () => {
    const began = nest({ eggs: 1, open: 2, capped: 4, drawn: 3 });
    for (const days of [4, 7]) {
      const model = after(
        modelOf(
          began.map((f) => f.reading),
          null,
        ),
        days,
        FLOW,
      );
      const [a, b] = model.sides;
      if (!a || !b) throw new Error('no sides');
      const then = began.map((f) => ({
        ...f,
        reading: { ...f.reading, sides: [a.read(), b.read()] as const },
      }));
      const { stoppedDaysAgo } = readNest(then);
      expect(stoppedDaysAgo!.from).toBeLessThanOrEqual(days);
      expect(stoppedDaysAgo!.to).toBeGreaterThanOrEqual(days);
    }
  });
});
