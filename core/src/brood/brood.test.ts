import { describe, expect, it } from 'vitest';
import { ageAtLossOfCellCappedOn, datesOfChargedCell, DEVELOPMENT } from './developmentClock.ts';

describe('the development clock', () => {
  it('is that of Winston 1987, The Biology of the Honey Bee (values as remembered)', () => {
    expect(DEVELOPMENT.worker.emerges.likely).toBe(21);
    expect(DEVELOPMENT.worker.cellCapped.likely).toBe(9);
    expect(DEVELOPMENT.queen.emerges.likely).toBe(16);
    expect(DEVELOPMENT.queen.cellCapped.likely).toBe(8);
    expect(DEVELOPMENT.drone.emerges.likely).toBe(24);
    for (const caste of ['worker', 'queen', 'drone'] as const) {
      expect(DEVELOPMENT[caste].eggHatches.likely).toBe(3);
    }
  });

  it('dates a cell by its larva: hatched two days ago, capped in 3, out in 11', () => {
    expect(datesOfChargedCell(2)).toEqual({ toCapping: 3, toEmergence: 11 });
  });

  it('tells a cell capped on day 3 (old larva) from one capped on day 5 (new-hatched)', () => {
    expect(ageAtLossOfCellCappedOn(3)).toBe(5);
    expect(ageAtLossOfCellCappedOn(5)).toBe(3);
  });
});
