import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { newOperation } from '../records/records.ts';
import { calendarOf, phaseAt, SEASON_PHASES, seasonOfDay } from '../season/season.ts';
import { CLIMATES } from '../season/climates.ts';
import { problemsOfSeason } from '../season/problemsOfSeason.ts';
import { pullOf, winterBeesAmongAdults } from '../season/colonyYear.ts';
import { TestYard } from '../testing/builders.ts';
import { conditionsAt } from './colonyOn.ts';
import { seasonSigns } from './seasonSigns.ts';
import { seasonOfYard, yardSeason } from './yardSeason.ts';

describe('the calendar of a yard (presets are our estimates, no published source)', () => {
  it.each(CLIMATES)(
    'of a %s climate is in order, has every part of the year, and turns over at midwinter',
    (climate) => {
      const calendar = calendarOf(climate);
      expect(problemsOfSeason({ climate, moved: {}, flows: [] }, [])).toEqual([]);
      const phases = new Set(Array.from({ length: 365 }, (_, at) => phaseAt(calendar, at)));
      expect([...phases].toSorted()).toEqual([...SEASON_PHASES].toSorted());
    },
  );

  it('is half a year later in the south', () => {
    const north = seasonOfDay(calendarOf('temperate'), 'north', '2026-05-15');
    const south = seasonOfDay(calendarOf('temperate'), 'south', '2026-05-15');
    expect(north.days['main-flow']).toBe('2026-06-01');
    expect(south.days['main-flow']).toBe('2025-11-30');
    expect(south.days['first-frost']).toBe('2026-04-14');
  });

  it('rests on the house rule for the first frost until a yard has a year of its own', () => {
    const yard = new TestYard();
    const here = () => yard.apiary.yard[yard.yardId];
    expect(yardSeason(yard.apiary, '2026-05-15', here()).frost).toBe('2026-10-14');
    yard.run({
      type: 'editYard',
      yardId: yard.yardId,
      season: { climate: 'continental', moved: { 'first-frost': 280 }, flows: [] },
    });
    expect(yardSeason(yard.apiary, '2026-05-15', here()).frost).toBe('2026-09-27');
    // After it the next one is meant.
    expect(yardSeason(yard.apiary, '2026-10-15', here()).frost).toBe('2027-09-27');
    const south = { ...yard.apiary, operation: { x: newOperation('x', 'S', { hemisphere: 'south' }) } };
    expect(seasonOfYard(south, here(), '2026-05-15').days['first-frost']).toBe('2026-03-28');
  });

  it('refuses a main flow that ends before it begins, and a flow that runs backwards', () => {
    const yard = new TestYard();
    expect(
      yard.refused({
        type: 'editYard',
        yardId: yard.yardId,
        season: {
          climate: 'temperate',
          moved: { 'main-flow-end': 150 },
          flows: [{ from: '2026-05-10', to: '2026-05-01', by: 'keeper', kgPerDay: null }],
        },
      }),
    ).toEqual(['season-order at season.moved.main-flow-end', 'window-reversed at season.flows.0']);
  });

  it('says what each day brings: no brood in winter, most at the main flow, a flow only when it is said', () => {
    const yard = new TestYard();
    const on = () => conditionsAt(yard.apiary, yard.apiary.yard[yard.yardId]);
    expect(on()('2026-01-10')).toMatchObject({ laying: 0, cluster: true, pollen: false });
    expect(on()('2026-06-01')).toMatchObject({ laying: 1, cluster: false, flow: false });
    expect(on()('2026-05-05').flow).toBe(false);
    yard.flow('2026-05-01', 0.8);
    const ends = {
      type: 'noteFlow',
      yardId: yard.yardId,
      what: 'ends',
      by: 'keeper',
      kgPerDay: null,
    } as const;
    yard.run({ ...ends, day: '2026-05-08' });
    expect(on()('2026-05-05').gathersKg).toBe(0.8);
    expect(on()('2026-05-05').flow).toBe(true);
    expect(on()('2026-05-09').flow).toBe(false);
  });

  it('has winter bees in winter and none in summer', () => {
    const calendar = calendarOf('temperate');
    expect(winterBeesAmongAdults(calendar, 10)).toBe(1);
    expect(winterBeesAmongAdults(calendar, 180)).toBe(0);
    expect(pullOf(calendar, 180).winterBees).toBe(0);
    expect(pullOf(calendar, 270).winterBees).toBe(1);
  });
});

describe('signs of the year', () => {
  it('drone brood and charged cells say that it is sooner than the calendar has it', () => {
    const yard = new TestYard();
    // A late spring by the calendar: drones on 9 June, swarms from 14 June.
    yard.run({
      type: 'editYard',
      yardId: yard.yardId,
      season: { climate: 'continental', moved: { 'first-drones': 170, 'swarm-start': 175 }, flows: [] },
    });
    yard.hive('A', [[bothSides({ drone: 3, capped: 4, drawn: 3 }, 8)]], '2026-05-10');
    const cells = {
      ...bothSides({ capped: 4, drawn: 6 }, 8),
      cells: [{ kind: 'charged' as const, count: 2 }],
    };
    yard.hive('B', [[cells]], '2026-05-12');
    const here = yard.apiary.yard[yard.yardId];
    if (!here) throw new Error('no yard');
    const signs = seasonSigns(yard.apiary, here, '2026-05-15');
    expect(signs.map((s) => [s.event, s.day])).toEqual([
      ['first-drones', '2026-05-24'],
      ['swarm-start', '2026-05-12'],
    ]);
    expect(seasonSigns(yard.apiary, here, '2026-05-09')).toEqual([]);
  });
});
