import { readdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { KeptBackup, RoomAnswer } from '@incremen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { warningsOf } from '../service/room.ts';
import { greyPng } from '../testing/pictures.ts';
import { TestServer } from '../testing/testServer.ts';
import { BackupKeeper, readThrough } from './BackupKeeper.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const path = (rest = '') => `/api/operations/${server.op}/backups${rest}`;
const kept = async () => (await server.ask<KeptBackup[]>('GET', path())).body;

describe('backups that are kept', () => {
  it('are read back, listed, given out, and gone back to; what stood there then is kept too', async () => {
    const [first] = (await server.snapshot()).records.colony;
    const made = await server.ask<KeptBackup>('POST', path());
    expect(made).toMatchObject({ status: 201, body: { kind: 'asked' } });
    const name = made.body.name;
    await server.send({ type: 'renameColony', colonyId: first?.id ?? '', name: 'Renamed Later' });
    const file = await fetch(server.url + path(`/${name}`));
    expect(Number(file.headers.get('content-length'))).toBe(made.body.bytes);
    await file.arrayBuffer();
    const back = await server.ask<{ operationId: string }>('POST', path(`/${name}/restore`));
    expect(back.status).toBe(200);
    const { colony } = (await server.snapshot()).records;
    expect(colony.find((c) => c.id === first?.id)?.name).toBe(first?.name);
    expect((await kept()).map((b) => b.kind)).toEqual(['before-import', 'asked']);
    // Going back is taken back by going to what was kept before it.
    const [before] = await kept();
    await server.ask('POST', path(`/${before?.name}/restore`));
    const again = (await server.snapshot()).records.colony;
    expect(again.find((c) => c.id === first?.id)?.name).toBe('Renamed Later');
  });

  it('are made once a day by themselves, with every picture', async () => {
    const photoId = '6b0a9a57-8d4c-4a3d-9f6a-0d3a51a1b0c1';
    await server.putPhoto(photoId, greyPng(64, 48));
    const days = new BackupKeeper(server.orm, server.backups, () => new Date('2027-03-01T05:00:00Z'));
    expect(await days.daily()).toBe(1);
    expect(await days.daily()).toBe(0);
    const [daily] = (await kept()).filter((b) => b.kind === 'daily');
    const read = await readThrough(await days.pathOf(server.op, daily?.name ?? ''));
    expect(read.pictures).toBe(1);
    expect(read.records).toBeGreaterThan(100);
  });

  it('leave nothing half done: what cannot be read back gets no name, and names from outside reach nothing else', async () => {
    const half = join(server.backups, 'broken.zip');
    await writeFile(half, 'PK not an archive');
    await expect(readThrough(half)).rejects.toThrow();
    for (const name of ['..%2Fbroken.zip', 'broken.zip', '2026-05-15T06-30-00-123Z.daily.zip'])
      expect((await server.ask('GET', path(`/${name}`))).status).toBe(404);
    const folder = join(server.backups, server.op);
    expect((await readdir(folder)).filter((n) => n.endsWith('.half'))).toEqual([]);
  });
});

describe('room', () => {
  it('is told, and in words before there is none', async () => {
    const { body } = await server.ask<RoomAnswer>('GET', `/api/operations/${server.op}/room`);
    expect(body.pictures).toBeGreaterThan(0);
    expect(body.free).toBeGreaterThan(0);
    expect(warningsOf(10, 100, 5e9)).toEqual([]);
    expect(warningsOf(90e6, 100e6, 2e8)).toEqual([
      expect.stringMatching(/^Only 200 MB are free/),
      expect.stringMatching(/^Pictures take 90 MB of 100 MB/),
    ]);
  });
});
