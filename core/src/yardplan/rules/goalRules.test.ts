import { describe, expect, it } from 'vitest';
import { honeyKgPerFrame } from '../../comb/densities.ts';
import { DEFAULT_HOUSE_RULES as RULES } from '../../rules/houseRules.ts';
import { fiveFrames } from '../../testing/yardRequests.ts';
import { wishesOf, type GoalContext, type GoalUnit } from './goalRules.ts';
import { AT, noMeasures, type Measure, type Measured } from './measures.ts';
import type { YardGoal } from '../../records/bodies/request.ts';
import { lineOf, missingOf } from './unitRule.ts';

const measured = (of: Partial<Record<Measure, number>>): Measured => {
  const m = noMeasures();
  for (const [measure, n] of Object.entries(of)) m[AT[measure as Measure]] = n;
  return m;
};
const unit = (of: Partial<Record<Measure, number>>, lane = 'even'): GoalUnit => ({
  key: 'a',
  colonyId: 'a',
  before: measured(of),
  slots: 10,
  lane,
});
const context: GoalContext = {
  rules: RULES,
  reference: 'langstroth-deep',
  day: '2026-05-15',
  season: 'build-up',
  slotsOfBoxes: (_id, boxes) => boxes * 10,
  beesAhead: () => ({ alone: 4.5, ofBees: 0.7, ofCapped: 2.2 }),
  mean: measured({ brood: 4, capped: 2.5 }),
};
const wishes = (goal: YardGoal, u: GoalUnit) => wishesOf(goal, u, context);
const base = { id: 'g', importance: 2 } as const;

describe('the wishes of a goal', () => {
  it('to make nucs or to unite are none of a single colony', () => {
    expect(wishes({ ...base, kind: 'makeNucs', count: 1, recipe: fiveFrames() }, unit({}))).toEqual([]);
    expect(wishes({ ...base, kind: 'unite', fromId: 'a', intoId: 'b' }, unit({}))).toEqual([]);
  });

  it('to level are a band about the mean; to be below it matters more than to be above', () => {
    const [up, down] = wishes({ ...base, kind: 'level', by: 'capped' }, unit({ capped: 2.5 }));
    expect(up).toMatchObject({ sense: 'atLeast', threshold: 2.5 - RULES.levelWithin });
    expect(down).toMatchObject({ sense: 'atMost', threshold: 2.5 + RULES.levelWithin });
    expect(up?.price).toBeGreaterThan(down?.price ?? Infinity);
    expect(up?.hard).toBe(false);
  });

  it('weigh by how much the goal matters', () => {
    const price = (importance: number) =>
      wishes({ ...base, kind: 'level', by: 'brood', importance }, unit({}))[0]?.price ?? 0;
    expect(price(1)).toBeLessThan(price(2));
    expect(price(2)).toBeLessThan(price(3));
  });

  it('to raise the weak are those of weak colonies only, unless they are named', () => {
    const raise = (colonyIds: string[]): YardGoal => ({
      ...base,
      kind: 'raise',
      colonyIds,
      by: 'brood',
      targetFrames: 3,
      onDay: '2026-05-15',
    });
    expect(wishes(raise([]), unit({}, 'weak'))).toHaveLength(1);
    expect(wishes(raise([]), unit({}, 'even'))).toEqual([]);
    expect(wishes(raise(['a']), unit({}, 'even'))).toHaveLength(1);
    expect(wishes(raise(['b']), unit({}, 'weak'))).toEqual([]);
  });

  it('for bees by a day are the forecast, with what comes and goes weighed by what becomes of it', () => {
    const u = unit({ bees: 3, capped: 1 });
    const inDays = (onDay: string) =>
      wishes({ ...base, kind: 'raise', colonyIds: ['a'], by: 'bees', targetFrames: 6, onDay }, u)[0]!;
    // On the day of the work a frame of bees is one, and capped brood none yet; a day that is over is today.
    expect(missingOf(inDays('2026-05-15'), u.before)).toBeCloseTo(3, 6);
    expect(missingOf(inDays('2026-05-01'), u.before)).toBeCloseTo(3, 6);
    const rule = inDays('2026-05-27');
    expect(rule.label).toBe('Bees in 12 days');
    // Left alone it has the forecast of the context, 4.5 frames; with one more of bees and of capped brood 0.7 and 2.2 more.
    expect(missingOf(rule, u.before)).toBeCloseTo(1.5, 6);
    expect(missingOf(rule, measured({ bees: 4, capped: 1 }))).toBeCloseTo(0.8, 6);
    expect(missingOf(rule, measured({ bees: 3, capped: 1.5 }))).toBeCloseTo(0.4, 6);
    expect(lineOf(rule, u.before, 'A')).toMatchObject({ value: 4.5, threshold: 6 });
  });

  it('to calm are less brood than its slots would hold, and room', () => {
    const [brood, room] = wishes({ ...base, kind: 'calm', colonyIds: ['a'] }, unit({ brood: 8 }));
    expect(brood).toMatchObject({ sense: 'atMost', threshold: RULES.calmBroodShare * 10 });
    expect(room).toMatchObject({ sense: 'atLeast', threshold: RULES.roomToLay });
    expect(wishes({ ...base, kind: 'calm', colonyIds: ['b'] }, unit({}))).toEqual([]);
  });

  it('to free nests find the honey-bound ones by themselves', () => {
    const all: YardGoal = { ...base, kind: 'relieve', colonyIds: [] };
    expect(wishes(all, unit({ stores: 6, room: 0.4 }))).toHaveLength(1);
    expect(wishes(all, unit({ stores: 6, room: 3 }))).toEqual([]);
    expect(wishes(all, unit({ stores: 2, room: 0.4 }))).toEqual([]);
    expect(wishes({ ...all, colonyIds: ['a'] }, unit({ stores: 1, room: 5 }))).toHaveLength(1);
  });

  it('to shrink are so many frames as the boxes that stay will hold', () => {
    const [slots] = wishes({ ...base, kind: 'shrink', colonyId: 'a', boxes: 1 }, unit({ frames: 18 }));
    expect(slots).toMatchObject({ sense: 'atMost', threshold: 10 });
    expect(missingOf(slots!, measured({ frames: 12 }))).toBe(2);
  });

  it('to provision turn kilograms into combs of honey', () => {
    const [stores] = wishes({ ...base, kind: 'provision', colonyIds: [], storesKg: 12 }, unit({}));
    expect(stores?.threshold).toBeCloseTo(12 / honeyKgPerFrame('langstroth-deep').likely, 6);
  });

  it('to hive up are two frames of honey more than it has', () => {
    const goal: YardGoal = { ...base, kind: 'hiveUp', colonyId: 'a', slots: 10 };
    expect(wishes(goal, unit({ stores: 1.5 }))[0]?.threshold).toBe(1.5 + RULES.hiveUpStores);
    expect(wishes({ ...goal, colonyId: 'b' }, unit({}))).toEqual([]);
  });

  it('say what is missing in words with the number', () => {
    const [room] = wishes({ ...base, kind: 'relieve', colonyIds: ['a'] }, unit({ room: 0.5 }));
    expect(room?.mend('1.5')).toBe('Short by 1.5 frames of empty comb: put more into the store.');
  });
});
