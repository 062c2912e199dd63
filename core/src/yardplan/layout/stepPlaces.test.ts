import { describe, expect, it } from 'vitest';
import { slidesInWords, slotsInWords } from './stepPlaces.ts';

const box = (id: string, name: string) => ({
  id,
  name,
  sizeId: 'langstroth-deep' as const,
  slots: 10,
  role: 'brood' as const,
  excluderBelow: false,
  ownSlots: [1, 2, 3],
});
const two = { boxes: [box('a', 'lower box'), box('b', 'upper box')] };
const one = { boxes: [box('a', 'box')] };
const to = (boxId: string, slot: number) => ({ from: null, to: { boxId, slot } });

describe('places in steps', () => {
  it('name the box where a unit has several: slot 8 of which?', () => {
    expect(slotsInWords([to('a', 8), to('b', 8), to('a', 2)], two)).toBe(
      'Lower box: slots 2, 8. Upper box: slot 8.',
    );
    expect(slotsInWords([to('a', 5), to('a', 2)], one)).toBe('Slots 2, 5.');
  });

  it('name the box once where a frame stays in it, and both where it changes', () => {
    const slide = { from: { boxId: 'a', slot: 3 }, to: { boxId: 'a', slot: 6 } };
    const up = { from: { boxId: 'a', slot: 3 }, to: { boxId: 'b', slot: 6 } };
    expect(slidesInWords([slide, up], two)).toBe(
      'Lower box, frame 3 → slot 6; Lower box, frame 3 → upper box, slot 6',
    );
    expect(slidesInWords([slide], one)).toBe('Frame 3 → slot 6');
  });
});
