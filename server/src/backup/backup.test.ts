import { randomUUID } from 'node:crypto';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Bundle } from '@incremen/core/formats';
import type { ProblemDocument } from '@incremen/contract';
import { buffer } from 'node:stream/consumers';
import { fromBufferPromise } from 'yauzl';
import { ZipFile } from 'yazl';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import firstVersion from '../../../core/src/formats/samples/apiary-v1-2026-05.json' with { type: 'json' };
import { OperationStore } from '../operations/OperationStore.ts';
import { greyPng } from '../testing/pictures.ts';
import { TestServer } from '../testing/testServer.ts';
import { writeBackup } from './writeBackup.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const bundleAt = () => `/api/operations/${server.op}/bundle`;
const backupAt = () => `${server.url}/api/operations/${server.op}/backup`;
const held = async () => (await server.ask<Bundle>('GET', bundleAt())).body;

/** Sends bytes as a backup. */
async function put(content: Uint8Array | string): Promise<{ status: number; body: ProblemDocument }> {
  const answer = await fetch(backupAt(), { method: 'PUT', body: Buffer.from(content) });
  return { status: answer.status, body: (await answer.json()) as ProblemDocument };
}

/** An archive with one file in it. */
function archive(name: string, content: string): Promise<Buffer> {
  const zip = new ZipFile();
  zip.addBuffer(Buffer.from(content), name);
  zip.end();
  return buffer(zip.outputStream);
}

async function addPhoto(): Promise<{ id: string; png: Buffer }> {
  const id = randomUUID();
  const png = greyPng(320, 200);
  await server.putPhoto(id, png);
  const sent = await server.send({
    type: 'addPhoto',
    photo: {
      id,
      visitId: (await server.snapshot()).records.visit[0]?.id ?? '',
      takenOn: '2026-05-15',
      mediaType: 'image/png',
      widthPx: 320,
      heightPx: 200,
      bytes: png.length,
      caption: '',
    },
  });
  expect(sent.status).toBe(201);
  // As it is kept: drawn anew.
  const kept = await fetch(`${server.url}/api/operations/${server.op}/photos/${id}`);
  return { id, png: Buffer.from(await kept.arrayBuffer()) };
}

describe('the database', () => {
  it('has exactly the tables that the entities describe', async () => {
    expect(await server.orm.schema.getUpdateSchemaSQL({ wrap: false })).toBe('');
  });

  it('itself refuses two frames in one slot and a frame in no place', async () => {
    const db = server.orm.em.getConnection();
    const [a, b] = (await db.execute(
      `select id, box_id, slot from frame where place = 'box' order by id limit 2`,
    )) as { id: string; box_id: string; slot: number }[];
    await expect(
      db.execute('update frame set box_id = ?, slot = ? where id = ?', [b!.box_id, b!.slot, a!.id]),
    ).rejects.toThrow(/frame_one_a_slot/);
    await expect(db.execute('update frame set box_id = null where id = ?', [a!.id])).rejects.toThrow(
      /frame_in_one_place/,
    );
  });
});

describe('the records of an operation as JSON', () => {
  it('taken out, put back in their place and taken out again are the same', async () => {
    const first = await server.ask<Bundle>('GET', bundleAt());
    expect(first.status).toBe(200);
    expect(first.body.records.reading.length).toBeGreaterThan(200);
    const put = await server.ask<{ operationId: string }>('PUT', bundleAt(), first.body);
    expect(put.body.operationId).toBe(server.op);
    expect(await held()).toEqual(first.body);
  });

  it('works on after it was put back: the revision has risen', async () => {
    const before = (await server.snapshot()).revision;
    const sent = await server.send({ type: 'addYard', yard: { id: randomUUID(), name: 'Later', note: '' } });
    expect(sent.status).toBe(201);
    expect(sent.body.revision).toBe(before + 1);
  });

  it('has a published JSON Schema', async () => {
    const schema = await server.ask<{ $schema: string; properties: object }>(
      'GET',
      '/api/schema/apiary-v2.json',
    );
    expect(schema.body.$schema).toBe('https://json-schema.org/draft/2020-12/schema');
    expect(Object.keys(schema.body.properties)).toEqual([
      'format',
      'version',
      'records',
      'journal',
      'photoContents',
    ]);
  });

  it('leaves pictures where they are that it speaks of and does not bring', async () => {
    const { id, png } = await addPhoto();
    expect(await put(JSON.stringify(await held()))).toMatchObject({
      status: 200,
      body: { picturesMissing: 0 },
    });
    const back = await fetch(`${server.url}/api/operations/${server.op}/photos/${id}`);
    expect(Buffer.from(await back.arrayBuffer()).equals(png)).toBe(true);
  });
});

describe('a backup', () => {
  it('is an archive of the records with the pictures beside them, and is taken in on another machine', async () => {
    const { id, png } = await addPhoto();
    const before = await held();
    const zip = Buffer.from(await (await fetch(backupAt())).arrayBuffer());
    const names: string[] = [];
    const opened = await fromBufferPromise(zip, { lazyEntries: true });
    for await (const entry of opened.eachEntry()) names.push(entry.fileName);
    expect(names[0]).toBe('apiary.json');
    expect(names).toContain(`photos/${id}.png`);

    const other = await TestServer.start();
    try {
      const answer = await fetch(`${other.url}/api/operations/${other.op}/backup`, {
        method: 'PUT',
        body: zip,
      });
      expect(await answer.json()).toEqual({ operationId: server.op, picturesMissing: 0 });
      const there = await other.ask<Bundle>('GET', `/api/operations/${server.op}/bundle`);
      expect(there.body).toEqual(before);
      const picture = await fetch(`${other.url}/api/operations/${server.op}/photos/${id}`);
      expect(Buffer.from(await picture.arrayBuffer()).equals(png)).toBe(true);
    } finally {
      await other.stop();
    }
  });

  it('is written to a file, with pictures or without, and read from it', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'backup-test-'));
    try {
      const before = await held();
      await writeBackup(server.orm, server.op, join(folder, 'a.json'));
      expect(JSON.parse(await readFile(join(folder, 'a.json'), 'utf8'))).toEqual(before);
      await writeBackup(server.orm, server.op, join(folder, 'a.zip'));
      const store = new OperationStore(server.orm);
      expect(await store.restore(join(folder, 'a.zip'), server.op)).toEqual({
        operationId: server.op,
        picturesMissing: 0,
      });
      expect(await held()).toEqual(before);
    } finally {
      await rm(folder, { recursive: true });
    }
  });

  it('of the first version is taken in as well', async () => {
    const other = await TestServer.start();
    try {
      const answer = await fetch(`${other.url}/api/operations/${other.op}/backup`, {
        method: 'PUT',
        body: JSON.stringify(firstVersion),
      });
      expect(answer.status).toBe(200);
      const { operationId } = (await answer.json()) as { operationId: string };
      const there = await other.ask<Bundle>('GET', `/api/operations/${operationId}/bundle`);
      expect(there.body.records.frame).toHaveLength(firstVersion.records.frame.length);
    } finally {
      await other.stop();
    }
  });
});

describe('what is no sound backup is refused as a whole, with its place', () => {
  const spoil = async (change: (file: Bundle) => void): Promise<string> => {
    const file = await held();
    change(file);
    return JSON.stringify(file);
  };
  const first = <T>(list: readonly T[]): T => list[0]!;

  it.each<[string, () => Promise<string | Uint8Array>, number, RegExp | null]>([
    ['no JSON at all', () => Promise.resolve('not json'), 400, null],
    ['nothing', () => Promise.resolve(''), 400, null],
    ['half a file', async () => (await spoil(() => undefined)).slice(0, -2000), 400, null],
    ['an archive cut off', async () => (await archive('apiary.json', '{}')).subarray(0, 60), 400, null],
    ['an archive without records', () => archive('other.json', '{}'), 400, null],
    ['an archive with a path that leads out', () => archive('aa/bb', '{}'), 400, null],
    ['a newer version', () => spoil((f) => Object.assign(f, { version: 9 })), 422, /^\/version$/],
    ['another format', () => spoil((f) => Object.assign(f, { format: 'x' })), 422, /^\/format$/],
    ['a section that there is not', () => spoil((f) => Object.assign(f, { more: 1 })), 422, /^\/more$/],
    [
      'a kind that there is not',
      () => spoil((f) => Object.assign(f.records, { bee: [1] })),
      422,
      /^\/records\/bee\/0$/,
    ],
    [
      'a list that is none',
      () => spoil((f) => Object.assign(f.records, { hive: { a: 1 } })),
      422,
      /^\/records\/hive/,
    ],
    ['a colony that is gone', () => spoil((f) => f.records.colony.shift()), 422, /^\/records\//],
    ['no operation', () => spoil((f) => f.records.operation.splice(0)), 422, /^\/records\/operation/],
    [
      'a field too many',
      () => spoil((f) => Object.assign(first(f.records.reading), { more: 1 })),
      422,
      /^\/records\/reading\/0/,
    ],
    [
      'a reading twice',
      () => spoil((f) => f.records.reading.push(first(f.records.reading))),
      422,
      /^\/records\/reading\//,
    ],
    [
      'an older reading twice',
      () =>
        spoil((f) => {
          const older = { ...first(f.records.reading), id: randomUUID() };
          f.records.reading.push(older, older);
        }),
      422,
      /^\/records$/,
    ],
    [
      'an older reading of a frame that is not there',
      () =>
        spoil((f) =>
          f.records.reading.push({ ...first(f.records.reading), id: randomUUID(), frameId: randomUUID() }),
        ),
      422,
      /^\/records\/reading\/.*\/frameId$/,
    ],
    [
      'a hive twice',
      () => spoil((f) => f.records.hive.push(first(f.records.hive))),
      422,
      /^\/records\/hive\//,
    ],
    [
      'twelve tenths of comb',
      () => spoil((f) => Object.assign(first(f.records.reading).body.sides[0].contents, { honey: 12 })),
      422,
      /^\/records\/reading\//,
    ],
    [
      'a line of the journal without its number',
      () => spoil((f) => Object.assign(first(f.journal), { seq: 0 })),
      422,
      /^\/journal\/0\/seq$/,
    ],
    [
      'a frame in two places',
      () =>
        spoil((f) =>
          Object.assign(f.records.frame.filter((x) => x.place === 'box')[1]!, {
            boxId: f.records.frame.find((x) => x.place === 'box')!.boxId,
            slot: f.records.frame.find((x) => x.place === 'box')!.slot,
          }),
        ),
      422,
      /^\/records\/frame\/|^\/frame/,
    ],
    [
      'a character that no text may hold',
      () => spoil((f) => Object.assign(first(f.records.yard), { note: 'a\u0000b' })),
      422,
      null,
    ],
  ])('%s', async (_what, content, status, pointer) => {
    const before = await held();
    const answer = await put(await content());
    expect(answer).toMatchObject({ status });
    expect(answer.body.errors[0]?.remedy).not.toBe('');
    expect(answer.body.errors[0]?.pointer ?? '').toMatch(pointer ?? '');
    expect(await held()).toEqual(before);
  });
});
