import type { Snapshot } from '@incremen/contract';
import { applyChanges, type Apiary, type Change } from '@incremen/core/records';
import { apiaryOf } from './apiaryOf.ts';
import type { KeptSnapshot, LocalDatabase, OutboxEntry } from './database.ts';

/** What this device knows of the operation without asking anybody. */
export interface LocalCopy {
  readonly operationId: string;
  readonly revision: number;
  /** As the server had it at that revision. */
  readonly base: Apiary;
  readonly outbox: readonly OutboxEntry[];
  readonly savedAt: number;
}

/** Confirmed changes are folded into the snapshot when so many have come together. */
const FOLD_AFTER = 200;

/**
 * Reads the copy that is kept here; undefined on a device that has never reached the server.
 *
 * @param fresh - what the server has just given, and is kept: it is not read back
 */
export async function readLocalCopy(
  db: LocalDatabase,
  fresh?: FreshSnapshot,
): Promise<LocalCopy | undefined> {
  return db.transaction('r', db.snapshot, db.confirmed, db.outbox, async () => {
    const kept = fresh ?? (await db.snapshot.get('current'));
    if (!kept) return undefined;
    const after = Math.max(kept.snapshot.revision, fresh?.askedAt ?? 0);
    const later = await db.confirmed.where('revision').above(after).sortBy('revision');
    const own = later.filter((c) => c.operationId === kept.operationId);
    return {
      operationId: kept.operationId,
      revision: own.at(-1)?.revision ?? kept.snapshot.revision,
      base: applyChanges(
        apiaryOf(kept.snapshot),
        own.flatMap((c) => c.changes),
      ),
      outbox: await db.outbox.orderBy('seq').toArray(),
      savedAt: kept.savedAt,
    };
  });
}

/** The newest revision that the server has confirmed to this device; 0 for none. */
export async function newestConfirmed(db: LocalDatabase): Promise<number> {
  return (await db.confirmed.orderBy('revision').last())?.revision ?? 0;
}

/** What the server has just given. */
interface FreshSnapshot extends Omit<KeptSnapshot, 'key'> {
  /**
   * Newest revision confirmed before the server was asked: older than the snapshot, unless the server has been set back to
   * a backup, and then it no longer holds.
   */
  readonly askedAt: number;
}

/** Keeps what the server gave, and what was confirmed after it. */
export async function keepSnapshot(
  db: LocalDatabase,
  { operationId, snapshot, savedAt, askedAt }: FreshSnapshot,
): Promise<void> {
  await db.transaction('rw', db.snapshot, db.confirmed, async () => {
    await db.snapshot.put({ key: 'current', operationId, snapshot, savedAt });
    // What was confirmed while the snapshot was on its way is newer than it.
    await db.confirmed
      .filter((c) => c.operationId !== operationId || c.revision <= Math.max(snapshot.revision, askedAt))
      .delete();
  });
}

let lastSeq = 0;

/** The next place in the outbox: later than every other, of other tabs and earlier visits too. */
export function nextSeq(): number {
  lastSeq = Math.max(lastSeq + 1, Date.now() * 1000);
  return lastSeq;
}

/** Commands that are being written: what is shown is not yet kept. */
let writing = 0;
globalThis.addEventListener?.('beforeunload', (event) => {
  if (writing > 0) event.preventDefault();
});

/**
 * Keeps a command until the server has confirmed it. Resolves when it is safe from a power cut; a page that is left
 * before asks first.
 */
export async function putInOutbox(db: LocalDatabase, entry: OutboxEntry): Promise<void> {
  writing++;
  try {
    await db.outbox.add(entry);
  } finally {
    writing--;
  }
}

/** Takes a confirmed command out of the outbox and keeps what it did, in one go. */
export async function confirm(
  db: LocalDatabase,
  entry: OutboxEntry,
  revision: number,
  changes: readonly Change[],
): Promise<void> {
  await db.transaction('rw', db.outbox, db.confirmed, db.snapshot, async () => {
    await db.outbox.delete(entry.seq);
    await db.confirmed.put({ revision, operationId: entry.operationId, changes });
    if ((await db.confirmed.count()) >= FOLD_AFTER) await fold(db);
  });
}

async function fold(db: LocalDatabase): Promise<void> {
  const kept = await db.snapshot.get('current');
  if (!kept) return;
  const later = await db.confirmed.where('revision').above(kept.snapshot.revision).sortBy('revision');
  const apiary = applyChanges(
    apiaryOf(kept.snapshot),
    later.flatMap((c) => c.changes),
  );
  const records = Object.fromEntries(
    Object.entries(apiary).map(([kind, byId]) => [kind, Object.values(byId)]),
  ) as unknown as Snapshot['records'];
  const revision = later.at(-1)?.revision ?? kept.snapshot.revision;
  await db.snapshot.put({ ...kept, snapshot: { revision, records } });
  await db.confirmed.clear();
}
