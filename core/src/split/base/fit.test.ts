import { describe, expect, it } from 'vitest';
import { DEFAULT_HOUSE_RULES } from '../../rules/houseRules.ts';
import { Weighing } from './fit.ts';
import type { Situation } from './situation.ts';

const now: Situation = {
  name: 'Old',
  bees: 10,
  brood: 5,
  stores: 3,
  broodBoxes: 1,
  broodCombs: 7,
  queen: 'found',
  cells: 'none',
  cellCount: 0,
  season: 'build-up',
  dronesFly: true,
  secondYard: false,
  matedQueens: 0,
  ripeCells: 0,
  wantsHoney: false,
  day: '2026-05-15',
  hold: null,
  noRaising: null,
  noMated: null,
  lastForWinterBees: '2026-08-19',
  wanted: 1,
};
const weigh = (change: Partial<Situation> = {}) => new Weighing({ ...now, ...change }, DEFAULT_HOUSE_RULES);

describe('weighing a method up', () => {
  it('begins in the middle and notes only what holds', () => {
    const fit = weigh().good(true, 10, 'a').good(false, 10, 'b').bad(true, 4, 'c').bad(false, 4, 'd').done();
    expect(fit).toEqual({
      score: 56,
      cannot: null,
      reasons: [
        { speaksFor: true, text: 'a' },
        { speaksFor: false, text: 'c' },
      ],
    });
  });

  it('stays between one and a hundred while it can be done', () => {
    expect(weigh().good(true, 90, 'a').done().score).toBe(100);
    expect(weigh().bad(true, 90, 'a').done().score).toBe(1);
  });

  it('is nothing once it is ruled out, and the first reason is kept', () => {
    const fit = weigh().good(true, 40, 'a').never(true, 'first').never(true, 'second').done();
    expect(fit).toMatchObject({ score: 0, cannot: 'first' });
  });

  it.each([
    ['strong enough', 10, 5, 'Strong enough: 10 frames of bees, 5 of brood.'],
    ['a little short of bees', 12, 5, '10 frames of bees, where 12 are wanted.'],
    ['a little short of brood', 10, 6, '5 frames of brood, where 6 are wanted.'],
  ])('says with numbers when it is %s', (_what, bees, brood, text) => {
    const fit = weigh().needs(bees, brood).done();
    expect(fit.cannot).toBeNull();
    expect(fit.reasons.map((r) => r.text)).toContain(text);
  });

  it('rules out what is short by a quarter of the bees', () => {
    // By hand: a quarter of 13.4 is 3.35, and 3.4 are missing; of 13.3 it is 3.325, and 3.3 are.
    expect(weigh().needs(13.4, 5).done().cannot).toMatch(
      /about 13.4 frames of bees and 5 of brood; Old has 10 and 5/,
    );
    expect(weigh().needs(13.3, 5).done().cannot).toBeNull();
  });

  it.each([
    ['in autumn', { season: 'autumn' as const }, /Too late/],
    ['before drones fly', { season: 'early' as const, dronesFly: false }, /No drones yet/],
  ])('does not raise a queen %s', (_when, change, why) => {
    expect(weigh(change).raisesQueen().done().cannot).toMatch(why);
  });

  it('raises none that would lay too late for winter bees, and says both days', () => {
    // By hand: 26 days from eggs to eggs (development clock), 16 from cells; 24 July + 26 days is 19 August.
    const text = (change: object) =>
      weigh({ season: 'dearth', ...change })
        .raisesQueen()
        .done()
        .reasons.map((r) => r.text)
        .join(' ');
    expect(text({ day: '2026-07-24' })).not.toContain('winter bees');
    expect(text({ day: '2026-07-25' })).toContain(
      'lays about Thu 20 Aug; to raise winter bees she must lay by Wed 19 Aug',
    );
    expect(text({ day: '2026-08-03', cells: 'capped' })).not.toContain('winter bees');
    expect(text({ day: '2026-08-04', cells: 'capped' })).toContain('winter bees');
  });

  it('raises one in dearth with a warning, and early when drones fly', () => {
    const dearth = weigh({ season: 'dearth' }).raisesQueen().done();
    expect(dearth.cannot).toBeNull();
    expect(dearth.score).toBeLessThan(50);
    expect(weigh({ season: 'early', dronesFly: true }).raisesQueen().done().cannot).toBeNull();
  });
});
