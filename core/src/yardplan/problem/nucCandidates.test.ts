import { describe, expect, it } from 'vitest';
import { DEFAULT_HOUSE_RULES } from '../../rules/houseRules.ts';
import { fiveFrames, nucs } from '../../testing/yardRequests.ts';
import { AT, noMeasures } from '../rules/measures.ts';
import { nucCandidates, nucKey } from './nucCandidates.ts';
import { newYardPlanRequest, type YardGoal } from '../../records/bodies/request.ts';

const YARD = '00000000-0000-4000-8000-00000000000a';
const OTHER = '00000000-0000-4000-8000-00000000000b';
const unit = (yardId: string) => ({ yardId, sizeId: 'langstroth-deep' as const });

function measured(bees: number, brood: number, combs: number, queens = 1) {
  const m = noMeasures();
  m[AT.bees] = bees;
  m[AT.brood] = brood;
  m[AT.broodCombs] = combs;
  m[AT.queens] = queens;
  return m;
}
const candidates = (goals: YardGoal[], given: readonly (readonly [string, ReturnType<typeof measured>])[]) =>
  nucCandidates(
    { ...newYardPlanRequest([YARD, OTHER], '2026-05-15'), goals },
    given.map(([y], i) => ({ key: `c${i}`, ...unit(y) })),
    given.map(([, m]) => m),
    DEFAULT_HOUSE_RULES,
  );

describe('nucs that may be made', () => {
  it('are as many as asked for, where there is enough', () => {
    const made = candidates([nucs(2)], [[YARD, measured(30, 15, 20)]]);
    expect(made.map((n) => n.key)).toEqual([nucKey('nucs', YARD, 1), nucKey('nucs', YARD, 2)]);
    expect(made.map((n) => n.name)).toEqual(['Nuc 1', 'Nuc 2']);
    expect(made[0]?.boxes[0]?.ownSlots).toEqual([1, 2, 3, 4, 5]);
  });

  // By hand: combs with brood 7, of which a nuc takes two: three at most, whatever the bees.
  it('are bounded by the combs with brood', () => {
    expect(candidates([nucs(null)], [[YARD, measured(60, 30, 7)]])).toHaveLength(3);
  });

  it('are bounded by the bees above what each colony must keep', () => {
    const { weakBees, minBeesNewPart } = DEFAULT_HOUSE_RULES;
    const bees = weakBees + 2 * minBeesNewPart + 0.1;
    expect(candidates([nucs(null)], [[YARD, measured(bees, 30, 40)]])).toHaveLength(2);
    // Two weak colonies do not add up to a giver.
    const weak = measured(weakBees, 30, 40);
    expect(
      candidates(
        [nucs(null)],
        [
          [YARD, weak],
          [YARD, weak],
        ],
      ),
    ).toHaveLength(0);
  });

  it('are bounded by the queens where each takes an old one along', () => {
    const goal = nucs(null, fiveFrames({ queen: 'old-queen' }));
    expect(
      candidates(
        [goal],
        [
          [YARD, measured(60, 30, 40)],
          [YARD, measured(60, 30, 40, 0)],
        ],
      ),
    ).toHaveLength(1);
  });

  it('are reckoned yard by yard, for frames do not travel', () => {
    const strong = measured(30, 15, 20);
    const made = candidates(
      [nucs(2)],
      [
        [YARD, strong],
        [OTHER, strong],
      ],
    );
    expect(new Set(made.map((n) => n.yardId))).toEqual(new Set([YARD, OTHER]));
    expect(made).toHaveLength(4);
  });

  it('are none of another frame size', () => {
    expect(candidates([nucs(2, fiveFrames({ sizeId: 'zander' }))], [[YARD, measured(30, 15, 20)]])).toEqual(
      [],
    );
  });

  it('are none for goals that make none', () => {
    expect(
      candidates([{ id: 'l', kind: 'level', by: 'brood', importance: 2 }], [[YARD, measured(30, 15, 20)]]),
    ).toEqual([]);
  });
});
