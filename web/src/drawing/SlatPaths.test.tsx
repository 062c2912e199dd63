import { bothSides, CONTENT_CLASSES, shareOf, type FrameReading } from '@incremen/core/comb';
import { cleanup, render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { CONTENT_FILL } from './contentStyle.ts';
import { HiveDrawing, hiveInWords, hiveSize, slotPoint, type DrawnBox } from './HiveDrawing.tsx';
import { SLAT } from './Slat.tsx';

const brood = bothSides({ honey: 2, beeBread: 1, eggs: 1, open: 2, capped: 4 }, 9);
const honey = bothSides({ honey: 9, drawn: 1 }, 3);
const frame = (slot: number, reading: FrameReading | null, more: object = {}) => ({
  id: String(slot),
  slot,
  reading,
  blank: 'drawn' as const,
  ...more,
});
const box = (frames: DrawnBox['frames'], more: Partial<DrawnBox> = {}): DrawnBox => ({
  id: 'b',
  slots: 10,
  sizeId: 'langstroth-deep',
  role: 'brood',
  frames,
  ...more,
});
const draw = (...boxes: DrawnBox[]) => render(<HiveDrawing boxes={boxes} label="hive" />).container;

/** Area of the bands of one content, from the heights in its path. */
function areaOf(container: HTMLElement, fill: string): number {
  const d =
    [...container.querySelectorAll('path')].find((p) => p.getAttribute('fill') === fill)?.getAttribute('d') ??
    '';
  return [...d.matchAll(/h13v([\d.]+)h-13z/g)].reduce((sum, m) => sum + Number(m[1]) * SLAT.width, 0);
}

describe('frames drawn together', () => {
  it('give every content the area that it has in the frames', () => {
    const container = draw(box([frame(1, honey), frame(2, brood), frame(3, brood)]));
    for (const c of CONTENT_CLASSES.filter((k) => k !== 'drawn')) {
      const frames = [honey, brood, brood].reduce((n, r) => n + shareOf(r, c), 0);
      expect(areaOf(container, CONTENT_FILL[c])).toBeCloseTo(frames * SLAT.width * SLAT.deepHeight, 3);
    }
  });

  it('need one path a content, however many they are', () => {
    const few = draw(box([frame(1, brood)])).querySelectorAll('path').length;
    cleanup();
    const many = draw(box(Array.from({ length: 10 }, (_, i) => frame(i + 1, brood)))).querySelectorAll(
      'path',
    ).length;
    expect(many).toBe(few);
  });

  it('show the queen and the cells where they are', () => {
    const marked = { ...brood, queenSeen: true, cells: [{ kind: 'capped' as const, count: 1 }] };
    const plain = draw(box([frame(1, brood)])).querySelectorAll('circle').length;
    cleanup();
    const container = draw(box([frame(1, marked)]));
    expect(container.querySelectorAll('circle').length).toBe(plain + 2);
    expect(container.querySelector('path[fill="var(--chakra-colors-comb-cell-capped)"]')).toBeTruthy();
  });

  it('leave a frame that was never read as an outline', () => {
    const container = draw(box([frame(1, null)]));
    expect(container.querySelector('path[stroke-dasharray="2 2"]')).toBeTruthy();
    expect(areaOf(container, CONTENT_FILL.honey)).toBe(0);
  });
});

describe('a hive', () => {
  it('shows excluder, partition and whose slots are behind it', () => {
    const container = draw(
      box([frame(1, brood)], { partitionsAfter: [5], othersSlots: [6, 7, 8, 9, 10] }),
      box([], { id: 's', role: 'super', excluderBelow: true }),
    );
    expect(container.querySelector('path[stroke-dasharray="2.5 2"]')).toBeTruthy();
    expect(container.querySelectorAll('rect[fill="var(--chakra-colors-sunk)"]')).toHaveLength(5);
  });

  it('outlines a frame that hangs in a box for another size, and says so in words', () => {
    const boxes = [box([frame(1, brood, { sizeId: 'langstroth-medium' })])];
    const container = draw(...boxes);
    expect(container.querySelector('rect[stroke="var(--chakra-colors-alarm)"]')).toBeTruthy();
    expect(hiveInWords('A', boxes)).toContain('1 hang in a box made for another size');
  });

  it('is as deep as its frames: a shallow super is lower than a deep one, an own size by its measure', () => {
    const height = (sizeId: DrawnBox['sizeId']) => hiveSize([box([], { sizeId })]).height;
    expect(height('langstroth-shallow')).toBeLessThan(height('langstroth-deep'));
    expect(height('own:430x203')).toBeCloseTo(height('langstroth-deep'), 6);
  });

  it('knows where a slot is, and that there is none in a box that is not there', () => {
    const boxes = [box([]), box([], { id: 'upper' })];
    expect(slotPoint(boxes, 'upper', 1)!.top).toBeLessThan(slotPoint(boxes, 'b', 1)!.top);
    expect(slotPoint(boxes, 'b', 2)!.x - slotPoint(boxes, 'b', 1)!.x).toBe(SLAT.pitch);
    expect(slotPoint(boxes, 'none', 1)).toBeUndefined();
  });
});
