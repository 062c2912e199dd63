import { describe, expect, it } from 'vitest';
import { NO_CARE, type Frame } from '../../records/records.ts';
import { broughtBox } from '../methods/broughtBox.ts';
import { donorFrames } from '../methods/donorFrames.ts';
import type { Setup } from '../base/method.ts';
import { TestYard } from '../../testing/builders.ts';
import { COMBS, METHOD_DAY } from '../../testing/methodPlans.ts';
import { prepareDonor } from '../base/donor.ts';
import { layOut } from './layOut.ts';

const { honey, young, capped, drawn } = COMBS;
const NEW_BOX = '00000000-0000-4000-8000-0000000000ff';

function laid(goes: readonly number[], store: readonly ('drawn' | 'foundation')[] = [], slots = 5) {
  const yard = new TestYard();
  const colony = yard.hive('Old', [[honey, young, capped, young, capped, drawn, honey]]);
  const prepared = prepareDonor(yard.apiary, colony, METHOD_DAY);
  if (!prepared.ok) throw new Error('not prepared');
  const { donor } = prepared.value;
  const setup = broughtBox(donorFrames(donor), slots) as Setup;
  const choice = { part: donor.frames.map((_, i): 0 | 1 => (goes.includes(i) ? 1 : 0)), shaken: [] };
  const frames = store.map((blank, i): Frame => ({
    id: `00000000-0000-4000-8000-0000000001${String(i).padStart(2, '0')}`,
    sizeId: 'langstroth-deep',
    blank,
    combYear: null,
    place: 'store',
    boxId: null,
    slot: null,
    readingId: null,
    care: NO_CARE,
  }));
  return {
    donor,
    ...layOut({
      donor,
      setup,
      choice,
      store: frames,
      newBoxId: NEW_BOX,
      hung: new Map(),
      newName: 'New',
      strength: [
        { bees: 8, capped: 2 },
        { bees: 4, capped: 1 },
      ],
      cool: false,
    }),
  };
}

describe('frames in their slots', () => {
  it('are each in one slot, and none is lost', () => {
    const { donor, slots } = laid([1, 2, 6]);
    const ids = [...slots[0], ...slots[1]].map((s) => s.frameId);
    expect(ids.toSorted()).toEqual(donor.frames.map((f) => f.id).toSorted());
    expect(new Set([...slots[0], ...slots[1]].map((s) => `${s.boxId}/${s.slot}`)).size).toBe(ids.length);
  });

  it('of the new box lie together, brood beside brood', () => {
    const { donor, slots } = laid([0, 1, 2]);
    const kinds = slots[1]
      .toSorted((a, b) => a.slot - b.slot)
      .map((s) => ((donor.frames.find((f) => f.id === s.frameId)?.brood ?? 0) > 0.3 ? 'brood' : 'food'))
      .join(' ');
    expect(kinds).toMatch(/^(food )?brood brood( food)?$/);
  });

  it('that stay are not lifted for nothing', () => {
    const { moves } = laid([6]);
    expect(moves.filter((m) => m.planned.toPart === 0 && m.fromBoxId !== null)).toEqual([]);
  });

  it('are filled up from the store, drawn comb first, the new part first', () => {
    const { moves, unfilled } = laid([1, 2], ['foundation', 'drawn', 'drawn']);
    const filled = moves.filter((m) => m.planned.frame === null);
    expect(filled).toHaveLength(3);
    expect(filled.map((m) => m.toBoxId)).toEqual([NEW_BOX, NEW_BOX, NEW_BOX]);
    // Ten slots in the old box with five combs left, five in the new with two: eight are free, three are filled.
    expect(unfilled).toBe(5);
  });

  it('say how many stay free when the store is empty', () => {
    const { unfilled, moves } = laid([1, 2, 3]);
    expect(moves.filter((m) => m.planned.frame === null)).toEqual([]);
    // Four of ten are taken in the old box and three of five in the new.
    expect(unfilled).toBe(6 + 2);
  });

  it('are named by where they come from and where they go', () => {
    const { moves } = laid([1]);
    const carried = moves.find((m) => m.toBoxId === NEW_BOX);
    expect(carried?.planned.toLabel).toMatch(/^New, slot \d$/);
    expect(carried?.planned.fromLabel).toMatch(/frame 2$/);
  });
});
