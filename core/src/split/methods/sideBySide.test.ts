import { describe, expect, it } from 'vitest';
import { FULL_BOX, methodPlan, withCells, withQueen } from '../../testing/methodPlans.ts';

const swarming = FULL_BOX.map((c, i) => (i === 2 ? withCells(c, 'charged', 3) : i === 4 ? withQueen(c) : c));
const plan = (options = {}) => methodPlan('side-by-side', [swarming, FULL_BOX], options);

describe('side-by-side artificial swarm', () => {
  it('moves the queen with half the brood and no cell, and keeps the cells in the old hive', () => {
    const { stay, fresh, moved, broken } = plan();
    expect(broken).toEqual([]);
    expect([stay.queen, fresh.queen, fresh.distance]).toEqual(['elsewhere', 'here', 'beside']);
    expect(moved.some((f) => f.hasQueen)).toBe(true);
    expect([stay.measure.liveCells, fresh.measure.liveCells]).toEqual([3, 0]);
    expect(Math.abs(stay.measure.broodFrames - fresh.measure.broodFrames)).toBeLessThan(0.7);
  });

  it('loses only half of the bees that fly home, for both entrances stand together', () => {
    const { fresh, moved } = plan();
    const bees = moved.reduce((n, f) => n + f.bees, 0);
    const kept = moved.reduce(
      (n, f) => n + f.bees * (f.stay['same-yard'] + (1 - f.stay['same-yard']) / 2),
      0,
    );
    expect(fresh.measure.framesOfBeesAfterDrift).toBeCloseTo(kept, 9);
    expect(kept).toBeLessThan(bees);
  });

  // By hand: charged cells with a larva of one day on 9 May. Eggs hatch after 3 days, queens are out on day 16:
  // 16 − 3 − 1 = 12 days, 21 May, a day either way. Surplus cells on days 7 to 9, which ends before 20 May.
  // Rest until 14 days after she is out, 4 June; latest first eggs 21 days after, 11 June; cut-off 28 days, 18 June.
  it('has its days: surplus cells, rest, eggs, cut-off', () => {
    expect(plan().looks).toEqual([
      ['surplus-cells', '2026-05-16', '2026-05-18'],
      ['rest', '2026-05-21', '2026-06-04'],
      ['eggs-due', '2026-06-04', '2026-06-11'],
      ['act', '2026-06-18', '2026-06-18'],
      // The queen’s half.
      ['rhythm', '2026-05-15', '2026-05-18'],
    ]);
  });

  it('reserves the cell before any is removed, and shakes bees off before reading for cells', () => {
    const { texts } = plan();
    expect(texts.indexOf('Reserve one open, charged cell')).toBeLessThan(
      texts.indexOf('Remove every other cell'),
    );
    expect(texts).toMatch(/shake the bees off each frame before you read it for cells/);
    expect(texts).toMatch(/that frame is never shaken/);
  });
});
