import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { CELL_KINDS } from '../comb/contents.ts';
import { evidence, noEvidence, type Evidence } from '../records/bodies/evidence.ts';
import { judgePart } from './judgePart.ts';
import { FINDINGS } from './verdict.ts';

const LOST = '2026-05-09';
const three = fc.constantFrom('notLooked' as const, 'notFound' as const, 'found' as const);
const looked = <T extends object>(found: fc.Arbitrary<T>) =>
  fc.oneof(
    fc.constantFrom({ look: 'notLooked' as const }, { look: 'notFound' as const }),
    found.map((f) => ({ look: 'found' as const, ...f })),
  );

/** Any evidence at all, sensible or not. */
const anyEvidence: fc.Arbitrary<Evidence> = fc
  .record({
    v: fc.constant(1 as const),
    framesRead: fc.integer({ min: 0, max: 10 }),
    framesTotal: fc.constant(10),
    eggs: looked(
      fc.record({
        perCell: fc.constantFrom('one' as const, 'several' as const),
        place: fc.constantFrom('bottom' as const, 'walls' as const, 'unsure' as const),
      }),
    ),
    youngLarvae: three.map((look) => ({ look })),
    olderLarvae: three.map((look) => ({ look })),
    cappedBrood: looked(
      fc.record({
        cappings: fc.constantFrom('flat' as const, 'domed' as const, 'both' as const),
        patch: fc.constantFrom('compact' as const, 'scattered' as const, 'unsure' as const),
      }),
    ),
    cells: looked(
      fc.record({
        cells: fc.array(
          fc.record({ kind: fc.constantFrom(...CELL_KINDS), count: fc.integer({ min: 1, max: 9 }) }),
          { minLength: 1, maxLength: 4 },
        ),
      }),
    ),
    queen: looked(fc.record({ build: fc.constantFrom('long' as const, 'slim' as const, 'unsure' as const) })),
    diseaseSigns: three.map((look) => ({ look })),
    mood: fc.constantFrom(null, 'calm' as const, 'restless' as const, 'roaring' as const),
  })
  .map((asked) => ({ ...noEvidence(10), ...asked }));

const anyDay = fc.integer({ min: 0, max: 60 });
const judge = (n: number, seen: Evidence) =>
  judgePart(
    {
      name: 'A',
      separatedOn: LOST,
      emergence: null,
      earlier: [],
      surplusOut: false,
      came: null,
      maySwarm: null,
      gifts: [],
    },
    addDays(LOST, n),
    seen,
  );

describe('a verdict, whatever was seen and whenever', () => {
  const holds = (check: (n: number, seen: Evidence) => void) => {
    fc.assert(fc.property(anyDay, anyEvidence, check), { numRuns: 600, seed: 9 });
  };

  it('is always given, with a headline and a reason', () => {
    holds((n, seen) => {
      expect(evidence.safeParse(seen).success).toBe(true);
      const v = judge(n, seen);
      expect(FINDINGS).toContain(v.finding);
      expect(v.headline).not.toBe('');
      expect(v.reasons.length).toBeGreaterThan(0);
    });
  });

  it('always says what to do next, and never in the past', () => {
    holds((n, seen) => {
      const v = judge(n, seen);
      expect(v.next.length).toBeGreaterThan(0);
      for (const a of v.next) {
        if (!a.window) continue;
        expect(a.window.earliest <= a.window.likely && a.window.likely <= a.window.latest).toBe(true);
        expect(a.kind !== 'act' || a.window.latest >= addDays(LOST, n)).toBe(true);
      }
    });
  });

  it('proves no queen before day 4: an egg lasts three days (Winston 1987, as remembered)', () => {
    holds((n, seen) => {
      expect(n >= 4 || judge(n, seen).finding !== 'has-queen').toBe(true);
    });
  });

  it('calls nothing hopeless while frames are unread or a larva may still be young enough', () => {
    holds((n, seen) => {
      const v = judge(n, seen);
      if (v.finding !== 'hopeless') return;
      expect(seen.framesRead).toBe(seen.framesTotal);
      expect(n > 6 || seen.youngLarvae.look === 'notFound').toBe(true);
    });
  });

  it('never has the last cells removed', () => {
    holds((n, seen) => {
      const removes = judge(n, seen).next.find((a) => a.what.startsWith('Remove the'));
      if (!removes || seen.cells.look !== 'found') return;
      const open = seen.cells.cells.filter((c) => c.kind === 'charged' || c.kind === 'open');
      expect(open.length).toBeGreaterThan(0);
      expect(n).toBeLessThanOrEqual(4);
    });
  });

  it('moves nothing when brood looks sick', () => {
    holds((n, seen) => {
      expect(seen.diseaseSigns.look !== 'found' || judge(n, seen).finding === 'sick').toBe(true);
    });
  });

  it('takes a queen for mated only by flat caps after all old brood has gone', () => {
    holds((n, seen) => {
      if (judge(n, seen).finding !== 'mated') return;
      expect(seen.cappedBrood).toMatchObject({ look: 'found', cappings: 'flat' });
      expect(n).toBeGreaterThan(21);
    });
  });
});
