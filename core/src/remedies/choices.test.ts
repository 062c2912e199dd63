import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { colonyState } from '../colony/colonyState.ts';
import { METHOD_DAY, FULL_BOX, withQueen } from '../testing/methodPlans.ts';
import { TestYard } from '../testing/builders.ts';
import { FULL_OF_BROOD, NO_NURSES, WEAK_DAY, WeakYard } from '../testing/weakYard.ts';
import { compareChoices, type ChoiceId } from './choices.ts';

const MILD = { coldNights: false };

function compared(yard: TestYard, name: string, day: string, days = 60) {
  const choices = compareChoices(yard.apiary, yard.colony(name), day, MILD, days, yard.newId);
  return { choices, of: (id: ChoiceId) => choices.find((c) => c.id === id) };
}

describe('choices for a strong colony', () => {
  const yard = () => {
    const made = new TestYard();
    made.hive('Old', [FULL_BOX.map((c, i) => (i === 4 ? withQueen(c) : c)), FULL_BOX], METHOD_DAY);
    return made;
  };

  it('begin with what the board shows today, and each goes its own way', () => {
    const made = yard();
    const { choices, of } = compared(made, 'Old', METHOD_DAY);
    expect(choices.map((c) => c.id)).toEqual(
      expect.arrayContaining(['leave', 'feed', 'split-now', 'split-later']),
    );
    const today = colonyState(made.apiary, made.colony('Old'), METHOD_DAY).strength.framesOfBees.likely;
    for (const c of [of('leave'), of('feed'), of('split-later')])
      expect(c?.parts[0]?.days[0]?.bees).toBeCloseTo(today, 6);
    expect(of('split-now')?.parts).toHaveLength(2);
    const whole = of('split-now')?.parts.reduce((n, p) => n + (p.days[0]?.bees ?? 0), 0) ?? 0;
    expect(whole).toBeCloseTo(today, 1);
  });

  it('feeding changes food and nothing of today’s bees', () => {
    const { of } = compared(yard(), 'Old', METHOD_DAY);
    const [fed, left] = [of('feed')!.parts[0]!.days, of('leave')!.parts[0]!.days];
    expect(fed[0]!.foodKg - left[0]!.foodKg).toBeCloseTo(5, 6);
    expect(fed[0]!.bees).toBeCloseTo(left[0]!.bees, 9);
    expect(fed[20]!.foodKg).toBeGreaterThan(left[20]!.foodKg);
  });

  it('say of a new part nothing that shows before the field bees are home, nor that a part without a queen may be split', () => {
    const { parts } = compared(yard(), 'Old', METHOD_DAY, 70).of('split-now')!;
    const settled = addDays(METHOD_DAY, 2);
    for (const { milestones: m } of parts)
      for (const day of [m.full, m.super, m.split, m.foodEnds])
        expect(day === null || day >= settled).toBe(true);
    const raising = parts.find((p) => p.raises)!;
    // She lays about 25 days after the split at the soonest: day 12 she is out, two weeks later she lays.
    expect(raising.milestones.split === null || raising.milestones.split >= addDays(METHOD_DAY, 20)).toBe(
      true,
    );
  });

  it('a split in two weeks is one colony until then, and two afterwards', () => {
    const { of } = compared(yard(), 'Old', METHOD_DAY);
    const later = of('split-later')!;
    const day = addDays(METHOD_DAY, 14);
    const stays = later.parts.find((p) => p.days[0]!.day === METHOD_DAY)!;
    const fresh = later.parts.find((p) => p.days[0]!.day === day)!;
    const before = of('leave')!.parts[0]!.days;
    expect(stays.days.slice(0, 14)).toEqual(before.slice(0, 14));
    expect(stays.days[16]!.bees).toBeLessThan(before[16]!.bees);
    expect(fresh.days.at(-1)!.day).toBe(stays.days.at(-1)!.day);
  });

  it('the part that raises its queen dwindles before it grows, and reaches less than the one that has her', () => {
    const parts = compared(yard(), 'Old', METHOD_DAY, 70).of('split-now')!.parts;
    const raising = parts.find((p) => p.raises)!;
    const bees = raising.days.map((d) => d.bees);
    const lowest = Math.min(...bees.slice(10));
    expect(bees.indexOf(lowest)).toBeGreaterThan(25);
    expect(raising.days[15]!.brood).toBeLessThan(raising.days[0]!.brood);
  });

  it('says when it is full, can be split, and how strong it is at flow and frost', () => {
    const { full, split, atFlow, atFrost } = compared(yard(), 'Old', METHOD_DAY, 170).of('leave')!.parts[0]!
      .milestones;
    expect(full).not.toBeNull();
    expect(split).toBe(METHOD_DAY);
    expect(atFlow).toBeGreaterThan(15);
    expect(atFrost?.enough).toBe(true);
  });
});

describe('choices for a weak colony', () => {
  it('a boost with nurses makes it stronger at the end, and the donor is shown to pay for it', () => {
    const { of } = compared(new WeakYard(NO_NURSES), 'Nettle', WEAK_DAY);
    const at = (id: ChoiceId, name: string) =>
      of(id)
        ?.parts.find((p) => p.name === name)
        ?.days.at(-1)?.bees ?? NaN;
    expect(at('boost-nurses', 'Nettle')).toBeGreaterThan(at('leave', 'Nettle'));
    expect(of('boost-nurses')?.parts.length).toBe(2);
  });

  it('united it is one colony, stronger than either', () => {
    const yard = new WeakYard(FULL_OF_BROOD);
    const { of } = compared(yard, 'Nettle', WEAK_DAY);
    expect(of('combine')?.parts).toHaveLength(1);
    expect(of('combine')!.parts[0]!.days[3]!.bees).toBeGreaterThan(of('leave')!.parts[0]!.days[3]!.bees);
  });

  it('of a colony that nobody has counted nothing is said', () => {
    const yard = new WeakYard(NO_NURSES);
    yard.apiary = {
      ...yard.apiary,
      frame: Object.fromEntries(
        Object.entries(yard.apiary.frame).map(([id, f]) => [id, { ...f, readingId: null }]),
      ),
    };
    expect(compared(yard, 'Nettle', WEAK_DAY).choices).toEqual([]);
  });
});
