import { describe, expect, it } from 'vitest';
import { bothSides, type FrameReading } from '../../comb/contents.ts';
import { noEvidence, type Evidence } from './evidence.ts';
import { evidenceOfCount } from './evidenceOfCount.ts';

const FRAME = '8f14e45f-ceea-467f-a0d6-2f6c9b1d1a11';
const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 3 }, 6);
const honey = bothSides({ honey: 10 }, 3);
const said = (change: Partial<Evidence> = { mood: 'calm' }): Evidence => ({ ...noEvidence(10), ...change });
const of = (evidence: Evidence | null, ...bodies: FrameReading[]) =>
  evidenceOfCount(
    evidence,
    bodies.map((body) => ({ frameId: FRAME, body })),
  );

describe('evidence filled up from the frames of the same count', () => {
  it('stays nothing when nothing was said besides frames', () => {
    expect(of(null, brood)).toBeNull();
    expect(of(noEvidence(10), brood)).toBeNull();
  });

  it('takes eggs and larvae from the frames, where nobody was asked', () => {
    expect(of(said(), brood)).toMatchObject({
      eggs: { look: 'found', perCell: 'one', place: 'unsure' },
      olderLarvae: { look: 'found' },
      framesRead: 1,
    });
  });

  it('does not turn frames without eggs into a search for eggs', () => {
    expect(of(said(), honey)).toMatchObject({
      eggs: { look: 'notLooked' },
      olderLarvae: { look: 'notLooked' },
    });
  });

  it('leaves an answer that was given', () => {
    const several = { look: 'found', perCell: 'several', place: 'bottom' } as const;
    expect(of(said({ eggs: several }), brood)?.eggs).toEqual(several);
    expect(
      of(said({ cells: { look: 'notFound' } }), { ...honey, cells: [{ kind: 'cup', count: 1 }] })?.cells,
    ).toEqual({
      look: 'notFound',
    });
  });

  it('hears nothing from frames that were only estimated', () => {
    expect(of(said(), { ...brood, estimated: true })).toMatchObject({
      eggs: { look: 'notLooked' },
      framesRead: 0,
    });
  });

  it('adds cells up that are alike, and keeps those apart that hang elsewhere or are of another age', () => {
    const cells = (...list: FrameReading['cells']) => ({ ...honey, cells: list });
    const found = of(
      said(),
      cells({ kind: 'charged', count: 2, larvaAgeDays: 1, place: 'face' }, { kind: 'cup', count: 1 }),
      cells({ kind: 'charged', count: 1, larvaAgeDays: 1, place: 'face' }, { kind: 'charged', count: 1 }),
    );
    expect(found?.cells).toEqual({
      look: 'found',
      cells: [
        { kind: 'charged', count: 3, larvaAgeDays: 1, place: 'face' },
        { kind: 'cup', count: 1 },
        { kind: 'charged', count: 1 },
      ],
    });
  });

  it('says on which frame the queen was, when she was marked on one', () => {
    const marked = { ...brood, queenSeen: true };
    expect(of(said(), marked)?.queen).toEqual({ look: 'found', build: 'unsure', frameId: FRAME });
    expect(of(said({ queen: { look: 'found', build: 'slim', dot: 'red' } }), marked)?.queen).toEqual({
      look: 'found',
      build: 'slim',
      dot: 'red',
      frameId: FRAME,
    });
  });

  it('never counts more frames as read than there are', () => {
    expect(of({ ...said(), framesTotal: 1 }, brood, honey)?.framesRead).toBe(1);
    expect(of({ ...said(), framesRead: 7 }, brood)?.framesRead).toBe(7);
  });
});
