import type { Snapshot } from '@incremen/contract';
import type { Change, Command } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import {
  deleteDB,
  openDB,
  type DBSchema,
  type IDBPDatabase,
  type IDBPTransaction,
  type StoreNames,
} from 'idb';

/** The operation as the server last gave it. */
export interface KeptSnapshot {
  readonly key: 'current';
  readonly operationId: string;
  readonly snapshot: Snapshot;
  /** When it was fetched, in milliseconds since 1970 by this device. */
  readonly savedAt: number;
}

/** What the server has confirmed since: put on top of the snapshot, by revision. */
export interface KeptChanges {
  readonly revision: number;
  readonly operationId: string;
  readonly changes: readonly Change[];
}

/** A command made on this device that the server has not confirmed. */
export interface OutboxEntry {
  /** Order in which commands were made and are sent. */
  readonly seq: number;
  /** The id under which the server carries it out once, however often it is sent. */
  readonly id: string;
  readonly operationId: string;
  readonly madeAt: string;
  readonly summary: string;
  readonly command: Command;
  /** Who was at the hive, where several share this device. */
  readonly hands?: string;
  /** Refused ones are kept aside, with the reasons, until the user decides. */
  readonly state: 'waiting' | 'refused';
  readonly problems: readonly Problem[];
}

/** A photo taken on this device, by the id of its record. */
export interface KeptPhoto {
  readonly id: string;
  readonly operationId: string;
  readonly blob: Blob;
  readonly sent: 0 | 1;
}

/** What this device keeps to work without a network: it survives reloads and an empty battery. */
interface LocalTables extends DBSchema {
  snapshot: { key: string; value: KeptSnapshot };
  confirmed: { key: number; value: KeptChanges };
  outbox: { key: number; value: OutboxEntry; indexes: { id: string; state: string } };
  photos: { key: string; value: KeptPhoto };
}
type Tables = StoreNames<LocalTables>;
type Writing<T extends Tables[]> = IDBPTransaction<LocalTables, T, 'readwrite'>;
/** What brings old records along is fetched when there are some. */
type Bringing = typeof import('./bringAlong.ts');

const NAME = 'incremen';
/** A number that was released is never used again for other tables. Below 20 and below 30 records said less than today. */
const VERSION = 30;
const OF_OTHER_RECORDS = 20;

let opened: Promise<IDBPDatabase<LocalTables>> | null = null;

/** The database of this device, opened once a page. @throws where the browser keeps nothing */
export function localDatabase(): Promise<IDBPDatabase<LocalTables>> {
  opened ??= open().catch((error: unknown) => {
    opened = null;
    throw error;
  });
  return opened;
}

async function open(): Promise<IDBPDatabase<LocalTables>> {
  // An upgrade cannot wait for the network: what it may need is there before it begins.
  const bring = (await isOlder()) ? await import('./bringAlong.ts') : null;
  const db = await openDB<LocalTables>(NAME, VERSION, {
    async upgrade(tables, old, _to, tx) {
      if (old === 0) {
        tables.createObjectStore('snapshot', { keyPath: 'key' });
        tables.createObjectStore('confirmed', { keyPath: 'revision' });
        const outbox = tables.createObjectStore('outbox', { keyPath: 'seq' });
        outbox.createIndex('id', 'id', { unique: true });
        outbox.createIndex('state', 'state');
        tables.createObjectStore('photos', { keyPath: 'id' });
      } else if (bring) await broughtAlong(tx, old, bring);
    },
    // A page of a newer version in another tab: it is let through, and this one opens again when it needs to.
    blocking: () => {
      opened = null;
      db.close();
    },
    terminated: () => {
      opened = null;
    },
  });
  return db;
}

/** Takes everything off this device. */
export async function forgetDatabase(): Promise<void> {
  (await opened?.catch(() => null))?.close();
  opened = null;
  await deleteDB(NAME);
}

/** Whether something is kept here by an older version; taken for true where the browser does not say. */
async function isOlder(): Promise<boolean> {
  const kept = await indexedDB.databases?.();
  return !kept || kept.some((d) => d.name === NAME && (d.version ?? 0) < VERSION);
}

/** Records and waiting commands of an older version become those of today: nothing typed is lost. */
async function broughtAlong(
  tx: IDBPTransaction<LocalTables, Tables[], 'versionchange'>,
  old: number,
  { filledUp, snapshotOfToday, upgradeCommand }: Bringing,
): Promise<void> {
  const [snapshot, confirmed] = [tx.objectStore('snapshot'), tx.objectStore('confirmed')];
  const kept = await snapshot.get('current');
  const later = await confirmed.getAll();
  if (kept) await snapshot.put(filledUp(snapshotOfToday(kept, later)));
  await confirmed.clear();
  if (old >= OF_OTHER_RECORDS) return;
  const outbox = tx.objectStore('outbox');
  for (const entry of await outbox.getAll())
    await outbox.put({ ...entry, command: upgradeCommand(entry.command) });
}

/**
 * Writes to several tables in one go, or to none.
 *
 * @param work - may wait for nothing but these tables
 * @param durability - `strict` for what is nowhere else: done when it is safe from a power cut
 */
export async function inOneGo<T extends Tables[]>(
  tables: T,
  work: (tx: Writing<T>) => Promise<void>,
  durability: 'strict' | 'relaxed' = 'relaxed',
): Promise<void> {
  const tx = (await localDatabase()).transaction(tables, 'readwrite', { durability });
  try {
    await work(tx);
  } catch (error) {
    // What failed in the database itself has undone it already.
    tx.done.catch(() => undefined);
    try {
      tx.abort();
    } catch {
      // Undone.
    }
    throw error;
  }
  await tx.done;
}

/** Changes an entry of the outbox, if it is still there. */
export const changeEntry = (seq: number, change: Partial<OutboxEntry>): Promise<void> =>
  inOneGo(['outbox'], async (tx) => {
    const outbox = tx.objectStore('outbox');
    const entry = await outbox.get(seq);
    if (entry) await outbox.put({ ...entry, ...change });
  });
