import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { forecastAt, weatherAt, weightAt, type Place } from './simulatedWeather.ts';
import { createStation } from './stationServer.ts';

const NORTH: Place = { seed: 7, hemisphere: 'north' };
const hourOf = (text: string) => Date.parse(`${text}:00Z`) / 3_600_000;
const month = (name: string) => {
  const from = hourOf(`${name}-01T00:00`);
  return Array.from({ length: 28 * 24 }, (_, i) => from + i);
};
const mean = (numbers: readonly number[]) => numbers.reduce((s, n) => s + n, 0) / numbers.length;

describe('simulated weather', () => {
  it('is the same for the same seed and hour, and another for another seed', () => {
    const at = hourOf('2026-05-15T14:00');
    expect(weatherAt(at, NORTH)).toEqual(weatherAt(at, NORTH));
    expect(
      month('2026-05').some(
        (h) => weatherAt(h, NORTH).temperatureC !== weatherAt(h, { ...NORTH, seed: 8 }).temperatureC,
      ),
    ).toBe(true);
  });

  it('could be: warm summers, cold winters, six months later in the south, rain now and then', () => {
    const warmth = (name: string, place = NORTH) =>
      mean(month(name).map((h) => weatherAt(h, place).temperatureC));
    expect(warmth('2026-07')).toBeGreaterThan(14);
    expect(warmth('2026-07')).toBeLessThan(25);
    expect(warmth('2026-01')).toBeLessThan(7);
    expect(warmth('2026-01', { ...NORTH, hemisphere: 'south' })).toBeGreaterThan(14);
    const wet = mean(month('2026-05').map((h) => (weatherAt(h, NORTH).rainMm > 0 ? 1 : 0)));
    expect(wet).toBeGreaterThan(0.02);
    expect(wet).toBeLessThan(0.35);
    for (const h of month('2026-05')) {
      const w = weatherAt(h, NORTH);
      expect(w.cloudPct).toBeGreaterThanOrEqual(0);
      expect(w.cloudPct).toBeLessThanOrEqual(100);
      expect(w.windMs).toBeGreaterThan(0);
    }
  });

  it('is foretold well for tomorrow and worse for the fifth day', () => {
    const off = (days: number) =>
      mean(
        month('2026-05').map((h) =>
          Math.abs(forecastAt(h - days * 24, h, NORTH).temperatureC - weatherAt(h, NORTH).temperatureC),
        ),
      );
    expect(off(0)).toBeLessThan(0.1);
    expect(off(1)).toBeLessThan(1);
    expect(off(5)).toBeGreaterThan(off(1));
  });

  it('lets a hive gain in spring and lose in winter, never by leaps', () => {
    const change = (from: string, to: string) => weightAt(hourOf(to), NORTH) - weightAt(hourOf(from), NORTH);
    expect(change('2026-05-01T00:00', '2026-06-15T00:00')).toBeGreaterThan(4);
    expect(change('2026-01-10T00:00', '2026-02-20T00:00')).toBeLessThan(-2);
    const day = Array.from({ length: 24 }, (_, i) => weightAt(hourOf('2026-05-20T00:00') + i, NORTH));
    day.slice(1).forEach((w, i) => expect(Math.abs(w - (day[i] ?? 0))).toBeLessThan(0.5));
  });
});

describe('the station', () => {
  let server: Server;
  let url: string;
  beforeAll(async () => {
    server = createStation(NORTH, 'Sorrel');
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });

  it('answers in comma-separated values, one row an hour', async () => {
    const get = async (path: string) => (await (await fetch(url + path)).text()).trim().split('\n');
    const observed = await get('/observed.csv?to=2026-05-15T12:00&hours=3');
    expect(observed[0]).toBe('time,temperature_c,rain_mm,wind_ms,cloud_pct');
    expect(observed.slice(1).map((r) => r.slice(0, 16))).toEqual([
      '2026-05-15T10:00',
      '2026-05-15T11:00',
      '2026-05-15T12:00',
    ]);
    const forecast = await get('/forecast.csv?from=2026-05-15T12:00&hours=2');
    expect(forecast.slice(1).map((r) => r.slice(0, 16))).toEqual(['2026-05-15T12:00', '2026-05-15T13:00']);
    expect((await get('/scale.csv?to=2026-05-15T12:00&hours=2')).at(-1)).toMatch(
      /^2026-05-15T12:00,Sorrel,\d/,
    );
  });

  it('says what is wrong with a question, and can be told to fail', async () => {
    expect((await fetch(`${url}/observed.csv?to=noon`)).status).toBe(400);
    expect((await fetch(`${url}/observed.csv?to=2026-05-15T12:00&hours=99999`)).status).toBe(400);
    expect((await fetch(`${url}/else.csv?to=2026-05-15T12:00`)).status).toBe(404);
    expect((await fetch(`${url}/observed.csv`, { method: 'POST' })).status).toBe(405);
    await fetch(`${url}/mood/nonsense`, { method: 'PUT' });
    expect(await (await fetch(`${url}/observed.csv?to=2026-05-15T12:00`)).text()).toContain('noon,warm');
    await fetch(`${url}/mood/silent`, { method: 'PUT' });
    await expect(
      fetch(`${url}/observed.csv?to=2026-05-15T12:00`, { signal: AbortSignal.timeout(200) }),
    ).rejects.toThrow();
    await fetch(`${url}/mood/works`, { method: 'PUT' });
  });
});
