import { brotliDecompressSync } from 'node:zlib';
import { emptyApiary } from '@incremen/core/records';
import type { Snapshot } from '@incremen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadApiary } from '../db/apiaryRows.ts';
import { TestServer } from '../testing/testServer.ts';
import { packedSnapshot, snapshotOf } from './packedSnapshot.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

describe('what a device fetches', () => {
  it('is packed once for one revision, and anew for the next', async () => {
    const apiary = emptyApiary();
    const first = await packedSnapshot({ revision: 3, apiary });
    expect(await packedSnapshot({ revision: 3, apiary })).toBe(first);
    const next = await packedSnapshot({ revision: 4, apiary });
    expect(JSON.parse(brotliDecompressSync(next).toString())).toEqual(snapshotOf({ revision: 4, apiary }));
  });

  it('is the same packed and plain, and after a command again', async () => {
    const address = `${server.url}/api/operations/${server.op}/snapshot`;
    const ask = async (encoding: string) =>
      (await (await fetch(address, { headers: { 'accept-encoding': encoding } })).json()) as Snapshot;
    const plain = await ask('identity');
    expect(plain.records.colony.length).toBeGreaterThan(0);
    expect(await ask('br')).toEqual(plain);
    const yard = plain.records.yard[0]!;
    await server.send({ type: 'editYard', yardId: yard.id, name: 'Another name' });
    expect((await ask('br')).revision).toBe((await ask('identity')).revision);
  });

  it('read from the tables is what is kept in memory after commands', async () => {
    const { records } = await server.snapshot();
    const read = await loadApiary(server.orm.em.fork(), server.op);
    for (const [kind, list] of Object.entries(records)) {
      const table = Object.fromEntries(list.map((r) => [r.id, r]));
      expect({ [kind]: read[kind as 'yard'] }).toEqual({ [kind]: table });
    }
  });
});
