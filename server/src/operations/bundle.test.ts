import { randomUUID } from 'node:crypto';
import type { Bundle } from '@incremen/core/formats';
import type { ProblemDocument } from '@incremen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestServer } from '../testing/testServer.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const bundleAt = () => `/api/operations/${server.op}/bundle`;

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

describe('the file of an operation', () => {
  it('taken out, put back in its place and taken out again is the same', async () => {
    const first = await server.ask<Bundle>('GET', bundleAt());
    expect(first.status).toBe(200);
    const put = await server.ask<{ operationId: string }>('PUT', bundleAt(), first.body);
    expect(put.body.operationId).toBe(server.op);
    const second = await server.ask<Bundle>('GET', bundleAt());
    expect(second.body).toEqual(first.body);
  });

  it('works on after it was put back: the revision has risen', async () => {
    const before = (await server.snapshot()).revision;
    const sent = await server.send({ type: 'addYard', yard: { id: randomUUID(), name: 'Later', note: '' } });
    expect(sent.status).toBe(201);
    expect(sent.body.revision).toBe(before + 1);
  });

  it('with a mistake in it is refused as a whole and names the place', async () => {
    const whole = (await server.ask<Bundle>('GET', bundleAt())).body;
    const broken = { ...whole, records: { ...whole.records, colony: whole.records.colony.slice(1) } };
    const answer = await server.ask<ProblemDocument>('PUT', bundleAt(), broken);
    expect(answer.status).toBe(422);
    expect(answer.body.errors[0]?.pointer).toMatch(/^\/records\//);
    expect((await server.ask<Bundle>('GET', bundleAt())).body).toEqual(whole);
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
});
