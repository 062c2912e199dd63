import type { Snapshot } from '@incremen/contract';
import { applyChanges, type Apiary, type Change } from '@incremen/core/records';
import { apiaryOf } from './apiaryOf.ts';
import { inOneGo, localDatabase, type KeptChanges, type KeptSnapshot, type OutboxEntry } from './database.ts';

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
export async function readLocalCopy(fresh?: FreshSnapshot): Promise<LocalCopy | undefined> {
  const tx = (await localDatabase()).transaction(['snapshot', 'confirmed', 'outbox']);
  const kept = fresh ?? (await tx.objectStore('snapshot').get('current'));
  if (!kept) return undefined;
  const after = Math.max(kept.snapshot.revision, fresh?.askedAt ?? 0);
  const [later, outbox] = await Promise.all([
    tx.objectStore('confirmed').getAll(IDBKeyRange.lowerBound(after, true)),
    tx.objectStore('outbox').getAll(),
  ]);
  const own = later.filter((c) => c.operationId === kept.operationId);
  return {
    operationId: kept.operationId,
    revision: own.at(-1)?.revision ?? kept.snapshot.revision,
    base: applyChanges(
      apiaryOf(kept.snapshot),
      own.flatMap((c) => c.changes),
    ),
    outbox,
    savedAt: kept.savedAt,
  };
}

/** The newest revision that the server has confirmed to this device; 0 for none. */
export async function newestConfirmed(): Promise<number> {
  const newest = await (await localDatabase()).transaction('confirmed').store.openKeyCursor(null, 'prev');
  return newest?.key ?? 0;
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
export function keepSnapshot({ operationId, snapshot, savedAt, askedAt }: FreshSnapshot): Promise<void> {
  // What was confirmed while the snapshot was on its way is newer than it.
  const isIn = (c: KeptChanges) =>
    c.operationId !== operationId || c.revision <= Math.max(snapshot.revision, askedAt);
  return inOneGo(['snapshot', 'confirmed'], async (tx) => {
    await tx.objectStore('snapshot').put({ key: 'current', operationId, snapshot, savedAt });
    const confirmed = tx.objectStore('confirmed');
    for (const c of await confirmed.getAll()) if (isIn(c)) await confirmed.delete(c.revision);
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
export async function putInOutbox(entry: OutboxEntry): Promise<void> {
  writing++;
  try {
    await inOneGo(['outbox'], async (tx) => void (await tx.objectStore('outbox').add(entry)), 'strict');
  } finally {
    writing--;
  }
}

/** Takes a confirmed command out of the outbox and keeps what it did, in one go. */
export function confirm(entry: OutboxEntry, revision: number, changes: readonly Change[]): Promise<void> {
  return inOneGo(['outbox', 'confirmed', 'snapshot'], async (tx) => {
    await tx.objectStore('outbox').delete(entry.seq);
    const [snapshots, confirmed] = [tx.objectStore('snapshot'), tx.objectStore('confirmed')];
    await confirmed.put({ revision, operationId: entry.operationId, changes });
    if ((await confirmed.count()) < FOLD_AFTER) return;
    const kept = await snapshots.get('current');
    if (!kept) return;
    const later = await confirmed.getAll(IDBKeyRange.lowerBound(kept.snapshot.revision, true));
    await snapshots.put(folded(kept, later));
    await confirmed.clear();
  });
}

/** A snapshot with what was confirmed after it. */
function folded(kept: KeptSnapshot, later: readonly KeptChanges[]): KeptSnapshot {
  const apiary = applyChanges(
    apiaryOf(kept.snapshot),
    later.flatMap((c) => c.changes),
  );
  const records = Object.fromEntries(
    Object.entries(apiary).map(([kind, byId]) => [kind, Object.values(byId)]),
  ) as unknown as Snapshot['records'];
  return {
    ...kept,
    snapshot: { revision: later.at(-1)?.revision ?? kept.snapshot.revision, records },
  };
}
