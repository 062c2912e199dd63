import { Readable } from 'node:stream';
import { json } from 'node:stream/consumers';
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { applyChanges, emptyApiary, type Apiary } from '@incremen/core/records';
import { fromBundle, type Bundle } from '@incremen/core/formats';
import { afterEach, describe, expect, inject, it } from 'vitest';
import type { MikroORM } from '@mikro-orm/postgresql';
import { bundleText } from '../../backup/bundleText.ts';
import { OperationStore } from '../../operations/OperationStore.ts';
import { bringUpToDate } from '../bringUpToDate.ts';
import { openOrm } from '../orm.ts';
import { findPgBin } from '../privatePostgres.ts';

const frozen = (path: string) => gunzipSync(readFileSync(new URL(path, import.meta.url))).toString('utf8');

/** A database as it was on the day before the change, with its file of that day beside it. */
const DATABASE = frozen('../samples/database-2026-11-30.sql.gz');
const FILE = JSON.parse(frozen('../../../../core/src/formats/samples/apiary-v1-2026-11.json.gz')) as unknown;

let orm: MikroORM | undefined;
afterEach(async () => {
  await orm?.close(true);
  orm = undefined;
});

/** The frozen database, before it is brought up to date. */
async function restored(): Promise<MikroORM> {
  const url = new URL(inject('postgresUrl'));
  const admin = await openOrm(url.toString());
  const name = `frozen_${randomUUID().replaceAll('-', '')}`;
  await admin.em.getConnection().execute(`create database ${name}`);
  await admin.close(true);
  url.pathname = `/${name}`;
  execFileSync(join(findPgBin(), 'psql'), ['-q', '-v', 'ON_ERROR_STOP=1', '-d', url.toString()], {
    input: DATABASE,
    stdio: ['pipe', 'ignore', 'inherit'],
  });
  orm = await openOrm(url.toString());
  return orm;
}

const contentOf = (file: unknown) => {
  const read = fromBundle(file);
  if (!read.ok) throw new Error(JSON.stringify(read.problems.slice(0, 3)));
  return read.value;
};

describe('a database of the day before', () => {
  it('is read exactly as the file of that day is: records and journal', async () => {
    const db = await restored();
    await bringUpToDate(db);
    expect(await db.schema.getUpdateSchemaSQL({ wrap: false })).toBe('');
    const store = new OperationStore(db);
    const [operation] = await store.list();
    const written = (await json(Readable.from(bundleText(db.em.fork(), operation!.id)))) as Bundle;
    const fromDatabase = contentOf(written);
    const fromFile = contentOf(FILE);
    // A row says of a column that came later that there is nothing in it; the file does not know the column.
    const said = (apiary: Apiary): unknown =>
      JSON.parse(JSON.stringify(apiary, (key, v: unknown) => (key === 'move' && v === null ? undefined : v)));
    expect(said(fromDatabase.apiary)).toEqual(said(fromFile.apiary));
    expect(fromDatabase.journal).toEqual(fromFile.journal);
    expect(Object.keys(fromDatabase.apiary.work)).toHaveLength(13);
    expect(Object.keys(fromDatabase.apiary.workStep)).toHaveLength(141);
  });

  it('has a journal that leads to its records, so that what was done can still be undone', async () => {
    const { apiary, journal } = contentOf(FILE);
    let replayed: Apiary = emptyApiary();
    for (const entry of journal) replayed = applyChanges(replayed, entry.body.changes);
    for (const kind of ['work', 'workStep', 'colony', 'frame'] as const)
      expect(replayed[kind]).toEqual(apiary[kind]);
  });

  it('goes on: the last work is undone, and work that was begun is finished', async () => {
    const db = await restored();
    await bringUpToDate(db);
    const store = new OperationStore(db);
    const [operation] = await store.list();
    const op = operation!.id;
    const [last] = (await store.journal(op, null)).entries;
    await store.undo(op, {
      id: randomUUID(),
      madeAt: '2026-05-15T12:00:00.000Z',
      entryId: last!.id,
    } as never);
    const { apiary } = await store.present(op);
    expect(Object.values(apiary.work)).toHaveLength(12);
  });

  it('is left as it is when its records cannot be read, and says so', async () => {
    const db = await restored();
    const connection = db.em.getConnection();
    await connection.execute(`update "plan" set "body" = "body" - 'parts' where "method_id" = 'caged-queen'`);
    await expect(bringUpToDate(db)).rejects.toThrow(/Nothing was changed/);
    const [{ plans }] = (await connection.execute('select count(*)::int as plans from "plan"')) as [
      { plans: number },
    ];
    expect(plans).toBe(6);
  });

  it('of a newer version, or half brought up to date, is not touched', async () => {
    const db = await restored();
    const connection = db.em.getConnection();
    await connection.execute(`insert into "migration" ("name") values ('20991231-later')`);
    await expect(bringUpToDate(db)).rejects.toThrow(/kept by a newer version of Incremen \(20991231-later\)/);
    await connection.execute(`delete from "migration" where "name" in ('20991231-later', '20261127-work')`);
    await expect(bringUpToDate(db)).rejects.toThrow(/20261127-work is missing/);
  });
});
