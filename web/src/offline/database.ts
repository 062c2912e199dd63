import type { Snapshot } from '@incremen/contract';
import type { Change, Command } from '@incremen/core/records';
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

/** What brings old records along is fetched when there are some: the upgrade stays open for it. */
const bringing = () => Dexie.waitFor(import('./bringAlong.ts'));

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
      const { snapshotOfToday, upgradeCommand } = await bringing();
      if (kept) await tx.table('snapshot').put(snapshotOfToday(kept, confirmed));
      await tx.table('confirmed').clear();
      await tx
        .table<OutboxEntry>('outbox')
        .toCollection()
        .modify((entry, ref) => {
          ref.value = { ...entry, command: upgradeCommand(entry.command) };
        });
    });
    // Records have more to say: what is not there yet is filled with what it was without being said.
    this.version(3).upgrade(async (tx) => {
      const kept = await tx.table<KeptSnapshot>('snapshot').get('current');
      const confirmed = await tx.table<KeptChanges>('confirmed').orderBy('revision').toArray();
      const { filledUp, snapshotOfToday } = await bringing();
      if (kept) await tx.table('snapshot').put(filledUp(snapshotOfToday(kept, confirmed)));
      await tx.table('confirmed').clear();
    });
  }
}

export const localDatabase = new LocalDatabase();
