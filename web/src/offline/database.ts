import type { Snapshot } from '@incremen/contract';
import { RECORD_KINDS, RECORD_SCHEMAS, type Change, type Command } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import { Dexie, type EntityTable } from 'dexie';

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

type Formats = typeof import('@incremen/core/formats');

/** What brings old records along is fetched when there are some: the upgrade stays open for it. */
const formats = (): Promise<Formats> => Dexie.waitFor(import('@incremen/core/formats'));

/** The records of version 1 with all that was confirmed since, as those of today. */
function snapshotOfToday(
  kept: KeptSnapshot,
  confirmed: readonly KeptChanges[],
  { upgradeRecords }: Formats,
): KeptSnapshot {
  const { snapshot } = kept;
  const tables: Record<string, Map<string, unknown>> = Object.fromEntries(
    Object.entries(snapshot.records).map(([kind, list]) => [
      kind,
      new Map(list.map((r: { readonly id: string }) => [r.id, r])),
    ]),
  );
  const later = confirmed.filter((c) => c.operationId === kept.operationId && c.revision > snapshot.revision);
  for (const { kind, id, after } of later.flatMap((c) => c.changes)) {
    const table = (tables[kind] ??= new Map());
    if (after === null) table.delete(id);
    else table.set(id, after);
  }
  const records = upgradeRecords(
    Object.fromEntries(Object.entries(tables).map(([kind, table]) => [kind, [...table.values()]])),
  );
  return {
    ...kept,
    snapshot: {
      revision: later.at(-1)?.revision ?? snapshot.revision,
      records: records as Snapshot['records'],
    },
  };
}

/** Every record as its schema has it now. */
function filledUp(kept: KeptSnapshot): KeptSnapshot {
  const records = Object.fromEntries(
    RECORD_KINDS.map((kind) => [
      kind,
      (kept.snapshot.records[kind] ?? []).map((r: unknown) => RECORD_SCHEMAS[kind].parse(r)),
    ]),
  );
  return { ...kept, snapshot: { ...kept.snapshot, records: records as Snapshot['records'] } };
}

/** What this device keeps to work without a network: it survives reloads and an empty battery. */
export class LocalDatabase extends Dexie {
  snapshot!: EntityTable<KeptSnapshot, 'key'>;
  confirmed!: EntityTable<KeptChanges, 'revision'>;
  outbox!: EntityTable<OutboxEntry, 'seq'>;
  photos!: EntityTable<KeptPhoto, 'id'>;

  constructor(name = 'incremen') {
    super(name);
    // A version that has been released is never edited; a change is a new version with an upgrade.
    this.version(1).stores({
      snapshot: 'key',
      confirmed: 'revision',
      outbox: 'seq, &id, state',
      photos: 'id',
    });
    // Work of one kind: records and waiting commands are brought along, so that nothing typed is lost.
    this.version(2).upgrade(async (tx) => {
      const kept = await tx.table<KeptSnapshot>('snapshot').get('current');
      const confirmed = await tx.table<KeptChanges>('confirmed').orderBy('revision').toArray();
      const upgrading = await formats();
      if (kept) await tx.table('snapshot').put(snapshotOfToday(kept, confirmed, upgrading));
      await tx.table('confirmed').clear();
      await tx
        .table<OutboxEntry>('outbox')
        .toCollection()
        .modify((entry, ref) => {
          ref.value = { ...entry, command: upgrading.upgradeCommand(entry.command) };
        });
    });
    // Records have more to say: what is not there yet is filled with what it was without being said.
    this.version(3).upgrade(async (tx) => {
      const kept = await tx.table<KeptSnapshot>('snapshot').get('current');
      const confirmed = await tx.table<KeptChanges>('confirmed').orderBy('revision').toArray();
      if (kept) await tx.table('snapshot').put(filledUp(snapshotOfToday(kept, confirmed, await formats())));
      await tx.table('confirmed').clear();
    });
  }
}

export const localDatabase = new LocalDatabase();
