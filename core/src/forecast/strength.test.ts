import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { stayShare, temperOf } from '../brood/drift.ts';
import { DEFAULT_HOUSE_RULES, stayShares } from '../rules/houseRules.ts';
import { colourClash, markingColour } from '../records/bodies/markingColour.ts';
import { strengthOf } from './strength.ts';

describe('strength', () => {
  const half = bothSides({ honey: 2, capped: 4, eggs: 1, drawn: 3 }, 5);

  it('adds up frames by hand: four half-covered deeps are two frames of bees and two of brood', () => {
    const nest = [1, 2, 3, 4].map((i) => ({
      id: String(i),
      size: 'langstroth-deep' as const,
      reading: half,
    }));
    const s = strengthOf(nest, 'langstroth-deep');
    expect(s.framesOfBees.likely).toBeCloseTo(2, 9);
    expect(s.broodFrames.likely).toBeCloseTo(2, 9);
    expect(s.storesFrames).toBeCloseTo(0.8, 9);
    // 2 frames × 1,760 cm² × 1.25 (Imdorf et al. 1987), less the reading error.
    expect(s.bees.low).toBeCloseTo(2 * 1760 * 1.25 * 0.85, 6);
    expect(s.framesOfBees.low).toBeLessThan(2);
    expect(s.framesOfBees.high).toBeGreaterThan(2);
  });

  it('brings other sizes to the reference by area', () => {
    const medium = [{ id: 'm', size: 'langstroth-medium' as const, reading: bothSides({ capped: 10 }, 10) }];
    expect(strengthOf(medium, 'langstroth-deep').broodFrames.likely).toBeCloseTo(585 / 880, 9);
    expect(strengthOf(medium, 'langstroth-medium').broodFrames.likely).toBeCloseTo(1, 9);
  });
});

describe('drift (shares: common practice, no source)', () => {
  const shares = stayShares(DEFAULT_HOUSE_RULES);
  const open = bothSides({ open: 6, capped: 2, drawn: 2 }, 8);
  const capped = bothSides({ capped: 7, honey: 3 }, 8);
  const honey = bothSides({ honey: 9, capped: 1 }, 8);

  it('knows nurses by open brood', () => {
    expect([open, capped, honey].map(temperOf)).toEqual(['open-brood', 'capped-brood', 'stores']);
  });

  it('keeps 0.65 / 0.5 / 0.35 in the same yard and 0.95 away', () => {
    expect([open, capped, honey].map((r) => stayShare(r, 'same-yard', shares))).toEqual([0.65, 0.5, 0.35]);
    expect([open, capped, honey].map((r) => stayShare(r, 'away', shares))).toEqual([0.95, 0.95, 0.95]);
  });
});

describe('marking colours (international convention)', () => {
  it('goes by the last digit of the birth year', () => {
    const years = [2020, 2021, 2022, 2023, 2024, 2025, 2026, 2027, 2028, 2029];
    expect(years.map(markingColour)).toEqual([
      'blue',
      'white',
      'yellow',
      'red',
      'green',
      'blue',
      'white',
      'yellow',
      'red',
      'green',
    ]);
  });

  it('flags a green dot on a queen of 2026 and leaves her year alone', () => {
    expect(colourClash(2026, 'green')).toEqual({ worn: 'green', byYear: 'white' });
    expect(colourClash(2026, 'white')).toBeUndefined();
    expect(colourClash(null, 'green')).toBeUndefined();
  });
});
