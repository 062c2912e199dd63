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
  }
}

export const localDatabase = new LocalDatabase();
