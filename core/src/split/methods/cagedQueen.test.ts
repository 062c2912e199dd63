import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { FULL_BOX, methodPlan, withQueen } from '../../testing/methodPlans.ts';

const seen = FULL_BOX.map((c, i) => (i === 3 ? withQueen(c) : c));
const plan = (options = {}) => methodPlan('caged-queen', [seen, FULL_BOX], options);

describe('split with a caged mated queen', () => {
  it('takes capped brood without eggs, so that no rival is raised, and leaves the old queen', () => {
    const { stay, fresh, moved, broken } = plan();
    expect(broken).toEqual([]);
    expect(moved.some((f) => f.hasQueen)).toBe(false);
    expect(fresh.measure.cappedFrames / fresh.measure.broodFrames).toBeGreaterThan(0.8);
    expect(fresh.measure.eggsTenths).toBe(0);
    expect([stay.queen, fresh.queen]).toEqual(['here', 'here']);
  });

  it('takes emerging combs before capped ones', () => {
    const emerging = {
      ...FULL_BOX[1]!,
      sides: bothSides({ emerging: 6, beeBread: 1, honey: 2, drawn: 1 }, 9).sides,
    };
    const { moved } = methodPlan('caged-queen', [
      seen,
      FULL_BOX.map((c, i) => (i === 4 || i === 6 ? emerging : c)),
    ]);
    const brood = moved.filter((f) => f.brood > 0.3);
    expect(brood.length).toBeGreaterThanOrEqual(2);
    expect(brood.filter((f) => f.warmed < 0.5 * f.brood).length).toBe(2);
  });

  it('is a full box of four or five combs when that is asked', () => {
    const { moved, body, broken } = plan({ size: 'full' });
    expect(broken).toEqual([]);
    // Those of brood, and a comb of food beside them: nothing flies in for days.
    const brood = moved.filter((f) => f.brood >= 0.25);
    expect(brood.length).toBeGreaterThanOrEqual(4);
    expect(brood.length).toBeLessThanOrEqual(6);
    expect(moved.length - brood.length).toBeGreaterThanOrEqual(1);
    expect(moved.length).toBeLessThanOrEqual(7);
    expect(body.newHives[0]?.boxes).toMatchObject([{ from: 'kit', slots: 10 }]);
    expect(body.kit.map((k) => k.what)).toContain('floor');
  });

  it('asks more of the donor in dearth', () => {
    const floor = (season: string) =>
      plan({ season }).body.ledger.find((l) => l.id === 'donor-floor')?.threshold;
    expect(floor('dearth')).toBeGreaterThan(floor('build-up') ?? 99);
  });

  // By hand: set in on 9 May; let out on the third to fifth day, 12 to 14 May; eggs after about a week more.
  it('has its days: cage on day 3 to 5, eggs, the donor lays on; no month of rest', () => {
    expect(plan().looks).toEqual([
      ['bees-stay', '2026-05-10', '2026-05-11'],
      ['act', '2026-05-12', '2026-05-14'],
      ['rhythm', '2026-05-17', '2026-05-21'],
      ['rhythm', '2026-05-16', '2026-05-23'],
    ]);
  });

  it('lets her out as it was chosen', () => {
    expect(plan({ release: 'hand' }).texts).toMatch(/let out on day 3 or 4/);
    expect(plan().texts).toMatch(/Candy end up/);
  });

  it('does not move the record of the old queen when the work is done', () => {
    const { yard, command } = plan();
    const colonyId = yard.colony('Old').id;
    const queenId = yard.newId();
    yard.apiary = {
      ...yard.apiary,
      queen: {
        [queenId]: {
          id: queenId,
          name: 'Old queen',
          birthYear: 2025,
          dot: null,
          whereabouts: { known: 'colony', colonyId },
        } as never,
      },
    };
    yard.run(command);
    for (const step of command.steps) {
      yard.tick(step.id, command.work.day);
    }
    expect(yard.apiary.work[command.work.id]?.status).toBe('done');
    expect(yard.apiary.queen[queenId]?.whereabouts).toEqual({ known: 'colony', colonyId });
  });
});
