import { randomUUID } from 'node:crypto';
import { bothSides } from '@incremen/core/comb';
import { framesOfColony, type Apiary } from '@incremen/core/records';
import type { Readings } from '@incremen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestServer } from '../testing/testServer.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const ask = (query: string) => server.ask<Readings>('GET', `/api/operations/${server.op}/readings${query}`);

async function yarrow() {
  const { records } = await server.snapshot();
  const apiary = Object.fromEntries(
    Object.entries(records).map(([k, list]) => [k, Object.fromEntries(list.map((r) => [r.id, r]))]),
  ) as unknown as Apiary;
  const colony = records.colony.find((c) => c.name === 'Yarrow')!;
  return { colony, frames: framesOfColony(apiary, colony) };
}

describe('older readings', () => {
  it('of a colony come whole, oldest first; as of a day one a frame', async () => {
    const { colony, frames } = await yarrow();
    const before = (await ask(`?colony=${colony.id}`)).body.readings;
    const count = (day: string, time: string, tenths: number) =>
      server.send({
        type: 'recordCount',
        visitId: randomUUID(),
        colonyId: colony.id,
        day,
        time,
        note: '',
        readings: [
          {
            id: randomUUID(),
            frameId: frames[0]!.frame.id,
            body: bothSides({ honey: tenths, drawn: 10 - tenths }, 4) as never,
          },
        ],
      });
    await count('2026-05-15', '09:00', 3);
    await count('2026-05-15', '14:00', 2);
    const all = (await ask(`?colony=${colony.id}`)).body.readings;
    expect(all).toHaveLength(before.length + 2);
    const stood = async (day: string) =>
      (await ask(`?asOf=${day}`)).body.readings.filter((r) => r.frameId === frames[0]!.frame.id);
    const [latest] = await stood('2026-05-15');
    expect(latest!.body.sides[0].contents.honey).toBe(2);
    expect((await stood('2026-05-14')).map((r) => r.id)).toEqual([frames[0]!.reading!.id]);
    expect(await stood('2026-01-01')).toEqual([]);
  });

  it.each(['', '?colony=x', '?asOf=yesterday', '?colony=1&asOf=2026-05-01'])(
    'asked with %s are refused',
    async (query) => {
      expect((await ask(query)).status).toBe(400);
    },
  );
});
