import { describe, expect, it } from 'vitest';
import { TestYard } from '../testing/builders.ts';
import { NEST } from '../testing/nests.ts';
import { adviceOnMove, kilometresBetween } from './moveAdvice.ts';

const at = (latitude: number, longitude: number) => ({
  id: 'y',
  name: 'Y',
  note: '',
  closedOn: null,
  position: { latitude, longitude },
  season: null,
});

describe('the way between two yards', () => {
  it('is a degree of latitude, 111.2 km (IUGG mean radius of the earth), and a quarter of the globe', () => {
    expect(kilometresBetween(at(50, 8), at(51, 8))).toBeCloseTo(111.195, 2);
    expect(kilometresBetween(at(0, 0), at(0, 90))).toBeCloseTo((Math.PI / 2) * 6371.0088, 3);
  });

  it('is not known without both positions', () => {
    expect(kilometresBetween(at(50, 8), { ...at(0, 0), position: null })).toBeNull();
  });
});

describe('what a move does', () => {
  const yard = new TestYard();
  const quill = yard.hive('Quill', [[NEST.open()]]);
  const away = yard.newId();
  yard.run({ type: 'addYard', yard: { id: away, name: 'Away', note: '' } });
  const hive = yard.apiary.hive[quill.hiveId ?? ''];
  const ids = (yardId: string, hour: 'day' | 'dusk', entrance: 'open' | 'shut' = 'open') =>
    hive ? adviceOnMove(yard.apiary, hive, { yardId, hour, entrance }, '2026-05-15').map((n) => n.id) : [];

  it('by day within the yard sends the field bees back; at dusk they learn the place anew', () => {
    expect(ids(yard.yardId, 'day')).toEqual(['fly-back']);
    expect(ids(yard.yardId, 'dusk')).toEqual(['dusk-near']);
  });

  it('to another yard loses what is in the air by day; a yard nearby is said to be near', () => {
    expect(ids(away, 'day', 'shut')).toEqual(['in-the-air', 'shut', 'drive']);
    yard.run({ type: 'editYard', yardId: away, position: { latitude: 50, longitude: 8 } });
    yard.run({ type: 'editYard', yardId: yard.yardId, position: { latitude: 50.01, longitude: 8 } });
    expect(ids(away, 'dusk')).toEqual(['near-yard', 'drive']);
  });

  it('is no time for a queen on her mating flights', () => {
    yard.run({
      type: 'recordSwarm',
      colonyId: quill.id,
      day: '2026-05-01',
      hivedId: null,
      newIds: [yard.newId()],
    });
    // She emerged about the 8th.
    expect(ids(yard.yardId, 'dusk')).toEqual(['virgin', 'dusk-near']);
  });
});
