import { describe, expect, it } from 'vitest';
import type { FrameReading } from '../../comb/contents.ts';
import { prepareDonor } from '../base/donor.ts';
import { TestYard } from '../../testing/builders.ts';
import { COMBS, METHOD_DAY, withCells, withQueen } from '../../testing/methodPlans.ts';
import { broughtBox, datedByCells, datedBySplit } from './broughtBox.ts';
import { donorFrames, queenFrameCanGo } from './donorFrames.ts';
import type { MethodInput } from '../base/method.ts';

const { honey, young, capped } = COMBS;

function donorOf(combs: readonly FrameReading[]) {
  const yard = new TestYard();
  const colony = yard.hive('Old', [combs]);
  const prepared = prepareDonor(yard.apiary, colony, METHOD_DAY);
  if (!prepared.ok) throw new Error('not prepared');
  return prepared.value.donor;
}
const input = (combs: readonly FrameReading[]) => ({ donor: donorOf(combs), day: METHOD_DAY }) as MethodInput;

describe('frames of a donor', () => {
  it('are free unless they carry the queen or a live cell', () => {
    const frames = donorFrames(donorOf([honey, withQueen(young), withCells(young, 'charged', 1), capped]));
    expect(frames.queenAt).toBe(1);
    expect(frames.hasCells).toBe(true);
    expect(frames.free).toEqual([0, 3]);
  });

  it('are shaken only where there is open brood', () => {
    const frames = donorFrames(donorOf([honey, young, capped, withQueen(young)]));
    expect(frames.shakable).toEqual([1]);
  });

  it('without a queen seen say so', () => {
    const donor = donorOf([honey, young]);
    const frames = donorFrames(donor);
    expect(frames.queenAt).toBe(-1);
    expect(queenFrameCanGo(donor, frames)).toBe(false);
  });

  it('let the queen go on her frame, unless it has a cell', () => {
    const clear = donorOf([honey, withQueen(young)]);
    expect(queenFrameCanGo(clear, donorFrames(clear))).toBe(true);
    const bad = donorOf([honey, withQueen(withCells(young, 'capped', 1))]);
    expect(queenFrameCanGo(bad, donorFrames(bad))).toBe(false);
  });
});

describe('a box that is brought', () => {
  it('begins empty, or with the queen on her frame', () => {
    const frames = donorFrames(donorOf([honey, withQueen(young), capped]));
    expect(broughtBox(frames, 5).start.part).toEqual([0, 0, 0]);
    const withHer = broughtBox(frames, 5, true);
    expect(withHer.start.part).toEqual([0, 1, 0]);
    expect(withHer).toMatchObject({
      restingPart: [0, 0, 0],
      newPart: { min: 1, max: 5 },
      broughtBox: { sizeId: 'langstroth-deep', slots: 5 },
      boxesThatMove: [],
    });
  });

  // By hand: a larva of one day on 9 May is egg age 4; queens are out on day 16, so on 21 May.
  it('has its queen dated by the cells that are there', () => {
    const combs = [honey, withCells(young, 'charged', 2)];
    const given = input(combs);
    const dated = datedByCells(given, donorFrames(given.donor));
    expect(dated).toMatchObject({ fromCells: true, emergence: { likely: '2026-05-21' } });
    expect(datedBySplit(given)).toMatchObject({ fromCells: false, emergence: { earliest: '2026-05-19' } });
  });

  it('is dated by the split where there are none', () => {
    const given = input([honey, young]);
    expect(datedByCells(given, donorFrames(given.donor))).toEqual(datedBySplit(given));
  });
});
