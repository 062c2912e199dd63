import { describe, expect, it } from 'vitest';
import { FULL_BOX, methodPlan, withQueen } from '../../testing/methodPlans.ts';

describe('the queen moved with the open brood', () => {
  it('takes open brood and no capped, and leaves one comb with eggs', () => {
    const { stay, fresh, stayed, broken } = methodPlan('open-brood-goes', [FULL_BOX, FULL_BOX]);
    expect(broken).toEqual([]);
    expect(fresh.measure.cappedFrames).toBe(0);
    expect(fresh.measure.openFrames).toBeGreaterThan(4 * stay.measure.openFrames);
    expect(stayed.filter((f) => f.eggsTenths > 0)).toHaveLength(1);
  });

  it('knows where she is when she was seen on open brood, and only then', () => {
    const seen = FULL_BOX.map((c, i) => (i === 3 ? withQueen(c) : c));
    const known = methodPlan('open-brood-goes', [seen, FULL_BOX]);
    expect([known.stay.queen, known.fresh.queen]).toEqual(['elsewhere', 'here']);
    const unknown = methodPlan('open-brood-goes', [FULL_BOX, FULL_BOX]);
    expect([unknown.stay.queen, unknown.fresh.queen]).toEqual(['unknown', 'unknown']);
    expect(unknown.texts).not.toMatch(/Find the queen/);
  });

  // By hand: eggs laid on 9 May make queens on day 16 at the latest, 25 May; a larva of the best age on 21 May, the
  // oldest that serves on 19 May. Eggs older than 3 days have hatched by 13 May, so eggs then prove a queen.
  it('has its days: which part has her, cells, rest, eggs', () => {
    expect(methodPlan('open-brood-goes', [FULL_BOX, FULL_BOX]).looks).toEqual([
      ['bees-stay', '2026-05-10', '2026-05-11'],
      ['rhythm', '2026-05-14', '2026-05-19'],
      ['which-part', '2026-05-13', '2026-05-18'],
      ['surplus-cells', '2026-05-16', '2026-05-18'],
      ['rest', '2026-05-21', '2026-06-04'],
      ['eggs-due', '2026-06-04', '2026-06-11'],
    ]);
  });
});
