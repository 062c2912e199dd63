import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { JournalPage, WeatherReport, ProblemDocument } from '@incremen/contract';
import { createStation } from '@incremen/station';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { hoursFrom, keepHours } from './measurements.ts';
import { TestServer } from '../testing/testServer.ts';

const DAY = '2026-05-15';

describe('weather of an operation', () => {
  let station: Server;
  let stationUrl: string;
  let server: TestServer;
  const report = async (day = DAY) =>
    (await server.ask<WeatherReport>('GET', `/api/operations/${server.op}/weather?day=${day}&hour=12`)).body;
  const mood = (m: string) => fetch(`${stationUrl}/mood/${m}`, { method: 'PUT' });

  beforeAll(async () => {
    station = createStation({ seed: 7, hemisphere: 'north' }, 'Sorrel');
    await new Promise<void>((resolve) => station.listen(0, '127.0.0.1', resolve));
    stationUrl = `http://127.0.0.1:${(station.address() as AddressInfo).port}`;
    server = await TestServer.start(stationUrl);
  });
  afterAll(async () => {
    station.closeAllConnections();
    station.close();
    await server.stop();
  });

  it('is asked of the station: what was, what is foretold, and what the hive weighed', async () => {
    const { observed, forecast, scale, trouble, sources } = await report();
    expect(trouble).toBeNull();
    expect(sources).toEqual(['station']);
    expect(observed.at(-1)?.time).toBe(`${DAY}T12:00`);
    expect(observed.length).toBeGreaterThanOrEqual(24 * 10);
    expect(forecast[0]?.time).toBe(`${DAY}T12:00`);
    expect(forecast.length).toBeGreaterThanOrEqual(24 * 5);
    expect(scale.at(-1)?.hive).toBe('Sorrel');
  });

  it('stays as it was when the station sends nonsense or nothing, and says so', async () => {
    const before = await report();
    await mood('nonsense');
    // Another day is due to be asked for.
    const nonsense = await report('2026-05-16');
    expect(nonsense.trouble).toContain('makes no sense: Row 2');
    await mood('silent');
    const silent = await report('2026-05-17');
    expect(silent.trouble).toContain('does not answer');
    expect(silent.observed.length).toBeGreaterThan(0);
    await mood('works');
    const again = await report();
    expect(again.trouble).toBeNull();
    expect(again.observed).toEqual(before.observed);
  });

  it('is taken in from any station that sends it, once for each hour', async () => {
    const send = (kind: string, text: string, type = 'text/csv') =>
      fetch(`${server.url}/api/operations/${server.op}/weather/${kind}?source=garden`, {
        method: 'POST',
        body: text,
        headers: { 'content-type': type },
      });
    const file = (kg: number) =>
      `time,hive,weight_kg\n${DAY}T10:00,Tansy,${kg}\n${DAY}T11:00,Tansy,${kg + 0.1}\n`;
    expect(await (await send('scale', file(30))).json()).toEqual({ hours: 2 });
    expect((await send('scale', file(31))).status).toBe(201);
    const { scale, sources } = await report();
    expect(scale.filter((h) => h.hive === 'Tansy').map((h) => h.weightKg)).toEqual([31, 31.1]);
    expect(sources).toContain('garden');
    const header = 'time,temperature_c,rain_mm,wind_ms,cloud_pct';
    const refused = await send('observed', `${header}\n${DAY}T09:00,9,0,1,40\n${DAY}T10:00,warm,,-3,240\n`);
    expect(refused.status).toBe(422);
    expect(((await refused.json()) as ProblemDocument).errors).toMatchObject([
      { pointer: '/row 3/temperature_c', message: 'Row 3: temperature_c cannot be “warm”.' },
    ]);
    expect((await send('observed', '{}', 'application/json')).status).toBe(415);
    expect((await send('moon', 'x')).status).toBe(400);
  });

  it('puts a flow on record that a scale shows, once, and what was taken back stays so', async () => {
    const own = await TestServer.start();
    const { records } = await own.snapshot();
    const clary = records.colony.find((c) => c.name === 'Clary');
    const hive = records.hive.find((h) => h.id === clary?.hiveId);
    const yardId = records.stand.find((s) => s.id === hive?.standId)?.yardId;
    const rows = Array.from({ length: 10 }, (_, i) =>
      [0, 12].map((h) => {
        const gain = i < 6 ? 0 : 0.5 * (2 * (i - 6) + (h === 12 ? 1 : 0));
        return `2026-05-${String(i + 5).padStart(2, '0')}T${String(h).padStart(2, '0')}:00,Clary,${40 + gain}`;
      }),
    ).flat();
    const send = () =>
      fetch(`${own.url}/api/operations/${own.op}/weather/scale?source=garden`, {
        method: 'POST',
        body: ['time,hive,weight_kg', ...rows].join('\n'),
        headers: { 'content-type': 'text/csv' },
      });
    const flows = async () =>
      (await own.snapshot()).records.yard.find((y) => y.id === yardId)?.season?.flows ?? [];
    expect((await send()).status).toBe(201);
    expect(await flows()).toMatchObject([{ from: '2026-05-12', to: null, by: 'scale' }]);
    await send();
    expect(await flows()).toHaveLength(1);
    const [entry] = (await own.ask<JournalPage>('GET', `/api/operations/${own.op}/journal`)).body.entries;
    expect(entry?.summary).toMatch(/nectar comes in, says the scale, [\d.]+ kg a day/);
    const undo = { id: randomUUID(), madeAt: `${DAY}T10:00:00.000Z`, entryId: entry?.id };
    expect((await own.ask('POST', `/api/operations/${own.op}/undo`, undo)).status).toBe(201);
    await send();
    expect(await flows()).toEqual([]);
    await own.stop();
  });

  it('of an hour is told once: who sends it rules over the station that is asked', async () => {
    const asked = (await report()).observed.find((h) => h.time === `${DAY}T10:00`);
    await fetch(`${server.url}/api/operations/${server.op}/weather/observed?source=garden`, {
      method: 'POST',
      body: `time,temperature_c,rain_mm,wind_ms,cloud_pct\n${DAY}T10:00,-1,9,1,40\n`,
      headers: { 'content-type': 'text/csv' },
    });
    const told = (await report()).observed.filter((h) => h.time === `${DAY}T10:00`);
    expect(asked?.temperatureC).toBeGreaterThan(0);
    expect(told.map((h) => h.temperatureC)).toEqual([-1]);
  });

  it('is refused for a day that is none, and an operation that is not there', async () => {
    expect((await server.ask('GET', `/api/operations/${server.op}/weather?day=today`)).status).toBe(400);
    expect(
      (await server.ask('GET', `/api/operations/00000000-0000-4000-8000-000000000000/weather?day=${DAY}`))
        .status,
    ).toBe(404);
  });

  it('that arrives after its operation was removed is let go', async () => {
    const gone = '00000000-0000-4000-8000-000000000000';
    const hour = { time: `${DAY}T10:00`, hive: 'Tansy', weightKg: 30 };
    await keepHours(server.orm.em.fork(), gone, 'scale', 'station', [hour]);
    expect(await hoursFrom(server.orm.em.fork(), gone, 'scale', DAY, DAY)).toEqual([]);
  });
});
