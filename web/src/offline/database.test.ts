import { beforeEach, describe, expect, it, vi } from 'vitest';

const entry = (seq: number) => ({
  seq,
  id: `e${seq}`,
  operationId: 'o',
  madeAt: '2026-05-14T08:00:00.000Z',
  summary: `Yard ${seq} added`,
  command: { type: 'addYard' as const, yard: { id: `y${seq}`, name: `Yard ${seq}`, note: '' } },
  state: 'waiting' as const,
  problems: [],
});

/** The module as a page that was just opened has it. */
const opened = async () => {
  vi.resetModules();
  return import('./database.ts');
};

const done = <T>(request: IDBRequest<T>) =>
  new Promise<T>((resolve, reject) => {
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error!);
  });

beforeEach(async () => {
  const { forgetDatabase, localDatabase } = await opened();
  await localDatabase();
  await forgetDatabase();
});

describe('what this device keeps', () => {
  it('is written in one go or not at all', async () => {
    const { inOneGo, localDatabase } = await opened();
    const failing = inOneGo(['outbox'], async (tx) => {
      await tx.objectStore('outbox').add(entry(1));
      throw new Error('in the middle');
    });
    await expect(failing).rejects.toThrow('in the middle');
    // The second of the same number is refused, and the first goes with it.
    const twice = inOneGo(['outbox'], async (tx) => {
      await tx.objectStore('outbox').add(entry(2));
      await tx.objectStore('outbox').add(entry(2));
    });
    await expect(twice).rejects.toThrow();
    expect(await (await localDatabase()).count('outbox')).toBe(0);
  });

  it('is changed only where it is still there', async () => {
    const { changeEntry, localDatabase } = await opened();
    const db = await localDatabase();
    await db.add('outbox', entry(1));
    await changeEntry(1, { state: 'refused' });
    await changeEntry(2, { state: 'refused' });
    expect(await db.getAll('outbox')).toMatchObject([{ seq: 1, state: 'refused', summary: 'Yard 1 added' }]);
  });

  it('comes along from an older version: the snapshot with what was confirmed since, and what waits', async () => {
    const old = indexedDB.open('incremen', 10);
    old.onupgradeneeded = () => {
      old.result.createObjectStore('snapshot', { keyPath: 'key' });
      old.result.createObjectStore('confirmed', { keyPath: 'revision' });
      const outbox = old.result.createObjectStore('outbox', { keyPath: 'seq' });
      outbox.createIndex('id', 'id', { unique: true });
      outbox.createIndex('state', 'state');
      old.result.createObjectStore('photos', { keyPath: 'id' });
    };
    const db = await done(old);
    const yard = (id: string, name: string) => ({ id, name, note: '' });
    const [first, second] = ['30ba1c3e-5ad1-4c4c-8e8e-1f6e2f3a0a01', '30ba1c3e-5ad1-4c4c-8e8e-1f6e2f3a0a02'];
    const put = (table: string, value: unknown) =>
      done(db.transaction(table, 'readwrite').objectStore(table).put(value));
    await put('snapshot', {
      key: 'current',
      operationId: 'o',
      savedAt: 0,
      snapshot: { revision: 4, records: { yard: [yard(first, 'Old orchard')] } },
    });
    await put('confirmed', {
      revision: 5,
      operationId: 'o',
      changes: [{ kind: 'yard', id: second, before: null, after: yard(second, 'Lane') }],
    });
    await put('outbox', entry(7));
    db.close();
    const { localDatabase } = await opened();
    const today = await localDatabase();
    const kept = await today.get('snapshot', 'current');
    expect(kept?.snapshot.revision).toBe(5);
    expect(kept?.snapshot.records.yard.map((y) => y.name)).toEqual(['Old orchard', 'Lane']);
    expect(await today.count('confirmed')).toBe(0);
    expect(await today.getAll('outbox')).toMatchObject([{ seq: 7, command: { type: 'addYard' } }]);
  });
});
