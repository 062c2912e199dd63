import { describe, expect, it } from 'vitest';
import { beesPerFrame, framesOfBeesFromCapped, honeyKgPerFrame, workerCellsPerFrame } from './densities.ts';
import { allFrameSizes, frameSize, frameSizeId, inReferenceFrames, ownSizeId } from './frameSizes.ts';

describe('frame sizes', () => {
  it('carries the areas of the 2013 standard methods (values as remembered from Delaplane et al. 2013)', () => {
    expect(frameSize('langstroth-deep').areaCm2PerSide).toBe(880);
    expect(frameSize('dadant-blatt').areaCm2PerSide).toBe(1130);
    expect(frameSize('zander').areaCm2PerSide).toBe(810);
    expect(frameSize('german-normal').areaCm2PerSide).toBe(720);
  });

  it('gives areas that follow from comb dimensions within 2 % (dimensions from memory, in cm)', () => {
    const combs: [Parameters<typeof frameSize>[0], number, number][] = [
      ['langstroth-medium', 43, 13.6],
      ['langstroth-shallow', 43, 11.4],
    ];
    for (const [id, width, depth] of combs) {
      expect(Math.abs(frameSize(id).areaCm2PerSide / (width * depth) - 1)).toBeLessThan(0.02);
    }
  });

  it('converts between sizes by area, and back to itself', () => {
    expect(inReferenceFrames('langstroth-medium', 'langstroth-deep')).toBeCloseTo(0.665, 3);
    for (const { id } of allFrameSizes()) {
      expect(inReferenceFrames(id, 'zander') * inReferenceFrames('zander', id)).toBeCloseTo(1, 12);
    }
  });
});

describe('what a comb holds', () => {
  it('has about 7,000 worker cells on a deep frame (2013 standard methods, as remembered)', () => {
    expect(workerCellsPerFrame('langstroth-deep')).toBe(7040);
  });

  it('carries 2,200 bees (Imdorf et al. 1987) to 2,430 (Burgett & Burikam 1985) on a covered deep', () => {
    const bees = beesPerFrame('langstroth-deep');
    expect(bees.low).toBeCloseTo(2200, 6);
    expect(bees.high).toBeCloseTo(2430, -1);
    expect(bees.likely).toBeGreaterThan(bees.low);
  });

  it('weighs honey within the ranges of common practice (no source)', () => {
    const ranges: [Parameters<typeof honeyKgPerFrame>[0], number, number][] = [
      ['langstroth-deep', 2.7, 3.2],
      ['langstroth-medium', 1.6, 2.2],
      ['langstroth-shallow', 1.2, 1.8],
      ['national-deep', 2.0, 2.5],
      ['national-shallow', 1.2, 1.5],
    ];
    for (const [id, low, high] of ranges) {
      expect(honeyKgPerFrame(id).likely).toBeGreaterThanOrEqual(low);
      expect(honeyKgPerFrame(id).likely).toBeLessThanOrEqual(high);
    }
  });

  it('turns one frame of capped brood into two to three frames of bees (arithmetic; practice says two)', () => {
    const frames = framesOfBeesFromCapped('langstroth-deep');
    expect(frames.low).toBeGreaterThan(2);
    expect(frames.high).toBeLessThan(3.1);
    expect(framesOfBeesFromCapped('zander').likely).toBeCloseTo(frames.likely, 9);
  });
});

describe('frame sizes of one’s own', () => {
  it('carry their measure in the identifier and are reckoned by it', () => {
    const id = ownSizeId(300, 250);
    expect(frameSizeId.parse(id)).toBe('own:300x250');
    expect(frameSize(id)).toMatchObject({ areaCm2PerSide: 750, name: 'own, 300 × 250 mm' });
    // A Langstroth medium comb is about 43 × 13.6 cm: the shipped figure, by arithmetic.
    expect(frameSize(ownSizeId(430, 136)).areaCm2PerSide).toBeCloseTo(585, 0);
  });

  it.each(['own:300', 'own:79x300', 'own:1000x300', 'own:030x300', 'other'])('%s is none', (id) => {
    expect(frameSizeId.safeParse(id).success).toBe(false);
  });
});
